import { useState, type KeyboardEvent } from 'react';
import { useBench } from '../entry/useBench';
import type { EntryView } from '../shared/api';
import { Dialog } from '../shared/Dialog';
import { words } from '../shared/messages';
import { useMeasures } from '../shared/queries';
import { Drawn } from './Drawn';
import { clamped, useHands, viewBox, WHOLE, zoomedAbout, type PictureView } from './useView';
import { pictureAddress } from './pictureAddress';
import './photograph.css';

/** Two photographs side by side with one zoom: before and after, good and bad, this station and that. */
export function Pair({ entries, onClose }: { entries: readonly [EntryView, EntryView]; onClose: () => void }) {
  const [seen, setSeen] = useState<PictureView>(WHOLE);
  const onKey = (event: KeyboardEvent): void => {
    const arrow = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (arrow !== undefined)
      setSeen(clamped({ ...seen, x: seen.x + ((arrow[0] ?? 0) * 0.1) / seen.zoom, y: seen.y + ((arrow[1] ?? 0) * 0.1) / seen.zoom }));
    else if (event.key === '+' || event.key === '=') setSeen(zoomedAbout(seen, 1.25, seen.x, seen.y));
    else if (event.key === '-') setSeen(zoomedAbout(seen, 0.8, seen.x, seen.y));
    else if (event.key === '0') setSeen(WHOLE);
    else return;
    event.preventDefault();
  };
  return (
    <Dialog open scope="in-photographs" onClose={onClose} width={1240} title={words.photo.pair}>
      <div className="pair" tabIndex={0} role="group" aria-label={words.photo.pairHint} onKeyDown={onKey}>
        {entries.map((entry) => (
          <Half key={entry.id} entry={entry} seen={seen} onView={setSeen} />
        ))}
      </div>
      <p className="note">{words.photo.pairHint}</p>
    </Dialog>
  );
}

function Half({ entry, seen, onView }: { entry: EntryView; seen: PictureView; onView: (view: PictureView) => void }) {
  const { view } = useBench();
  const measures = useMeasures(view.id);
  const photograph = view.photographs.find((one) => one.sha256 === entry.sha256);
  const width = photograph?.width ?? 1;
  const height = photograph?.height ?? 1;
  const hands = useHands(seen, onView, null);
  return (
    <figure>
      <svg
        ref={hands.svg}
        data-width={width}
        data-height={height}
        viewBox={viewBox(seen, width, height)}
        role="img"
        aria-label={entry.caption ?? ''}
        className="picture"
      >
        <image href={pictureAddress(view.id, entry.sha256, 'working')} width={width} height={height} />
        {(measures.data ?? [])
          .filter((one) => one.sha256 === entry.sha256)
          .map((one, i) => (
            <Drawn key={one.index} measure={one} pixel={width / seen.zoom / 600} number={i + 1} />
          ))}
      </svg>
      <figcaption>
        {entry.caption}, {entry.state === 'after_cleaning' ? words.teardown.afterCleaning : words.teardown.asFound}
      </figcaption>
    </figure>
  );
}
