import { Link } from 'react-router';
import { HeadPlan } from '../draw/HeadPlan';
import { words } from '../shared/messages';
import { recordedAt, useNextChecks } from '../shared/queries';
import { addressOf, numberOf, worstReading } from './row';
import type { ShownRow } from './useQueue';

/** The case being worked on, large, with its next act. */
export function OnBench({ row }: { row: ShownRow }) {
  return (
    <section className="on-bench" aria-label={words.queue.onTheBench(numberOf(row))}>
      <div className="on-bench-plan">
        {row.plan !== null && (
          <HeadPlan plan={row.plan} reading={worstReading(row)} failed={new Set(row.failed)} lying label={`Head plan of ${row.name}`} />
        )}
      </div>
      <div className="on-bench-words">
        <span className="quiet">{words.queue.onTheBench(numberOf(row))}</span>
        <h1>{row.name}</h1>
        <p className="said">{row.words === '' ? words.queue.noStory : `“${row.words}”`}</p>
        <p className="quiet">{words.queue.counts(row.lookedAt, row.stations, row.springsMeasured, row.photographs)}</p>
        <WouldTell caseId={row.id} />
        <p className="acts">
          <Link to={addressOf(row)} className="door-button big">
            {words.queue.goOn(row.next.words)}
          </Link>
          <Link to={`/case/${row.id}/cause`} className="door-button plain big">
            {words.queue.openCause}
          </Link>
        </p>
      </div>
    </section>
  );
}

/** The check that would tell most of what the case is open about, for the minutes it takes. */
function WouldTell({ caseId }: { caseId: string }) {
  const first = useNextChecks(caseId).data?.checks[0];
  if (first === undefined) return null;
  return (
    <p className="quiet">
      {words.queue.wouldTell} <Link to={recordedAt(caseId, first)}>{first.check.label}</Link>
      {first.where !== '' && words.cause.at(first.where)}, {words.cause.minutes(first.check.minutes, first.check.days)}.
    </p>
  );
}
