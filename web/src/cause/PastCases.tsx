import { Link } from 'react-router';
import { when } from '../shared/days';
import { words } from '../shared/messages';
import { usePastCases } from '../shared/queries';

const SIGNS = 5;

/** Signed cases of the shop that are like this one, with what was called then. */
export function PastCases({ caseId }: { caseId: string }) {
  const past = usePastCases(caseId).data;
  if (past === undefined) return null;
  return (
    <section className="further" aria-label={words.cause.pastCases}>
      <h3>{words.cause.pastCases}</h3>
      <p className="note">{past.length === 0 ? words.cause.noPastCase : words.cause.pastCasesWhat}</p>
      <ul>
        {past.map((one) => (
          <li key={one.id}>
            <Link to={`/case/${one.id}/cause`}>{one.name}</Link>: <b>{one.causes.join(', ')}</b>, {one.confidence} %, {one.by},{' '}
            {when(one.at).full}
            {one.outcome !== null && <b>, {words.cause.cameBack(one.outcome)}</b>}
            <small className="note">
              {words.cause.shares(one.shared.length, one.alike)}: {one.shared.slice(0, SIGNS).join('; ')}
              {one.shared.length > SIGNS && ' …'}
            </small>
          </li>
        ))}
      </ul>
    </section>
  );
}
