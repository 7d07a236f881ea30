import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';

const SOURCES = join(import.meta.dirname, '..');
/** Rooms whose drawing pieces stand in every place: each class of theirs is theirs alone. */
const GROUND = ['look', 'entry', 'sheet', 'door', 'keeping'];

const sheets = readdirSync(SOURCES, { recursive: true, encoding: 'utf8' }).filter((file) => file.endsWith('.css'));
const roomOf = (file: string): string => file.split('/')[0] ?? '';
/** Selectors of the outermost rules. */
function outermost(css: string): string[] {
  const selectors: string[] = [];
  let depth = 0;
  let from = 0;
  const bare = css.replace(/\/\*.*?\*\//gs, '');
  for (let i = 0; i < bare.length; i++) {
    if (bare[i] === '{' && depth++ === 0) selectors.push(bare.slice(from, i).trim());
    if (bare[i] === '}' && --depth === 0) from = i + 1;
  }
  return selectors;
}

test.each(sheets.filter((file) => !GROUND.includes(roomOf(file))))('%s holds within its own place only', (file) => {
  const scopes = new Set(outermost(readFileSync(join(SOURCES, file), 'utf8')));
  expect([...scopes]).toEqual([expect.stringMatching(/^\.in-[a-z]+$/)]);
});

test('no two rooms of the ground give looks to the same class', () => {
  const owners = new Map<string, Set<string>>();
  for (const file of sheets.filter((one) => GROUND.includes(roomOf(one)))) {
    for (const selector of outermost(readFileSync(join(SOURCES, file), 'utf8')).flatMap((one) => one.split(','))) {
      const first = /^\s*(\.[\w-]+)/.exec(selector)?.[1];
      if (first !== undefined) owners.set(first, (owners.get(first) ?? new Set()).add(roomOf(file)));
    }
  }
  expect([...owners].filter(([, rooms]) => rooms.size > 1).map(([name, rooms]) => `${name} of ${[...rooms].join(' and ')}`)).toEqual([]);
});
