import { screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Schemas } from '../shared/api';
import { words } from '../shared/messages';
import { openCase, told, twin } from '../testing/case';
import Remedy from './Remedy';
import { figureOf } from './remedies';

beforeEach(() => localStorage.clear());
afterEach(() => vi.restoreAllMocks());

const margin = (figure: string, verdict: string) => ({
  place: 'A1-E1',
  label: '1E',
  coil: 'outer',
  quantity: 'travel_to_bind',
  title: 'travel to bind',
  verdict,
  verdictWords: verdict,
  value: { figure, unit: 'in', plusMinus: '0.002', shown: `${figure} ± 0.002 in` },
  side: 'at_least',
  limit: { figure: '0.060', unit: 'in', plusMinus: null, shown: '0.060 in' },
  limitWords: 'at least 0.060 in',
  notch: 0.34,
  upper: null,
  goodIsRight: true,
  at: 0.4,
  low: 0.39,
  high: 0.41,
  offScale: null,
  others: [],
  strokes: [],
  scaleFrom: '0.000',
  scaleTo: '0.160',
  missing: [],
  sentence: '',
  spoken: '1E travel to bind',
});
const effect = (remedy: string, after: string, verdict: string, moved: string) => ({
  remedy,
  place: 'A1-E1',
  label: '1E',
  before: '0.080',
  after,
  margin: margin(after, verdict),
  from: 0.46,
  moved,
  missing: '',
  stations: [{ place: 'A1-E1', after, verdict }],
});
const remedy = (id: string, letter: string, name: string, more: object = {}) => ({
  id,
  letter,
  name,
  words: '',
  kind: 'cure',
  kindWords: 'cure',
  hours: 3,
  waitDays: null,
  until: '',
  tellTales: '',
  isTaken: false,
  changes: [{ what: 'shims', where: 'all valves', to: '0.030 in more' }],
  better: [],
  worse: ['travel to bind 0.080 → 0.050'],
  outside: [],
  again: ['installed height'],
  lasting: [],
  speedLimit: '',
  unreadable: null,
  ...more,
});
const shims = remedy('a', 'A', 'Shims', { outside: ['travel to bind 0.050'] });
const lift = remedy('b', 'B', 'Less lift', { isTaken: true, kind: 'trial', kindWords: 'trial, not tried yet' });
const limiter = remedy('c', 'C', 'Limiter', {
  kind: 'containment',
  until: 'until the springs come',
  tellTales: 'lash each day',
  worse: [],
});
const adjustments = [
  { name: 'shim_stack', label: 'shims', of: 'spring seat', unit: 'in', site: 'station', indexes: [], lasting: null, kinds: [] },
  {
    name: 'guide_cut',
    label: 'guide cut',
    of: 'guide',
    unit: 'in',
    site: 'station',
    indexes: [],
    lasting: 'Metal does not come back.',
    kinds: [],
  },
  {
    name: 'highest_speed',
    label: 'limiter',
    of: 'running',
    unit: '1/min',
    site: 'engine',
    indexes: [],
    lasting: null,
    kinds: [{ code: 'ignition', label: 'cuts the ignition' }],
  },
];
const board = (remedies: object[], more: object = {}) =>
  ({
    remedies,
    rows: [
      {
        name: 'travel_to_bind',
        title: 'travel to bind',
        limit: 'at least 0.060 in',
        effects: [
          effect('a', '0.050', 'outside', 'worse'),
          effect('b', '0.110', 'inside', 'better'),
          effect('c', '0.080', 'inside', 'unchanged'),
        ],
      },
    ],
    adjustments,
    parts: [{ part: 'spring', from: 'shelf-springs-x', name: 'Firm spring', isShelved: true }],
    removesNothing: false,
    isSolved: true,
    ...more,
  }) as unknown as Schemas['RemediesView'];

const get = (remedies: Schemas['RemediesView']) => ({
  '/api/cases/{id}/remedies': remedies,
  '/api/cases/{id}/chain': { contained: [{ event: 'bind', label: 'Spring goes solid', words: 'Less lift holds it.' }] },
  '/api/cases/{id}/ranking': { causes: [{ code: 'coil_bind', label: 'Coil bind' }] },
  '/api/cases/{id}/groups': [{ code: 'A1', name: 'cylinder 1', places: ['A1-E1', 'A1-I1'] }],
});
const taken = { kind: 'taken', place: 'engine', part: 'remedy', item: 'taken' } as const;

