import { expect, test } from 'vitest';
import type { SignView } from '../shared/api';
import { EMPTY_LINE, entryLine, findingOf, type Act } from './entryLine';

const sign = { code: 'tip_peened', name: 'tip mushroomed or peened' } as SignView;
const after = (...acts: Act[]) => acts.reduce(entryLine, EMPTY_LINE);
const found = { needsFill: false, state: 'as_found' as const };

test('a sign that is taken goes on to how bad, and brings its part where it belongs to another', () => {
  const line = after({ do: 'openSign', part: 'spring' }, { do: 'type', text: 'tip' }, { do: 'take', sign, part: 'valve' });
  expect(line).toMatchObject({ slot: 'severity', part: 'valve', sign, typed: sign.name });
  expect(after({ do: 'openSign', part: 'spring' }, { do: 'take', sign, part: null }).part).toBe('spring');
});

test('typing on after a sign was taken lets it go', () => {
  expect(after({ do: 'take', sign, part: null }, { do: 'type', text: 'ti' })).toMatchObject({ sign: null, pointed: 0 });
});

test('pointing stays within the signs found', () => {
  const down: Act = { do: 'point', by: 1, of: 2 };
  expect(after(down, down, down).pointed).toBe(1);
  expect(after({ do: 'point', by: -1, of: 2 }).pointed).toBe(0);
});

test('going back empties how bad, then the sign, then the part slot has the hand', () => {
  const full = after({ do: 'take', sign, part: 'valve' }, { do: 'severity', step: 3 });
  const once = entryLine(full, { do: 'back' });
  expect(once).toMatchObject({ slot: 'severity', severity: null, sign });
  const twice = entryLine(once, { do: 'back' });
  expect(twice).toMatchObject({ slot: 'sign', sign: null, typed: '' });
  expect(entryLine(twice, { do: 'back' })).toMatchObject({ slot: 'part', part: 'valve' });
});

test('the hand is sent to a slot once for each act that means it, and not by one that only notes where it is', () => {
  const start = after({ do: 'openSign', part: 'valve' });
  expect(entryLine(start, { do: 'entered', slot: 'severity' }).turn).toBe(start.turn);
  expect(entryLine(start, { do: 'moved' }).turn).toBe(start.turn);
  expect(entryLine(start, { do: 'goTo', part: null }).turn).toBe(start.turn + 1);
});

test('another station begins with an empty line', () => {
  const line = after({ do: 'take', sign, part: 'valve' }, { do: 'severity', step: 2 }, { do: 'note', note: 'x' }, { do: 'moved' });
  expect(line).toEqual({ ...EMPTY_LINE, turn: line.turn });
});

test('a finding needs its sign, how bad it is, and for an element whether it was filled', () => {
  const line = after({ do: 'take', sign, part: 'valve' });
  expect(findingOf(line, found)).toBeNull();
  const bad = entryLine(line, { do: 'severity', step: 0 });
  expect(findingOf(bad, found)).toEqual({ severity: 0, state: 'as_found' });
  expect(findingOf(bad, { ...found, needsFill: true })).toBeNull();
  const full = [
    { do: 'fill', fill: 'drained' },
    { do: 'note', note: ' bent ' },
    { do: 'sureness', sureness: 0.5 },
  ] as Act[];
  expect(findingOf(full.reduce(entryLine, bad), { ...found, needsFill: true })).toEqual({
    severity: 0,
    state: 'as_found',
    fill: 'drained',
    sureness: 0.5,
    note: 'bent',
  });
});
