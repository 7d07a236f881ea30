import { Button } from 'antd';
import { type ReactNode, useRef, useState } from 'react';
import { asPng, asSvg, handOver } from './saved';

interface Props {
  /** Name of the files, without what they end in. */
  name: string;
  /** Where every computed point is had as a table; null where there is none. */
  csv: string | null;
  words: { svg: string; png: string; table: string; failed: string };
  children: ReactNode;
}

/** A drawing with what it can be taken away as: lines, a picture, and its table. */
export function Exports({ name, csv, words, children }: Props) {
  const held = useRef<HTMLDivElement>(null);
  const [hasFailed, setFailed] = useState(false);
  const drawn = (): SVGSVGElement | null => held.current?.querySelector<SVGSVGElement>('svg[role=img]') ?? null;
  const saveSvg = (): void => {
    const svg = drawn();
    if (svg !== null) handOver(new Blob([asSvg(svg)], { type: 'image/svg+xml' }), `${name}.svg`);
  };
  const savePng = async (): Promise<void> => {
    const svg = drawn();
    setFailed(false);
    if (svg === null) return;
    try {
      handOver(await asPng(svg), `${name}.png`);
    } catch {
      setFailed(true);
    }
  };
  return (
    <div className="exports" ref={held}>
      {children}
      <p className="exports-row">
        <Button size="small" type="link" onClick={saveSvg}>
          {words.svg}
        </Button>
        <Button size="small" type="link" onClick={() => void savePng()}>
          {words.png}
        </Button>
        {csv !== null && (
          <a href={csv} download>
            {words.table}
          </a>
        )}
        {hasFailed && (
          <span className="wrong" role="alert">
            {words.failed}
          </span>
        )}
      </p>
    </div>
  );
}