test('remedies stand side by side: before and after, worse in words, still outside last', async () => {
  openCase(<Remedy />, { get: get(board([shims, lift, limiter])), at: 'remedy/remedies' });
  const cell = await screen.findByRole('button', { name: 'travel to bind, A: 0.080 to 0.050, 1E, outside' });
  expect(cell).toHaveTextContent('worse');
  expect(screen.getByRole('button', { name: /^travel to bind, B: 0.080 to 0.110/ })).not.toHaveTextContent('worse');
  expect(screen.queryByRole('button', { name: /^travel to bind, C/ })).toBeNull();
  const held = screen.getByRole('region', { name: 'C, Limiter' });
  expect(held).toHaveTextContent('shims 0.030 in more until the springs come');
  expect(held).toHaveTextContent('lash each day');
  expect(screen.getByText(words.remedy.outside, { selector: '.wrong b' }).parentElement).toHaveTextContent(
    'Still outside: travel to bind 0.050',
  );
  expect(screen.getByText(words.remedy.nothingOutside, { exact: false })).toBeVisible();
  expect(await screen.findByText('Less lift holds it.', { exact: false })).toBeInTheDocument();
});

test('one cure is taken in the place of another, what holds stays beside it', async () => {
  const { user, sent } = openCase(<Remedy />, {
    get: get(board([shims, lift, limiter])),
    at: 'remedy/remedies',
    entries: [{ ...taken, content: { remedies: ['c', 'b'] } }],
  });
  await user.click(await screen.findByRole('button', { name: 'Take A' }));
  await waitFor(() => expect(told(sent)).toEqual([['engine/remedy/taken', { remedies: ['c', 'a'] }]]));
});

test('T takes what the hand is on, and takes it back', async () => {
  const { user, sent } = openCase(<Remedy />, {
    get: get(board([shims, lift])),
    at: 'remedy/remedies',
    entries: [{ ...taken, content: { remedies: ['b'] } }],
  });
  (await screen.findByRole('button', { name: /^travel to bind, A/ })).focus();
  await user.keyboard('{ArrowRight}t');
  await waitFor(() => expect(sent.map((one) => one.kind)).toEqual(['withdrawal']));
  await user.keyboard('{ArrowLeft}t');
  await waitFor(() => expect(told(sent.slice(1))).toEqual([['engine/remedy/taken', { remedies: ['a'] }]]));
});

test('what only holds is said to remove nothing, with the cause that was called', async () => {
  const view = twin({ call: { causes: ['coil_bind'] } });
  openCase(<Remedy />, { view, get: get(board([limiter], { removesNothing: true })), at: 'remedy/remedies' });
  expect(await screen.findByText(/Coil bind: not removed/)).toBeVisible();
});

test('a remedy is written with what it changes; a figure that is none is named', async () => {
  const { user, sent } = openCase(<Remedy />, { get: get(board([])), at: 'remedy/remedies' });
  expect(await screen.findByText(words.remedy.empty)).toBeVisible();
  await user.click(screen.getByRole('button', { name: words.remedy.add }));
  const dialog = await screen.findByRole('dialog');
  const f = words.remedy.form;
  await waitFor(() => expect(within(dialog).getByLabelText(f.name)).toHaveFocus());
  await user.keyboard('Shims');
  await user.type(within(dialog).getByLabelText(f.figure), 'thin{Enter}');
  expect(within(dialog).getByRole('alert')).toHaveTextContent('“thin” is no figure; a number in in is accepted.');
  await user.clear(within(dialog).getByLabelText(f.figure));
  await user.type(within(dialog).getByLabelText(f.figure), '0,030{Enter}');
  expect(within(dialog).getByText('shims, all valves: +0.03 in')).toBeVisible();
  expect(within(dialog).queryByRole('alert')).toBeNull();
  await user.click(within(dialog).getByRole('button', { name: f.keep }));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.slot).toMatchObject({ place: 'engine', part: 'remedy', item: 'alternative' });
  expect(sent[0]?.data).toEqual({
    name: 'Shims',
    remedyKind: 'cure',
    change: [{ places: ['A1-E1', 'A1-I1', 'A2-E1', 'A2-I1'], name: 'shim_stack', by: { number: 0.03, unit: 'in' } }],
  });
});

test('a limiter is set with what it cuts', async () => {
  const { user, sent } = openCase(<Remedy />, { get: get(board([])), at: 'remedy/remedies' });
  await user.click(await screen.findByRole('button', { name: words.remedy.add }));
  const dialog = await screen.findByRole('dialog');
  const f = words.remedy.form;
  await user.type(within(dialog).getByLabelText(f.name), 'Lower limiter');
  const choose = async (label: string, text: string): Promise<void> => {
    await user.click(within(dialog).getByRole('combobox', { name: label }));
    const option = (): Element | undefined =>
      [...document.querySelectorAll('.ant-select-dropdown .ant-select-item-option')].find((one) => one.textContent === text);
    await waitFor(() => expect(option()).toBeDefined());
    await user.click(option() as Element);
  };
  expect(within(dialog).queryByRole('combobox', { name: f.way })).toBeNull();
  await choose(f.what, 'running: limiter');
  await choose(f.way, 'cuts the ignition');
  await choose(f.how, f.hows.to);
  await user.type(within(dialog).getByLabelText(f.figure), '6800{Enter}');
  expect(within(dialog).getByText('limiter, engine: 6800 1/min, cuts the ignition')).toBeVisible();
  await user.click(within(dialog).getByRole('button', { name: f.keep }));
  await waitFor(() =>
    expect(sent[0]?.data.change).toEqual([
      { places: ['engine'], name: 'highest_speed', kind: 'ignition', to: { number: 6800, unit: '1/min' } },
    ]),
  );
});

