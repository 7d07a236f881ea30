import { screen, within } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { openCase, told as sentAs } from '../testing/case';
import { column, margin, sheetLayout, stationRow } from '../testing/sheets';
import Before from './Before';

afterEach(() => vi.restoreAllMocks());

const told = (sheets: Record<string, object>) => (options: { params: { path: { sheet: string } } }) => ({
  code: options.params.path.sheet,
  title: '',
  margins: [],
  values: [],
  remarks: [],
  ...sheets[options.params.path.sheet],
});

const pulls = (hasLash: boolean) =>
  sheetLayout('pulls', ['A2-I1', 'A2-E1', 'A1-I1', 'A1-E1'].map(stationRow), {
    title: 'Lash and pulls',
    step: 'before',
    goesAcross: true,
    columns: [
      ...(hasLash ? [column('lash', { index: ['{date}'] })] : []),
      ...['1', '2', '3'].map((number) =>
        column(`pull.${number}`, { code: 'pull', head: 'pull', under: number, name: `pull ${number}`, index: ['{date}', number] }),
      ),
    ],
    margins: [
      {
        key: 'pull_from_middle',
        quantity: 'pull_from_middle',
        title: 'pull',
        head: 'pull',
        index: [],
        limitWords: 'within',
        field: 'margins',
      },
    ],
  });
const cylinder = (number: number) => ({ ...stationRow(`A${number}`), label: String(number), name: `cylinder ${number}`, isStation: false });
const layouts = (hasLash = true) => [
  sheetLayout('cylinders', [1, 2].map(cylinder), {
    title: 'Cylinders',
    step: 'before',
    columns: [column('compression', { part: 'chamber', unit: 'psi' })],
  }),
  pulls(hasLash),
];
const order = {
  order: [
    { cylinder: 'A2', number: 2, stations: ['A2-I1', 'A2-E1'], words: 'Cylinder 2 at firing top dead centre, both valves shut.' },
    { cylinder: 'A1', number: 1, stations: ['A1-I1', 'A1-E1'], words: 'Cylinder 1 at firing top dead centre, both valves shut.' },
  ],
  fromFiringOrder: true,
  wantThird: [] as string[],
  dates: [] as string[],
  nextPull: 'A2-I1',
};
const low = margin({
  quantity: 'pull_from_middle',
  coil: null,
  verdict: 'outside',
  spoken: 'A1-E1 pull_from_middle: -31.0, outside',
});

const before = (more: Partial<typeof order> = {}, drift: object[] = [], hasLash = true) => ({
  '/api/cases/{id}/sheets': layouts(hasLash),
  '/api/cases/{id}/sheets/{sheet}': told({
    cylinders: { remarks: ['Cylinder 1 and cylinder 2 are low together.'] },
    pulls: { margins: [low] },
  }),
  '/api/cases/{id}/lash-order': { ...order, ...more },
  '/api/cases/{id}/margins': { revision: 0, margins: drift },
});

test('cylinders are entered in the order of their numbers, with what the tests say together', async () => {
  const { user, sent } = openCase(<Before />, { get: before() });
  expect(await screen.findByText('Cylinder 1 and cylinder 2 are low together.')).toBeVisible();
  await user.keyboard('170{Enter}165{Enter}');
  await expect
    .poll(() => sentAs(sent))
    .toEqual([
      ['A1/chamber/compression', { text: '170' }],
      ['A2/chamber/compression', { text: '165' }],
    ]);
});

test('valves stand in the order of lash, the next one large and on the plan', async () => {
  const { user, sent } = openCase(<Before />, { get: before() });
  await user.click(await screen.findByText('Lash and pulls'));
  const rows = within(screen.getByRole('table', { name: 'Lash and pulls' }))
    .getAllByRole('row')
    .filter((row) => row.querySelector('td') !== null);
  expect(rows.map((row) => row.querySelector('th')?.textContent)).toEqual(['2I', '2E', '1I', '1E']);
  expect(screen.getByRole('gridcell', { name: /^2I,.*next/ })).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: '2I' }));
  await user.keyboard('0.016{Enter}118{Enter}119{Enter}');
  await expect
    .poll(() => sentAs(sent))
    .toEqual([
      ['A2-I1/valve/lash', { text: '0.016' }],
      ['A2-I1/valve/pull/1', { text: '118' }],
      ['A2-I1/valve/pull/2', { text: '119' }],
    ]);
  expect(document.activeElement?.getAttribute('aria-label')).toBe('2E lash');
  expect(screen.getByRole('img', { name: 'A1-E1 pull_from_middle: -31.0, outside' })).toBeInTheDocument();
});

