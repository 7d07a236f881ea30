import type { Bench } from '../entry/useBench';
import type { SlotAddress } from '../entry/slotKey';
import type { Schemas } from '../shared/api';
import { words } from '../shared/messages';

export type Plan = Schemas['PlanView'];
export type Line = Plan['lines'][number];
export type LinePlace = Line['places'][number];
export type LineState = NonNullable<LinePlace['state']>;

const PART = 'assembly';
export const lineSlot = ({ place, code }: Pick<LinePlace, 'place' | 'code'>): SlotAddress => ({
  place,
  part: PART,
  item: 'line',
  index: code,
});
export const tighteningSlot = (joint: string): SlotAddress => ({ place: 'engine', part: PART, item: 'tightening', index: joint });
export const readingSlot = (line: Line, at: LinePlace): SlotAddress => ({
  place: at.place,
  part: line.part ?? '',
  item: line.reads ?? '',
  index: at.index,
});

/** How a line stands at a place: what this window did counts at once. */
export function stateOf(bench: Bench, at: LinePlace): LineState | null {
  const state = bench.slots.get(lineSlot(at)).entry?.content.state;
  return state === 'ticked' || state === 'kept' || state === 'left_out' ? state : null;
}

/** What was read there, as typed. */
export const readOf = (bench: Bench, line: Line, at: LinePlace): string =>
  line.reads === null ? '' : (bench.slots.get(readingSlot(line, at)).entry?.content.text ?? '');

export function mark(bench: Bench, line: Line, at: LinePlace, state: LineState, more: { note?: string; choice?: string } = {}): void {
  bench.record('line', lineSlot(at), { state, ...more }, words.reassembly.ticked(line.label, at.label));
}

export const open = (bench: Bench, line: Line, at: LinePlace): void => bench.withdraw(lineSlot(at), words.reassembly.opened(line.label));

/** What stands between a line and its tick; null where nothing does. */
export function wants(bench: Bench, line: Line, at: LinePlace, choice: string | null): string | null {
  if (line.wanting !== null) return words.reassembly.needsFigures;
  if (line.choices.length > 0 && choice === null) return words.reassembly.needsChoice;
  if (line.reads !== null && readOf(bench, line, at) === '') return words.reassembly.needsValue;
  if (line.reads === null && at.margin !== null && at.margin.value === null) return words.reassembly.needsValue;
  return at.isOut ? words.reassembly.needsInside : null;
}

/** The places of a line that a valve lies in, or is. */
export const placesAt = (line: Line, station: string): LinePlace[] =>
  line.places.filter(({ place }) => place === 'engine' || place === station || station.startsWith(place));

/** Lines that are written in the order of the plan, by their stages. */
export function stagesOf(plan: Plan): { stage: string; lines: Line[] }[] {
  const stages: { stage: string; lines: Line[] }[] = [];
  for (const line of plan.lines) {
    const last = stages.find((one) => one.stage === line.stage);
    if (last === undefined) stages.push({ stage: line.stage, lines: [line] });
    else last.lines.push(line);
  }
  return stages;
}

export const countOf = (bench: Bench, lines: readonly Line[]): [number, number] => {
  const places = lines.flatMap((line) => line.places);
  return [places.filter((at) => stateOf(bench, at) !== null).length, places.length];
};

const UNITS = {
  'n·m': 'N·m',
  nm: 'N·m',
  'n*m': 'N·m',
  'lbf·ft': 'lbf·ft',
  'lbf ft': 'lbf·ft',
  'lb-ft': 'lbf·ft',
  'lb ft': 'lbf·ft',
  'lbf·in': 'lbf·in',
  'lb in': 'lbf·in',
  '°': '°',
  deg: '°',
} as const;
export type Pass = { figure: number; unit: (typeof UNITS)[keyof typeof UNITS] };

/** Passes as they are typed: 25 N·m, 60 N·m, 90 °. What is none is named. */
export function passesOf(text: string): { passes: Pass[]; wrong: string | null } {
  const passes: Pass[] = [];
  for (const one of text.split(/[,;]\s+|\n/).map((part) => part.trim())) {
    if (one === '') continue;
    const [, figure, unit] = /^(\d+(?:[.,]\d+)?)\s*(\D+)$/.exec(one) ?? [];
    const known = unit === undefined ? undefined : UNITS[unit.trim().toLowerCase() as keyof typeof UNITS];
    if (figure === undefined || known === undefined) return { passes, wrong: one };
    passes.push({ figure: Number(figure.replace(',', '.')), unit: known });
  }
  return { passes, wrong: null };
}
