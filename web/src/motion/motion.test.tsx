import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import { words } from '../shared/messages';
import { openCase } from '../testing/case';
import { secondsAbove, secondsBetween } from './logged';
import Motion from './Motion';

const quantity = (figure: string) => ({ figure, unit: 'g', plusMinus: null, shown: `${figure} g` });
const SPEEDS = [4000, 5000, 6000, 7000];
const sweep = (loft: number[]) => ({
  loft,
  gap: [0, 0, 0.01, 0.02],
  bounce: [0, 0.001, 0.002, null],
  bounceLow: [0, 0, 0.001, null],
  bounceHigh: [0, 0.002, 0.003, null],
  landing: [0.3, 0.4, 0.5, null],
  peak: [200, 250, 300, 350],
  varies: [false, false, false, true],
});
const lobe = {
  first: -2,
  lift: [0, 0.2, 0.4, 0.2, 0],
  velocity: [0, 0.2, 0, -0.2, 0],
  acceleration: [0, 0, -0.4, 0, 0],
  jerk: [0, 0, 0, 0, 0],
};
const motion = (more: object = {}) => ({
  place: 'A1-E1',
  label: '1E',
  card: [{ name: 'ramp_height', label: 'ramp', value: quantity('0.012'), origin: 'as solid lobes usually have it', isGuess: true }],
  lobe,
  triedLobe: null,
  figures: [
    {
      name: 'valve_mass',
      label: 'mass of the valve',
      value: quantity('44.6'),
      origin: 'a guess: what such engines usually have',
      isGuess: true,
    },
  ],
  statics: [],
  missing: [],
  because: null,
  remarks: [],
  thresholds: [
    { name: 'first_loss', label: 'first loss', found: 4500, plusMinus: 900, tried: null },
    { name: 'float', label: 'float', found: 6600, plusMinus: 500, tried: 6900 },
    { name: 'bound', label: 'bound', found: 8000, plusMinus: null, tried: null },
  ],
  speeds: SPEEDS,
  sweep: sweep([0, 0, 0.001, 0.02]),
  triedSweep: null,
  triedBecause: null,
  meetsAt: 0.006,
  meets: 'retainer to seal',
  floatLoft: 0.00984,
  highest: 6000,
  harmonics: [{ number: 6, speed: 6050, share: 2.5 }],
  sliders: [
    {
      name: 'retainer_mass',
      label: 'mass of the retainer',
      unit: 'g',
      from: 4,
      to: 20,
      step: 0.5,
      decimals: 1,
      found: 10,
      origin: 'scale',
    },
  ],
  springs: [],
  isSolved: true,
  unitLength: 'in',
  unitForce: 'lbf',
  ...more,
});
const turn = {
  speed: 6000,
  degrees: [-4, -2, 0, 2, 4],
  asked: [0, 0.3, 0.6, 0.3, 0],
  lift: [0, 0.31, 0.62, 0.2, 0],
  force: [0, 300, 0, 0, 200],
  held: [false, true, false, false, true],
  lost: 3.2,
  loft: 0.02,
  fullLift: 0.6,
  bounces: 0,
  landing: 0.5,
  varies: false,
};
interface Asked {
  params: { path: { place: string }; query: { speed?: number; change?: string } };
}
let turned: number[] = [];
let tried: string[] = [];
const get = (told: object = motion(), log: object = { files: [], unread: [], bins: [], peaks: [] }) => ({
  '/api/cases/{id}/margins': { content: '', columns: [], margins: [] },
  '/api/cases/{id}/sheets': [],
  '/api/catalogue': { columns: [] },
  '/api/cases/{id}/solving': { state: 'done', done: 3, total: 3, message: null },
  '/api/cases/{id}/motion/{place}/log': log,
  '/api/cases/{id}/motion/{place}/turn': ({ params }: Asked) => {
    turned.push(params.query.speed ?? 0);
    return turn;
  },
  '/api/cases/{id}/motion/{place}': ({ params }: Asked) => {
    tried.push(params.query.change ?? '');
    return { ...told, place: params.path.place };
  },
});

