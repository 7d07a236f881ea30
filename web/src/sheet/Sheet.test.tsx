import { screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, expect, test, vi } from 'vitest';
import { Asked } from '../entry/Asked';
import { catalogue, openCase, told, twin } from '../testing/case';
import { column, margin, sheetLayout, stationRow } from '../testing/sheets';
import type { SheetLayout } from './cells';
import { Sheet } from './Sheet';

afterEach(() => vi.restoreAllMocks());

const rows = ['A1-E1', 'A1-I1', 'A2-E1'].map(stationRow);
const lash = column('lash');
const pull = column('pull');

function Opened({ enter, columns, without, ...more }: Partial<SheetLayout> & { enter: 'down' | 'across'; without?: string }) {
  const [at, setAt] = useState('A1-E1');
  return (
    <Sheet
      layout={sheetLayout('sheet', rows, { columns: columns ?? [lash, pull], ...more })}
      across={enter === 'across'}
      at={at}
      onRow={setAt}
      leavesOut={(row, of) => of.code === 'pull' && row.key === without}
    />
  );
}

const live = (): string => document.activeElement?.getAttribute('aria-label') ?? '';

test('Enter saves and goes down the column, then to the head of the next', async () => {
  const { user, sent } = openCase(<Opened enter="down" />);
  await user.keyboard('0.016{Enter}0.017{Enter}{Enter}');
  expect(live()).toBe('1E pull');
  await expect
    .poll(() => told(sent))
    .toEqual([
      ['A1-E1/valve/lash', { text: '0.016' }],
      ['A1-I1/valve/lash', { text: '0.017' }],
    ]);
});

test('Enter goes along the row and passes over cells that are not there', async () => {
  const { user } = openCase(<Opened columns={[lash, pull, column('third')]} without="A1-E1" enter="across" />);
  await user.keyboard('{Enter}');
  expect(live()).toBe('1E third');
  await user.keyboard('{Enter}');
  expect(live()).toBe('1I lash');
});

test('arrows step while nothing is being typed, and stop at what is not there', async () => {
  const { user } = openCase(<Opened without="A1-I1" enter="across" />);
  await user.keyboard('{ArrowDown}{ArrowRight}');
  expect(live()).toBe('1I lash');
  await user.keyboard('{ArrowDown}{ArrowRight}');
  expect(live()).toBe('2E pull');
});

test('a refused entry brings the hand back, says why, and takes what is offered', async () => {
  const { user, sent } = openCase(<Opened columns={[lash]} enter="down" />, {
    refuse: (entry) =>
      entry.data.text === '16'
        ? { detail: '16 in is not plausible', reason: '16 in is not plausible', accepted: '0.016, 16 thou', offers: ['16 thou'] }
        : null,
  });
  await user.keyboard('16{Enter}');
  const alert = await screen.findByRole('alert');
  expect(alert).toHaveTextContent('1E lash: 16 in is not plausible');
  expect(alert).toHaveTextContent('Accepted: 0.016, 16 thou.');
  expect(live()).toBe('1E lash');
  await user.click(screen.getByRole('button', { name: 'Take 16 thou' }));
  await expect.poll(() => told(sent).at(-1)).toEqual(['A1-E1/valve/lash', { text: '16 thou' }]);
  await expect.poll(() => screen.queryByRole('alert')).toBeNull();
});

test('an emptied cell is taken back', async () => {
  const { user, sent } = openCase(<Opened columns={[lash]} enter="down" />, {
    entries: [{ kind: 'reading', place: 'A1-E1', part: 'valve', item: 'lash', content: { text: '0.016' } }],
  });
  await user.clear(screen.getByLabelText('1E lash'));
  await user.keyboard('{Enter}');
  await expect.poll(() => sent.map((entry) => [entry.kind, entry.supersedes])).toEqual([['withdrawal', 'e0']]);
});

