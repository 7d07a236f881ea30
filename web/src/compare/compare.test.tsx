import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, expect, test } from 'vitest';
import { words } from '../shared/messages';
import { catalogue, openCase, twin } from '../testing/case';
import Compare from './Compare';

beforeEach(() => localStorage.clear());

const side = (name: string, shown: string, more = {}) => ({ name, shown, least: null, most: null, count: 4, ...more });
const quantity = (shown: string) => ({ shown, unit: 'in' });
const group = (code: string, name: string, places: string[]) => ({ code, name, places });
const groups = [
  group('kind-E', 'exhausts', ['A1-E1', 'A2-E1']),
  group('kind-I', 'intakes', ['A1-I1', 'A2-I1']),
  group('A1-E1', '1E', ['A1-E1']),
  group('A2-E1', '2E', ['A2-E1']),
];
const comparison = {
  one: groups[2],
  other: groups[3],
  figures: [
    {
      code: 'travel_to_bind',
      what: 'travel to bind',
      where: '',
      one: side('1E', '0.100', { count: 1 }),
      other: side('2E', '0.040', { count: 1 }),
      difference: quantity('-0.060'),
      byGauge: 21,
      outside: ['A2-E1'],
      rule: { one: [0.9, 0.9, 0.9], other: [0.1, 0.12, 0.2], ends: [0.3], isOneOutside: false, isOtherOutside: true },
    },
  ],
  signs: [{ sign: 'tip_peened', name: 'tip mushroomed or peened', part: 'valve', one: null, other: 2 }],
  words: [
    {
      kind: 'groups',
      what: 'Kind of locks',
      where: '',
      one: side('1E', 'clamping'),
      other: side('2E', 'butting'),
      difference: null,
      byGauge: null,
      places: [],
      labels: [],
    },
  ],
  alike: 12,
  few: 2,
};
const mismatch = {
  kind: 'banks',
  what: 'installed height',
  where: 'exhausts',
  one: side('bank A', '1.900'),
  other: side('bank B', '1.842'),
  difference: quantity('-0.058'),
  byGauge: 41,
  places: ['A1-E1'],
  labels: ['1E'],
};
const get = (more: Record<string, unknown> = {}) => ({
  '/api/catalogue': catalogue,
  '/api/cases/{id}/sheets': [],
  '/api/cases/{id}/margins': { margins: [], columns: [] },
  '/api/cases/{id}/groups': groups,
  '/api/cases/{id}/comparison': comparison,
  '/api/cases/{id}/mismatches': [mismatch],
  ...more,
});

test('two stations are held against each other: figures, signs and parts in words', async () => {
  const { user, address } = openCase(<Compare />, { at: 'compare?pair=A1-E1~A2-E1', get: get() });
  const figures = await screen.findByRole('table', { name: words.compare.figures });
  const travel = within(figures).getByRole('row', { name: /travel to bind/ });
  expect(travel).toHaveTextContent(/0\.100 in 0\.040 in.*−0\.060×21outside/);
  const rule = within(travel).getByRole('img', { name: /^travel to bind: A 0\.100.*B 0\.040.*outside its limit$/ });
  const [a, b] = within(rule).getAllByText(/^[AB]$/);
  expect(Number(a?.getAttribute('x'))).toBeGreaterThan(Number(b?.getAttribute('x')));
  expect([a, b].map((one) => one?.getAttribute('fill'))).toEqual(['var(--ink)', 'var(--lead)']); // only the side that is outside
  const signs = screen.getByRole('table', { name: words.compare.signs });
  await waitFor(() => expect(within(signs).getByRole('row', { name: /tip mushroomed/ })).toHaveTextContent(/not looked.*clear/));
  expect(within(signs).getByRole('row', { name: /Kind of locks/ })).toHaveTextContent('clampingbutting');
  expect(screen.getByRole('status')).toHaveTextContent('1 figure differs, 12 alike, 2 read too seldom to tell.');
  await user.click(screen.getByRole('button', { name: words.compare.swap }));
  expect(address()).toContain('pair=A2-E1%7EA1-E1');
  await user.keyboard('x');
  expect(address()).toContain('pair=A1-E1%7EA2-E1');
});

test('without a pair the station that failed is held against the next of its kind', async () => {
  const asked: unknown[] = [];
  openCase(<Compare />, {
    view: twin({ story: { answers: {}, failed: ['A2-E1'] } }),
    at: 'compare',
    get: get({
      '/api/cases/{id}/comparison': (options: { params: { query: unknown } }) => {
        asked.push(options.params.query);
        return { ...comparison, figures: [], signs: [], words: [] };
      },
    }),
  });
  expect(await screen.findByText(words.compare.nothing)).toBeVisible();
  expect(asked[0]).toEqual({ one: 'A2-E1', other: 'A1-E1' });
});

