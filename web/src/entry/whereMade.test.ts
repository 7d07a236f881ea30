import { expect, test } from 'vitest';
import { catalogue as made } from '../testing/case';
import { whereMade } from './whereMade';

const catalogue = made as unknown as Parameters<typeof whereMade>[2];

test.each([
  ['reading', { place: 'A1-E1', part: 'valve', item: 'lash', index: null }, 'before/valves?at=A1-E1'],
  ['reading', { place: 'A1-E1', part: 'valve', item: 'lash', index: '2026-03-01.1' }, 'before/dates?at=A1-E1'],
  ['reading', { place: 'A2', part: 'chamber', item: 'compression', index: null }, 'before?at=A2'],
  ['answer', { place: 'A1-E1', part: 'valve', item: 'slide' }, 'teardown?at=A1-E1'],
  ['event', { place: 'engine', part: 'timeline', item: 'event', index: 'x' }, 'story/timeline'],
  ['task', { place: 'engine', part: 'schedule', item: 'task', index: 'x' }, 'schedule'],
  ['claim', { place: 'kind-E', part: 'spring', item: 'claimed.load_seat' }, 'story/claimed'],
  ['finding', { place: 'engine', part: 'running', item: 'ticking' }, 'story/symptoms'],
  ['finding', { place: 'A1-E1', part: 'valve', item: 'tip_peened' }, 'teardown/look?at=A1-E1'],
  ['photograph', { place: 'A1-E1', part: 'valve', item: 'photograph', index: 'x' }, 'teardown/photographs?at=A1-E1'],
  ['tag', { place: 'A1-E1', part: 'spring', item: 'tag', index: 'outer' }, 'bench/loose_springs.outer?at=A1-E1'],
  ['custody', { place: 'A1-E1', part: 'valve', item: 'custody' }, 'teardown/pieces?at=A1-E1'],
] as const)('%s of %o is made at %s', (kind, slot, where) => {
  expect(whereMade(kind, slot, catalogue)).toBe(where);
});
