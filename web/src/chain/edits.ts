import type { Bench } from '../entry/useBench';
import type { CaseView, EntryInput } from '../shared/api';
import type { SlotAddress } from '../entry/slotKey';

type EditKind = NonNullable<EntryInput['data']['edit']>;

/** A change of the chain, as it is recorded. */
export interface Edit {
  edit: EditKind;
  event: string;
  to?: string;
  words?: string;
  known?: 'seen' | 'told' | 'implied';
  place?: string;
}

/** Begins the code of an event that the catalogue does not have. */
const OWN = 'own-';
const PART = 'chain';
const [TEN, LETTERS] = [10, 36];

export function slotOfEdit({ edit, event, to }: { edit: EditKind; event: string; to?: string | null }): SlotAddress {
  const index = edit === 'first' ? null : to == null ? event : `${event}.${to}`;
  return { place: 'engine', part: PART, item: edit, index };
}

export const ownCode = (): string =>
  OWN + Array.from(crypto.getRandomValues(new Uint8Array(TEN)), (one) => (one % LETTERS).toString(LETTERS)).join('');

/** Records changes in one stroke. */
export function record(bench: Bench, edits: readonly Edit[], words: string): void {
  bench.recordAll(
    edits.map((one) => ({ kind: 'chain', slot: slotOfEdit(one), data: { ...one } })),
    words,
  );
}

/** Whether such a change stands. */
export const stands = (bench: Bench, edit: Pick<Edit, 'edit' | 'event' | 'to'>): boolean => {
  const entry = bench.slots.get(slotOfEdit(edit)).entry;
  return entry !== null && entry.content.event === edit.event;
};

/** Names the changes that the server has, those that were taken back too. */
export const storedChanges = (view: CaseView): string =>
  view.entries
    .filter((one) => one.part === PART)
    .map((one) => one.id)
    .join(' ');
