import type { EntryInput, Schemas } from '../shared/api';
import type { SlotAddress } from './slotKey';

type Kind = EntryInput['kind'];

/** Place of a case where entries of a kind are made, where their kind alone tells. */
const BY_KIND: Record<Exclude<Kind, 'reading' | 'answer' | 'finding' | 'withdrawal'>, string> = {
  sweep: 'bench/swept',
  lift: 'motion/lift',
  claim: 'story/claimed',
  event: 'story/timeline',
  carry: 'story/timeline',
  log: 'story/log',
  look: 'teardown/look',
  photograph: 'teardown/photographs',
  annotation: 'teardown/photographs',
  step: 'teardown/plan',
  order: 'teardown/plan',
  pieces: 'teardown/pieces',
  tag: 'bench/loose_springs.outer',
  custody: 'teardown/pieces',
  task: 'schedule',
  promise: 'schedule',
  report: 'schedule',
  chain: 'cause/chain',
  remedy: 'remedy/remedies',
  issue: 'report',
  taken: 'remedy/remedies',
  reuse: 'remedy/reuse',
  tightening: 'remedy/reassembly',
  line: 'remedy/reassembly',
  outcome: 'remedy/afterwards',
};

/** Sections of the tests before teardown, by the sheet. */
const BEFORE: Record<string, string> = {
  cylinders: 'before/cylinders',
  pulls: 'before/valves',
  cams: 'before/engine',
  engine_tests: 'before/engine',
  clocks: 'before/health',
};

/** The address, within its case, of the place where a slot is written. */
export function whereMade(kind: Kind, slot: SlotAddress, catalogue: Schemas['CatalogueView'] | undefined): string {
  const at = slot.place === 'engine' || slot.place.startsWith('kind-') ? '' : `?at=${slot.place}`;
  return `${place(kind, slot, catalogue)}${at}`;
}

function place(kind: Kind, { part, item, index = null }: SlotAddress, catalogue: Schemas['CatalogueView'] | undefined): string {
  switch (kind) {
    case 'reading': {
      const column = catalogue?.columns.find((one) => one.code === item);
      if (column === undefined) return 'bench';
      if (column.step === 'before') return /^\d{4}-/.test(index ?? '') ? 'before/dates' : (BEFORE[column.sheet] ?? 'before');
      return `bench/${column.sheet}.${column.byCoil ? (index?.split('.')[0] ?? '') : ''}`;
    }
    case 'answer': {
      const question = catalogue?.asked.find((one) => one.code === item);
      return question?.step === 'before' ? `before/${question.site === 'engine' ? 'engine' : 'cylinders'}` : (question?.step ?? 'teardown');
    }
    case 'finding':
      return part === 'running' ? 'story/symptoms' : 'teardown/look';
    case 'withdrawal':
      return item.startsWith('claimed.') ? 'story/claimed' : 'teardown/look';
    default:
      return BY_KIND[kind];
  }
}
