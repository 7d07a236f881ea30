import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { findSigns } from './findSigns';

interface Entry {
  code: string;
  name: string;
  words?: string[];
  look_for: string;
}

const catalogue = (JSON.parse(readFileSync('core/Knowledge/signs.json', 'utf8')) as { signs: Entry[] }).signs.map((sign) => ({
  code: sign.code,
  name: sign.name,
  words: sign.words ?? [],
  lookFor: sign.look_for,
}));
const first = (typed: string): string | undefined => findSigns(catalogue, typed)[0]?.code;

test('people find a sign by what they call it', () => {
  expect(first('polish between coils')).toBe('coils_bright');
  expect(first('blue stem')).toBe('stem_heat_colour');
  expect(first('mush')).toBe('tip_peened');
  expect(first('keeper')).toBe('lock_missing');
});

test('letters in the name go before letters elsewhere', () => {
  expect(first('print guide')).toBe('retainer_printed');
});

test('what nobody calls anything finds nothing', () => {
  expect(findSigns(catalogue, 'zebra')).toEqual([]);
  expect(findSigns(catalogue, '  ')).toHaveLength(catalogue.length);
});
