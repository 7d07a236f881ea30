import { expect, test } from 'vitest';
import { pastedRange } from './pasted';

test('a range comes in lines and tabs, whatever ends its lines', () => {
  expect(pastedRange('1.900\t168\r\n1.902\t170\r\n')).toEqual([
    ['1.900', '168'],
    ['1.902', '170'],
  ]);
  expect(pastedRange('1.900\n1.902')).toEqual([['1.900'], ['1.902']]);
  expect(pastedRange('1.900\t 168 ')).toEqual([['1.900', '168']]);
});

test('an empty cell stays an empty cell, a single one is no range', () => {
  expect(pastedRange('1.900\t\t168')).toEqual([['1.900', '', '168']]);
  expect(pastedRange('1.900')).toBeNull();
  expect(pastedRange('1.900\n')).toBeNull();
  expect(pastedRange('')).toBeNull();
});
