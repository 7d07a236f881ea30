import type { Outgoing } from './kept';
import type { SlotState } from './slots';

/** The entry of a slot that was not accepted, or that another hand got ahead of. */
export const refusedIn = ({ outgoing }: SlotState): Outgoing | null =>
  outgoing !== null && outgoing.state !== 'waiting' ? outgoing : null;

/** Why it was not accepted. */
export const reasonOf = ({ problem }: Outgoing): string => problem?.reason ?? problem?.detail ?? '';
