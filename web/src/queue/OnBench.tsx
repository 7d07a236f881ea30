import { Link } from 'react-router';
import { HeadPlan } from '../draw/HeadPlan';
import { words } from '../shared/messages';
import { addressOf, numberOf, worstReading } from './row';
import type { ShownRow } from './useQueue';
import { WouldTell } from './WouldTell';

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