test('the second side can be of another case: an earlier failure, with its pictures', async () => {
  const earlier = twin({ name: 'Before the rebuild' });
  const photograph = (id: string, place: string) => ({ id, kind: 'photograph', place, part: 'valve', state: 'as_found', sha256: null });
  const asked: unknown[] = [];
  const { user, address } = openCase(<Compare />, {
    view: twin({ story: { answers: {}, failed: ['A2-E1'] } }),
    at: 'compare',
    entries: [
      { kind: 'photograph', place: 'A2-E1', part: 'valve', item: 'photograph', index: 'x', content: { state: 'as_found' } as never },
    ],
    get: get({
      '/api/cases/{id}/comparable': [{ id: earlier.id, number: 3, name: earlier.name }],
      '/api/cases/{id}': { ...earlier, entries: [photograph('theirs', 'A2-E1')] },
      '/api/cases/{id}/comparison': (options: { params: { query: { of?: string } } }) => {
        asked.push(options.params.query);
        const group = { code: 'A2-E1', name: '2E', places: ['A2-E1'] };
        return options.params.query.of === undefined ? comparison : { ...comparison, one: group, other: group };
      },
    }),
  });
  await user.click(await screen.findByRole('combobox', { name: words.compare.ofCase }));
  await user.click(await screen.findByTitle(words.compare.ofOther(3, 'Before the rebuild')));
  // What failed now against the same station then.
  await waitFor(() => expect(asked.at(-1)).toEqual({ one: 'A2-E1', other: 'A2-E1', of: earlier.id }));
  expect(address()).toContain(`of=${earlier.id}`);
  expect(await screen.findByText('2E valve, 2E valve (Before the rebuild)')).toBeVisible();
});

test('several stations are held together as one side', async () => {
  const { user, address } = openCase(<Compare />, { at: 'compare?pair=A1-E1~A2-E1', get: get() });
  await user.click(await screen.findByRole('combobox', { name: words.compare.second }));
  await waitFor(() => expect(document.querySelector('.ant-select-item-option[title="1E"]')).not.toBeNull());
  await user.click(document.querySelector('.ant-select-item-option[title="1E"]') as Element);
  await waitFor(() => expect(address()).toContain('pair=A1-E1%7EA2-E1%2BA1-E1'));
});

test('a spring off the engine takes the place of a station, and joins its like', async () => {
  const springs = [group('off-engine', 'springs off the engine', ['loose-a', 'loose-b']), group('loose-a', 'a', ['loose-a'])];
  const { user, address } = openCase(<Compare />, {
    at: 'compare?pair=A1-E1~A2-E1',
    get: get({ '/api/cases/{id}/groups': [...groups, ...springs, group('loose-b', 'b', ['loose-b'])] }),
  });
  const second = await screen.findByRole('combobox', { name: words.compare.second });
  for (const name of ['a', 'b']) {
    await user.click(second);
    await waitFor(() => expect(document.querySelector(`.ant-select-item-option[title="${name}"]`)).not.toBeNull());
    await user.click(document.querySelector(`.ant-select-item-option[title="${name}"]`) as Element);
  }
  await waitFor(() => expect(address()).toContain('pair=A1-E1%7Eloose-a%2Bloose-b'));
});

test('photographs stand in pairs of the same part and state, and one without its partner is named only', async () => {
  const picture = (place: string, part: string, state: string) => ({
    kind: 'photograph' as const,
    place,
    part,
    item: 'photograph',
    index: `${place}${part}`,
    content: { state } as never,
  });
  openCase(<Compare />, {
    at: 'compare?pair=A1-E1~A2-E1',
    entries: [picture('A1-E1', 'valve', 'as_found'), picture('A2-E1', 'valve', 'as_found'), picture('A2-E1', 'spring', 'as_found')],
    get: get(),
  });
  expect(await screen.findByText('1E valve, 2E valve')).toBeVisible();
  expect(screen.getByText(words.compare.alone(['2E spring']))).toBeVisible();
});

test('what does not match is listed by what it lies between', async () => {
  openCase(<Compare />, { at: 'compare', get: get() });
  expect(await screen.findByText(words.mismatches.kinds.banks)).toBeVisible();
  expect(screen.getByRole('row', { name: /installed height/ })).toHaveTextContent('−0.058×411E');
});
