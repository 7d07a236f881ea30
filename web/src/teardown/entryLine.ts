import type { SignView } from '../shared/api';

export type LineSlot = 'part' | 'sign' | 'severity';

/** What is being entered: part, sign, how bad; and which of the three has the hand. */
export interface EntryLine {
  slot: LineSlot;
  /** Rises whenever the hand is to go to its slot, also where that is the one it was in. */
  turn: number;
  /** Null for the first part that nobody looked at. */
  part: string | null;
  typed: string;
  /** Which of the signs found is pointed at. */
  pointed: number;
  sign: SignView | null;
  severity: number | null;
  fill: 'filled' | 'drained' | null;
  note: string;
  /** 1 for sure. */
  sureness: number;
}

export type Act =
  | { do: 'goTo'; part: string | null }
  /** The station changed under the hand, which stays where it is. */
  | { do: 'moved' }
  | { do: 'step'; part: string }
  | { do: 'openSign'; part: string }
  | { do: 'type'; text: string }
  | { do: 'point'; by: 1 | -1; of: number }
  | { do: 'take'; sign: SignView; part: string | null }
  | { do: 'severity'; step: number }
  | { do: 'fill'; fill: 'filled' | 'drained' }
  | { do: 'note'; note: string }
  | { do: 'sureness'; sureness: number }
  | { do: 'back' }
  /** The hand went there by itself. */
  | { do: 'entered'; slot: LineSlot };

const BLANK = { typed: '', pointed: 0, sign: null, severity: null, fill: null, note: '', sureness: 1 };

export const EMPTY_LINE: EntryLine = { slot: 'part', turn: 0, part: null, ...BLANK };

/** What a key or a press makes of the line. Nothing here records: a line is only ever what is about to be said. */
export function entryLine(line: EntryLine, act: Act): EntryLine {
  const turn = line.turn + 1;
  switch (act.do) {
    case 'goTo':
      return { ...line, ...BLANK, slot: 'part', turn, part: act.part };
    case 'moved':
      return { ...line, ...BLANK, slot: 'part', part: null };
    case 'step':
      return { ...line, part: act.part };
    case 'openSign':
      return { ...line, ...BLANK, slot: 'sign', turn, part: act.part };
    case 'type':
      return { ...line, typed: act.text, sign: null, pointed: 0 };
    case 'point':
      return { ...line, pointed: Math.max(0, Math.min(act.of - 1, line.pointed + act.by)) };
    case 'take':
      return { ...line, sign: act.sign, typed: act.sign.name, part: act.part ?? line.part, slot: 'severity', turn };
    case 'severity':
      return { ...line, severity: act.step, slot: 'severity', turn };
    case 'fill':
      return { ...line, fill: act.fill };
    case 'note':
      return { ...line, note: act.note };
    case 'sureness':
      return { ...line, sureness: act.sureness };
    case 'back':
      return back(line);
    case 'entered':
      return { ...line, slot: act.slot };
  }
}

/** One step back: what was filled last is emptied first, then the hand goes to the slot before. */
function back(line: EntryLine): EntryLine {
  const turn = line.turn + 1;
  if (line.slot === 'severity') {
    if (line.severity !== null) return { ...line, severity: null };
    return { ...line, sign: null, typed: '', pointed: 0, slot: 'sign', turn };
  }
  return { ...line, ...BLANK, slot: 'part', turn };
}

/** What is recorded of a line, or null while something is missing. */
export function findingOf(
  { sign, severity, fill, note, sureness }: EntryLine,
  { needsFill, state }: { needsFill: boolean; state: 'as_found' | 'after_cleaning' },
) {
  if (sign === null || severity === null || (needsFill && fill === null)) return null;
  return {
    severity,
    state,
    ...(fill === null ? {} : { fill }),
    ...(sureness < 1 ? { sureness } : {}),
    ...(note.trim() === '' ? {} : { note: note.trim() }),
  };
}
