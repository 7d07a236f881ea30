import { useRef, useState } from 'react';
import { placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import type { EntryView } from '../shared/api';
import { words } from '../shared/messages';
import { Annotator } from '../photograph/Annotator';
import { PictureInput } from '../photograph/PictureInput';
import { NotTaken } from '../photograph/NotTaken';
import { Picture } from '../photograph/Picture';
import { usePhotographs } from '../photograph/usePhotographs';

interface Props {
  place: string;
  part: string;
  partLabel: string;
  state: 'as_found' | 'after_cleaning';
}

/** The photographs of a part; takes new ones by drag and drop or from a file. */
export function PhotoStrip({ place, part, partLabel, state }: Props) {
  const { view, slots } = useBench();
  const input = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  const { take, waiting } = usePhotographs(place, part, state);
  const [open, setOpen] = useState<EntryView | null>(null);
  const all = slots.standing('photograph').filter((entry) => entry.place === place);
  const shown = [...all.filter((entry) => entry.part === part), ...all.filter((entry) => entry.part !== part)];
  const label = placeLabel(view, place);

  return (
    <section className="photo-strip" aria-label={words.photo.strip}>
      <NotTaken />
      <div className="photos">
        {shown.map((entry) => (
          <Thumb key={entry.id} entry={entry} chosen={entry.part === part} onOpen={() => setOpen(entry)} />
        ))}
        <button
          type="button"
          className={over ? 'drop over' : 'drop'}
          onClick={() => input.current?.click()}
          onDragOver={(event) => {
            event.preventDefault();
            setOver(true);
          }}
          onDragLeave={() => setOver(false)}
          onDrop={(event) => {
            event.preventDefault();
            setOver(false);
            void take([...event.dataTransfer.files]);
          }}
        >
          <b>{waiting > 0 ? words.photo.waiting(waiting) : words.teardown.photo}</b>
          <small>
            {words.teardown.drop} {label} {partLabel}.
          </small>
        </button>
        <PictureInput ref={input} label={words.teardown.photo} take={take} />
      </div>
      {open && <Annotator key={open.index} entry={slots.get(open).entry ?? open} onClose={() => setOpen(null)} />}
    </section>
  );
}

function Thumb({ entry, chosen, onOpen }: { entry: EntryView; chosen: boolean; onOpen: () => void }) {
  const { view } = useBench();
  const part = view.parts.find((one) => one.code === entry.part)?.label ?? entry.part;
  return (
    <button
      type="button"
      className={chosen ? 'thumb chosen' : 'thumb'}
      disabled={entry.sha256 === null}
      onClick={onOpen}
      aria-label={`${entry.caption ?? ''}, ${words.teardown.clickToOpen}`}
    >
      <Picture entry={entry} alt={entry.caption ?? ''} />
      <span className="thumb-words">
        <span>{part}</span>
        <span>{entry.state === 'after_cleaning' ? words.teardown.afterCleaning : words.teardown.asFound}</span>
      </span>
    </button>
  );
}
