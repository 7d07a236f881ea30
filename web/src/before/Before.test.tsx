import { screen, within } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { openCase, told, twin } from '../shared/test-case';
import Before from './Before';

afterEach(() => vi.restoreAllMocks());

const margin = (quantity: string, place: string, figure: string, verdict = 'inside') => ({
  place,
  label: place,
  coil: null,
  quantity,
  title: quantity,
  verdict,
  verdictWords: verdict,
  probabilityGood: 1,
  value: { figure, unit: '%', plusMinus: '1', shown: `${figure} ± 1 %` },
  side: 'within',
  limit: { figure: '10', unit: '%', plusMinus: null, shown: '10 %' },
  limitWords: 'within ± 10 %',
  school: 'practice',
  notch: 0.66,
  goodIsRight: false,
  at: 0.5,
  low: 0.48,
  high: 0.52,
  offScale: null,
  others: [],
  scaleFrom: '0',
  scaleTo: '30',
  missing: [],
  sentence: '',
  spoken: `${place} ${quantity}: ${figure}, ${verdict}`,
});

const before = (more: object = {}) => ({
  '/api/cases/{id}/before': {
    revision: 0,
    margins: [margin('pull_from_middle', 'A1-E1', '-31.0', 'outside')],
    remarks: ['Cylinder 1 and cylinder 2 are low together.'],
    wantThird: [],
    changes: [],
    dates: [],
    order: [
      { cylinder: 'A2', number: 2, stations: ['A2-I1', 'A2-E1'], words: 'Cylinder 2 at firing top dead centre, both valves shut.' },
      { cylinder: 'A1', number: 1, stations: ['A1-I1', 'A1-E1'], words: 'Cylinder 1 at firing top dead centre, both valves shut.' },
    ],
    fromFiringOrder: true,
    nextPull: 'A2-I1',
    ...more,
  },
});

test('cylinders are entered in the order of their numbers, with what the tests say together', async () => {
  const { user, sent } = openCase(<Before />, { get: before() });
  expect(await screen.findByText('Cylinder 1 and cylinder 2 are low together.')).toBeVisible();
  await user.keyboard('170{Enter}165{Enter}');
  await expect
    .poll(() => told(sent))
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
    .slice(1);
  expect(rows.map((row) => row.querySelector('th')?.textContent)).toEqual(['2I', '2E', '1I', '1E']);
  expect(screen.getByRole('gridcell', { name: /^2I,.*next/ })).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: '2I' }));
  await user.keyboard('0.016{Enter}118{Enter}119{Enter}');
  await expect
    .poll(() => told(sent))
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

test('an engine with hydraulic elements has no lash to enter', async () => {
  const view = twin();
  const { user } = openCase(<Before />, { view: { ...view, engine: { ...view.engine, lash: 'hydraulic' } } as never, get: before() });
  await user.click(await screen.findByText('Lash and pulls'));
  expect(screen.queryByLabelText(/lash/)).toBeNull();
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
    .poll(() => told(sent))
    .toEqual([
      ['A2-E1/valve/lash/2026-02-10', { text: '0.014' }],
      ['A2-E1/valve/pull/2026-02-10.1', { text: '117' }],
    ]);
});

test('what drifts is shown with its meaning', async () => {
  const changes = [
    {
      margin: margin('lash_drift', 'A1-E1', '0.006', 'outside'),
      since: '2026-02-10',
      drift: true,
      meaning: 'It grew: lobe, follower, tip, cup or pushrod wears.',
    },
    { margin: margin('lash_drift', 'A2-E1', '0.000'), since: '2026-02-10', drift: false, meaning: '' },
  ];
  const { user } = openCase(<Before />, { get: before({ changes, dates: ['2026-02-10'] }) });
  await user.click(await screen.findByText('Over dates'));
  const drifts = screen.getByRole('region', { name: 'These valves drift' });
  expect(within(drifts).getAllByRole('listitem')).toHaveLength(1);
  expect(drifts).toHaveTextContent('It grew');
});
