import { Select } from 'antd';
import { useState } from 'react';
import { Tag } from '../draw/Tag';
import { useBench } from '../entry/useBench';
import type { EntryInput } from '../shared/api';
import { when } from '../shared/days';
import { LineForm, LineText } from '../shared/LineForm';
import { words } from '../shared/messages';
import { useCustody } from '../shared/queries';

type Where = NonNullable<EntryInput['data']['where']>;

const WHERES: readonly Where[] = ['tray', 'sealed', 'machinist', 'laboratory', 'customer'];
const OUTSIDE = new Set<Where>(['machinist', 'laboratory', 'customer']);

/** Where the parts of a station are, and every move so far. */
export function Custody({ chosen }: { chosen: string }) {
  const { view, slots, record } = useBench();
  const custody = useCustody(view.id);
  const station = view.stations.find((one) => one.code === chosen);
  const parts = view.parts.filter((part) => part.site === 'station' && part.code !== 'port' && part.code !== 'piston_relief');
  const [part, setPart] = useState('valve');
  const [where, setWhere] = useState<Where>('laboratory');
  const [whom, setWhom] = useState('');
  const [note, setNote] = useState('');
  const wanted = OUTSIDE.has(where) && whom.trim() === '';
  const label = `${station?.label ?? chosen} ${parts.find((one) => one.code === part)?.label ?? part}`;
  const now = slots.get({ place: chosen, part, item: 'custody' }).entry?.content;
  const move = (): void => {
    record(
      'custody',
      { place: chosen, part, item: 'custody' },
      { where, ...(whom.trim() === '' ? {} : { whom: whom.trim() }), ...(note.trim() === '' ? {} : { note: note.trim() }) },
      `${label} ${words.custody.wheres[where]}`,
    );
    setNote('');
  };
  return (
    <section aria-label={words.custody.title}>
      <h3>{words.custody.title}</h3>
      <LineForm
        label={words.custody.title}
        send={words.custody.move}
        isReady={!wanted}
        onSend={move}
        after={
          <span className="note">
            {now?.where === undefined ? words.custody.notMoved : words.custody.isNow(words.custody.wheres[now.where])}
          </span>
        }
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
        <LineText value={whom} label={words.custody.whom} onChange={setWhom} />
        <LineText value={note} label={words.custody.note} onChange={setNote} />
      </LineForm>
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