test('the sweep names its speeds with their ±, and a turn stands under the cursor', async () => {
  openCase(<Motion />, { at: 'motion/sweep?at=A1-E1', get: get() });
  expect(await screen.findByRole('img', { name: words.motion.sweepOf('1E') })).toBeVisible();
  expect(screen.getByRole('row', { name: /^float/ })).toHaveTextContent('6600 ±500');
  expect(screen.getByText(words.motion.varies)).toBeVisible();
  expect(screen.getByText(/retainer to seal/)).toBeVisible();
  expect(await screen.findByRole('img', { name: words.motion.turnOf('1E', 6000) })).toBeVisible();
  expect(screen.getByText(words.motion.lostFor(3.2))).toBeVisible();
  expect(screen.getByText(words.motion.lost)).toBeVisible();
});

test('the cursor goes by fifty, by five hundred with Shift, and says where it stands', async () => {
  turned = [];
  openCase(<Motion />, { at: 'motion/sweep?at=A1-E1', get: get() });
  const cursor = await screen.findByRole('slider', { name: words.motion.sweepOf('1E') });
  fireEvent.keyDown(cursor, { key: 'ArrowRight' });
  await waitFor(() => expect(cursor).toHaveAttribute('aria-valuenow', '6050'));
  fireEvent.keyDown(cursor, { key: 'ArrowLeft', shiftKey: true });
  await waitFor(() => expect(cursor).toHaveAttribute('aria-valuenow', '5550'));
  expect(cursor).toHaveAttribute('aria-valuetext', expect.stringContaining('5550 1/min'));
  await waitFor(() => expect(turned).toContain(5550));
  for (let i = 0; i < 5; i += 1) fireEvent.keyDown(cursor, { key: 'ArrowRight', shiftKey: true });
  await waitFor(() => expect(cursor).toHaveAttribute('aria-valuenow', '7000'));
  expect(screen.getByRole('row', { name: /^bounce/ })).toHaveTextContent('–');
});

test('what is tried is asked for, and stands beside what was found', async () => {
  tried = [];
  openCase(<Motion />, { at: 'motion/sweep?at=A1-E1', get: get(motion({ triedSweep: sweep([0, 0, 0, 0.01]) })) });
  const slider = await screen.findByRole('slider', { name: 'mass of the retainer' });
  fireEvent.keyDown(slider, { key: 'ArrowLeft' });
  await waitFor(() => expect(tried.at(-1)).toContain('"number":9.5'));
  expect(screen.getByRole('row', { name: /^float/ })).toHaveTextContent('6900');
});

test('a train of which something is missing says what', async () => {
  openCase(<Motion />, {
    at: 'motion/sweep?at=A1-E1',
    get: get(motion({ sweep: null, thresholds: [], speeds: [], missing: ['lash', 'net lift'] })),
  });
  expect(await screen.findByText(words.motion.noTrain)).toBeVisible();
  expect(screen.getByText('lash, net lift.')).toBeVisible();
});

test('figures that contradict each other are told apart from missing ones', async () => {
  openCase(<Motion />, {
    at: 'motion/sweep?at=A1-E1',
    get: get(motion({ sweep: null, thresholds: [], speeds: [], because: 'The lobe stands longer above the greater lift.' })),
  });
  expect(await screen.findByText(words.motion.notThis)).toBeVisible();
});

test('what nobody weighed is said to be a guess', async () => {
  openCase(<Motion />, { at: 'motion/forces?at=A1-E1', get: get() });
  expect(await screen.findByRole('row', { name: /mass of the valve/ })).toHaveTextContent('a guess: what such engines usually have');
});

test('speeds that are not worked out offer to be, and one that goes on can be cancelled', async () => {
  const told = get(motion({ isSolved: false }));
  openCase(<Motion />, {
    at: 'motion/sweep?at=A1-E1',
    get: { ...told, '/api/cases/{id}/solving': { state: 'solving', done: 4, total: 48, message: null } },
  });
  expect(await screen.findByText(words.motion.solving(4, 48))).toBeVisible();
  expect(screen.getByRole('progressbar', { name: words.motion.solving(4, 48) })).toHaveAttribute('value', '4');
  expect(screen.getByRole('button', { name: words.motion.cancel })).toBeVisible();
});

test('the log is laid over the speeds, and its highest becomes evidence', async () => {
  const log = {
    files: ['run.csv'],
    unread: ['other.csv'],
    bins: [
      { from: 6500, seconds: 4 },
      { from: 6600, seconds: 2 },
      { from: 7400, seconds: 0.5 },
    ],
    peaks: [{ channel: 'speed', label: 'engine speed', unit: '1/min', value: 7480.4, time: 12.3, speed: 7480.4 }],
  };
  openCase(<Motion />, { at: 'motion/log?at=A1-E1', get: get(motion(), log) });
  expect(within(await screen.findByRole('row', { name: /above float/ })).getByText('2.5')).toBeVisible();
  expect(screen.getByText(/Not read yet: other.csv/)).toBeVisible();
  expect(screen.getByText(words.motion.highestLogged('7480', '12.3'))).toBeVisible();
  expect(screen.getByRole('button', { name: words.motion.cite })).toBeVisible();
});

