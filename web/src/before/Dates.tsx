import { Button, Input } from 'antd';
import { useEffect, useState } from 'react';
import { MarginRule } from '../draw/MarginRule';
import { Tag } from '../draw/Tag';
import { useBench } from '../entry/useBench';
import { today } from '../shared/days';
import { words } from '../shared/messages';
import { useMargins } from '../shared/queries';
import { Valves, type ValvesProps } from './Valves';

/** Whether a text is a day of the calendar; a browser takes the 31st of February for one in March. */
function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const day = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(day.getTime()) && day.toISOString().startsWith(text);
}

/** Lash and pulls of one engine over dates: what drifts, and what the direction means. */
export function Dates({ order, layout, chosen, choose }: Omit<ValvesProps, 'date'>) {
  const { view } = useBench();
  const drift = useMargins(view.id, ['lash_drift', 'pull_drift']);
  const [date, setDate] = useState('');
  const [typed, setTyped] = useState('');
  const [added, setAdded] = useState<string[]>([]);
  const dates = [...new Set([...order.dates, ...added])].sort();
  useEffect(() => {
    const newest = order.dates.at(-1);
    if (date === '' && newest !== undefined) setDate(newest);
  }, [order.dates, date]);
  const valid = isDay(typed) && typed <= today();
  const followed = (drift.data?.margins ?? []).filter((one) => one.value !== null);
  const drifts = followed.filter((one) => one.verdict === 'outside' || one.verdict === 'outside_close');
  const shown = drifts.length > 0 ? drifts : followed;
  return (
    <div className="dates">
      <div className="tool-row">
        {dates.map((one) => (
          <Button key={one} type={one === date ? 'primary' : 'default'} onClick={() => setDate(one)}>
            {one}
          </Button>
        ))}
        <Input
          value={typed}
          aria-label={words.before.newDate}
          placeholder="2026-03-14"
          style={{ width: 130 }}
          status={typed.length === 10 && !valid ? 'error' : ''}
          onChange={(event) => setTyped(event.target.value.trim())}
          onPressEnter={() => {
            if (!valid) return;
            setAdded((old) => [...old, typed]);
            setDate(typed);
            setTyped('');
          }}
        />
        <span className="note">{typed.length === 10 && !valid ? words.before.badDate : words.before.newDate}</span>
      </div>
      {followed.length > 0 && (
        <section className="drifts" aria-label={words.before.drifts}>
          <h3>{drifts.length > 0 ? words.before.drifts : words.before.noDrift(followed.length)}</h3>
          <ul>
            {shown.slice(0, 6).map((one) => (
              <li key={`${one.quantity}.${one.place}`} className={drifts.includes(one) ? 'wrong-line' : ''}>
                <Tag label={one.label} lead={drifts.includes(one)} />
                <MarginRule margin={one} width={150} />
                <span>
                  {one.title}: {one.value?.shown}. {one.sentence}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {date === '' ? (
        <div className="pad">
          <div className="empty">
            <b>{words.before.noDates}</b>
            {words.before.noDatesWhat}
          </div>
        </div>
      ) : (
        <Valves key={date} order={order} layout={layout} chosen={chosen} choose={choose} date={date} />
      )}
    </div>
  );
}
