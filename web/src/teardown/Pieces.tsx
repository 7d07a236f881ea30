import { Button, Checkbox, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { Tag } from '../draw/Tag';
import { CountField } from '../entry/CountField';
import { useBench } from '../entry/useBench';
import type { EntryInput, Schemas } from '../shared/api';
import { PaperButton } from '../paper/PaperButton';
import { when } from '../shared/days';
import { words } from '../shared/messages';
import '../entry/entry.css';
import { useCustody } from '../shared/queries';
import { uuidv7 } from '../shared/uuid';

type Where = NonNullable<EntryInput['data']['where']>;

const WHERES: readonly Where[] = ['tray', 'sealed', 'machinist', 'laboratory', 'customer'];
const OUTSIDE = new Set<Where>(['machinist', 'laboratory', 'customer']);

/** Every piece accounted for, where each part is, and the tags they carry. */
export function Pieces({
  teardown,
  chosen,
  choose,
}: {
  teardown: Schemas['TeardownView'];
  chosen: string;
  choose: (station: string) => void;
}) {
  return (
    <div className="pieces">
      <Counted teardown={teardown} chosen={chosen} choose={choose} />
      <Parts chosen={chosen} />
      <Tags />
    </div>
  );
}

function Counted({ teardown, chosen, choose }: { teardown: Schemas['TeardownView']; chosen: string; choose: (station: string) => void }) {
  const { view, slots, record } = useBench();
  const slot = (place: string, part: string) => ({ place, part, item: 'pieces' });
  const count = (place: string, part: string, expected: number, found: number, name: string): void =>
    record('pieces', slot(place, part), { expected, found }, `${name}: ${found} of ${expected}`);
  const hasNeedles = view.engine.face === 'roller';
  const needles = slots.standing('pieces').find((entry) => entry.part === 'follower')?.content.expected ?? null;
  const [needlesEach, setNeedlesEach] = useState<number | null>(null);
  const each = needlesEach ?? needles;
  const onKey = (key: string, station: string, row: number): boolean => {
    if (!/^[0-2]$/.test(key)) return false;
    const label = view.stations.find((one) => one.code === station)?.label ?? station;
    count(station, 'locks', 2, Number(key), `${label} lock halves`);
    const next = view.stations[row + 1];
    if (next) {
      choose(next.code);
      document.querySelector<HTMLElement>(`[data-locks="${next.code}"]`)?.focus();
    }
    return true;
  };
  return (
    <section aria-label={words.pieces.title}>
      <h3>{words.pieces.title}</h3>
      {teardown.missingPieces.length > 0 && (
        <ul className="warn missing-pieces">
          {teardown.missingPieces.map((one) => (
            <li key={`${one.place}.${one.part}`}>{words.pieces.missing(one.label, one.missing)}</li>
          ))}
        </ul>
      )}
      <p className="note">{words.pieces.hint}</p>
      <table className="counted">
        <thead>
          <tr>
            <th>{words.bench.station}</th>
            <th>{words.pieces.locks}</th>
            {hasNeedles && (
              <th>
                {words.pieces.needles}{' '}
                <InputNumber
                  value={each}
                  min={1}
                  max={500}
                  aria-label={words.pieces.needlesEach}
                  placeholder={words.pieces.needlesEach}
                  onChange={setNeedlesEach}
                />
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {view.stations.map((station, row) => {
            const locks = slots.get(slot(station.code, 'locks')).entry?.content;
            const found = slots.get(slot(station.code, 'follower')).entry?.content;
            return (
              <tr key={station.code} className={station.code === chosen ? 'current' : ''}>
                <th scope="row">
                  <Tag label={station.label} lead={station.failed} />
                </th>
                <td>
                  <div
                    className="severities"
                    role="radiogroup"
                    aria-label={`${station.label} ${words.pieces.locks}`}
                    data-locks={station.code}
                    tabIndex={0}
                    onFocus={() => choose(station.code)}
                    onKeyDown={(event) => {
                      if (onKey(event.key, station.code, row)) event.preventDefault();
                    }}
                  >
                    {[0, 1, 2].map((n) => (
                      <button
                        key={n}
                        type="button"
                        role="radio"
                        tabIndex={-1}
                        aria-checked={locks?.found === n}
                        onClick={() => count(station.code, 'locks', 2, n, `${station.label} lock halves`)}
                      >
                        {n}
                      </button>
                    ))}
                  </div>
                </td>
                {hasNeedles && (
                  <td>
                    <CountField
                      value={found?.found ?? null}
                      disabled={each === null}
                      label={`${station.label} ${words.pieces.needles}`}
                      onCounted={(n) => each !== null && count(station.code, 'follower', each, n, `${station.label} needles`)}
                    />
                  </td>
                )}
              </tr>
            );
          })}
        </tbody>
      </table>
      <OtherPieces />
    </section>
  );
}

/** Bolts and whatever else is counted, by name. */
function OtherPieces() {
  const { slots, record, withdraw } = useBench();
  const [name, setName] = useState('');
  const [expected, setExpected] = useState<number | null>(null);
  const others = slots.standing('pieces').filter((entry) => entry.place === 'engine');
  return (
    <>
      <table className="counted">
        <tbody>
          {others.map((entry) => {
            const label = entry.content.note ?? '';
            const wanted = entry.content.expected ?? 0;
            return (
              <tr key={entry.index}>
                <td>{label}</td>
                <td>
                  <CountField
                    value={entry.content.found ?? null}
                    label={`${label} ${words.pieces.found}`}
                    onCounted={(found) =>
                      record('pieces', entry, { expected: wanted, found, note: label }, `${label}: ${found} of ${wanted}`)
                    }
                  />{' '}
                  {words.pieces.of(wanted)}
                </td>
                <td>
                  <button type="button" className="take-back" onClick={() => withdraw(entry, label)}>
                    {words.teardown.takeBack}
                  </button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <form
        className="new-task"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === '' || expected === null) return;
          record(
            'pieces',
            { place: 'engine', part: 'timing', item: 'pieces', index: uuidv7() },
            { expected, found: 0, note: name.trim() },
            `${name.trim()}: 0 of ${expected}`,
          );
          setName('');
          setExpected(null);
        }}
      >
        <Input
          value={name}
          placeholder={words.pieces.other}
          aria-label={words.pieces.other}
          onChange={(event) => setName(event.target.value)}
        />
        <InputNumber
          value={expected}
          min={1}
          max={500}
          placeholder={words.pieces.many}
          aria-label={words.pieces.many}
          onChange={setExpected}
        />
        <Button htmlType="submit" disabled={name.trim() === '' || expected === null}>
          {words.pieces.count}
        </Button>
      </form>
    </>
  );
}

/** Where the parts of a station are, and every move so far. */
function Parts({ chosen }: { chosen: string }) {
  const { view, slots, record } = useBench();
  const custody = useCustody(view.id, view.revision);
  const station = view.stations.find((one) => one.code === chosen);
  const parts = view.parts.filter((part) => part.site === 'station' && part.code !== 'port' && part.code !== 'piston_relief');
  const [part, setPart] = useState('valve');
  const [where, setWhere] = useState<Where>('laboratory');
  const [whom, setWhom] = useState('');
  const [note, setNote] = useState('');
  const wanted = OUTSIDE.has(where) && whom.trim() === '';
  const label = `${station?.label ?? chosen} ${parts.find((one) => one.code === part)?.label ?? part}`;
  const now = slots.get({ place: chosen, part, item: 'custody' }).entry?.content;
  return (
    <section aria-label={words.custody.title}>
      <h3>{words.custody.title}</h3>
      <form
        className="new-task"
        onSubmit={(event) => {
          event.preventDefault();
          if (wanted) return;
          record(
            'custody',
            { place: chosen, part, item: 'custody' },
            { where, ...(whom.trim() === '' ? {} : { whom: whom.trim() }), ...(note.trim() === '' ? {} : { note: note.trim() }) },
            `${label} ${words.custody.wheres[where]}`,
          );
          setNote('');
        }}
      >
        <Tag label={station?.label ?? chosen} />
        <Select
          value={part}
          aria-label={words.teardown.part}
          onChange={setPart}
          options={parts.map((one) => ({ value: one.code, label: one.label }))}
        />
        <Select<Where>
          value={where}
          aria-label={words.custody.where}
          onChange={setWhere}
          options={WHERES.map((value) => ({ value, label: words.custody.wheres[value] }))}
        />
        <Input
          value={whom}
          placeholder={words.custody.whom}
          aria-label={words.custody.whom}
          onChange={(event) => setWhom(event.target.value)}
        />
        <Input
          value={note}
          placeholder={words.custody.note}
          aria-label={words.custody.note}
          onChange={(event) => setNote(event.target.value)}
        />
        <Button htmlType="submit" disabled={wanted}>
          {words.custody.move}
        </Button>
        <span className="note">
          {now?.where === undefined ? words.custody.notMoved : words.custody.isNow(words.custody.wheres[now.where])}
        </span>
      </form>
      {(custody.data ?? []).length > 0 && (
        <table className="custody">
          <tbody>
            {custody.data?.map((move) => (
              <tr key={`${move.place}.${move.part}.${move.at}`} className={move.now ? '' : 'past'}>
                <td>{move.label}</td>
                <td>
                  {move.whereWords}
                  {move.whom === '' ? '' : `, ${move.whom}`}
                </td>
                <td className="quiet">{move.note}</td>
                <td className="figures quiet">
                  {when(move.at).full} {move.by}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

/** Tags to print: for the stations reported failed, or for all. */
function Tags() {
  const { view } = useBench();
  const [all, setAll] = useState(view.story.failed.length === 0);
  const [parts, setParts] = useState<string[]>(['valve', 'spring', 'retainer', 'locks']);
  const stations = all ? [] : view.story.failed;
  return (
    <section aria-label={words.tags.title}>
      <h3>{words.tags.title}</h3>
      <div className="new-task">
        <Select
          mode="multiple"
          value={parts}
          aria-label={words.tags.parts}
          style={{ minWidth: 320 }}
          onChange={setParts}
          options={view.parts.filter((part) => part.site === 'station').map((part) => ({ value: part.code, label: part.label }))}
        />
        <Checkbox checked={all} onChange={(event) => setAll(event.target.checked)}>
          {words.tags.all}
        </Checkbox>
        <PaperButton caseId={view.id} asked={{ kind: 'tags', options: { stations, parts } }} label={words.tags.make} primary />
      </div>
    </section>
  );
}
