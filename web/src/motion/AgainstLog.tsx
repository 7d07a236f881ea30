import { Button } from 'antd';
import { Link } from 'react-router';
import { useBench } from '../entry/useBench';
import type { Schemas } from '../shared/api';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { useMotionLog } from '../shared/queries';
import { secondsAbove, secondsBetween } from './logged';

type Motion = Schemas['MotionView'];

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
    <section className="sheet pad against-log" tabIndex={0} aria-label={words.motion.fields.log}>
      <p className="note">
        {words.motion.files(log.files.join(', '))} {log.unread.length > 0 && words.motion.unread(log.unread.join(', '))}
      </p>
      <table className="figures-table">
        <thead>
          <tr>
            <th>{words.motion.thresholds}</th>
            <th className="num" />
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
    </section>
  );
}
