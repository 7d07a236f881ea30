import { useSaid } from '../shared/saying';

/** Says aloud what a glance would tell: where the hand went, what was taken back. */
export function Announcer() {
  return (
    <p className="unseen" aria-live="polite" data-announcer>
      {useSaid()}
    </p>
  );
}
