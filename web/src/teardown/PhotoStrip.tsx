import { Button, Modal } from 'antd';
import { useRef, useState } from 'react';
import { placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import type { EntryView } from '../shared/api';
import { words } from '../shared/messages';
import { uploadPhotograph } from './uploadPhotograph';

interface Props {
  place: string;
  part: string;
  partLabel: string;
  state: 'as_found' | 'after_cleaning';
}

interface Failed {
  file: File;
  message: string;
}

/** The photographs of a part; takes new ones by drag and drop or from a file. */
export function PhotoStrip({ place, part, partLabel, state }: Props) {
  const { view, slots, record } = useBench();
  const input = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  const [busy, setBusy] = useState(0);
  const [failed, setFailed] = useState<Failed[]>([]);
  const [open, setOpen] = useState<EntryView | null>(null);
  const all = slots.standing('photograph').filter((entry) => entry.place === place);
  const shown = [...all.filter((entry) => entry.part === part), ...all.filter((entry) => entry.part !== part)];
  const label = placeLabel(view, place);

  const take = async (files: readonly File[]): Promise<void> => {
    setBusy((n) => n + files.length);
    for (const file of files) {
      try {
        const photograph = await uploadPhotograph(file);
        record(
          'photograph',
          { place, part, item: 'photograph', index: photograph.sha256.slice(0, 16) },
          { sha256: photograph.sha256, caption: `${label} ${partLabel}`, state },
          `photograph of ${label} ${partLabel}`,
        );
        setFailed((old) => old.filter((one) => one.file !== file));
      } catch (error) {
        setFailed((old) => [
          ...old.filter((one) => one.file !== file),
          { file, message: error instanceof Error ? error.message : String(error) },
        ]);
      } finally {
        setBusy((n) => n - 1);
      }
    }
  };

  return (
    <section className="photo-strip" aria-label="Photographs">
      {failed.length > 0 && (
        <div className="warn" role="alert">
          {failed.map((one) => (
            <p key={one.file.name}>
              <b>{words.teardown.uploadFailed}:</b> {one.message}
            </p>
          ))}
          <Button size="small" onClick={() => void take(failed.map((one) => one.file))}>
            Try again
          </Button>{' '}
          <Button size="small" onClick={() => setFailed([])}>
            Leave it
          </Button>
        </div>
      )}
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
          <b>{busy > 0 ? `Sending ${busy}…` : words.teardown.photo}</b>
          <small>
            {words.teardown.drop} {label} {partLabel}.
          </small>
        </button>
        <input
          ref={input}
          type="file"
          hidden
          multiple
          accept="image/jpeg,image/png,image/webp"
          aria-label={words.teardown.photo}
          onChange={(event) => {
            void take([...(event.target.files ?? [])]);
            event.target.value = '';
          }}
        />
      </div>
      <Modal
        open={open !== null}
        onCancel={() => setOpen(null)}
        footer={null}
        width={1000}
        title={open?.caption}
        transitionName=""
        maskTransitionName=""
      >
        {open?.sha256 && <Large sha256={open.sha256} entry={open} />}
      </Modal>
    </section>
  );
}

function Thumb({ entry, chosen, onOpen }: { entry: EntryView; chosen: boolean; onOpen: () => void }) {
  const { view } = useBench();
  const [missing, setMissing] = useState(false);
  const photograph = view.photographs.find((one) => one.sha256 === entry.sha256);
  const notSupplied = missing || photograph?.workingCopy === 'missing' || photograph?.workingCopy === 'failed';
  const part = view.parts.find((one) => one.code === entry.part)?.label ?? entry.part;
  return (
    <button
      type="button"
      className={chosen ? 'thumb chosen' : 'thumb'}
      onClick={onOpen}
      aria-label={`${entry.caption ?? ''}, ${words.teardown.clickToOpen}`}
    >
      {notSupplied ? (
        <span className="missing">{photograph?.workingCopy === 'failed' ? words.teardown.broken : words.teardown.notSupplied}</span>
      ) : (
        <img src={`/api/photographs/${entry.sha256}/working`} alt={entry.caption ?? ''} onError={() => setMissing(true)} />
      )}
      <span className="thumb-words">
        <span>{part}</span>
        <span>{entry.state === 'after_cleaning' ? words.teardown.afterCleaning : words.teardown.asFound}</span>
      </span>
    </button>
  );
}

function Large({ sha256, entry }: { sha256: string; entry: EntryView }) {
  const { view } = useBench();
  const photograph = view.photographs.find((one) => one.sha256 === sha256);
  return (
    <figure className="large-photo">
      {photograph?.workingCopy === 'missing' || photograph?.workingCopy === 'failed' ? (
        <p className="empty">{photograph.workingCopy === 'failed' ? words.teardown.broken : words.teardown.notSupplied}</p>
      ) : (
        <img src={`/api/photographs/${sha256}/working`} alt={entry.caption ?? ''} />
      )}
      <figcaption className="note">
        {photograph?.fileName}, {photograph?.width} × {photograph?.height}, by {entry.by}.{' '}
        <a href={`/api/photographs/${sha256}/original`} target="_blank" rel="noreferrer">
          Original, byte for byte
        </a>
        <br />
        SHA-256 <span className="figures">{sha256}</span>
      </figcaption>
    </figure>
  );
}
