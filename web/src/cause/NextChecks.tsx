import { Link } from 'react-router';
import type { Schemas } from '../shared/api';
import { words } from '../shared/messages';
import { recordedAt, useNextChecks } from '../shared/queries';

type Outlook = Schemas['OutlookView'];

const outlook = (one: Outlook): string => `${one.words}, ${Math.round(100 * one.probability)} %`;

/** Checks not made yet, with what either result would do: what would change one's mind. */
export function NextChecks({ caseId }: { caseId: string }) {
  const checks = useNextChecks(caseId).data?.checks;
  if (checks === undefined) return null;
  return (
    <section className="next-checks" aria-label={words.cause.nextChecks}>
      <h3>{words.cause.nextChecks}</h3>
      <p className="note">{checks.length === 0 ? words.cause.noCheck : words.cause.nextChecksWhat}</p>
      <ol>
        {checks.map((one) => (
          <li key={one.check.code}>
            <span>
              <b>{one.check.label}</b>
              {one.where !== '' && words.cause.at(one.where)} <Link to={recordedAt(caseId, one)}>{words.cause.recordIt(one.step)}</Link>
              {one.check.reading !== '' && <small className="note">{one.check.reading}</small>}
              {one.check.destroys.length > 0 && <small className="note">{words.network.destroys(one.check.destroys)}</small>}
              {one.check.caution !== '' && <small className="wrong">{one.check.caution}</small>}
            </span>
            <span className="figures">{words.cause.minutes(one.check.minutes, one.check.days)}</span>
            <span className="outlooks">
              {words.cause.ifFound(one.sign, outlook(one.found))}
              <br />
              {words.cause.ifClear(outlook(one.clear))}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
