import { Unsettled } from '../entry/Unsettled';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import { when } from '../shared/days';

/** Whether the server has what was entered; what waits, why it waits, and what was not accepted stand side by side. */
export function Saving() {
  const { outbox } = useBench();
  const waiting = outbox.outgoing.filter((one) => one.state === 'waiting').length;
  const isStuck = waiting > 0 && outbox.line !== 'up';
  return (
    <>
      <span className={isStuck || outbox.unkept > 0 ? 'saving kept' : 'saving'} role="status">
        {(waiting > 0 || outbox.outgoing.length === 0) && (
          <>
            <svg width="16" height="16" aria-hidden="true" fill="none">
              {isStuck ? (
                <circle cx="8" cy="8" r="6" stroke="var(--lead)" strokeWidth="2" strokeDasharray="3 2.4" />
              ) : waiting > 0 ? (
                <path d="M8 2a6 6 0 1 1-6 6" stroke="var(--ink)" strokeWidth="2" />
              ) : (
                <path d="M2 8.5l4 4L14 3.5" stroke="var(--enamel)" strokeWidth="2.4" />
              )}
            </svg>
            {waiting > 0
              ? words.saving.waits[outbox.line](waiting)
              : outbox.savedAt === null
                ? words.saving.none
                : words.saving.saved(when(outbox.savedAt).time)}
          </>
        )}
        {outbox.unkept > 0 && <b>{words.saving.unkept(outbox.unkept)}</b>}
      </span>
      <Unsettled />
    </>
  );
}
