import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { Exports } from '../draw/Exports';
import { LogTrace, nearestMoment } from '../draw/LogTrace';
import type { SlotAddress } from '../entry/slots';
import { useBench } from '../entry/useBench';
import type { Schemas } from '../shared/api';
import { failureWords } from '../shared/failure';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { useMotionLog } from '../shared/queries';
import { secondsAbove, secondsBetween } from './logged';

type Motion = Schemas['MotionView'];

const LONG = 20;

const HIGHEST = { place: 'engine', part: 'running', item: 'claimed.highest_speed', index: null };

/** What the log asked of the valve: seconds above each speed that matters, and the highest of them as evidence. */
export function AgainstLog({ motion }: { motion: Motion }) {
  const { view, slots, record } = useBench();
  const told = useMotionLog(view.id, motion.place);
  const log = told.data;
  if (told.error !== null)
    return (
      <p className="wrong" role="alert">
        {failureWords(told.error)}
      </p>
    );
  if (log === undefined) return null;
  if (log.files.length === 0)
    return (
      <div className="empty pad">
        <b>{words.motion.noLog}</b>
        <p>{log.unread.length > 0 ? words.motion.unread(log.unread.join(', ')) : words.motion.noLogHint}</p>
        <Link to={`/case/${view.id}/story`}>{words.motion.openLogs}</Link>
      </div>
    );
  const peak = log.peaks.find((one) => one.channel === 'speed');
  const text = peak === undefined ? '' : `${Math.round(peak.value)} 1/min`;
  const isCited = slots.get(HIGHEST).entry?.text === text;
  const rows = [
    ...motion.thresholds.filter((one) => one.name !== 'bound' && one.found !== null),
    ...(motion.highest === null ? [] : [{ name: 'highest', found: motion.highest, plusMinus: null }]),
  ];
  return (
    <div className="sweep-place">
      <section className="sheet pad against-log" tabIndex={0} aria-label={words.motion.fields.log}>
        <p className="note">
          {words.motion.files(log.files.join(', '))} {log.unread.length > 0 && words.motion.unread(log.unread.join(', '))}
        </p>
        {log.traces.map((one) => (
          <Course key={one.file} trace={one} motion={motion} unitForce={log.unitForce} />
        ))}
      </section>
      <aside className="sweep-side">
        <table className="figures-table">
          <thead>
            <tr>
              <th>{words.motion.thresholds}</th>
              <th className="num">{words.motion.at}</th>
              <th className="num">{words.motion.logged}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((one) => {
              const seconds = secondsAbove(log.bins, one.found ?? Infinity);
              return (
                <tr key={one.name}>
                  <th scope="row">{words.motion.above[one.name as keyof typeof words.motion.above]}</th>
                  <td className="num">
                    {one.found}
                    {one.plusMinus !== null && <small> ±{one.plusMinus}</small>}
                  </td>
                  <td className={one.name === 'float' && seconds > 0 ? 'num wrong' : 'num'}>{seconds.toFixed(1)}</td>
                </tr>
              );
            })}
            {motion.harmonics.map((one) => (
              <tr key={one.number}>
                <th scope="row">
                  {words.motion.harmonic} {one.number}
                </th>
                <td className="num">{one.speed}</td>
                <td className="num">{secondsBetween(log.bins, one.speed - 50, one.speed + 50).toFixed(1)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {peak !== undefined && (
          <>
            <p>{words.motion.highestLogged(String(Math.round(peak.value)), peak.time.toFixed(1))}</p>
            {isCited ? (
              <p className="note">{words.motion.cited}</p>
            ) : (
              <Button onClick={() => record('claim', HIGHEST, { text, standing: 'known' }, words.log.state(peak.label, text))}>
                {words.motion.cite}
              </Button>
            )}
          </>
        )}
      </aside>
    </div>
  );
}

type Trace = Schemas['LogTraceView'];
type Demand = Schemas['LoggedDemandView'];

/** The course of one log with what the train can do drawn through it, and the stretches in which it was asked for more. */
function Course({ trace, motion, unitForce }: { trace: Trace; motion: Motion; unitForce: string }) {
  const { record } = useBench();
  const [at, setAt] = useState(trace.demands[0]?.from ?? trace.times[0] ?? 0);
  const cite = (one: Demand): void => {
    const claim = claimOf(one, motion.place);
    if (claim !== null)
      record('claim', claim.slot, { text: claim.text, standing: 'known' }, words.log.state(words.motion.demands[one.demand], claim.text));
  };
  const step = (by: number): void => {
    const next = trace.times[nearestMoment(trace.times, at) + by];
    if (next !== undefined) setAt(next);
  };
  const onKeyDown = useKeys([
    { shown: '← →', does: words.keysDo.logMoment, on: /^ArrowRight$/, shift: false, run: () => step(1) },
    { shown: '← →', does: words.keysDo.logMoment, on: /^ArrowLeft$/, shift: false, run: () => step(-1) },
    { shown: 'Shift ← →', does: words.keysDo.logMomentLong, on: /^ArrowRight$/, shift: true, run: () => step(LONG) },
    { shown: 'Shift ← →', does: words.keysDo.logMomentLong, on: /^ArrowLeft$/, shift: true, run: () => step(-LONG) },
    {
      shown: 'E',
      does: words.keysDo.logCite,
      on: /^e$/i,
      run: () => trace.demands.filter((one) => one.from <= at && at < one.until).forEach(cite),
    },
  ]);
  const levels = motion.thresholds.flatMap((one) =>
    one.found !== null && (one.name === 'first_loss' || one.name === 'float')
      ? [{ name: words.motion.names[one.name], speed: one.found, isLead: one.name === 'float' }]
      : [],
  );
  const i = nearestMoment(trace.times, at);
  return (
    <section aria-label={trace.file}>
      <h3>{trace.file}</h3>
      <Exports name={`log-${motion.place}`} csv={null} words={words.drawing}>
        <div
          onKeyDown={onKeyDown}
          tabIndex={0}
          role="slider"
          aria-label={words.motion.course(trace.file)}
          aria-valuemin={trace.times[0] ?? 0}
          aria-valuemax={trace.times.at(-1) ?? 0}
          aria-valuenow={trace.times[i] ?? 0}
          aria-valuetext={words.motion.moment(String(trace.times[i] ?? 0), String(trace.high[i] ?? 0))}
        >
          <LogTrace
            trace={trace}
            levels={levels}
            unitForce={unitForce}
            at={at}
            onAt={setAt}
            words={words.motion.trace}
            label={words.motion.course(trace.file)}
          />
        </div>
      </Exports>
      {trace.demands.length === 0 ? (
        <p className="note">{words.motion.noDemand}</p>
      ) : (
        <Demands trace={trace} motion={motion} unitForce={unitForce} onAt={setAt} cite={cite} />
      )}
    </section>
  );
}

/** What a stretch of the log states as evidence: the gravest float its speed, the emptiest seat its pressure. */
function claimOf(one: Demand, place: string): { slot: SlotAddress; text: string } | null {
  if (!one.isGravest || one.demand === 'contact_lost') return null;
  if (one.demand === 'float') return { slot: HIGHEST, text: `${one.speed} 1/min` };
  const kind = place.includes('-I') ? 'I' : 'E';
  return { slot: { place: `kind-${kind}`, part: 'port', item: 'claimed.port_pressure', index: null }, text: `${one.pressure} bar` };
}

interface DemandsProps {
  trace: Trace;
  motion: Motion;
  unitForce: string;
  onAt: (at: number) => void;
  cite: (one: Demand) => void;
}

/** What was asked of the valve beyond what its train can do: a press shows it in the course, a key makes it evidence. */
function Demands({ trace, motion, unitForce, onAt, cite }: DemandsProps) {
  const { slots } = useBench();
  return (
    <table className="figures-table demands">
      <thead>
        <tr>
          <th>{words.motion.demand}</th>
          <th className="num">{words.motion.trace.seconds}</th>
          <th className="num">{words.motion.lasted}</th>
          <th className="num">{words.motion.speed}</th>
          <th className="num">
            {words.motion.trace.left}, {unitForce}
          </th>
          <th>{words.motion.evidence}</th>
        </tr>
      </thead>
      <tbody>
        {trace.demands.map((one) => {
          const claim = claimOf(one, motion.place);
          return (
            <tr key={`${one.demand} ${one.from}`}>
              <th scope="row">
                <button type="button" className="take-back" onClick={() => onAt(one.from)}>
                  {words.motion.demands[one.demand]}
                </button>
                {one.isOverRun && <small> {words.motion.overRun}</small>}
              </th>
              <td className="num">{one.from.toFixed(1)}</td>
              <td className="num">{(one.until - one.from).toFixed(1)}</td>
              <td className="num">{one.speed}</td>
              <td className={one.left !== null && one.left < 0 ? 'num wrong' : 'num'}>{one.left?.toFixed(0).replace('-', '−') ?? '–'}</td>
              <td>
                {claim !== null && slots.get(claim.slot).entry?.text === claim.text && <small className="note">{words.log.stated}</small>}
                {claim !== null && slots.get(claim.slot).entry?.text !== claim.text && (
                  <button type="button" className="take-back" onClick={() => cite(one)}>
                    {words.motion.citeThis}
                  </button>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
      {trace.more > 0 && (
        <tfoot>
          <tr>
            <td colSpan={6}>{words.motion.moreDemands(trace.more)}</td>
          </tr>
        </tfoot>
      )}
    </table>
  );
}
