import { Link } from 'react-router';
import { words } from '../shared/messages';
import { recordedAt, useNextChecks } from '../shared/queries';

interface Props {
  caseId: string;
  /** Only its name, where there is little room. */
  brief?: boolean;
}

/** The check that would tell most of what the case is open about, for the minutes it takes. */
export function WouldTell({ caseId, brief = false }: Props) {
  const first = useNextChecks(caseId).data?.checks[0];
  if (first === undefined) return null;
  const check = <Link to={recordedAt(caseId, first)}>{first.check.label}</Link>;
  if (brief)
    return (
      <small>
        {words.queue.wouldTell} {check}
      </small>
    );
  return (
    <p className="quiet">
      {words.queue.wouldTell} {check}
      {first.where !== '' && words.cause.at(first.where)}, {words.cause.minutes(first.check.minutes, first.check.days)}.
    </p>
  );
}
