import { notifyManager, useQueryClient } from '@tanstack/react-query';
import { createContext, use, useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore, type ReactNode } from 'react';
import type { CaseView, EntryInput, EntryView } from '../shared/api';
import { words } from '../shared/messages';
import { author } from '../shared/person';
import { caseKey } from '../shared/queries';
import { say } from '../shared/saying';
import { uuidv7 } from '../shared/uuid';
import { Outbox, type Stored, type OutboxState, type TakenPicture } from './outbox';
import { useNews } from './useNews';
import { contentOf, laidOver, Slots, slotOf, type SlotAddress } from './slots';

interface Undoable {
  entryId: string;
  before: EntryView | null;
}

/** What one stroke of the hand recorded: taken back as one. */
interface Stroke {
  entries: readonly Undoable[];
  words: string;
}

/** What a screen needs to record: the slots as they stand, recording, and taking back. */
export interface Bench {
  view: CaseView;
  slots: Slots;
  outbox: OutboxState;
  record: (kind: EntryInput['kind'], slot: SlotAddress, data: EntryInput['data'], words: string) => void;
  /** The same for several slots in one stroke; each stays an entry of its own, and they are taken back together. */
  recordAll: (list: readonly { kind: EntryInput['kind']; slot: SlotAddress; data: EntryInput['data'] }[], words: string) => void;
  /** A picture that belongs to a part; it waits with its slot until the server has it. */
  recordPicture: (slot: { place: string; part: string }, picture: TakenPicture, data: EntryInput['data'], words: string) => void;
  /** A picture that the server does not have yet. */
  waitingPicture: (entryId: string) => Promise<TakenPicture | null>;
  /** Sends what was refused once more, as it is. */
  again: (entryIds: readonly string[]) => void;
  withdraw: (slot: SlotAddress, words: string) => void;
  drop: (entryId: string) => void;
  undo: () => void;
  undoable: string | null;
}

const BenchContext = createContext<Bench | null>(null);

export function useBench(): Bench {
  const bench = use(BenchContext);
  if (bench === null) throw new Error('Outside of a case.');
  return bench;
}

const UNDOABLE = 200;

/** Why something is recorded once more. */
const reasonOf = (kind: EntryInput['kind']): EntryInput['reason'] =>
  kind === 'reading' || kind === 'claim' ? 're-measured' : 'seen again';

/** The case with what the server stored since. */
function withStored(view: CaseView, stored: readonly Stored[]): CaseView {
  const pictures = stored.flatMap((one) => (one.photograph === undefined ? [] : [one.photograph]));
  return {
    ...view,
    revision: Math.max(view.revision, ...stored.map((one) => one.revision)),
    entries: laidOver(
      view.entries,
      stored.map((one) => one.entry),
    ),
    photographs: [...view.photographs.filter((old) => !pictures.some((one) => one.sha256 === old.sha256)), ...pictures],
  };
}

/** Each entry raises the revision by one: where one is left out, another hand wrote something that is not here. */
function isOfOthersToo({ revision }: CaseView, stored: readonly Stored[]): boolean {
  const ours = stored.map((one) => one.revision).sort((a, b) => a - b);
  return ours.some((one, i) => one > revision + i + 1);
}

