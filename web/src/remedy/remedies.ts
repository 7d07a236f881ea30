import type { Bench } from '../entry/useBench';
import type { EntryInput, Schemas } from '../shared/api';
import { words } from '../shared/messages';
import { newCode, remedySlot, TAKEN, type Change } from '../tried/asRemedy';

export type Remedy = Schemas['RemedyView'];
export type Adjustment = Schemas['AdjustmentView'];
export type Row = Schemas['EffectRowView'];
export type RemedyKind = Remedy['kind'];

export { newCode, remedySlot, TAKEN, type Change };

/** The changes of a remedy as they are stored. */
export function changesOf(bench: Bench, id: string): Change[] {
  return (bench.slots.get(remedySlot(id)).entry?.content.change ?? []) as unknown as Change[];
}

export const takenIds = (bench: Bench): readonly string[] => bench.slots.get(TAKEN).entry?.content.remedies ?? [];

/** One remedy that cures or is tried stands for all of them; what holds meanwhile is taken beside it. */
export function take(bench: Bench, remedy: Remedy, all: readonly Remedy[]): void {
  const before = takenIds(bench);
  if (before.includes(remedy.id)) {
    const left = before.filter((id) => id !== remedy.id);
    if (left.length === 0) bench.withdraw(TAKEN, words.remedy.notTaken(remedy.name));
    else bench.record('taken', TAKEN, { remedies: left }, words.remedy.notTaken(remedy.name));
    return;
  }
  const holds = before.filter((id) => all.find((one) => one.id === id)?.kind === 'containment');
  const kept = remedy.kind === 'containment' ? before : holds;
  bench.record('taken', TAKEN, { remedies: [...kept, remedy.id] }, words.remedy.wasTaken(remedy.name));
}

export const keep = (bench: Bench, id: string, data: EntryInput['data']): void =>
  bench.record('remedy', remedySlot(id), data, words.remedy.kept(data.name ?? ''));

/** A figure as it is typed; a comma is a point. */
export function figureOf(text: string): number | null {
  const number = Number(text.trim().replace(',', '.').replace('−', '-'));
  return text.trim() === '' || Number.isNaN(number) ? null : number;
}