test('what only holds needs what ends it', async () => {
  const { user, sent } = openCase(<Remedy />, { get: get(board([])), at: 'remedy/remedies' });
  await user.click(await screen.findByRole('button', { name: words.remedy.add }));
  const dialog = await screen.findByRole('dialog');
  const f = words.remedy.form;
  await user.type(within(dialog).getByLabelText(f.name), 'Limiter');
  await user.click(within(dialog).getByRole('radio', { name: f.kinds.containment }));
  expect(within(dialog).getByRole('button', { name: f.keep })).toBeDisabled();
  await user.type(within(dialog).getByLabelText(f.until), 'new springs');
  await user.click(within(dialog).getByRole('button', { name: f.keep }));
  await waitFor(() => expect(sent[0]?.data).toEqual({ name: 'Limiter', remedyKind: 'containment', until: 'new springs', change: [] }));
});

test('figures are typed with point or comma', () => {
  expect(['0.03', ' 0,03 ', '−0.02', '', 'x'].map(figureOf)).toEqual([0.03, 0.03, -0.02, null, null]);
});

const part = (more: object = {}) => ({
  part: 'spring',
  label: 'spring',
  place: 'A1-E1',
  where: '1E',
  count: 1,
  advised: 'replace',
  reasons: ['stood in the stack that failed'],
  left: null,
  unit: 'h',
  decided: null,
  amount: null,
  amountUnit: null,
  words: '',
  ...more,
});
const reuse = {
  parts: [
    part(),
    part({
      part: 'valve',
      label: 'valve',
      place: 'engine',
      where: 'all',
      count: 4,
      advised: 'keep',
      reasons: ['looked at, nothing against them'],
    }),
  ],
  orders: [
    { part: 'spring', what: 'replace', count: 1, label: 'spring', where: '1E', isDecided: false },
    { part: 'seat', what: 'rework', count: 2, label: 'seat', where: '1E, 2E', isDecided: true },
  ],
  decided: 0,
};

test('a part is decided as advised with one press, or kept with its reason', async () => {
  const { user, sent } = openCase(<Remedy />, { get: { ...get(board([])), '/api/cases/{id}/reuse': reuse }, at: 'remedy/reuse' });
  const row = await screen.findByRole('row', { name: /^spring 1E/ });
  await user.click(within(row).getByRole('button', { name: words.reuse.accept }));
  await waitFor(() =>
    expect(told(sent)).toEqual([['A1-E1/spring/reuse', { decision: 'replace', words: 'stood in the stack that failed' }]]),
  );
  await user.click(screen.getByRole('combobox', { name: words.reuse.decide('valve', 'all') }));
  await user.click(await screen.findByTitle(words.reuse.decisions.keep_with_limit));
  const why = await screen.findByLabelText(words.reuse.why);
  expect(why).toHaveValue('');
  await user.type(why, 'sound');
  await user.type(screen.getByLabelText(words.reuse.limit), '20');
  await user.click(screen.getByRole('button', { name: words.reuse.keepIt }));
  await waitFor(() =>
    expect(told(sent.slice(1))).toEqual([['engine/valve/reuse', { decision: 'keep_with_limit', words: 'sound', amount: 20, unit: 'h' }]]),
  );
});

test('what is ordered goes on the schedule, once', async () => {
  const { user, sent } = openCase(<Remedy />, { get: { ...get(board([])), '/api/cases/{id}/reuse': reuse }, at: 'remedy/reuse' });
  const buy = (await screen.findByText('1 × spring')).closest('li') as HTMLElement;
  expect(buy).toHaveTextContent(words.reuse.notDecided);
  await user.click(within(buy).getByRole('button', { name: words.reuse.schedule }));
  await waitFor(() => expect(sent[0]?.data).toMatchObject({ label: '1 × spring', kind: 'parts' }));
  expect(await within(buy).findByText(words.reuse.onSchedule)).toBeVisible();
  expect((await screen.findByText('rework: seat, 2 places')).closest('li')).not.toHaveTextContent(words.reuse.notDecided);
});