test('without a log it says where one comes from', async () => {
  openCase(<Motion />, { at: 'motion/log?at=A1-E1', get: get() });
  expect(await screen.findByText(words.motion.noLog)).toBeVisible();
});

const valve = (kind: 'I' | 'E', more: object = {}) => ({
  place: `A1-${kind}1`,
  label: `1${kind}`,
  kind,
  found: [0.3, 0.08, 0.2],
  tried: [0.3, 0.07, 0.2],
  foundLeast: { degree: kind === 'E' ? -10 : 10, clearance: 0.08 },
  triedLeast: { degree: kind === 'E' ? -10 : 10, clearance: 0.07 },
  least: [0.05, 0.08, 0.11],
  early: 0,
  limits: { 'tight intake': 0.08, traditional: 0.1 },
  ruling: 'traditional',
  measured: null,
  sign: `Sign of ${kind}.`,
  missing: [],
  because: null,
  ...more,
});
const piston = (valves: object[]) => ({
  valves,
  degrees: [-42, 0, 42],
  phases: [-12, 0, 12],
  growthLeast: 0.04,
  growthMost: 0.06,
  unit: 'in',
});

test('the piston under a cylinder: each valve against its limit, at speed as a range, by its sign', async () => {
  const phases: number[] = [];
  openCase(<Motion />, {
    at: 'motion/piston?at=A1-E1',
    get: {
      ...get(),
      '/api/cases/{id}/motion/{place}/piston': ({ params }: { params: { query: { phase: number } } }) => {
        phases.push(params.query.phase);
        return piston([valve('E'), valve('I', { measured: { ...quantity('0.080'), shown: '0.080 ± 0.006 in' } })]);
      },
    },
  });
  const slider = await screen.findByRole('slider', { name: words.motion.piston.slider('1E') });
  const exhaust = screen.getByRole('region', { name: words.motion.piston.chart('1E') });
  expect(exhaust).toHaveTextContent('0.080 in');
  expect(exhaust).toHaveTextContent(words.motion.piston.outside);
  expect(exhaust).toHaveTextContent(words.motion.piston.range('0.020', '0.040'));
  expect(exhaust).toHaveTextContent(words.motion.piston.assumed);
  expect(exhaust).toHaveTextContent('Sign of E.');
  expect(screen.getByRole('region', { name: words.motion.piston.chart('1I') })).toHaveTextContent(
    words.motion.piston.level('0.080 ± 0.006 in'),
  );
  fireEvent.keyDown(slider, { key: 'ArrowLeft' });
  await waitFor(() => expect(slider).toHaveAttribute('aria-valuenow', '-0.5'));
  await waitFor(() => expect(phases).toContain(-0.5));
  expect(slider).toHaveAttribute('aria-valuetext', expect.stringContaining('0.5 late'));
  fireEvent.keyDown(slider, { key: 'Backspace' });
  await waitFor(() => expect(slider).toHaveAttribute('aria-valuenow', '0'));
});

test('a piston of which nothing can be told says what it takes', async () => {
  openCase(<Motion />, {
    at: 'motion/piston?at=A1-E1',
    get: {
      ...get(),
      '/api/cases/{id}/motion/{place}/piston': piston([
        valve('E', { found: [], tried: [], foundLeast: null, triedLeast: null, least: [], missing: ['rod length', 'stroke'] }),
      ]),
    },
  });
  expect(await screen.findByText(words.motion.piston.missing('1E'))).toBeVisible();
  expect(screen.getByText('rod length, stroke.')).toBeVisible();
});

test('seconds of a bin that a speed cuts count by their share', () => {
  const bins = [
    { from: 6900, seconds: 10 },
    { from: 7000, seconds: 4 },
  ];
  expect(secondsAbove(bins, 6975)).toBeCloseTo(6.5);
  expect(secondsBetween(bins, 6950, 7050)).toBeCloseTo(7);
  expect(secondsAbove(bins, 7100)).toBe(0);
});
