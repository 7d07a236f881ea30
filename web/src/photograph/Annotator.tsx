import { Input, Select } from 'antd';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { Keycap } from '../draw/Tag';
import { placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import type { EntryInput, EntryView } from '../shared/api';
import { Dialog } from '../shared/Dialog';
import { words } from '../shared/messages';
import { useCatalogue, useMeasures } from '../shared/queries';
import { uuidv7 } from '../shared/uuid';
import { Drawn } from './Drawn';
import { pictureAddress } from './pictureAddress';
import { clamped, useHands, viewBox, WHOLE, zoomedAbout, type PictureView } from './useView';
import './photograph.css';

type Shape = NonNullable<EntryInput['data']['shape']>;

const SHAPES: readonly Shape[] = ['arrow', 'outline', 'mark', 'text', 'scale', 'length', 'diameter', 'angle'];
const POINTS: Record<Shape, number> = { arrow: 2, outline: Infinity, mark: 1, text: 1, scale: 2, length: 2, diameter: 3, angle: 3 };
const WORDED = new Set<Shape>(['text', 'scale', 'mark']);

interface Props {
  entry: EntryView;
  onClose: () => void;
}

/** A photograph opened large: drawn and measured on, with mouse, fingers or keyboard alone. */
export function Annotator({ entry, onClose }: Props) {
  const { view, slots, record, withdraw } = useBench();
  const catalogue = useCatalogue();
  const measures = useMeasures(view.id);
  const photograph = view.photographs.find((one) => one.sha256 === entry.sha256);
  const width = photograph?.width ?? 1;
  const height = photograph?.height ?? 1;
  const [seen, setSeen] = useState<PictureView>(WHOLE);
  const [shape, setShape] = useState<Shape | null>(null);
  const [points, setPoints] = useState<[number, number][]>([]);
  const [cross, setCross] = useState<[number, number] | null>(null);
  const [text, setText] = useState<string | null>(null);
  const drawn = (measures.data ?? []).filter((one) => one.sha256 === entry.sha256 && slots.get(slotOf(entry, one.index)).entry !== null);
  const pixel = width / seen.zoom / 880;
  const box = useRef<HTMLDivElement>(null);

  const finish = (of: Shape, list: readonly [number, number][], written: string): void => {
    record(
      'annotation',
      slotOf(entry, uuidv7()),
      {
        sha256: entry.sha256 ?? '',
        shape: of,
        points: list.map(([x, y]) => [Math.round(x * 10) / 10, Math.round(y * 10) / 10]),
        ...(of === 'scale' ? { text: written } : written === '' ? {} : { words: written }),
      },
      `${words.photo.shapes[of]} on ${entry.caption ?? ''}`,
    );
    setPoints([]);
    setText(null);
    setShape(null);
  };
  const place = (x: number, y: number): void => {
    if (shape === null || text !== null) return;
    const next: [number, number][] = [...points, [x, y]];
    if (next.length >= POINTS[shape]) {
      setPoints(next);
      if (WORDED.has(shape)) setText('');
      else finish(shape, next, '');
      return;
    }
    setPoints(next);
  };
  const closeOutline = (): void => {
    if (shape === 'outline' && points.length >= 3) finish('outline', points, '');
  };
  const hands = useHands(seen, setSeen, shape === null ? null : (x, y) => place(x * width, y * height));
  useEffect(() => {
    box.current?.focus();
  }, []);

  const onKey = (event: KeyboardEvent): void => {
    if (event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement) return;
    const far = (event.shiftKey ? 40 : 4) * pixel;
    const at = cross ?? [seen.x * width, seen.y * height];
    const arrow = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    const digit = SHAPES[Number(event.key) - 1];
    if (arrow !== undefined && event.altKey)
      setSeen(clamped({ ...seen, x: seen.x + ((arrow[0] ?? 0) * 0.1) / seen.zoom, y: seen.y + ((arrow[1] ?? 0) * 0.1) / seen.zoom }));
    else if (arrow !== undefined) setCross([at[0] + (arrow[0] ?? 0) * far, at[1] + (arrow[1] ?? 0) * far]);
    else if (event.key === '+' || event.key === '=') setSeen(zoomedAbout(seen, 1.25, at[0] / width, at[1] / height));
    else if (event.key === '-') setSeen(zoomedAbout(seen, 0.8, at[0] / width, at[1] / height));
    else if (event.key === '0') setSeen(WHOLE);
    else if (digit !== undefined) {
      setShape(digit);
      setPoints([]);
      setCross(at);
    } else if (event.key === 'Enter' && shape !== null) {
      const again = points.at(-1);
      if (shape === 'outline' && again !== undefined && Math.hypot(again[0] - at[0], again[1] - at[1]) < pixel) closeOutline();
      else place(...at);
    } else if (event.key === 'Escape' && (shape !== null || points.length > 0)) {
      setShape(null);
      setPoints([]);
      setText(null);
    } else if (event.key === 'Escape' && !(event.target as HTMLElement).closest('.ant-select-open')) onClose();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  const belongs = (part: string, about: string | null, of: string): void => {
    const content: EntryInput['data'] = {
      sha256: entry.sha256 ?? '',
      caption: `${placeLabel(view, of)} ${view.parts.find((one) => one.code === part)?.label ?? part}`,
    };
    if (entry.state === 'as_found' || entry.state === 'after_cleaning') content.state = entry.state;
    if (about !== null) content.about = about;
    const slot = { place: of, part, item: 'photograph', index: entry.index };
    if (of !== entry.place || part !== entry.part) withdraw(entry, entry.caption ?? '');
    record('photograph', slot, content, `photograph of ${content.caption ?? ''}`);
    if (of !== entry.place || part !== entry.part) onClose();
    else setTimeout(() => box.current?.focus()); // once the list has let go, the keys are those of the picture again
  };
  const partOf = view.parts.find((one) => one.code === entry.part);
  const places =
    partOf?.site === 'station'
      ? view.stations.map((one) => ({ value: one.code, label: one.label }))
      : partOf?.site === 'cylinder'
        ? view.plan.bores.map((bore) => ({ value: bore.cylinder, label: words.place.cylinder(bore.number) }))
        : [{ value: 'engine', label: 'engine' }];
  let marks = 0;
  return (
    <Dialog open scope="in-photographs" onClose={onClose} width={1240} title={entry.caption} byEscape={shape === null}>
      <div className="annotator" ref={box} tabIndex={-1} onKeyDown={onKey}>
        <div className="joined annotator-tools" role="group" aria-label={words.photo.draw}>
          {SHAPES.map((one, i) => (
            <button
              key={one}
              type="button"
              aria-pressed={shape === one}
              onClick={() => {
                setShape(shape === one ? null : one);
                setPoints([]);
              }}
            >
              {words.photo.shapes[one]} <Keycap>{String(i + 1)}</Keycap>
            </button>
          ))}
        </div>
        <svg
          ref={hands.svg}
          data-width={width}
          data-height={height}
          viewBox={viewBox(seen, width, height)}
          role="img"
          aria-label={entry.caption ?? ''}
          className={shape === null ? 'picture' : 'picture placing'}
          onDoubleClick={closeOutline}
        >
          <image href={pictureAddress(view.id, entry.sha256, 'working')} width={width} height={height} />
          {drawn.map((one) => {
            if (one.shape === 'mark') marks += 1;
            return <Drawn key={one.index} measure={one} pixel={pixel} number={marks} />;
          })}
          {shape !== null && points.length > 0 && (
            <Drawn
              measure={{
                shape: points.length < 2 ? 'outline' : shape === 'diameter' && points.length === 2 ? 'length' : shape,
                points,
                words: '',
                measured: null,
              }}
              pixel={pixel}
              chosen
            />
          )}
          {points.map(([x, y], i) => (
            <circle key={i} cx={x} cy={y} r={4 * pixel} fill="#F4FBF7" stroke="#102822" strokeWidth={1.5 * pixel} />
          ))}
          {cross && shape !== null && (
            <path
              d={`M${cross[0] - 14 * pixel} ${cross[1]}h${28 * pixel}M${cross[0]} ${cross[1] - 14 * pixel}v${28 * pixel}`}
              stroke="#F4FBF7"
              strokeWidth={1.6 * pixel}
              style={{ mixBlendMode: 'difference' }}
            />
          )}
        </svg>
        <aside className="annotator-side">
          {text !== null && shape !== null ? (
            <form
              onSubmit={(event) => {
                event.preventDefault();
                finish(shape, points, text.trim());
                box.current?.focus();
              }}
            >
              <b>{shape === 'scale' ? words.photo.distance : words.photo.write}</b>
              <Input
                autoFocus
                value={text}
                aria-label={shape === 'scale' ? words.photo.distance : words.photo.write}
                placeholder={shape === 'scale' ? '10 mm, 0.500 in' : ''}
                onChange={(event) => setText(event.target.value)}
                onKeyDown={(event) => {
                  if (event.key !== 'Escape') return;
                  event.stopPropagation();
                  setText(null);
                  setPoints([]);
                  setShape(null);
                }}
              />
            </form>
          ) : (
            <p className="note">{shape === null ? words.photo.hint : words.photo.how[shape]}</p>
          )}
          <ul className="measures" aria-label={words.photo.drawn}>
            {drawn.map((one) => (
              <li key={one.index}>
                <span>
                  <b>{words.photo.shapes[one.shape]}</b> {one.measured?.shown ?? one.words}
                  {one.why !== null && <small className="wrong">{one.why}</small>}
                </span>
                <button
                  type="button"
                  className="take-back"
                  onClick={() => withdraw(slotOf(entry, one.index), words.photo.shapes[one.shape])}
                >
                  {words.teardown.takeBack}
                </button>
              </li>
            ))}
          </ul>
          <p className="note">{words.photo.plane}</p>
          <div className="belongs">
            <b>{words.photo.belongs}</b>
            <Select
              value={entry.place}
              aria-label={words.photo.place}
              showSearch={{ optionFilterProp: 'label' }}
              onChange={(of: string) => belongs(entry.part, entry.content.about ?? null, of)}
              options={places}
            />
            <Select
              value={entry.part}
              aria-label={words.teardown.part}
              showSearch={{ optionFilterProp: 'label' }}
              onChange={(part: string) => belongs(part, null, entry.place)}
              options={view.parts.filter((one) => one.site === partOf?.site).map((one) => ({ value: one.code, label: one.label }))}
            />
            <Select
              value={entry.content.about ?? null}
              aria-label={words.photo.about}
              placeholder={words.photo.about}
              allowClear
              showSearch={{ optionFilterProp: 'label' }}
              onChange={(about: string | null | undefined) => belongs(entry.part, about ?? null, entry.place)}
              options={(catalogue.data?.signs ?? [])
                .filter((one) => one.parts.includes(entry.part))
                .map((one) => ({ value: one.code, label: one.name }))}
            />
          </div>
          <p className="note">
            {photograph?.fileName}, {width} × {height}.{' '}
            <a href={pictureAddress(view.id, entry.sha256, 'original')} target="_blank" rel="noreferrer">
              {words.photo.original}
            </a>
            <br />
            SHA-256 <span className="figures sha">{entry.sha256}</span>
          </p>
        </aside>
      </div>
    </Dialog>
  );
}

const slotOf = (photograph: EntryView, index: string) => ({ place: photograph.place, part: photograph.part, item: 'annotation', index });
