import { fireEvent, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../shared/api';
import { openCase, told } from '../testing/case';
import { Logs } from './Logs';

const SHA = 'a'.repeat(64);
const channels = [
  { code: 'time', label: 'time', units: ['s', 'ms'] },
  { code: 'speed', label: 'engine speed', units: ['1/min', 'rpm'] },
  { code: 'boost', label: 'boost', units: ['bar', 'kpa'] },
];
const format = {
  delimiter: ',',
  decimal: '.',
  header_lines: 1,
  headers: ['Time (s)', 'rpm', 'MAP'],
  columns: [
    { index: 0, channel: 'time', unit: 's' },
    { index: 1, channel: 'speed', unit: 'rpm' },
  ],
};
const thresholds = { over_speed: 7600, limiter: 7600, oil_per_thousand: 0.69, oil_temperature: 130 };
const kept = {
  sha256: SHA,
  bytes: 100,
  fileName: 'run.csv',
  format,
  doubts: ['“MAP” names no unit.'],
  sample: ['0.00,900,101', '0.02,910,102'],
  channels,
  thresholds,
};
let answerOfUpload: { status: number; body: unknown };

beforeEach(() => {
  answerOfUpload = { status: 201, body: kept };
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(JSON.stringify(answerOfUpload.body), { status: answerOfUpload.status })));
});
afterEach(() => {
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

const file = (name = 'run.csv'): File => new File(['Time (s),rpm\n'], name, { type: 'text/csv' });
const choose = async (user: ReturnType<typeof openCase>['user'], one = file()): Promise<void> =>
  user.upload(screen.getByLabelText('Choose a log file (CSV)', { selector: 'input' }), one);

test('columns are shown as they were recognised, with their doubts and first figures', async () => {
  const { user } = openCase(<Logs />);
  await choose(user);
  expect(await screen.findByText('“MAP” names no unit.')).toBeVisible();
  expect(screen.getByText(/900\s+910/)).toBeVisible();
  expect(screen.getAllByTitle('not used')).toHaveLength(1);
});

test('a column is corrected, and the log is read as corrected', async () => {
  const { user, sent, asked } = openCase(<Logs />);
  await choose(user);
  await user.click(await screen.findByLabelText('MAP holds'));
  await user.click(await screen.findByTitle('boost'));
  await user.click(screen.getByLabelText('MAP unit'));
  await user.click(await screen.findByTitle('kpa'));
  await user.clear(screen.getByLabelText('over-speed above, 1/min'));
  await user.type(screen.getByLabelText('over-speed above, 1/min'), '7200');
  await user.click(screen.getByRole('button', { name: 'Read the log' }));
  const columns = [...format.columns, { index: 2, channel: 'boost', unit: 'kpa' }];
  await expect.poll(() => asked[0]?.body).toMatchObject({ format: { columns }, thresholds: { over_speed: 7200 } });
  await expect.poll(() => told(sent)[0]?.[0]).toBe(`engine/timeline/log/${SHA.slice(0, 16)}`);
  expect(sent[0]?.data).toMatchObject({ sha256: SHA, fileName: 'run.csv', format: { columns }, thresholds: { over_speed: 7200 } });
});

test('one channel has one column: choosing it again moves it', async () => {
  const { user, asked } = openCase(<Logs />);
  await choose(user);
  await user.click(await screen.findByLabelText('MAP holds'));
  await user.click((await screen.findAllByTitle('engine speed')).at(-1) as HTMLElement);
  await user.click(screen.getByRole('button', { name: 'Read the log' }));
  await expect
    .poll(() =>
      (asked[0]?.body as { format: { columns: { index: number; channel: string }[] } } | undefined)?.format.columns.map(
        (one) => `${one.index} ${one.channel}`,
      ),
    )
    .toEqual(['0 time', '2 speed']);
});

test('what is not a log is refused by its name', async () => {
  answerOfUpload = { status: 422, body: { detail: 'This is not a log: no line holds two figures.' } };
  const { user, sent } = openCase(<Logs />);
  await choose(user, file('letter.csv'));
  expect(await screen.findByRole('alert')).toHaveTextContent('letter.csv: This is not a log: no line holds two figures.');
  expect(sent).toEqual([]);
});

const log = {
  kind: 'log' as const,
  place: 'engine',
  part: 'timeline',
  item: 'log',
  index: SHA.slice(0, 16),
  content: { sha256: SHA, fileName: 'run.csv', format, thresholds },
};
const analysis = (state: string, more: object = {}) => ({
  '/api/logs/{sha256}/analyses': { id: 'an', state, rows: 120000, done: 0.4, message: null, result: null, ...more },
});

test('a log that is being read shows how far it is, and can be cancelled', async () => {
  const deleted = vi.spyOn(api, 'DELETE').mockResolvedValue({ data: {}, response: new Response(null, { status: 200 }) });
  const { user, sent } = openCase(<Logs />, { entries: [log], get: analysis('reading') });
  expect(await screen.findByText(/120,000 rows read/)).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Cancel' }));
  expect(deleted).toHaveBeenCalledOnce();
  await expect.poll(() => sent.map((entry) => entry.kind)).toEqual(['withdrawal']);
});

test('a log that could not be read says where', async () => {
  openCase(<Logs />, { entries: [log], get: analysis('failed', { message: 'line 4: time runs backwards, from 1 s to 0.5 s.' }) });
  expect(await screen.findByRole('alert')).toHaveTextContent('line 4: time runs backwards');
});

test('what was found is listed, and a press on an event goes there', async () => {
  const result = {
    rows: 6000,
    from: 0,
    to: 120,
    totals: [
      { kind: 'over_speed', label: 'over-speed', count: 1, seconds: 0.3 },
      { kind: 'oil_low', label: 'oil pressure low for its speed', count: 0, seconds: 0 },
    ],
    episodes: [{ kind: 'over_speed', label: 'over-speed', unit: '1/min', from: 80, seconds: 0.3, worst: 8210, speed: 8210 }],
    peaks: [{ channel: 'speed', label: 'engine speed', unit: '1/min', value: 8210, time: 80.2, speed: 8210 }],
  };
  const window = [
    { at: 0, ranges: { speed: [900, 2000] } },
    { at: 60, ranges: { speed: [3000, 8210] } },
  ];
  const { user } = openCase(<Logs />, {
    entries: [log],
    get: { ...analysis('ready', { result }), '/api/log-analyses/{id}/window': window },
  });
  const found = await screen.findByRole('list', { name: 'Found in it' });
  const totals = within(found).getAllByRole('listitem');
  expect(totals.map((total) => total.textContent)).toEqual(['over-speed once, 0.3 s', 'oil pressure low for its speed never']);
  expect(totals[0]).toHaveClass('wrong-line');
  expect(totals[1]).not.toHaveClass('wrong-line');
  const chart = screen.getByRole('application');
  expect(chart).toHaveAccessibleName(/0\.0 s to 2:00\.0/);
  await user.click(within(screen.getByRole('list', { name: 'Events' })).getByRole('button', { name: '1:20.0' }));
  expect(chart).toHaveAccessibleName(/1:18\.0 to 1:22\.3/);
  chart.focus();
  await user.keyboard('{ArrowLeft}');
  expect(chart).toHaveAccessibleName(/1:17\.1 to 1:21\.4/);
  const wheel = (more: WheelEventInit = {}): boolean => !fireEvent.wheel(chart, { deltaY: 100, clientX: 10, ...more });
  expect(wheel()).toBe(true); // the chart has the hand
  chart.blur();
  expect(wheel()).toBe(false); // the page scrolls
  expect(wheel({ ctrlKey: true })).toBe(true);
  chart.focus();
  await user.keyboard('-{Home}');
  expect(chart).toHaveAccessibleName(/0\.0 s to 2:00\.0/);
});

test('the peaks of pressures and oil are reckoned with as figures of the build, each where it belongs', async () => {
  const peak = (channel: string, label: string, unit: string, value: number) => ({ channel, label, unit, value, time: 80.2, speed: 7000 });
  const peaks = [
    peak('speed', 'engine speed', '1/min', 8210),
    peak('boost', 'boost', 'bar', 1.4),
    peak('exhaust_pressure', 'exhaust pressure', 'bar', 2.25),
    peak('oil_temperature', 'oil temperature', '°C', 131),
  ];
  const result = { rows: 6000, from: 0, to: 120, totals: [], episodes: [], peaks };
  const { user, sent } = openCase(<Logs />, {
    entries: [log],
    get: { ...analysis('ready', { result }), '/api/log-analyses/{id}/window': [] },
  });
  const row = (name: RegExp) => within(screen.getByRole('row', { name }));
  await screen.findByRole('table', { name: 'Peaks' });
  expect(row(/^engine speed/).queryByRole('button', { name: 'reckon with it' })).toBeNull();
  for (const name of [/^boost/, /^exhaust pressure/, /^oil temperature/])
    await user.click(row(name).getByRole('button', { name: 'reckon with it' }));
  await expect
    .poll(() => told(sent))
    .toEqual([
      ['kind-I/port/claimed.port_pressure', { text: '1.40 bar', standing: 'known' }],
      ['kind-E/port/claimed.port_pressure', { text: '2.25 bar', standing: 'known' }],
      ['engine/oil/claimed.oil_temperature', { text: '131 °C', standing: 'known' }],
    ]);
});
