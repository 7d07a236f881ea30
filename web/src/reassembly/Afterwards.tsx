import { Input } from 'antd';
import { useState } from 'react';
import { MarginRule } from '../draw/MarginRule';
import { useBench } from '../entry/useBench';
import type { SlotAddress } from '../entry/slotKey';
import type { Schemas } from '../shared/api';
import { Choice } from '../shared/Choice';
import { LineForm } from '../shared/LineForm';
import { words } from '../shared/messages';
import { useAfterwards } from '../shared/queries';
import './reassembly.css';

type Return = Schemas['ReturnView'];
type Symptom = Return['symptom'];

const SYMPTOMS: readonly Symptom[] = ['gone', 'less', 'same', 'other'];
const UNITS = ['h', 'km', 'mi', 'runs'] as const;
const today = (): string => new Date().toISOString().slice(0, 'yyyy-mm-dd'.length);

/** The engine comes back: what became of the complaint, lash and pulls again, and how the shop's calls held. */
export function Afterwards() {
  const { view } = useBench();
  const data = useAfterwards(view.id).data;
  if (data === undefined) return null;
  const { record } = data;
  return (
    <div className="in-reassembly">
      <div className="afterwards pad">
        <h2>{words.afterwards.title}</h2>
        <p className="note">{words.afterwards.note}</p>
        <AddReturn />
        {data.returns.length === 0 && <p>{words.afterwards.none}</p>}
        {data.returns.map((one) => (
          <OneReturn key={one.day} one={one} />
        ))}
        <section aria-label={words.afterwards.record}>
          <h3>{words.afterwards.record}</h3>
          {record.followed === 0 ? (
            <p className="note">{words.afterwards.noRecord}</p>
          ) : (
            <>
              <p>{words.afterwards.recordLine(record.signed, record.followed, record.held, record.failed)}</p>
              <ul>
                {record.bySureness.map((row) => (
                  <li key={row.words}>
                    {words.afterwards.sureness} <b>{row.words}</b>: {words.afterwards.heldOf(row.held, row.followed)}
                  </li>
                ))}
              </ul>
            </>
          )}
        </section>
      </div>
    </div>
  );
}

function AddReturn() {
  const bench = useBench();
  const [day, setDay] = useState(today);
  const [amount, setAmount] = useState('');
  const [unit, setUnit] = useState<(typeof UNITS)[number]>('h');
  const [symptom, setSymptom] = useState<Symptom>('gone');
  const [said, say] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const keep = (): void => {
    const ran = Number(amount.trim().replace(',', '.'));
    if (amount.trim() === '' || Number.isNaN(ran) || ran < 0 || ran > 1e6) {
      setWrong(words.afterwards.badAmount(amount));
      return;
    }
    setWrong(null);
    bench.record(
      'outcome',
      { place: 'engine', part: 'afterwards', item: 'outcome', index: day },
      { amount: ran, unit, symptom, ...(said.trim() === '' ? {} : { words: said.trim() }) },
      words.afterwards.kept(day),
    );
    setAmount('');
    say('');
  };
  return (
    <LineForm label={words.afterwards.add} send={words.afterwards.keep} isReady={/^\d{4}-\d{2}-\d{2}$/.test(day)} onSend={keep}>
      <Input
        type="date"
        value={day}
        aria-label={words.afterwards.day}
        style={{ width: 160 }}
        onChange={(event) => setDay(event.target.value)}
      />
      <Input
        value={amount}
        aria-label={words.afterwards.amount}
        placeholder={words.afterwards.amount}
        style={{ width: 110 }}
        status={wrong === null ? '' : 'error'}
        onChange={(event) => setAmount(event.target.value)}
      />
      <Choice
        label={words.afterwards.unit}
        value={unit}
        width={90}
        onChange={setUnit}
        options={UNITS.map((value) => ({ value, label: words.reuse.unit[value] }))}
      />
      <Choice
        label={words.afterwards.symptom}
        value={symptom}
        width={220}
        onChange={setSymptom}
        options={SYMPTOMS.map((value) => ({ value, label: words.afterwards.symptoms[value] }))}
      />
      <Input
        value={said}
        maxLength={2000}
        aria-label={words.afterwards.words}
        placeholder={words.afterwards.words}
        style={{ width: 260 }}
        onChange={(event) => say(event.target.value)}
      />
      {wrong !== null && (
        <p className="wrong" role="alert">
          {wrong}
        </p>
      )}
    </LineForm>
  );
}

