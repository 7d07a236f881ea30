import { Button } from 'antd';
import { useEffect, useRef } from 'react';
import { words } from '../shared/messages';
import { usePaper } from './usePaper';

type Asked = Parameters<ReturnType<typeof usePaper>['make']>[0];

/** Makes a paper and hands it over: says how far it is, can be cancelled, and says why where there is none. */
export function PaperButton({ caseId, asked, label, primary = false }: { caseId: string; asked: Asked; label: string; primary?: boolean }) {
  const paper = usePaper(caseId);
  const link = useRef<HTMLAnchorElement>(null);
  useEffect(() => {
    if (paper.address !== null) link.current?.click();
  }, [paper.address]);
  return (
    <>
      {paper.problem !== null && (
        <span className="wrong" role="alert">
          {paper.problem}
        </span>
      )}
      {paper.progress !== null && <Button onClick={paper.cancel}>{words.paper.cancel}</Button>}
      <Button type={primary ? 'primary' : 'default'} loading={paper.progress !== null} onClick={() => void paper.make(asked)}>
        {paper.progress === null ? label : words.paper.making(Math.round(100 * paper.progress))}
      </Button>
      {paper.address !== null && (
        <a ref={link} href={paper.address} download>
          {words.paper.again}
        </a>
      )}
    </>
  );
}