test('a gauge on its cable fills the live cell and says that it was not typed', async () => {
  const { user, sent } = openCase(<Opened columns={[column('pull', { gauge: 'lever_tester' })]} enter="down" />, {
    get: { '/api/gauges/{gauge}/reading': { gauge: 'lever_tester', value: '118', unit: 'lbf', simulated: true } },
  });
  await user.keyboard('{F8}');
  await expect.poll(() => told(sent)).toEqual([['A1-E1/valve/pull', { text: '118 lbf', received: true }]]);
  expect(live()).toBe('1I pull');
});

const DEPTHS = ['top', 'bottom'];
const bore: Partial<SheetLayout> = {
  columns: DEPTHS.map((depth) =>
    column(`bore.${depth}`, { code: 'bore', head: 'guide bore', under: depth, name: `bore ${depth}`, index: ['{line}', depth] }),
  ),
  lines: ['front', 'side'].map((code) => ({ code, label: code })),
  computed: [{ key: 'taper', name: 'taper', head: 'taper', under: '', index: ['{line}'], unit: 'in' }],
  margins: [
    {
      key: 'clearance',
      quantity: 'clearance',
      title: 'clearance',
      head: 'clearance',
      index: [],
      limitWords: 'between 0.001 and 0.003 in',
      field: 'margins',
    },
  ],
};

test('lines and depths are walked along, and each reading is kept under its own index', async () => {
  const { user, sent } = openCase(<Opened {...bore} enter="across" />);
  expect(screen.getByRole('columnheader', { name: 'guide bore' })).toHaveAttribute('colspan', '2');
  await user.keyboard('1{Enter}2{Enter}3{Enter}{ArrowUp}4{Enter}');
  expect(live()).toBe('1E bore top side');
  await expect
    .poll(() => told(sent))
    .toEqual([
      ['A1-E1/valve/bore/front.top', { text: '1' }],
      ['A1-E1/valve/bore/front.bottom', { text: '2' }],
      ['A1-E1/valve/bore/side.top', { text: '3' }],
      ['A1-E1/valve/bore/front.bottom', { text: '4' }],
    ]);
});

test('what follows stands on its line or beside the whole row, and opens its reasoning', async () => {
  const value = (index: string, figure: string) => ({
    place: 'A1-E1',
    part: 'valve',
    name: 'taper',
    title: 'taper',
    index,
    value: { figure, unit: 'in', plusMinus: null, shown: `${figure} in` },
  });
  const { user } = openCase(<Opened {...bore} enter="across" />, {
    get: {
      '/api/cases/{id}/sheets/{sheet}': {
        code: 'sheet',
        title: 'sheet',
        values: [value('front', '0.0002'), value('side', '0.0004')],
        margins: [margin({ quantity: 'clearance', coil: null, label: '1E' })],
        remarks: [],
      },
    },
  });
  expect(await screen.findByRole('button', { name: /taper.*0\.0004 in/ })).toBeVisible();
  await user.click(screen.getByRole('button', { name: /travel to bind/ }));
  expect(await screen.findByRole('dialog')).toBeVisible();
});

test('a load asks for the height it is taken at, and sends it along', async () => {
  const load = column('seat_load', { atHeight: true, gauge: 'load_tester' });
  const { user, sent } = openCase(<Opened columns={[load]} enter="down" />);
  expect(screen.getByText(/height/i, { selector: '.wrong' })).toBeVisible();
  await user.type(screen.getByLabelText('test height of the seat_load'), '1.800');
  await user.click(screen.getByLabelText('1E seat_load'));
  await user.keyboard('120{Enter}');
  await expect.poll(() => told(sent)).toEqual([['A1-E1/valve/seat_load', { text: '120', atText: '1.800' }]]);
});

