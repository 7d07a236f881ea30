import { expect, test } from 'vitest';
import type { EntryView } from '../shared/api';
import type { Outgoing } from './outbox';
import { contentOf, laidOver, Slots } from './slots';

const SLOT = { place: 'A1-E1', part: 'spring', item: 'free_height', index: 'outer' };
const head = (more: Partial<EntryView>): EntryView =>
  ({
    id: 'a',
    kind: 'reading',
    ...SLOT,
    text: '2.05',
    shown: '2.050',
    severity: null,
    atText: null,
    gaugeCode: null,
    standing: null,
    state: null,
    sureness: null,
    note: null,
    sha256: null,
    caption: null,
    content: {},
    ...more,
  }) as EntryView;
const outgoing = (state: Outgoing['state'], more: Partial<Outgoing['entry']> = {}): Outgoing => ({
  caseId: 'c',
  state,
  entry: { id: 'b', kind: 'reading', slot: SLOT, supersedes: 'a', by: 'x', at: '', data: { text: '2.06' }, ...more },
});

test('what is on its way is laid over what the server has', () => {
  const state = new Slots([head({})], [outgoing('waiting')]).get(SLOT);
  expect([state.headId, state.entry?.shown]).toEqual(['b', '2.06']);
});

test('a refused entry does not become the head', () => {
  const state = new Slots([head({})], [outgoing('refused')]).get(SLOT);
  expect([state.headId, state.entry?.shown, state.outgoing?.entry.data.text]).toEqual(['a', '2.050', '2.06']);
});

test('a withdrawal empties the slot and stays its head', () => {
  const state = new Slots([head({ id: 'w', kind: 'withdrawal' })], []).get(SLOT);
  expect([state.headId, state.entry]).toEqual(['w', null]);
  expect(new Slots([head({})], [outgoing('waiting', { kind: 'withdrawal', data: {} })]).get(SLOT).entry).toBeNull();
});

test('the worst sign of a part: nothing known, looked and nothing, or the severity', () => {
  const finding = (part: string, severity: number): EntryView =>
    head({ id: part + String(severity), kind: 'finding', part, item: 'sign' + String(severity), severity });
  const slots = new Slots([finding('seat', 3), finding('seat', 1), head({ kind: 'look', part: 'valve', item: 'look', index: null })], []);
  expect([
    slots.worst('A1-E1', 'seat'),
    slots.worst('A1-E1', 'valve'),
    slots.worst('A1-E1', 'guide'),
    slots.worst('A1-E1'),
    slots.worst('A2-E1'),
  ]).toEqual([3, 0, null, 3, null]);
});

test('the content of an entry can be recorded once more', () => {
  expect(contentOf(head({ atText: '1.8', gaugeCode: 'caliper' }))).toEqual({ text: '2.05', atText: '1.8', gauge: 'caliper' });
  expect(contentOf(head({ text: null, severity: 2, state: 'as_found', note: 'n' }))).toEqual({ severity: 2, state: 'as_found', note: 'n' });
  const content = { what: 'failure' as const, date: '2026-05-01', unit: 'h' as const };
  expect(contentOf(head({ kind: 'event', content }))).toEqual(content);
  expect(contentOf(head({ kind: 'finding', text: null, severity: 2, content: { fill: 'drained' } }))).toEqual({
    severity: 2,
    fill: 'drained',
  });
});

test('a correction that was stored stands where its slot stood; what is new goes last', () => {
  const before = ['x', 'y', 'z'].map((index) => head({ id: index, index }));
  const after = laidOver(before, [head({ id: 'new', index: 'w' }), head({ id: 'first', index: 'y' }), head({ id: 'last', index: 'y' })]);
  expect(after.map((one) => one.id)).toEqual(['x', 'last', 'z', 'new']);
});
