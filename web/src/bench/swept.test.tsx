import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { words } from '../shared/messages';
import { openCase } from '../testing/case';
import { Swept } from './Swept';
import { readPasted } from '../shared/pasted';

/** A stream of a gauge that says what a test gives it. */
class Stream {
  static last: Stream | undefined;
  private readonly heard = new Map<string, (event: { data: string }) => void>();
  constructor() {
    Stream.last = this;
  }
  addEventListener(name: string, listener: (event: { data: string }) => void): void {
    if (!this.heard.has(name)) this.heard.set(name, listener);
  }
  close(): void {
    this.heard.clear();
  }
  say(name: string, data: object = {}): void {
    this.heard.get(name)?.({ data: JSON.stringify(data) });
  }
}

afterEach(() => {
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

const quantity = (figure: string) => ({ figure, unit: '', plusMinus: '0.2', shown: figure });
const spring = (place: string, label: string, moved: number, more: object = {}) => ({
  place,
  label,
  points: Array.from({ length: 12 }, (_, i) => [1.95 - 0.05 * i, 100 + moved + 20 * i]),
  rates: Array.from({ length: 10 }, (_, i) => [1.9 - 0.05 * i, 400]),
  bind: 1.42,
  bindHalf: 0.003,
  bindHeight: quantity('1.420'),
  closesBelow: null,
  isProgressive: false,
  seatLoad: quantity('120'),
  openLoad: quantity('300'),
  rate: quantity('400'),
  loadFrom: null,
  rateFrom: null,
  loadIsOutside: false,
  rateIsOutside: false,
  told: null,
  said: '',
  ...more,
});
const swept = {
  springs: [
    spring('A1-E1', '1E', 0),
    spring('loose-tired', 'tired', -20, {
      loadFrom: quantity('-12.5'),
      loadIsOutside: true,
      told: 'has_set',
      said: 'tired has set.',
    }),
  ],
  against: 'A1-E1',
  installed: 1.9,
  open: 1.5,
  installedShown: '1.900 in',
  openShown: '1.500 in',
  unitHeight: 'in',
  unitLoad: 'lbf',
  unitRate: 'lbf/in',
};
const none = { ...swept, springs: [], against: null, installed: null, open: null };

test('swept springs are drawn over each other and told apart in words', async () => {
  openCase(<Swept />, { at: 'bench/swept', get: { '/api/cases/{id}/sweeps': swept } });
  expect(await screen.findByRole('img', { name: words.swept.chart(2) })).toBeVisible();
  expect(screen.getByText('tired has set.')).toBeVisible();
  expect(screen.getByText(/−12\.5/)).toHaveClass('wrong');
});

test('keys move the cursor, take a spring off and hold the chosen one against the others', async () => {
  const { address } = openCase(<Swept />, { at: 'bench/swept?at=A1-E1', get: { '/api/cases/{id}/sweeps': swept } });
  const group = await screen.findByRole('group', { name: words.swept.chart(2) });
  fireEvent.keyDown(group, { key: 'ArrowRight' });
  expect(screen.getByRole('columnheader', { name: /^1\.890/ })).toBeVisible();
  expect(screen.getByRole('row', { name: /^1E/ })).toHaveTextContent('124');
  fireEvent.keyDown(group, { key: '1' });
  expect(screen.getByRole('img', { name: words.swept.chart(1) })).toBeVisible();
  fireEvent.keyDown(group, { key: 'r' });
  await expect.poll(address).toMatch(/against=loose-tired/);
});

test('what the tester sends is gathered and kept as one entry', async () => {
  vi.stubGlobal('EventSource', Stream);
  const { user, sent } = openCase(<Swept />, { at: 'bench/swept?at=A1-E1', get: { '/api/cases/{id}/sweeps': none } });
  await user.click(await screen.findByRole('button', { name: words.swept.begin }));
  await waitFor(() => expect(Stream.last).toBeDefined());
  for (let n = 0; n < 9; n += 1)
    Stream.last?.say('reading', {
      id: n,
      gauge: 'tester-1',
      number: n,
      value: String(100 + n),
      unit: 'lbf',
      height: `${1.9 - 0.01 * n} in`,
      simulated: true,
    });
  expect(await screen.findByText(words.swept.listening(9))).toBeVisible();
  await user.click(screen.getByRole('button', { name: words.swept.keep }));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]).toMatchObject({
    kind: 'sweep',
    slot: { place: 'A1-E1', part: 'spring', item: 'sweep', index: 'outer' },
    data: { gauge: 'tester-1', received: true, heightUnit: 'in', loadUnit: 'lbf' },
  });
  expect(sent[0]?.data.points).toHaveLength(9);
});

test('a pasted table is kept for a spring off the engine, and a bad line is named', async () => {
  vi.stubGlobal('EventSource', Stream);
  const { user, sent } = openCase(<Swept />, { at: 'bench/swept', get: { '/api/cases/{id}/sweeps': none } });
  await user.click(await screen.findByRole('button', { name: words.swept.begin }));
  await user.click(screen.getByLabelText(words.swept.whose));
  await user.click(await screen.findByTitle(words.swept.off));
  await user.type(screen.getByLabelText(words.swept.tag), 'box-3');
  const paste = screen.getByLabelText(words.swept.paste);
  await user.click(paste);
  await user.paste('height\tload\n1.9\t100\nnonsense\t2\n');
  expect(screen.getByText(words.swept.badLine(3))).toBeVisible();
  await user.clear(paste);
  await user.click(paste);
  await user.paste(Array.from({ length: 8 }, (_, i) => `${(1.9 - 0.05 * i).toFixed(3)} ${100 + 20 * i}`).join('\n'));
  await user.click(screen.getByRole('button', { name: words.swept.keep }));
  await waitFor(() => expect(sent[0]).toMatchObject({ kind: 'sweep', slot: { place: 'loose-box-3' } }));
});

test.each([
  [
    '1.900 168.2\n1.850,188',
    [
      [1.9, 168.2],
      [1.85, 188],
    ],
    null,
  ],
  ['height;load\n1,900;168,2\n', [[1.9, 168.2]], null],
  ['1.9 100\nend\n', [[1.9, 100]], 2],
  ['', [], null],
])('heights and loads are read from %j', (text, points, badLine) => {
  expect(readPasted(text)).toEqual({ points, badLine });
});

test('a sweep that went wrong is taken back', async () => {
  const { user, sent } = openCase(<Swept />, {
    at: 'bench/swept?at=A1-E1',
    entries: [{ kind: 'sweep', place: 'A1-E1', part: 'spring', item: 'sweep', index: 'outer', content: {} }],
    get: { '/api/cases/{id}/sweeps': swept },
  });
  await user.click(await screen.findByRole('button', { name: words.swept.takeBack('1E') }));
  await waitFor(() => expect(sent[0]).toMatchObject({ kind: 'withdrawal', slot: { place: 'A1-E1', item: 'sweep' } }));
});
