import { Checkbox, Input, Select } from 'antd';
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

/** Who is invited before a part is destroyed: whoever claims, and whoever may have to pay. */
const PARTIES = 2;

/** What was said of a move, without what was not. */
const said = (typed: Record<string, string>): Record<string, string> =>
  Object.fromEntries(Object.entries(typed).flatMap(([name, text]) => (text.trim() === '' ? [] : [[name, text.trim()]])));

/** Where the parts of a station are, and every move so far. */
export function Custody({ chosen }: { chosen: string }) {
  const { view, slots, record } = useBench();
  const custody = useCustody(view.id);
  const station = view.stations.find((one) => one.code === chosen);
  const parts = view.parts.filter((part) => part.site === 'station' && part.code !== 'port' && part.code !== 'piston_relief');
  const [part, setPart] = useState('valve');
  const [where, setWhere] = useState<Where>('laboratory');
  const [whom, setWhom] = useState('');
  const [seal, setSeal] = useState('');
  const [why, setWhy] = useState('');
  const [until, setUntil] = useState('');
  const [isDestroyed, setDestroyed] = useState(false);
  const [invited, setInvited] = useState(['', '']);
  const parties = invited.map((one) => one.trim()).filter((one) => one !== '');
  const wanted = (OUTSIDE.has(where) && whom.trim() === '') || (isDestroyed && parties.length < PARTIES);
  const label = `${station?.label ?? chosen} ${parts.find((one) => one.code === part)?.label ?? part}`;
  const now = slots.get({ place: chosen, part, item: 'custody' }).entry?.content;
  const move = (): void => {
    record(
      'custody',
      { place: chosen, part, item: 'custody' },
      {
        where,
        ...said({ whom, seal, why, until }),
        ...(isDestroyed ? { destroyed: true, invited: parties } : {}),
      },
      `${label} ${words.custody.wheres[where]}`,
    );
    setSeal('');
    setWhy('');
    setUntil('');
    setDestroyed(false);
    setInvited(['', '']);
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
        <LineText value={seal} label={words.custody.seal} onChange={setSeal} />
        <LineText value={why} label={words.custody.why} onChange={setWhy} />
        <label className="until">
          {words.custody.until} <Input type="date" value={until} onChange={(event) => setUntil(event.target.value)} />
        </label>
        <Checkbox checked={isDestroyed} onChange={(event) => setDestroyed(event.target.checked)}>
          {words.custody.destroys}
        </Checkbox>
        {isDestroyed &&
          invited.map((party, i) => (
            <LineText key={i} value={party} label={words.custody.invited(i + 1)} onChange={(typed) => setInvited(invited.with(i, typed))} />
          ))}
      </LineForm>
      {(custody.data ?? []).length > 0 && (
        <table className="custody">
          <thead>
            <tr>
              <th>{words.custody.part}</th>
              <th>{words.custody.from}</th>
              <th>{words.custody.to}</th>
              <th>{words.custody.remark}</th>
              <th>{words.custody.signed}</th>
            </tr>
          </thead>
          <tbody>
            {custody.data?.map((move) => (
              <tr key={`${move.place}.${move.part}.${move.at}`} className={move.now ? '' : 'past'}>
                <td>{move.label}</td>
                <td className="quiet">{move.fromWords || words.custody.engine}</td>
                <td>
                  {move.whereWords}
                  {move.whom === '' ? '' : `, ${move.whom}`}
                </td>
                <td className="quiet">
                  {[
                    move.seal === '' ? '' : words.custody.underSeal(move.seal),
                    move.why,
                    move.until === null ? '' : words.custody.backOn(move.until),
                    move.note,
                    move.isDestroyed ? words.custody.isDestroyed(move.invited) : '',
                  ]
                    .filter((one) => one !== '')
                    .join('; ')}
                </td>
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
