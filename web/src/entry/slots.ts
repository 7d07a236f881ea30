import type { CaseView, EntryInput, EntryView, UnreadEntry } from '../shared/api';
import type { Outgoing } from './kept';
import { slotKey, type SlotAddress } from './slotKey';

export { slotKey, type SlotAddress } from './slotKey';

/** What stands in a slot: the server's entry with what is on its way laid over it. */
export interface SlotState {
  /** The slot itself, where anything is in it. */
  slot: SlotAddress | null;
  /** The entry that the next one must supersede; a withdrawal counts. */
  headId: string | null;
  /** What stands, or null where nothing was recorded or it was taken back. */
  entry: EntryView | null;
  /** The newest entry that has not arrived. */
  outgoing: Outgoing | null;
}

const EMPTY: SlotState = { slot: null, headId: null, entry: null, outgoing: null };

/** All slots of a case, server heads and outbox together. */
export class Slots {
  private readonly states = new Map<string, SlotState>();
  private worstOf: Map<string, Map<string, number>> | null = null;

  /** @param unread entries that stand and cannot be read: the next one of their slot must supersede them all the same */
  constructor(heads: readonly EntryView[], outgoing: readonly Outgoing[], unread: readonly UnreadEntry[] = []) {
    for (const one of unread) this.states.set(slotKey(one), { slot: slotOf(one), headId: one.id, entry: null, outgoing: null });
    for (const head of heads) {
      this.states.set(slotKey(head), {
        slot: slotOf(head),
        headId: head.id,
        entry: head.kind === 'withdrawal' ? null : head,
        outgoing: null,
      });
    }
    for (const one of outgoing) {
      // A picture that has not arrived has no name yet; it stands beside those of its part.
      const key = one.withPicture === true ? `${slotKey(one.entry.slot)}${one.entry.id}` : slotKey(one.entry.slot);
      const before = this.states.get(key) ?? EMPTY;
      this.states.set(
        key,
        one.state === 'waiting'
          ? {
              slot: one.entry.slot,
              headId: one.entry.id,
              entry: one.entry.kind === 'withdrawal' ? null : provisional(one.entry),
              outgoing: one,
            }
          : { ...before, slot: one.entry.slot, outgoing: one },
      );
    }
  }

  get(slot: SlotAddress): SlotState {
    return this.at(slotKey(slot));
  }

  /** The same by the key of the slot. */
  at(key: string): SlotState {
    return this.states.get(key) ?? EMPTY;
  }

  /** The slot in which an entry stands last, or is on its way to. */
  holding(entryId: string): SlotState | null {
    for (const state of this.states.values()) if (state.headId === entryId || state.outgoing?.entry.id === entryId) return state;
    return null;
  }

  /** Entries that stand, of one kind. */
  standing(kind: EntryView['kind']): EntryView[] {
    const found: EntryView[] = [];
    for (const { entry } of this.states.values()) if (entry?.kind === kind) found.push(entry);
    return found;
  }

  findingsAt(place: string): EntryView[] {
    return this.standing('finding').filter((entry) => entry.place === place);
  }

  /** Worst severity recorded at a part of a place; 0 for looked and nothing; null for not looked. */
  worst(place: string, part?: string): number | null {
    const parts = this.severities().get(place);
    if (parts === undefined) return null;
    return part === undefined ? Math.max(...parts.values()) : (parts.get(part) ?? null);
  }

  /** Worst severity of each part that was looked at, by place. */
  private severities(): Map<string, Map<string, number>> {
    if (this.worstOf !== null) return this.worstOf;
    const worst = new Map<string, Map<string, number>>();
    for (const { entry } of this.states.values()) {
      if (entry?.kind !== 'finding' && entry?.kind !== 'look') continue;
      const parts = worst.get(entry.place) ?? new Map<string, number>();
      worst.set(entry.place, parts.set(entry.part, Math.max(parts.get(entry.part) ?? 0, entry.severity ?? 0)));
    }
    return (this.worstOf = worst);
  }
}

/** What was stored, laid over what stood: a correction stands where its slot stood, so that no list jumps under the hand. */
export function laidOver(before: readonly EntryView[], stored: readonly EntryView[]): EntryView[] {
  const fresh = new Map(stored.map((one) => [slotKey(one), one]));
  const kept = before.map((one) => fresh.get(slotKey(one)) ?? one);
  for (const one of before) fresh.delete(slotKey(one));
  return [...kept, ...fresh.values()];
}

/** An entry as it will look once the server has it, for as long as it has not. */
function provisional(entry: EntryInput): EntryView {
  const data = entry.data;
  return {
    id: entry.id,
    kind: entry.kind,
    place: entry.slot.place,
    part: entry.slot.part,
    item: entry.slot.item,
    index: entry.slot.index,
    supersedes: entry.supersedes,
    by: entry.by,
    at: entry.at,
    text: data.text ?? null,
    shown: data.text ?? null,
    atText: data.atText ?? null,
    atShown: data.atText ?? null,
    gauge: null,
    gaugeCode: data.gauge ?? null,
    standing: data.standing ?? null,
    severity: data.severity ?? null,
    state: data.state ?? null,
    sureness: data.sureness ?? null,
    note: data.note ?? null,
    sha256: data.sha256 ?? null,
    caption: data.caption ?? null,
    content: data,
  };
}

/** Kinds whose figures the server shows converted; of the others the content is all there is. */
const SHOWN_APART = new Set<EntryView['kind']>(['reading', 'claim', 'finding', 'look', 'photograph']);

/** The content of an entry, to be recorded once more. */
export function contentOf(entry: EntryView): EntryInput['data'] {
  if (!SHOWN_APART.has(entry.kind)) return entry.content;
  const content: EntryInput['data'] = {};
  if (entry.text !== null) content.text = entry.text;
  if (entry.atText !== null) content.atText = entry.atText;
  if (entry.gaugeCode !== null) content.gauge = entry.gaugeCode;
  if (entry.standing !== null) content.standing = entry.standing as 'known' | 'said' | 'unknown';
  if (entry.severity !== null) content.severity = entry.severity;
  if (entry.state !== null) content.state = entry.state as 'as_found' | 'after_cleaning';
  if (entry.sureness !== null) content.sureness = entry.sureness;
  if (entry.note !== null) content.note = entry.note;
  if (entry.content.about !== undefined) content.about = entry.content.about;
  if (entry.content.received !== undefined) content.received = entry.content.received;
  if (entry.content.fill !== undefined) content.fill = entry.content.fill;
  if (entry.content.words !== undefined) content.words = entry.content.words;
  if (entry.sha256 !== null) content.sha256 = entry.sha256;
  if (entry.caption !== null) content.caption = entry.caption;
  return content;
}

export const slotOf = (entry: EntryView | UnreadEntry): SlotAddress => ({
  place: entry.place,
  part: entry.part,
  item: entry.item,
  index: entry.index,
});

export function placeLabel(view: CaseView, place: string): string {
  const station = view.stations.find((one) => one.code === place);
  if (station) return station.label;
  const bore = view.plan.bores.find((one) => one.cylinder === place);
  if (bore) return `cylinder ${bore.number}`;
  if (place === 'kind-I') return 'all intakes';
  if (place === 'kind-E') return 'all exhausts';
  return place === 'engine' ? 'engine' : `bank ${place}`;
}
