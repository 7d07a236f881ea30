import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, type CaseView, type EntryInput, type EntryView } from '../shared/api';
import { twin } from '../testing/case';
import { answerEntries, replied, type Answer } from '../testing/entries';
import { BenchProvider, useBench, type Bench } from './useBench';

const SLOT = { place: 'A1-E1', part: 'spring', item: 'free_height', index: 'outer' };
let sent: EntryInput[] = [];
let answerWith: (entry: EntryInput, revision: number) => Answer;

const stored = (entry: EntryInput, revision: number): Answer => ({
  status: 201,
  body: {
    entry: { id: entry.id, kind: entry.kind, ...entry.slot, by: entry.by, ...entry.data, shown: entry.data.text ?? null },
    revision,
  },
});
const problem = (status: number, more: object = {}): Answer => ({ status, body: { title: 'No', status, detail: 'because', ...more } });

beforeEach(() => {
  sent = [];
  answerWith = stored;
  vi.spyOn(api, 'GET').mockReturnValue(new Promise(() => undefined));
  vi.spyOn(api, 'POST').mockImplementation(((path: string, { body }: { body: unknown }) => {
    const answer = answerEntries(path, body, sent, (entry, revision) => answerWith(entry, revision));
    return answer === null ? Promise.reject(new Error(path)) : Promise.resolve(replied(answer));
  }) as never);
});
afterEach(() => vi.restoreAllMocks());

const clients = new Map<string, QueryClient>();
const queriesOf = (caseId: string): QueryClient => clients.get(caseId) ?? new QueryClient();

function bench(caseId: string): { current: Bench } {
  const queries = new QueryClient();
  clients.set(caseId, queries);
  const view = twin({ id: caseId });
  function Followed({ children }: { children: ReactNode }) {
    const { data } = useQuery({
      queryKey: ['case', caseId],
      queryFn: () => queries.getQueryData<typeof view>(['case', caseId]) ?? view,
      initialData: view,
    });
    return <BenchProvider view={data}>{children}</BenchProvider>;
  }
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={queries}>
      <Followed>{children}</Followed>
    </QueryClientProvider>
  );
  return renderHook(() => useBench(), { wrapper }).result;
}

const record = (result: { current: Bench }, text: string): void =>
  act(() => result.current.record('reading', SLOT, { text }, `free height, ${text}`));

test('what was typed stands at once, before the server has it', () => {
  answerWith = () => problem(503);
  const result = bench('at-once');
  record(result, '2.05');
  expect(result.current.slots.get(SLOT).entry?.shown).toBe('2.05');
  expect(result.current.undoable).toBe('free height, 2.05');
});

test('a correction supersedes the entry before it, even while neither has arrived', async () => {
  const result = bench('chain');
  record(result, '2.05');
  record(result, '2.06');
  await expect.poll(() => sent.length).toBe(2);
  expect(sent[0]?.supersedes).toBeNull();
  expect(sent[1]).toMatchObject({ supersedes: sent[0]?.id, reason: 're-measured' });
});

test('undo of a first entry is a withdrawal, of a correction the value before', async () => {
  const result = bench('undo');
  record(result, '2.05');
  record(result, '2.06');
  act(() => result.current.undo());
  act(() => result.current.undo());
  await expect.poll(() => sent.length).toBe(4);
  expect(sent.map((entry) => [entry.kind, entry.data.text, entry.reason])).toEqual([
    ['reading', '2.05', undefined],
    ['reading', '2.06', 're-measured'],
    ['reading', '2.05', 'undone'],
    ['withdrawal', undefined, 'undone'],
  ]);
});

test('undo of a refused entry just drops it', async () => {
  answerWith = () => problem(422);
  const result = bench('refused');
  record(result, '45');
  await expect.poll(() => result.current.slots.get(SLOT).outgoing?.state).toBe('refused');
  act(() => result.current.undo());
  expect(result.current.slots.get(SLOT).outgoing).toBeNull();
  expect(sent).toHaveLength(1);
});

test('mine in place of theirs supersedes what the server holds', async () => {
  const theirs = { id: '01900000-0000-7000-8000-000000000777', by: 'Other', shown: '2.07' };
  answerWith = (entry, revision) => (entry.supersedes === theirs.id ? stored(entry, revision) : problem(409, { current: theirs }));
  const result = bench('contested');
  record(result, '2.05');
  await expect.poll(() => result.current.slots.get(SLOT).outgoing?.state).toBe('contested');
  record(result, '2.05');
  await expect.poll(() => sent.length).toBe(2);
  expect(sent[1]?.supersedes).toBe(theirs.id);
});

test('many entries in one stroke are entries of their own', async () => {
  const result = bench('stroke');
  act(() =>
    result.current.recordAll(
      ['valve', 'spring', 'seat'].map((part) => ({ kind: 'look' as const, slot: { place: 'A1-E1', part, item: 'look' }, data: {} })),
      'nothing on 3 parts',
    ),
  );
  expect(result.current.slots.worst('A1-E1', 'seat')).toBe(0);
  await expect.poll(() => sent.map((entry) => entry.slot.part)).toEqual(['valve', 'spring', 'seat']);
  expect(new Set(sent.map((entry) => entry.id)).size).toBe(3);
  expect(result.current.undoable).toBe('nothing on 3 parts');
  act(() => result.current.undo());
  await expect
    .poll(() => sent.slice(3).map((entry) => [entry.kind, entry.slot.part]))
    .toEqual([
      ['withdrawal', 'seat'],
      ['withdrawal', 'spring'],
      ['withdrawal', 'valve'],
    ]);
  expect(result.current.undoable).toBeNull();
});

test('taking back leaves what somebody entered after it', async () => {
  const result = bench('later');
  record(result, '2.05');
  await expect.poll(() => result.current.outbox.outgoing.length).toBe(0);
  const later = { ...result.current.view.entries[0], id: '01900000-0000-7000-8000-000000000999', shown: '2.07', content: {} } as EntryView;
  act(() => void queriesOf('later').setQueryData<CaseView>(['case', 'later'], (old) => old && { ...old, entries: [later] }));
  await expect.poll(() => result.current.slots.get(SLOT).headId).toBe(later.id);
  act(() => result.current.undo());
  await new Promise((done) => setTimeout(done, 50));
  expect(sent.map((entry) => entry.kind)).toEqual(['reading']);
});

test('an answer that was on its way before an entry was stored does not overwrite it', async () => {
  const result = bench('stale');
  let arrives: (view: CaseView) => void = () => undefined;
  const old = result.current.view;
  vi.mocked(api.GET).mockReturnValue(new Promise(() => undefined));
  const fetching = queriesOf('stale').query<CaseView>({
    queryKey: ['case', 'stale'],
    queryFn: () => new Promise((done) => (arrives = done)),
    staleTime: 0,
  });
  fetching.catch(() => undefined);
  record(result, '2.05');
  await expect.poll(() => result.current.outbox.outgoing.length).toBe(0);
  arrives(old);
  await new Promise((done) => setTimeout(done, 50));
  expect(result.current.slots.get(SLOT).entry?.shown).toBe('2.05');
});
