import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { expect, test, vi } from 'vitest';
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
const margin = (title: string, figure: string, more: object = {}) => ({
  title,
  verdict: 'inside',
  verdictWords: 'inside',
  limitWords: 'at least 0',
  value: quantity(figure),
  sentence: '',
  ...more,
});
const weighed = (name: string, found: string, tried: string | null) => ({
  name,
  found: margin(name, found),
  tried: tried === null ? null : margin(name, tried),
});
const asked = [
  {
    code: 'rig_springs',
    ask: 'Springs on it',
    step: 'motion',
    part: 'piston_relief',
    site: 'engine',
    choices: [
      { code: 'light', label: 'light ones', meaning: 'It can be pushed.', spoils: false },
      { code: 'own', label: 'its own', meaning: 'They squeeze the clay.', spoils: true },
    ],
  },
];
const motion = (more: object = {}) => ({
  place: 'A1-E1',
  label: '1E',
  card: [{ name: 'ramp_height', label: 'ramp', value: quantity('0.012'), origin: 'as solid lobes usually have it', isGuess: true }],
  lobe,
  lobeBand: null,
  triedLobe: null,
  measured: null,
  worn: null,
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
  parts: [{ part: 'lobe', from: 'shelf-lobes-late', name: 'Late', isShelved: true }],
  weighed: [weighed('seat_load_left', '41', null)],
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
const get = (told: object = motion(), log: object = { files: [], unread: [], bins: [], peaks: [], traces: [], unitForce: 'lbf' }) => ({
  '/api/cases/{id}/margins': { content: '', columns: [], margins: [] },
  '/api/cases/{id}/sheets': [],
  '/api/catalogue': { columns: [], asked },
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
  expect(screen.getByRole('row', { name: /^float 6/ })).toHaveTextContent('6600 ±500');
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

test('a degree of the turn is read off by keys, and spoken', async () => {
  openCase(<Motion />, { at: 'motion/sweep?at=A1-E1', get: get() });
  const cursor = await screen.findByRole('slider', { name: words.motion.turnOf('1E', 6000) });
  expect(within(cursor).queryByText('0°')).toBeNull();
  fireEvent.keyDown(cursor, { key: 'ArrowLeft' });
  fireEvent.keyDown(cursor, { key: 'ArrowLeft' });
  expect(cursor).toHaveAttribute('aria-valuetext', '−2°, lobe asks 0.3000, valve 0.3100, force, lbf 300');
  expect(cursor.querySelector('[data-readout]')).toHaveTextContent('−2°lobe asks0.3000valve0.3100force, lbf300');
  fireEvent.keyDown(cursor, { key: 'ArrowRight', shiftKey: true });
  expect(cursor).toHaveAttribute('aria-valuenow', '8');
});

test('what is tried is asked for, and stands beside what was found', async () => {
  tried = [];
  openCase(<Motion />, { at: 'motion/sweep?at=A1-E1', get: get(motion({ triedSweep: sweep([0, 0, 0, 0.01]) })) });
  const slider = await screen.findByRole('slider', { name: 'mass of the retainer' });
  fireEvent.keyDown(slider, { key: 'ArrowLeft' });
  await waitFor(() => expect(tried.at(-1)).toContain('"number":9.5'));
  expect(screen.getByRole('row', { name: /^float 6/ })).toHaveTextContent('6900');
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
    traces: [
      {
        file: 'run.csv',
        times: [0, 5, 10, 12, 15],
        low: [900, 3000, 6800, 7000, 2000],
        high: [1200, 6700, 7480, 7100, 4000],
        left: [80, 60, -4, 10, 70],
        demands: [
          { demand: 'float', from: 10, until: 12, speed: 7480, pressure: null, left: null, isOverRun: false, isGravest: true },
          { demand: 'unseated', from: 10, until: 12, speed: 7480, pressure: 2.4, left: -4, isOverRun: true, isGravest: true },
        ],
        more: 3,
      },
    ],
    unitForce: 'lbf',
  };
  const { sent, user } = openCase(<Motion />, { at: 'motion/log?at=A1-E1', get: get(motion(), log) });
  expect(within(await screen.findByRole('row', { name: /above float/ })).getByText('2.5')).toBeVisible();
  expect(screen.getByText(/Not read yet: other.csv/)).toBeVisible();
  expect(screen.getByText(words.motion.highestLogged('7480', '12.3'))).toBeVisible();
  expect(screen.getByRole('button', { name: words.motion.cite })).toBeVisible();
  // The course of the log, by its moments, with what was asked of the valve.
  const course = screen.getByRole('slider', { name: words.motion.course('run.csv') });
  fireEvent.keyDown(course, { key: 'ArrowLeft' });
  expect(course).toHaveAttribute('aria-valuetext', words.motion.moment('5', '6700'));
  const unseated = screen.getByRole('row', { name: new RegExp(words.motion.demands.unseated) });
  expect(unseated).toHaveTextContent(words.motion.overRun);
  expect(unseated).toHaveTextContent('−4');
  expect(screen.getByText(words.motion.moreDemands(3))).toBeVisible();
  await user.click(within(unseated).getByRole('button', { name: words.motion.citeThis }));
  await waitFor(() =>
    expect(sent.at(-1)).toMatchObject({
      kind: 'claim',
      slot: { place: 'kind-E', part: 'port', item: 'claimed.port_pressure' },
      data: { text: '2.4 bar', standing: 'known' },
    }),
  );
  // With the cursor on the float, one key makes it what the engine saw.
  fireEvent.keyDown(course, { key: 'ArrowRight' });
  fireEvent.keyDown(course, { key: 'e' });
  await waitFor(() => expect(sent.map((one) => one.data.text)).toContain('7480 1/min'));
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
  radial: margin('relief around the valve', '0.050'),
  metal: margin('metal left', '0.140', { verdict: 'cannot_tell', verdictWords: 'cannot tell', sentence: 'Not decided without its maker.' }),
  metalTried: null,
  missing: [],
  because: null,
  ...more,
});
const piston = (valves: object[], more: object = {}) => ({
  valves,
  degrees: [-42, 0, 42],
  phases: [-12, 0, 12],
  pair: null,
  stations: [
    { place: 'A1-E1', label: '1E', least: { degree: -10.2, clearance: 0.08 }, isMeasured: false, isOutside: true, verdictWords: 'outside' },
    { place: 'A2-I1', label: '2I', least: null, isMeasured: false, isOutside: false, verdictWords: '' },
  ],
  growthLeast: 0.04,
  growthMost: 0.06,
  unit: 'in',
  ...more,
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

test('every valve is told with its angle, and one is chosen by its tag', async () => {
  const places: string[] = [];
  const { user } = openCase(<Motion />, {
    at: 'motion/piston?at=A1-E1',
    get: {
      ...get(),
      '/api/cases/{id}/motion/{place}/piston': ({ params }: { params: { path: { place: string } } }) => {
        places.push(params.path.place);
        return piston([valve('E')]);
      },
    },
  });
  const row = await screen.findByRole('row', { name: /^1E/ });
  expect(row).toHaveTextContent('0.080');
  expect(row).toHaveTextContent(words.motion.piston.degree(-10.2));
  expect(row).toHaveTextContent(words.motion.piston.isAssumed);
  expect(screen.getByText(/Not decided without its maker/)).toBeVisible();
  const other = screen.getByRole('row', { name: /^2I/ });
  expect(other).toHaveTextContent(words.motion.piston.unknown);
  await user.click(within(other).getByRole('button'));
  await waitFor(() => expect(places).toContain('A2-I1'));
});

test('what is tried on the sweep is asked for under the piston too, and said', async () => {
  const asked: (string | undefined)[] = [];
  const change = [{ places: ['A1-E1'], name: 'retainer_mass', to: { number: 6.5, unit: 'g' } }];
  openCase(<Motion />, {
    at: `motion/piston?at=A1-E1&try=${encodeURIComponent(JSON.stringify(change))}`,
    get: {
      ...get(),
      '/api/cases/{id}/motion/{place}/piston': ({ params }: Asked) => {
        asked.push(params.query.change);
        return piston([valve('E')]);
      },
    },
  });
  expect(await screen.findByText(`${words.motion.tried}: mass of the retainer 6.5 g`)).toBeVisible();
  expect(asked).toContain(JSON.stringify(change));
});

test('changes set aside stand under the piston as well: each its curve by its name, each its figure', async () => {
  const asked: (string | undefined)[] = [];
  const to = (number: number) => [{ places: ['A1-E1'], name: 'lobe_lift', to: { number, unit: 'in' } }];
  const [kept, live] = [to(0.41), to(0.39)];
  openCase(<Motion />, {
    at: `motion/piston?at=A1-E1&try=${encodeURIComponent(JSON.stringify(live))}&beside=${encodeURIComponent(JSON.stringify([kept]))}`,
    get: {
      ...get(),
      '/api/cases/{id}/motion/{place}/piston': ({ params }: Asked) => {
        asked.push(params.query.change);
        const clearance = params.query.change === JSON.stringify(kept) ? 0.061 : 0.093;
        return piston([valve('E', { triedLeast: { degree: -10, clearance } })]);
      },
    },
  });
  const exhaust = await screen.findByRole('region', { name: words.motion.piston.chart('1E') });
  await waitFor(() => expect(exhaust).toHaveTextContent('on its marks: 0.093, A 0.061'));
  expect(new Set(asked)).toEqual(new Set([JSON.stringify(live), JSON.stringify(kept)]));
  const drawn = within(screen.getByRole('img', { name: words.motion.piston.chart('1E') }));
  expect(drawn.getByText('A')).toBeVisible();
  expect(document.querySelectorAll('.piston-chart path[stroke-dasharray="8 4"]')).toHaveLength(1);
  expect(document.querySelector('[data-readout]')).toHaveTextContent('0.093+0.013');
});

test('a deeper relief is asked for, and the gap of two heads is drawn', async () => {
  const deeper: number[] = [];
  const pair = {
    label: '1I, 1E',
    found: [0.2, 0.09, 0.2],
    tried: [0.2, 0.08, 0.2],
    foundLeast: { degree: 1, clearance: 0.09 },
    triedLeast: { degree: 1, clearance: 0.08 },
    limits: { usual: 0.06, wide: 0.1 },
    ruling: 'usual',
    measured: null,
    areParallel: true,
    missing: [],
    because: null,
  };
  openCase(<Motion />, {
    at: 'motion/piston?at=A1-E1',
    get: {
      ...get(),
      '/api/cases/{id}/motion/{place}/piston': ({ params }: { params: { query: { deeper: number } } }) => {
        deeper.push(params.query.deeper);
        return piston([valve('E', { metalTried: margin('metal left', '0.110') })], { pair });
      },
    },
  });
  expect(await screen.findByRole('img', { name: words.motion.piston.pairOf('1I, 1E') })).toBeVisible();
  expect(screen.getByText(words.motion.piston.parallel)).toBeVisible();
  fireEvent.change(screen.getByRole('slider', { name: /reliefs deeper/ }), { target: { value: '0.03' } });
  await waitFor(() => expect(deeper).toContain(0.03));
  expect(screen.getByText(new RegExp(words.motion.piston.deeperBy('0.030')))).toBeVisible();
  expect(screen.getByText('0.110 g')).toBeVisible();
});

test('the rig of a check is counted, and what spoils its figure is said', async () => {
  const { user } = openCase(<Motion />, {
    at: 'motion/piston?at=A1-E1',
    get: { ...get(), '/api/cases/{id}/motion/{place}/piston': piston([valve('E')]) },
    entries: [{ kind: 'answer', place: 'engine', part: 'piston_relief', item: 'rig_springs', content: { choice: 'own' } }],
  });
  const rig = await screen.findByText(words.motion.piston.rig);
  await user.click(rig);
  expect(rig.closest('details')).toHaveTextContent(words.motion.piston.rigReady(0, 1));
  expect(screen.getByText('They squeeze the clay.')).toBeVisible();
});

test('a change set aside stands beside the one that is tried, in the address and in the table, until it is dropped', async () => {
  tried = [];
  const told = motion({ triedSweep: sweep([0, 0, 0, 0.01]), weighed: [weighed('seat_load_left', '41', '55')] });
  const { user } = openCase(<Motion />, { at: 'motion/sweep?at=A1-E1', get: get(told) });
  const slider = await screen.findByRole('slider', { name: 'mass of the retainer' });
  fireEvent.keyDown(slider, { key: 'ArrowLeft' });
  const cursor = screen.getByRole('slider', { name: words.motion.sweepOf('1E') });
  fireEvent.keyDown(cursor, { key: 'w' });
  await waitFor(() => expect(screen.getByRole('button', { name: words.motion.keepBeside })).toBeDisabled());
  fireEvent.keyDown(cursor, { key: 'w' });
  await waitFor(() => expect(screen.getByRole('button', { name: words.motion.keepBeside })).toBeEnabled());
  await user.click(await screen.findByRole('button', { name: words.motion.keepBeside }));
  expect(await screen.findByText('mass of the retainer 9.5 g')).toBeVisible();
  fireEvent.keyDown(slider, { key: 'ArrowRight' });
  await waitFor(() => expect(tried.at(-1)).toContain('"number":10.5'));
  const heads = within(screen.getByRole('row', { name: new RegExp(`^${words.motion.thresholds}`) })).getAllByRole('columnheader');
  expect(heads.map((one) => one.textContent)).toEqual([words.motion.thresholds, words.motion.found, words.motion.tried, 'A']);
  const left = screen.getByRole('row', { name: /^seat_load_left/ });
  await waitFor(() => expect(left).toHaveTextContent(/41.*55.*55/));
  // Float beyond the 6000 that it saw: 600 as found, 900 as tried.
  expect(screen.getByRole('row', { name: new RegExp(`^${words.motion.floatBeyond}`) })).toHaveTextContent(/600.*900.*900/);
  await user.click(screen.getByRole('button', { name: words.motion.dropNamed('A') }));
  await waitFor(() => expect(screen.queryByText('mass of the retainer 9.5 g')).toBeNull());
});

test('a table of lifts is pasted, checked line by line, and kept for all lobes of its kind', async () => {
  const { user, sent } = openCase(<Motion />, { at: 'motion/lift?at=A1-E1', get: get() });
  await user.click(await screen.findByRole('button', { name: words.motion.table.take }));
  const field = screen.getByRole('textbox', { name: words.motion.table.paste('in') });
  const lines = Array.from({ length: 30 }, (_, i) => `${i * 4 - 58}\t${(0.4 * Math.cos(((i * 4 - 58) / 60) * 1.5)).toFixed(4)}`);
  fireEvent.change(field, { target: { value: [...lines.slice(0, 12), 'about here'].join('\n') } });
  expect(screen.getByRole('alert')).toHaveTextContent(words.motion.table.badLine(13));
  fireEvent.change(field, { target: { value: lines.slice(0, 12).join('\n') } });
  expect(screen.getByRole('button', { name: words.motion.table.least(12, 24) })).toBeDisabled();
  fireEvent.change(field, { target: { value: ['degree;lift', ...lines].join('\n') } });
  await user.click(screen.getByRole('button', { name: words.motion.table.keep(30) }));
  await waitFor(() =>
    expect(sent.at(-1)).toMatchObject({
      kind: 'lift',
      slot: { place: 'kind-E', part: 'lobe', item: 'lift' },
      data: { wheel: 'cam', liftUnit: 'in' },
    }),
  );
});

test('what a card leaves open of its lobe lies about each curve, and is told', async () => {
  const about = (values: readonly number[]) => values.map((value) => [value - 0.1, value + 0.3]);
  const lobeBand = {
    lift: about(lobe.lift),
    velocity: about(lobe.velocity),
    acceleration: about(lobe.acceleration),
    jerk: about(lobe.jerk),
  };
  openCase(<Motion />, { at: 'motion/lift?at=A1-E1', get: get(motion({ lobeBand })) });
  const chart = await screen.findByRole('img', { name: words.motion.lobe('1E') });
  const bands = [...chart.querySelectorAll('path.band')];
  expect(bands).toHaveLength(4);
  // The strip has room for it: the most of the lift, 0.7, is at its top.
  expect(Math.min(...(bands[0]?.getAttribute('d')?.match(/,([\d.]+)/g) ?? []).map((one) => Number(one.slice(1))))).toBeCloseTo(24);
  expect(screen.getByText(words.motion.openOfCard)).toBeVisible();
});

test('a measured lobe is drawn with its points, and its table can be taken back', async () => {
  const measured = {
    place: 'kind-E',
    label: 'all exhausts',
    wheel: 'cam',
    gauge: 'dial indicator',
    degrees: [-1, 0, 1],
    lifts: [0.2, 0.4, 0.2],
    noise: 0.00012,
  };
  const { user, sent } = openCase(<Motion />, {
    at: 'motion/lift?at=A1-E1',
    get: get(motion({ measured, worn: margin('lift', '-0.006', { verdict: 'outside', sentence: 'Worn.' }) })),
    entries: [{ kind: 'lift', place: 'kind-E', part: 'lobe', item: 'lift', content: {} }],
  });
  expect(await screen.findByText(new RegExp(words.motion.table.stands('all exhausts', 3, 'dial indicator')))).toBeVisible();
  expect(screen.getByText(/Lift against the card/)).toHaveTextContent('Worn.');
  expect(screen.queryByText(words.motion.openOfCard)).toBeNull();
  expect(screen.getByRole('img', { name: words.motion.lobe('1E') }).querySelectorAll('circle')).toHaveLength(3);
  await user.click(screen.getByRole('button', { name: words.motion.table.takeBack }));
  await waitFor(() => expect(sent.at(-1)).toMatchObject({ kind: 'withdrawal', slot: { place: 'kind-E', item: 'lift' } }));
});

test('a lobe of the library is tried whole, or taken over as the card of its kind', async () => {
  tried = [];
  const shelf = [{ code: 'late', name: 'Late', sums: '', content: { figures: [{ item: 'card_high_duration', text: '261' }] } }];
  const { user, sent, go } = openCase(<Motion />, {
    at: 'motion/sweep?at=A1-E1',
    get: { ...get(), '/api/library/{shelf}': shelf },
  });
  const choose = async (name: string, option: RegExp | string): Promise<void> => {
    await user.click(await screen.findByRole('combobox', { name }));
    await user.click(await screen.findByRole('option', { name: option }));
  };
  await choose('lobe', words.stack.onShelf('Late'));
  await waitFor(() => expect(tried.at(-1)).toContain('"part":"lobe","from":"shelf-lobes-late"'));
  go('motion/lift?at=A1-E1');
  await choose(words.motion.fromLibrary, 'Late');
  await waitFor(() =>
    expect(sent.at(-1)).toMatchObject({
      kind: 'claim',
      slot: { place: 'kind-E', part: 'lobe', item: 'claimed.card_high_duration' },
      data: { text: '261' },
    }),
  );
});

test('a card is said of all lobes of a kind until it is said to be that of one; what one has of its own opens at it', async () => {
  const ramp = { code: 'ramp_height', label: 'card: height of the ramp', part: 'lobe', units: ['in', 'mm'], claimable: true };
  const { user, sent } = openCase(<Motion />, {
    at: 'motion/lift?at=A1-E1',
    get: { ...get(), '/api/catalogue': { columns: [ramp], asked } },
  });
  const type = async (name: RegExp, text: string): Promise<void> => {
    await user.type(await screen.findByRole('textbox', { name }), `${text}{Enter}`);
  };
  await type(/ramp.*all exhausts/, '0.011');
  await waitFor(() => expect(sent.at(-1)).toMatchObject({ kind: 'claim', slot: { place: 'kind-E', item: 'claimed.ramp_height' } }));
  await user.click(screen.getByRole('combobox', { name: words.motion.table.whose }));
  await user.click(await screen.findByRole('option', { name: words.motion.table.one('1E') }));
  expect(screen.getByRole('heading', { name: `${words.motion.card}, 1E` })).toBeVisible();
  await type(/ramp.*1E/, '0.009');
  await waitFor(() => expect(sent.at(-1)).toMatchObject({ slot: { place: 'A1-E1' }, data: { text: '0.009' } }));
});

test('a drawing is taken away as lines, its colours written into it', async () => {
  const made: Blob[] = [];
  vi.stubGlobal(
    'URL',
    Object.assign(URL, { createObjectURL: (blob: Blob) => made.push(blob) && 'blob:made', revokeObjectURL: () => undefined }),
  );
  const { user } = openCase(<Motion />, { at: 'motion/lift?at=A1-E1', get: get() });
  await screen.findByRole('img', { name: words.motion.lobe('1E') });
  await user.click(screen.getByRole('button', { name: words.drawing.svg }));
  const text = await made[0]?.text();
  expect(text).toContain('xmlns="http://www.w3.org/2000/svg"');
  expect(text).not.toContain('class=');
  expect(text).not.toMatch(/(fill|stroke)="var\(/);
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