test('a third pull is asked for only where two disagree', async () => {
  const { user } = openCase(<Before />, { get: before({ wantThird: ['A1-I1'], nextPull: 'A1-I1' }) });
  await user.click(await screen.findByText('Lash and pulls'));
  expect(screen.getByLabelText('1I pull 3: empty')).toBeInTheDocument();
  expect(screen.queryByLabelText('2I pull 3: empty')).toBeNull();
  expect(screen.getByText('pull a third time')).toBeVisible();
});

test('a sheet stays under the hand when the newest cannot be had', async () => {
  let answers = 0;
  const { user } = openCase(<Before />, {
    get: { ...before(), '/api/cases/{id}/sheets': () => (answers++ === 0 ? layouts() : Promise.reject(new Error('no line'))) },
  });
  await user.click(await screen.findByLabelText('cylinder 1 compression'));
  await user.keyboard('170{Enter}');
  await expect.poll(() => answers).toBeGreaterThan(1);
  expect(screen.getByLabelText('cylinder 2 compression')).toBeVisible();
});

test('an engine with hydraulic elements has no lash to enter', async () => {
  const { user } = openCase(<Before />, { get: before({}, [], false) });
  await user.click(await screen.findByText('Lash and pulls'));
  expect(await screen.findByLabelText(/^2I pull 1/)).toBeVisible();
  expect(screen.queryByLabelText(/ lash/)).toBeNull();
});

test('without a firing order it says that numbers lead', async () => {
  const { user } = openCase(<Before />, { get: before({ fromFiringOrder: false }) });
  await user.click(await screen.findByText('Lash and pulls'));
  expect(screen.getByText(/The firing order is not known/)).toBeVisible();
});

test('an earlier date has a sheet of its own; a date that is none is not taken', async () => {
  const { user, sent } = openCase(<Before />, { get: before() });
  await user.click(await screen.findByText('Over dates'));
  expect(screen.getByText('No earlier sheets.')).toBeVisible();
  const date = screen.getByLabelText('Date of an earlier or new sheet: type it, Enter');
  await user.type(date, '2026-02-31{Enter}');
  expect(screen.queryByRole('button', { name: '2026-02-31' })).toBeNull();
  await user.clear(date);
  await user.type(date, '2999-01-01');
  expect(screen.getByText('Not a date up to today; accepted is year-month-day.')).toBeVisible();
  await user.clear(date);
  await user.type(date, '2026-02-10{Enter}');
  await user.click(screen.getByLabelText('2E lash: empty'));
  await user.keyboard('0.014{Enter}117{Enter}');
  await expect
    .poll(() => sentAs(sent))
    .toEqual([
      ['A2-E1/valve/lash/2026-02-10', { text: '0.014' }],
      ['A2-E1/valve/pull/2026-02-10.1', { text: '117' }],
    ]);
});

test('what drifts is shown with its meaning', async () => {
  const drift = (label: string, figure: string, more: object) =>
    margin({
      label,
      place: `A${label}`,
      quantity: 'lash_drift',
      coil: '2026-02-10',
      value: { figure, unit: 'in', plusMinus: null, shown: figure },
      ...more,
    });
  const changes = [
    drift('1E', '0.006', { verdict: 'outside', sentence: 'It grew: lobe, follower, tip, cup or pushrod wears.' }),
    drift('2E', '0.000', {}),
  ];
  const { user } = openCase(<Before />, { get: before({ dates: ['2026-02-10'] }, changes) });
  await user.click(await screen.findByText('Over dates'));
  const drifts = await screen.findByRole('region', { name: 'These valves drift' });
  expect(within(drifts).getAllByRole('listitem')).toHaveLength(1);
  expect(drifts).toHaveTextContent('It grew');
});