function OneReturn({ one }: { one: Return }) {
  const { view } = useBench();
  const of = (name: string, place: string) => one.values.find((value) => value.name === name && value.place === place);
  const hasLash = view.engine.lash === 'solid';
  return (
    <section className="return" aria-label={one.day}>
      <h3>
        {one.day}, {one.amount} {words.reuse.unit[one.unit]}: {one.symptomWords}
      </h3>
      <p className={one.held === false ? 'wrong' : ''} role="status">
        {one.sentence}
      </p>
      {one.words !== '' && <p>{one.words}</p>}
      <div className="table-wrap">
        <table>
          <thead>
            <tr>
              <th scope="col">{words.afterwards.valve}</th>
              {hasLash && (
                <>
                  <th scope="col">{words.afterwards.rebuild.lash}</th>
                  <th scope="col">{words.afterwards.now.lash}</th>
                  <th scope="col">{words.afterwards.moved}</th>
                </>
              )}
              <th scope="col">{words.afterwards.rebuild.pull_load}</th>
              <th scope="col">{words.afterwards.now.pull}</th>
              <th scope="col">{words.afterwards.moved}</th>
            </tr>
          </thead>
          <tbody>
            {view.stations.map((station) => {
              const lash = of('lash', station.code);
              const pull = of('pull_load', station.code);
              return (
                <tr key={station.code}>
                  <th scope="row">{station.label}</th>
                  {hasLash && (
                    <>
                      <td className="figure">{lash?.rebuild}</td>
                      <td>
                        <Again slot={again(one.day, station.code, 'lash')} label={words.afterwards.lash(station.label)} />
                      </td>
                      <td>{lash?.moved != null && <MarginRule margin={lash.moved} />}</td>
                    </>
                  )}
                  <td className="figure">{pull?.rebuild}</td>
                  <td>
                    <Again slot={again(one.day, station.code, 'pull', '.1')} label={words.afterwards.pull(station.label)} />
                  </td>
                  <td>{pull?.moved != null && <MarginRule margin={pull.moved} />}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </section>
  );
}

const again = (day: string, place: string, item: string, rest = ''): SlotAddress => ({
  place,
  part: 'valve',
  item,
  index: `built-${day}${rest}`,
});

/** A figure read again at the return. */
function Again({ slot, label }: { slot: SlotAddress; label: string }) {
  const bench = useBench();
  const state = bench.slots.get(slot);
  const stored = state.entry?.content.text ?? '';
  const [text, setText] = useState<string | null>(null);
  const refused = state.outgoing?.problem?.detail ?? null;
  const keep = (): void => {
    const typed = text?.trim() ?? '';
    if (typed !== '' && typed !== stored) bench.record('reading', slot, { text: typed }, `${label}: ${typed}`);
    setText(null);
  };
  return (
    <>
      <input
        className={refused === null ? 'cell-input figures' : 'cell-input figures is-out'}
        value={text ?? stored}
        inputMode="decimal"
        aria-label={label}
        aria-invalid={refused !== null}
        onChange={(event) => setText(event.target.value)}
        onBlur={keep}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          // The way down the column; leaving the field keeps what is in it.
          const kind = label.split(',')[0] ?? '';
          const column = [
            ...(event.currentTarget.closest('tbody')?.querySelectorAll<HTMLInputElement>(`input[aria-label^="${kind}"]`) ?? []),
          ];
          const next = column[column.indexOf(event.currentTarget) + 1];
          if (next === undefined) event.currentTarget.blur();
          else next.focus();
        }}
      />
      {refused !== null && (
        <p className="wrong" role="alert">
          {refused}
        </p>
      )}
    </>
  );
}
