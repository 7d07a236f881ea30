import { Button, Input, InputNumber } from 'antd';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import type { SlotAddress } from '../entry/slotKey';
import type { Schemas } from '../shared/api';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import { useReuse } from '../shared/queries';

type Advice = Schemas['PartAdviceView'];
type Order = Schemas['OrderLineView'];
type Decision = Advice['advised'];

const DECISIONS: readonly Decision[] = ['keep', 'keep_with_limit', 'rework', 'replace'];
const UNITS = ['h', 'km', 'mi', 'runs'] as const;
const slotOf = (one: Pick<Advice, 'part' | 'place'>): SlotAddress => ({ place: one.place, part: one.part, item: 'reuse', index: null });

/** What becomes of each part, with the rule or measurement behind it; and what follows: parts to order, work to give out. */
export function Reuse() {
  const { view } = useBench();
  const data = useReuse(view.id).data;
  if (data === undefined) return null;
  return (
    <div className="reuse pad">
      <p className="note">{words.reuse.note}</p>
      <p>{words.reuse.progress(data.decided, data.parts.length)}</p>
      <div className="table-wrap">
        <table>
          <thead>
            <tr>
              {(['part', 'where', 'advised', 'because', 'decided'] as const).map((head) => (
                <th key={head} scope="col">
                  {words.reuse.head[head]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {data.parts.map((one) => (
              <PartRow key={`${one.part} ${one.place} ${one.decided ?? ''}`} one={one} />
            ))}
          </tbody>
        </table>
      </div>
      <h3>{words.reuse.orders}</h3>
      <Orders orders={data.orders} />
    </div>
  );
}

function PartRow({ one }: { one: Advice }) {
  const bench = useBench();
  const [asked, ask] = useState<Decision | null>(null);
  const [why, setWhy] = useState(one.words);
  const [amount, setAmount] = useState<number | null>(one.amount ?? one.left);
  const [unit, setUnit] = useState<(typeof UNITS)[number]>(one.amountUnit ?? one.unit);
  const said = (decision: Decision): string => words.reuse.was(one.label, one.where, words.reuse.decisions[decision]);
  const stays = (decision: Decision): boolean => decision === 'keep' || decision === 'keep_with_limit';
  const record = (decision: Decision, because: string): void =>
    bench.record(
      'reuse',
      slotOf(one),
      {
        decision,
        ...(because === '' ? {} : { words: because }),
        ...(decision === 'keep_with_limit' && amount !== null ? { amount, unit } : {}),
      },
      said(decision),
    );
  const decide = (decision: Decision): void => {
    if (stays(decision)) {
      if (why === '' && decision === one.advised) setWhy(one.reasons.join('; '));
      ask(decision);
    } else record(decision, decision === one.advised ? one.reasons.join('; ') : '');
  };
  const isReady = why.trim() !== '' && (asked !== 'keep_with_limit' || amount !== null);
  const keep = (): void => {
    if (asked === null || !isReady) return;
    record(asked, why.trim());
    ask(null);
  };
  return (
    <tr>
      <th scope="row">
        {one.label}
        {one.count > 1 && <small> × {one.count}</small>}
      </th>
      <td className="where">{one.where}</td>
      <td className={one.advised}>
        {words.reuse.decisions[one.advised]}
        {one.left !== null && <small>{words.reuse.left(one.left, words.reuse.unit[one.unit])}</small>}
      </td>
      <td>{one.reasons.join('; ')}</td>
      <td className="decided">
        <span className="decide">
          <Choice<Decision>
            label={words.reuse.decide(one.label, one.where)}
            value={asked ?? one.decided}
            placeholder="–"
            width={170}
            onChange={decide}
            options={DECISIONS.map((value) => ({ value, label: words.reuse.decisions[value] }))}
          />
          {asked === null && one.decided === null && (
            <Button size="small" onClick={() => record(one.advised, one.reasons.join('; '))}>
              {words.reuse.accept}
            </Button>
          )}
        </span>
        {asked === null && one.decided !== null && (
          <small>
            {one.amount !== null && `${words.reuse.limit} ${one.amount} ${words.reuse.unit[one.amountUnit ?? 'h']}. `}
            {one.words}
          </small>
        )}
        {asked !== null && (
          <form
            className="why"
            onSubmit={(event) => {
              event.preventDefault();
              keep();
            }}
          >
            {asked === 'keep_with_limit' && (
              <>
                <InputNumber value={amount} min={0.1} max={1e6} aria-label={words.reuse.limit} onChange={setAmount} />
                <Choice
                  label={words.afterwards.unit}
                  value={unit}
                  width={80}
                  onChange={setUnit}
                  options={UNITS.map((value) => ({ value, label: words.reuse.unit[value] }))}
                />
              </>
            )}
            <Input
              value={why}
              maxLength={1000}
              placeholder={words.reuse.why}
              aria-label={words.reuse.why}
              onChange={(event) => setWhy(event.target.value)}
              autoFocus
            />
            <Button htmlType="submit" disabled={!isReady}>
              {words.reuse.keepIt}
            </Button>
          </form>
        )}
      </td>
    </tr>
  );
}

const labelOf = (one: Order): string =>
  one.what === 'replace'
    ? words.reuse.order(one.count, one.label)
    : `${words.reuse.decisions[one.what]}: ${words.reuse.work(one.count, one.label)}`;

/** One task a line: put there twice, it is the same. */
const taskOf = (one: Order): SlotAddress => ({
  place: 'engine',
  part: 'schedule',
  item: 'task',
  index: `order-${one.what}-${one.part}${one.isDecided ? '' : '-advised'}`,
});

function Orders({ orders }: { orders: readonly Order[] }) {
  const bench = useBench();
  if (orders.length === 0) return <p className="note">{words.reuse.nothingToOrder}</p>;
  return (
    <ul className="orders">
      {orders.map((one) => {
        const label = labelOf(one);
        return (
          <li key={label}>
            <b>{label}</b>
            <span>{one.where}</span>
            {!one.isDecided && <small>{words.reuse.notDecided}</small>}
            {bench.slots.get(taskOf(one)).entry !== null ? (
              <small>{words.reuse.onSchedule}</small>
            ) : (
              <Button
                size="small"
                onClick={() =>
                  bench.record(
                    'task',
                    taskOf(one),
                    { label, kind: one.what === 'replace' ? 'parts' : 'work', leastDays: 1, mostDays: one.what === 'replace' ? 5 : 2 },
                    words.reuse.scheduled(label),
                  )
                }
              >
                {words.reuse.schedule}
              </Button>
            )}
          </li>
        );
      })}
    </ul>
  );
}