test('the test height is that of the last reading on this sheet, not of a part off the engine', () => {
  const load = column('seat_load', { atHeight: true, gauge: 'load_tester' });
  const read = (place: string, atText: string) => ({
    kind: 'reading' as const,
    place,
    part: 'valve',
    item: 'seat_load',
    index: '',
    content: { text: '120', atText } as never,
  });
  openCase(<Opened columns={[load]} enter="down" />, { entries: [read('A1-E1', '1.800'), read('loose-a', '1.389')] });
  expect(screen.getByLabelText('test height of the seat_load')).toHaveValue('1.800');
});

test('a question is answered, changed and taken back', async () => {
  const question = catalogue.asked[0];
  if (question === undefined) throw new Error('no question');
  const { user, sent } = openCase(<Asked question={question as never} place="A1-E1" />, { view: twin() });
  await user.click(screen.getByRole('radio', { name: 'by finger' }));
  expect(screen.getByText('Oil film or a light burr.')).toBeVisible();
  await user.click(screen.getByRole('radio', { name: 'would not slide' }));
  await user.click(screen.getByRole('button', { name: /^take back/ }));
  await expect
    .poll(() => sent.map((entry) => [entry.kind, entry.data.choice ?? null]))
    .toEqual([
      ['answer', 'finger'],
      ['answer', 'stuck'],
      ['withdrawal', null],
    ]);
  expect(sent[1]?.supersedes).toBe(sent[0]?.id);
});

test('a refusal does not take the hand away from what is being typed elsewhere', async () => {
  let refuse = (): void => undefined;
  const held = new Promise<void>((done) => (refuse = done));
  const { user, sent } = openCase(<Opened columns={[lash]} enter="down" />, {
    until: held,
    refuse: (entry) => (entry.data.text === '16' ? { detail: 'no', reason: '16 is too much' } : null),
  });
  await user.keyboard('16{Enter}0.0');
  expect(live()).toBe('1I lash');
  refuse();
  await expect.poll(() => sent.length).toBe(1);
  await new Promise((done) => setTimeout(done, 100));
  expect(live()).toBe('1I lash');
  // The refused cell is painted, with what was typed there.
  expect(screen.getByLabelText('1E lash: 16')).toHaveClass('refused');
  await user.keyboard('17{Enter}');
  await expect.poll(() => told(sent).at(-1)).toEqual(['A1-I1/valve/lash', { text: '0.017' }]);
});

test('a press on another cell enters what was typed; going there by the plan leaves it half typed', async () => {
  const { user, sent } = openCase(<Opened enter="down" />);
  await user.keyboard('0.0');
  await user.click(screen.getByLabelText('1I lash: empty'));
  await expect.poll(() => told(sent)).toEqual([['A1-E1/valve/lash', { text: '0.0' }]]);
  expect(live()).toBe('1I lash');
});

test('a range of a spreadsheet goes in to the right and down, as one stroke; what is beyond the sheet is said', async () => {
  const { user, sent } = openCase(<Opened enter="down" without="A2-E1" />);
  await user.keyboard('{ArrowDown}');
  expect(live()).toBe('1I lash');
  await user.paste('0.016\t118\r\n0.017\t121\r\n0.018\t119\r\n');
  await expect
    .poll(() => told(sent))
    .toEqual([
      ['A1-I1/valve/lash', { text: '0.016' }],
      ['A1-I1/valve/pull', { text: '118' }],
      ['A2-E1/valve/lash', { text: '0.017' }],
    ]);
  expect(
    screen.getByText('3 readings pasted, 3 beyond the sheet left out. One undo takes them back.', { selector: '.note' }),
  ).toBeVisible();
  expect(live()).toBe('1I lash');
  await user.keyboard('{ArrowDown}');
  expect(screen.queryByText(/readings pasted/, { selector: '.note' })).toBeNull();
});

test('a single text is pasted into its cell and is no record yet', async () => {
  const { user, sent } = openCase(<Opened enter="down" />);
  await user.paste('0.016');
  expect(screen.getByLabelText('1E lash', { exact: true })).toHaveValue('0.016');
  expect(sent).toEqual([]);
});
