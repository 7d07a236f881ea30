import type { Bench } from '../entry/useBench';
import type { SlotAddress } from '../entry/slotKey';
import { words } from '../shared/messages';

/** A change as it is written. */
export type Change =
  | { places: string[]; name: string; index?: string; kind?: string; to: Figure }
  | { places: string[]; name: string; index?: string; kind?: string; by: Figure }
  | { places: string[]; part: string; from: string };
interface Figure {
  number: number;
  unit: string;
}

const PART = 'remedy';
const MOST_NAME = 80;

/** Where a remedy stands, and which are taken. */
export const remedySlot = (id: string): SlotAddress => ({ place: 'engine', part: PART, item: 'alternative', index: id });
export const TAKEN: SlotAddress = { place: 'engine', part: PART, item: 'taken', index: null };

/** Codes are short: they stand in addresses. */
const [LENGTH, LETTERS] = [8, 36];
export const newCode = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(LENGTH)), (one) => (one % LETTERS).toString(LETTERS)).join('');

/** What is tried goes on the board of remedies, to be seen beside others. */
export function keepAsRemedy(bench: Bench, tried: readonly Change[], what: string): void {
  const name = what.slice(0, MOST_NAME);
  bench.record(
    'remedy',
    remedySlot(newCode()),
    { name, remedyKind: 'trial', change: tried.map((one) => ({ ...one })) },
    words.remedy.kept(name),
  );
}
