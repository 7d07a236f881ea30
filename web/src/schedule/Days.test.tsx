import { screen, within } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { openCase, told } from '../testing/case';
import { today } from '../shared/days';
import Days from './Days';

afterEach(() => vi.restoreAllMocks());

const task = (id: string, readiness: string, more: object = {}) => ({
  id,
  label: `Task ${id}`,
  kind: 'parts',
  kindWords: 'parts',
  readiness,
  waitsFor: [],
  after: [],
  leastDays: 2,
  mostDays: 4,
  leastEnd: 2,
  mostEnd: 4,
  due: null,
  begun: null,
  done: null,
  overdue: false,
  late: false,
  ...more,
});
const schedule = (tasks: object[], more: object = {}) => ({
  '/api/laboratories': [{ code: 'oil', label: 'Oil laboratory (simulated)', leastDays: 3, mostDays: 4 }],
  '/api/cases/{id}/schedule': {
    tasks,
    today: '2026-11-26',
    promised: null,
    daysPromised: null,
    leastDays: 2,
    mostDays: 4,
    late: false,
    sentence: '2 to 4 days',
    waitsFor: '',
    overdue: '',
    loop: '',
    ...more,
  },
});
const entry = (id: string, content: object) => ({
  kind: 'task' as const,
  place: 'engine',
  part: 'schedule',
  item: 'task',
  index: id,
  content: { label: `Task ${id}`, kind: 'parts' as const, ...content },
});

test('tasks stand by what can be done with them', async () => {
  openCase(<Days />, {
    get: schedule([task('a', 'now'), task('b', 'waits', { waitsFor: ['Task a'] }), task('c', 'done', { done: '2026-11-20' })]),
  });
  expect(await screen.findByRole('region', { name: 'Can be done now' })).toHaveTextContent('Task a');
  expect(screen.getByRole('region', { name: 'Waits' })).toHaveTextContent('waits for Task a');
  expect(screen.getByRole('region', { name: 'Done' })).toHaveTextContent('done 2026-11-20');
  expect(screen.queryByRole('region', { name: 'Is with somebody' })).toBeNull();
});

test('a task is sent on its way, then done, and keeps what was said of it', async () => {
  const { user, sent } = openCase(<Days />, {
    get: schedule([task('a', 'now')]),
    entries: [entry('a', { leastDays: 2, mostDays: 4, due: '2026-12-01' })],
  });
  await user.click(await screen.findByRole('button', { name: 'Is on its way' }));
  const day = today();
  await expect
    .poll(() => told(sent))
    .toEqual([
      [
        'engine/schedule/task/a',
        { label: 'Task a', kind: 'parts', leastDays: 2, mostDays: 4, due: '2026-12-01', taskState: 'begun', begun: day },
      ],
    ]);
  await user.click(screen.getByRole('button', { name: 'Done' }));
  await expect.poll(() => told(sent).at(-1)?.[1]).toMatchObject({ due: '2026-12-01', begun: day, taskState: 'done', done: day });
});

test('an overdue task and one that will be late say which they are', async () => {
  openCase(<Days />, {
    get: schedule(
      [
        task('a', 'away', { due: '2026-11-20', overdue: true, late: true, begun: '2026-11-18' }),
        task('b', 'now', { due: '2026-11-27', late: true }),
      ],
      {
        late: true,
        daysPromised: 1,
        promised: '2026-11-27',
        sentence: '2 to 4 days, promised in 1 day: late',
      },
    ),
  });
  expect(await screen.findByText(/due 2026-11-20, overdue/)).toBeVisible();
  expect(screen.getByText(/due 2026-11-27, will be late/)).toBeVisible();
  expect(screen.getByRole('img', { name: '2 to 4 days, promised in 1 day: late' })).toBeInTheDocument();
});

test('tasks in a circle are named', async () => {
  openCase(<Days />, { get: schedule([task('a', 'waits')], { loop: 'Task a, Task b' }) });
  expect(await screen.findByRole('alert')).toHaveTextContent('Task a, Task b');
});

test('something is planned with its days; most is least where nothing is said', async () => {
  const { user, sent } = openCase(<Days />, { get: schedule([]) });
  const form = screen.getByRole('form', { name: 'Plan something' });
  await user.type(within(form).getByLabelText('What is to be done'), 'Soak the head');
  await user.clear(within(form).getByLabelText('days at least'));
  await user.type(within(form).getByLabelText('days at least'), '2');
  await user.click(within(form).getByRole('button', { name: 'Plan it' }));
  await expect.poll(() => sent[0]?.data).toEqual({ label: 'Soak the head', kind: 'work', leastDays: 2, mostDays: 2 });
});

test('a promise is kept when its field is left, and taken back when emptied', async () => {
  const { user, sent } = openCase(<Days />, { get: schedule([]) });
  const promised = screen.getByLabelText('promised for');
  await user.type(promised, '2026-12-24');
  await user.tab();
  await expect.poll(() => told(sent)).toEqual([['engine/schedule/promise', { date: '2026-12-24' }]]);
  await user.clear(promised);
  await user.tab();
  await expect.poll(() => sent.at(-1)?.kind).toBe('withdrawal');
});

test('a laboratory is asked once a question and a laboratory are there, and its report says when it is simulated', async () => {
  const { user, asked } = openCase(<Days />, {
    get: schedule([]),
    entries: [
      {
        kind: 'report',
        place: 'engine',
        part: 'schedule',
        item: 'report',
        index: 't',
        content: {
          laboratory: 'Oil laboratory (simulated)',
          simulated: true,
          words: 'Asked: iron.',
          results: [{ name: 'iron', value: '120', unit: 'ppm', remark: 'high' }],
        },
      },
    ],
  });
  const report = screen.getByRole('region', { name: 'Laboratory reports' });
  expect(report).toHaveTextContent('simulated');
  expect(within(report).getByRole('cell', { name: '120 ppm' })).toBeVisible();
  const form = screen.getByRole('form', { name: 'Ask a laboratory' });
  const send = within(form).getByRole('button', { name: 'Send the request' });
  await user.type(within(form).getByLabelText('What is asked, of which part or sample'), 'fuel');
  expect(send).toBeDisabled();
  await user.click(within(form).getByLabelText('which laboratory'));
  await user.click(await screen.findByTitle('Oil laboratory (simulated)'));
  await user.click(send);
  await expect.poll(() => asked.map((one) => one.body)).toMatchObject([{ laboratory: 'oil', request: 'fuel' }]);
});
