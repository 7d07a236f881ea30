import { notifyManager, useQueryClient } from '@tanstack/react-query';
import { createContext, use, useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore, type ReactNode } from 'react';
import type { CaseView, EntryInput, EntryView } from '../shared/api';
import { person } from '../shared/person';
import { caseKey } from '../shared/queries';
import { uuidv7 } from '../shared/uuid';
import { Outbox, type OutboxState } from './outbox';
import { contentOf, laidOver, Slots, slotOf, type SlotAddress } from './slots';

interface Undoable {
  entryId: string;
  slot: SlotAddress;
  before: EntryView | null;
  words: string;
}

/** What a screen needs to record: the slots as they stand, recording, and taking back. */
export interface Bench {
  view: CaseView;
  slots: Slots;
  outbox: OutboxState;
  record: (kind: EntryInput['kind'], slot: SlotAddress, data: EntryInput['data'], words: string) => void;
  /** The same for several slots in one stroke; each stays an entry of its own. */
  recordAll: (kind: EntryInput['kind'], list: readonly { slot: SlotAddress; data: EntryInput['data']; words: string }[]) => void;
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

const REFRESH_AFTER = 250;
const UNDOABLE = 200;

/** Keeps the outbox of a case and lays it over what the server sent. */
export function BenchProvider({ view, children }: { view: CaseView; children: ReactNode }) {
  const queries = useQueryClient();
  const refresh = useRef<ReturnType<typeof setTimeout> | null>(null);
  const [undoStack, setUndoStack] = useState<readonly Undoable[]>([]);

  const outboxObject = useMemo(
    () =>
      new Outbox(view.id, (entries, revision) => {
        void queries.cancelQueries({ queryKey: caseKey(view.id) }); // an answer on its way may not know these entries
        queries.setQueryData<CaseView>(caseKey(view.id), (old) =>
          old === undefined ? old : { ...old, revision, entries: laidOver(old.entries, entries) },
        );
        if (refresh.current !== null) clearTimeout(refresh.current);
        refresh.current = setTimeout(() => void queries.invalidateQueries({ queryKey: caseKey(view.id) }), REFRESH_AFTER);
        return new Promise((shown) => notifyManager.schedule(shown));
      }),
    [queries, view.id],
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

  const postAll = useCallback(
    (
      kind: EntryInput['kind'],
      list: readonly { slot: SlotAddress; data: EntryInput['data']; reason: EntryInput['reason'] }[],
    ): EntryInput[] => {
      const entries = list.map(({ slot, data, reason }): EntryInput => {
        const state = latest.current.get(slot);
        if (state.outgoing !== null && state.outgoing.state !== 'waiting') void outboxObject.drop(state.outgoing.entry.id);
        const contested = state.outgoing?.state === 'contested' ? state.outgoing.problem?.current : undefined;
        return {
          id: uuidv7(),
          kind,
          slot: { place: slot.place, part: slot.part, item: slot.item, index: slot.index ?? null },
          supersedes: contested?.id ?? state.headId,
          by: person() || 'not named',
          at: new Date().toISOString(),
          data,
          ...(reason === undefined ? {} : { reason }),
        };
      });
      void outboxObject.add(...entries);
      latest.current = new Slots(view.entries, outboxObject.snapshot().outgoing, view.unread);
      return entries;
    },
    [outboxObject, view.entries, view.unread],
  );
  const post = useCallback(
    (kind: EntryInput['kind'], slot: SlotAddress, data: EntryInput['data'], reason: EntryInput['reason']): string =>
      postAll(kind, [{ slot, data, reason }])[0]?.id ?? '',
    [postAll],
  );

  const recordAll = useCallback<Bench['recordAll']>(
    (kind, list) => {
      const before = list.map(({ slot }) => latest.current.get(slot));
      const why = kind === 'reading' || kind === 'claim' ? 're-measured' : 'seen again';
      const entries = postAll(
        kind,
        list.map(({ slot, data }, i) => ({ slot, data, reason: before[i]?.headId == null ? undefined : why })),
      );
      const undoable = list.map(({ slot, words }, i): Undoable => ({
        entryId: entries[i]?.id ?? '',
        slot,
        before: before[i]?.entry ?? null,
        words,
      }));
      setUndoStack((stack) => [...stack, ...undoable].slice(-UNDOABLE));
    },
    [postAll],
  );
  const record = useCallback<Bench['record']>((kind, slot, data, words) => recordAll(kind, [{ slot, data, words }]), [recordAll]);

  const isUnread = useCallback((id: string) => view.unread.some((one) => one.id === id), [view.unread]);
  const withdraw = useCallback<Bench['withdraw']>(
    (slot, words) => {
      const state = latest.current.get(slot);
      if (state.outgoing !== null && state.outgoing.state !== 'waiting') void outboxObject.drop(state.outgoing.entry.id);
      if (state.headId === null || (state.entry === null && !isUnread(state.headId))) return;
      const entryId = post('withdrawal', slot, {}, 'mistyped');
      setUndoStack((stack) => [...stack.slice(1 - UNDOABLE), { entryId, slot, before: state.entry, words }]);
    },
    [outboxObject, post, isUnread],
  );

  const undo = useCallback(() => {
    const last = undoStack.at(-1);
    if (last === undefined) return;
    setUndoStack((stack) => stack.slice(0, -1));
    const state = latest.current.get(last.slot);
    if (state.outgoing?.entry.id === last.entryId && state.outgoing.state !== 'waiting') {
      void outboxObject.drop(last.entryId);
      return;
    }
    if (state.headId !== last.entryId) return; // somebody went on from it
    const { before } = last;
    if (before === null) {
      post('withdrawal', last.slot, {}, 'undone');
      return;
    }
    // The value before stands again under a new id: what made it can still be taken back.
    const again = post(before.kind, slotOf(before), contentOf(before), 'undone');
    setUndoStack((stack) => stack.map((one) => (one.entryId === before.id ? { ...one, entryId: again } : one)));
  }, [outboxObject, post, undoStack]);

  const bench = useMemo<Bench>(
    () => ({
      view,
      slots,
      outbox,
      record,
      recordAll,
      withdraw,
      drop: (entryId) => void outboxObject.drop(entryId),
      undo,
      undoable: undoStack.at(-1)?.words ?? null,
    }),
    [view, slots, outbox, record, recordAll, withdraw, outboxObject, undo, undoStack],
  );
  return <BenchContext value={bench}>{children}</BenchContext>;
}
