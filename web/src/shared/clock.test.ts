import { expect, test } from 'vitest';
import { clock } from './clock';

test('time reads as seconds, then as minutes', () => {
  expect([clock(3.25), clock(59.94), clock(75.5), clock(600), clock(179.98)]).toEqual(['3.3 s', '59.9 s', '1:15.5', '10:00.0', '3:00.0']);
});