/** Keeps the outbox of a case and lays it over what the server sent. */
export function BenchProvider({ view, children }: { view: CaseView; children: ReactNode }) {
  const queries = useQueryClient();
  const news = useNews(view.id);
  const [undoStack, setUndoStack] = useState<readonly Stroke[]>([]);

  const outboxObject = useMemo(
    () =>
      new Outbox(view.id, (stored) => {
        void queries.cancelQueries({ queryKey: caseKey(view.id), exact: true }); // an answer on its way may not know these entries
        const before = queries.getQueryData<CaseView>(caseKey(view.id));
        if (before !== undefined) queries.setQueryData<CaseView>(caseKey(view.id), withStored(before, stored));
        if (before !== undefined && isOfOthersToo(before, stored))
          void queries.invalidateQueries({ queryKey: caseKey(view.id), exact: true });
        news();
        return new Promise((shown) => notifyManager.schedule(shown));
      }),
    [queries, news, view.id],
  );
  useEffect(() => {
    void outboxObject.load();
    return () => outboxObject.dispose();
  }, [outboxObject]);

  const outbox = useSyncExternalStore(outboxObject.subscribe, outboxObject.snapshot);
  const slots = useMemo(() => new Slots(view.entries, outbox.outgoing, view.unread), [view.entries, view.unread, outbox.outgoing]);

  const latest = useRef(slots);
  useEffect(() => {
    latest.current = slots;
  }, [slots]);

  const made = useCallback(
    (kind: EntryInput['kind'], slot: SlotAddress, data: EntryInput['data'], reason: EntryInput['reason']): EntryInput => {
      const state = latest.current.get(slot);
      if (state.outgoing !== null && state.outgoing.state !== 'waiting') void outboxObject.drop(state.outgoing.entry.id);
      const contested = state.outgoing?.state === 'contested' ? state.outgoing.problem?.current : undefined;
      return {
        id: uuidv7(),
        kind,
        slot: { place: slot.place, part: slot.part, item: slot.item, index: slot.index ?? null },
        supersedes: contested?.id ?? state.headId,
        by: author(),
        at: new Date().toISOString(),
        data,
        ...(reason === undefined ? {} : { reason }),
      };
    },
    [outboxObject],
  );
  /** Sends entries; what follows in the same stroke already sees them. */
  const post = useCallback(
    (entries: readonly EntryInput[]): void => {
      void outboxObject.add(...entries);
      latest.current = new Slots(view.entries, outboxObject.snapshot().outgoing, view.unread);
    },
    [outboxObject, view.entries, view.unread],
  );
  const remember = useCallback(
    (entries: readonly Undoable[], words: string) => setUndoStack((stack) => [...stack, { entries, words }].slice(-UNDOABLE)),
    [],
  );

  const recordAll = useCallback<Bench['recordAll']>(
    (list, words) => {
      if (list.length === 0) return;
      const before = list.map(({ slot }) => latest.current.get(slot));
      const entries = list.map(({ kind, slot, data }, i) => made(kind, slot, data, before[i]?.headId == null ? undefined : reasonOf(kind)));
      post(entries);
      remember(
        entries.map((entry, i) => ({ entryId: entry.id, before: before[i]?.entry ?? null })),
        words,
      );
    },
    [made, post, remember],
  );
  const record = useCallback<Bench['record']>((kind, slot, data, words) => recordAll([{ kind, slot, data }], words), [recordAll]);

  const recordPicture = useCallback<Bench['recordPicture']>(
    (slot, picture, data, words) => {
      const entry = made('photograph', { ...slot, item: 'photograph' }, data, undefined);
      void outboxObject.addPicture({ ...entry, supersedes: null }, picture);
      remember([{ entryId: entry.id, before: null }], words);
    },
    [made, outboxObject, remember],
  );

  const isUnread = useCallback((id: string) => view.unread.some((one) => one.id === id), [view.unread]);

  const withdraw = useCallback<Bench['withdraw']>(
    (slot, words) => {
      const state = latest.current.get(slot);
      if (state.outgoing !== null && state.outgoing.state !== 'waiting') void outboxObject.drop(state.outgoing.entry.id);
      if (state.headId === null || (state.entry === null && !isUnread(state.headId))) return;
      const entry = made('withdrawal', slot, {}, 'mistyped');
      post([entry]);
      remember([{ entryId: entry.id, before: state.entry }], words);
    },
    [outboxObject, made, post, remember, isUnread],
  );

  const undo = useCallback(() => {
    const last = undoStack.at(-1);
    if (last === undefined) return;
    setUndoStack((stack) => stack.slice(0, -1));
    const takenBack = [...last.entries].reverse().flatMap(({ entryId, before }): { of: Undoable; entry: EntryInput }[] => {
      const state = latest.current.holding(entryId);
      if (state?.outgoing?.entry.id === entryId && (state.outgoing.state !== 'waiting' || state.outgoing.withPicture === true)) {
        void outboxObject.drop(entryId);
        return [];
      }
      if (state?.headId !== entryId || state.slot === null) return []; // somebody went on from it
      const entry =
        before === null ? made('withdrawal', state.slot, {}, 'undone') : made(before.kind, slotOf(before), contentOf(before), 'undone');
      return [{ of: { entryId, before }, entry }];
    });
    if (takenBack.length > 0) post(takenBack.map(({ entry }) => entry));
    // The value before stands again under a new id: what made it can still be taken back.
    const again = new Map(takenBack.flatMap(({ of, entry }) => (of.before === null ? [] : [[of.before.id, entry.id] as const])));
    setUndoStack((stack) =>
      stack.map((stroke) => ({
        ...stroke,
        entries: stroke.entries.map((one) => ({ ...one, entryId: again.get(one.entryId) ?? one.entryId })),
      })),
    );
    say(words.undone(last.words));
  }, [outboxObject, made, post, undoStack]);

  const bench = useMemo<Bench>(
    () => ({
      view,
      slots,
      outbox,
      record,
      recordAll,
      recordPicture,
      waitingPicture: (entryId) => outboxObject.picture(entryId),
      again: (entryIds) => void outboxObject.again(entryIds),
      withdraw,
      drop: (entryId) => void outboxObject.drop(entryId),
      undo,
      undoable: undoStack.at(-1)?.words ?? null,
    }),
    [view, slots, outbox, record, recordAll, recordPicture, withdraw, outboxObject, undo, undoStack],
  );
  return <BenchContext value={bench}>{children}</BenchContext>;
}
