import { screen, within } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { words } from '../shared/messages';
import { openCase } from '../testing/case';
import { margin } from '../testing/sheets';
import Clearances from './Clearances';

afterEach(() => vi.restoreAllMocks());

const column = (quantity: string, field: 'margins' | 'departures' | 'kind') => ({
  key: `${quantity}.`,
  quantity,
  title: quantity,
  head: quantity,
  index: [],
  limitWords: 'at least 0.060 in',
  field,
});
const departures = ['one', 'two', 'three', 'four', 'five', 'six'].map((name) => `departure ${name}`);
const get = (columns: object[], margins: object[] = []) => ({
  '/api/cases/{id}/margins': { content: '', columns, margins },
  '/api/cases/{id}/sheets': [],
});
const heads = (): (string | null)[] => screen.getAllByRole('columnheader').map((head) => head.textContent);

test('without anything claimed there are no departures, and it is said', async () => {
  openCase(<Clearances />, { at: 'clearances/departures', get: get([column('travel_to_bind', 'margins')]) });
  expect(await screen.findByText(words.clearances.nothing.departures)).toBeVisible();
  expect(heads()).toEqual([words.bench.station]);
});

test('every departure has its column, under a head of its own', async () => {
  openCase(<Clearances />, { at: 'clearances/departures', get: get(departures.map((name) => column(name, 'departures'))) });
  await screen.findByText(/^departure six/);
  expect(heads().slice(1)).toHaveLength(6);
  expect(heads().every((head) => head !== '')).toBe(true);
});

test('a rule that is pressed opens its reasoning and stands in the address, with its station', async () => {
  const margins = [
    margin({ place: 'A1-E1', coil: null, sentence: 'Inside by much.' }),
    margin({ place: 'A2-I1', label: '2I', coil: null, sentence: 'Outside by little.', spoken: '2I travel to bind: outside' }),
  ];
  const { user, address } = openCase(<Clearances />, {
    at: 'clearances?at=A1-E1',
    get: get([column('travel_to_bind', 'margins')], margins),
  });
  expect(await screen.findByText('Inside by much.')).toBeVisible();
  await user.click(within(screen.getByRole('row', { name: /^2I/ })).getByRole('button'));
  expect(await screen.findByText('Outside by little.')).toBeVisible();
  await expect.poll(address).toMatch(/at=A2-I1/);
  expect(address()).toMatch(/rule=travel_to_bind/);
});

test('what is judged once a cylinder, or once an engine, stands at each of its valves, on the plan too', async () => {
  const margins = [
    margin({ place: 'A2', coil: null, quantity: 'valve_to_valve', spoken: 'cylinder 2 valve to valve: inside' }),
    margin({ place: 'engine', coil: null, quantity: 'phosphorus', spoken: 'engine phosphorus: outside' }),
  ];
  const { user } = openCase(<Clearances />, {
    at: 'clearances?at=A2-E1',
    get: get([column('valve_to_valve', 'margins'), column('phosphorus', 'margins')], margins),
  });
  await screen.findAllByRole('button', { name: /valve to valve: inside/ });
  const rules = (station: string): number =>
    within(screen.getByRole('row', { name: new RegExp(`^${station}`) })).getAllByRole('button').length;
  expect(['1E', '1I', '2E', '2I'].map(rules)).toEqual([1, 1, 2, 2]);
  expect(screen.getByRole('gridcell', { name: /^2E/ })).not.toHaveAccessibleName(/not measured/);
  expect(screen.getByRole('gridcell', { name: /^1E/ })).toHaveAccessibleName(/not measured/);
  await user.click(screen.getAllByRole('button', { name: /phosphorus: outside/ })[0] as HTMLElement);
  expect(screen.getByRole('gridcell', { name: /^1E/ })).not.toHaveAccessibleName(/not measured/);
});

test('what was compared with its kind has a field of its own', async () => {
  const columns = [column('travel_to_bind', 'margins'), column('valve_mass_from_middle', 'kind')];
  const { user } = openCase(<Clearances />, { get: get(columns) });
  await screen.findByText(/^travel_to_bind/);
  await user.click(screen.getByText(words.clearances.fields.kind));
  expect(await screen.findByText(/^valve_mass_from_middle/)).toBeVisible();
  expect(screen.queryByText(/^travel_to_bind/)).toBeNull();
});

const told = (rows: object[], missing: string[] = []) => ({
  tooLittle: [column('bound_over_speed', 'margins'), column('seat_load_left', 'margins')],
  tooMuch: [column('sliding_nose_stress', 'margins')],
  rows,
  missing,
});
const load = (figure: string) => ({ figure, unit: 'lbf', plusMinus: null, shown: `${figure} lbf` });

test('more spring or less shows both risks side by side, and opens the one as it is', async () => {
  const at = (quantity: string, spoken: string) => margin({ place: 'A2-I1', label: '2I', coil: null, quantity, spoken });
  const row = (percent: number) => ({
    kind: 'E',
    percent,
    seatLoad: load('60.0'),
    openLoad: load('150.0'),
    margins: [at('bound_over_speed', `bound at ${percent}`), at('sliding_nose_stress', `stress at ${percent}`)],
  });
  const { user, address } = openCase(<Clearances />, {
    at: 'clearances/springs',
    get: {
      ...get([column('bound_over_speed', 'margins')], [at('bound_over_speed', 'x')]),
      '/api/cases/{id}/more-or-less': told([row(-10), row(0), row(10)]),
    },
  });
  expect(await screen.findByText(words.moreOrLess.tooLittle)).toBeVisible();
  expect(screen.getByText(words.moreOrLess.tooMuch)).toBeVisible();
  expect(heads().some((head) => head?.startsWith('seat_load_left'))).toBe(false); // known of no valve
  expect(within(screen.getByRole('row', { name: /^\+10 %/ })).queryByRole('button')).toBeNull();
  const [bound] = within(screen.getByRole('row', { name: /^as it is/ })).getAllByRole('button');
  if (bound === undefined) throw new Error('no rule to press');
  await user.click(bound);
  await expect.poll(address).toMatch(/at=A2-I1.*rule=bound_over_speed|rule=bound_over_speed.*at=A2-I1/);
});

test('more spring or less says what it takes where nothing can be told', async () => {
  openCase(<Clearances />, {
    at: 'clearances/springs',
    get: { ...get([]), '/api/cases/{id}/more-or-less': told([], ['open load', 'mass of the valve']) },
  });
  expect(await screen.findByText(/open load, mass of the valve/)).toBeVisible();
});

test('a head that is pressed puts the least room first, what was not measured last, and the stations back', async () => {
  const margins = [
    margin({ place: 'A1-E1', coil: null, room: 0.004 }),
    margin({ place: 'A1-I1', coil: null, room: null }),
    margin({ place: 'A2-E1', coil: null, room: -0.002 }),
    margin({ place: 'A2-I1', coil: null, room: 0.001 }),
  ];
  const { user, address } = openCase(<Clearances />, { at: 'clearances', get: get([column('travel_to_bind', 'margins')], margins) });
  const rows = (): (string | null)[] => screen.getAllByRole('rowheader').map((row) => row.textContent);
  await user.click(await screen.findByRole('button', { name: /^travel_to_bind/ }));
  expect(rows()).toEqual(['2E', '2I', '1E', '1I']);
  expect(address()).toMatch(/order=travel_to_bind/);
  await user.click(screen.getByRole('button', { name: words.bench.station }));
  expect(rows()).toEqual(['1E', '1I', '2E', '2I']);
});
