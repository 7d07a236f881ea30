import { Button, Segmented, Select } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { Keycap } from '../draw/Tag';
import { placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import type { EntryView, Schemas } from '../shared/api';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { inList, useRoving } from '../shared/useRoving';
import { useCatalogue, useMeasures } from '../shared/queries';
import { Annotator } from './Annotator';
import { PictureInput } from './PictureInput';
import { DeviceCamera, SimulatedCamera } from './Cameras';
import { NotTaken } from './NotTaken';
import { Pair } from './Pair';
import { ShotList } from './ShotList';
import { Picture } from './Picture';
import { usePhotographs } from './usePhotographs';
import './photograph.css';

interface Props {
  place: string;
  shots: Schemas['TeardownView']['shots'];
}

/** All photographs of the case: taken, assigned, opened, compared; and what is still to be taken. */
export function PhotoDesk({ place, shots }: Props) {
  const { view, slots } = useBench();
  const catalogue = useCatalogue();
  const measures = useMeasures(view.id);
  const [part, setPart] = useState('valve');
  const [state, setState] = useState<'as_found' | 'after_cleaning'>('as_found');
  const [here, setHere] = useState(false);
  const [camera, setCamera] = useState<'device' | 'simulated' | null>(null);
  const [open, setOpen] = useState<string | null>(null);
  const [picked, setPicked] = useState<string[]>([]);
  const [paired, setPaired] = useState(false);
  const [over, setOver] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const taking = usePhotographs(place, part, state);
  const all = slots.standing('photograph');
  const shown = here ? all.filter((entry) => entry.place === place) : all;
  const find = (id: string | undefined): EntryView | undefined => all.find((entry) => (entry.index ?? entry.id) === id);
  const opened = open === null ? undefined : find(open);
  const pair = picked.map(find).filter((entry) => entry !== undefined);
  const [left, right] = pair;
  const label = `${placeLabel(view, place)} ${view.parts.find((one) => one.code === part)?.label ?? part}`;
  const toggle = (id: string): void => setPicked((old) => (old.includes(id) ? old.filter((one) => one !== id) : [...old, id].slice(-2)));

  const { take } = taking;
  const latest = useRef(take);
  useEffect(() => {
    latest.current = take;
  }, [take]);
  useEffect(() => {
    const onPaste = (event: ClipboardEvent): void => {
      const files = [...(event.clipboardData?.files ?? [])].filter((file) => file.type.startsWith('image/'));
      if (files.length === 0) return;
      event.preventDefault();
      void latest.current(files);
    };
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  }, []);

  const roving = useRoving<HTMLUListElement>(inList(shown.length));
  const onKeyDown = useKeys([
    {
      shown: 'P',
      does: words.keysDo.pickPhoto,
      on: /^p$/i,
      run: ({ target }) => {
        const id = (target as HTMLElement).closest('[data-photo]')?.getAttribute('data-photo');
        if (id != null) toggle(id);
      },
    },
    {
      shown: 'C',
      does: words.keysDo.comparePhotos,
      on: /^c$/i,
      when: () => left !== undefined && right !== undefined,
      run: () => setPaired(true),
    },
  ]);
  return (
    <div
      className={over ? 'photo-desk over' : 'photo-desk'}
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
      <div className="photo-tools">
        <span>
          {words.photo.goTo} <b>{placeLabel(view, place)}</b>
        </span>
        <Select
          value={part}
          aria-label={words.photo.newPart}
          style={{ width: 150 }}
          onChange={setPart}
          options={view.parts.filter((one) => one.site === 'station').map((one) => ({ value: one.code, label: one.label }))}
        />
        <Segmented
          value={state}
          onChange={setState}
          options={[
            { value: 'as_found' as const, label: words.teardown.asFound },
            { value: 'after_cleaning' as const, label: words.teardown.afterCleaning },
          ]}
        />
        <Button type="primary" onClick={() => input.current?.click()}>
          {words.photo.files}
        </Button>
        <Button onClick={() => setCamera('device')}>{words.photo.device}</Button>
        <Button onClick={() => setCamera('simulated')}>{words.photo.simulated}</Button>
        <PictureInput ref={input} label={words.photo.files} take={take} />
      </div>
      {taking.waiting > 0 && (
        <p className="note" role="status">
          {words.photo.waiting(taking.waiting)}
        </p>
      )}
      <NotTaken />
      <div className="photo-body">
        <div>
          <div className="acts-row">
            <label>
              <input type="checkbox" checked={here} onChange={(event) => setHere(event.target.checked)} />{' '}
              {words.photo.only(placeLabel(view, place))}
            </label>
            <span className="note">
              {words.photo.keys} <Keycap>P</Keycap> {words.photo.pick}, <Keycap>C</Keycap> {words.photo.compare}
            </span>
            {left && right && (
              <Button type="primary" onClick={() => setPaired(true)}>
                {words.photo.compareTwo}
              </Button>
            )}
          </div>
          {shown.length === 0 && (
            <div className="empty">
              <b>{words.photo.empty}</b>
              {words.photo.emptyWhat(label)}
            </div>
          )}
          <ul className="photo-grid" ref={roving.ref} onKeyDown={roving.onKeyDown}>
            {shown.map((entry, at) => {
              const id = entry.index ?? entry.id;
              const sign = catalogue.data?.signs.find((one) => one.code === entry.content.about)?.name;
              const drawings = (measures.data ?? []).filter((one) => one.sha256 === entry.sha256).length;
              return (
                <li key={id} className={picked.includes(id) ? 'picked' : ''}>
                  <button
                    type="button"
                    data-photo={id}
                    disabled={entry.sha256 === null}
                    onClick={() => setOpen(id)}
                    {...roving.item(at)}
                    onKeyDown={onKeyDown}
                    aria-label={`${entry.caption ?? ''}, ${words.teardown.clickToOpen}`}
                  >
                    <Picture entry={entry} alt="" />
                  </button>
                  <span>
                    <b>{entry.caption}</b>
                    <small>
                      {[
                        entry.state === 'after_cleaning' ? words.teardown.afterCleaning : words.teardown.asFound,
                        sign ?? '',
                        drawings > 0 ? words.photo.drawings(drawings) : '',
                      ]
                        .filter((one) => one !== '')
                        .join(', ')}
                    </small>
                  </span>
                  <label className="pick">
                    <input type="checkbox" checked={picked.includes(id)} onChange={() => toggle(id)} /> {words.photo.pick}
                  </label>
                </li>
              );
            })}
          </ul>
        </div>
        <aside>
          <ShotList shots={shots} />
        </aside>
      </div>
      {opened && <Annotator key={opened.index} entry={opened} onClose={() => setOpen(null)} />}
      {paired && left && right && <Pair entries={[left, right]} onClose={() => setPaired(false)} />}
      {camera === 'device' && <DeviceCamera onTake={(file) => void take([file])} onClose={() => setCamera(null)} />}
      {camera === 'simulated' && <SimulatedCamera part={part} onTake={(file) => void take([file])} onClose={() => setCamera(null)} />}
    </div>
  );
}
