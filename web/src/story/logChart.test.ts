import { expect, test } from 'vitest';
import { clock, ticks } from './LogChart';

test('time reads as seconds, then as minutes', () => {
  expect([clock(3.25), clock(59.94), clock(75.5), clock(600), clock(179.98)]).toEqual(['3.3 s', '59.9 s', '1:15.5', '10:00.0', '3:00.0']);
});

test('ticks are round and lie within', () => {
  expect(ticks(0, 7600, 4)).toEqual([0, 2000, 4000, 6000]);
  expect(ticks(0.31, 0.52, 3)).toEqual([0.4, 0.5]);
  expect(ticks(5, 5, 4)).toEqual([]);
});
