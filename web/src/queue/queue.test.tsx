import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { words } from '../shared/messages';
import { openCase, twin } from '../shared/test-case';
import { api } from '../shared/api';
import NewCase from './NewCase';
import { Queue } from './Queue';

beforeEach(() => localStorage.clear());
afterEach(() => vi.restoreAllMocks());

const row = (number: number, name: string, more: object = {}) => ({
  id: `case-${number}`,
  number,
  name,
  customer: 'Made-up garage',
  words: '',
  engine: 'Inline 2, 4 valves',
  plan: twin().plan,
  worst: {},
  failed: [],
  firstEvent: null,
  lookedAt: 0,
  stations: 4,
  springsMeasured: 0,
  photographs: 0,
  next: { step: 'story', words: 'Write the story', place: null },
  schedule: { waitsFor: '', overdue: '', sentence: '', daysPromised: null, leastDays: 0, mostDays: 0, late: false },
  ...more,
});
const rows = [
  row(3, 'Kettle single'),
  row(2, 'Ladle twin', { lookedAt: 3, words: 'It went rough.', next: { step: 'teardown', words: 'Look at 2E', place: 'A2-E1' } }),
  row(1, 'Spoon four', {
    firstEvent: 'Spring lost its load',
    schedule: { ...row(1, '').schedule, overdue: 'oil report', waitsFor: 'laboratory', sentence: 'late', daysPromised: 5, late: true },
  }),
];

test('the case being worked on lies on the bench, and its next act leads to its place', async () => {
  openCase(<Queue />, { get: { '/api/cases': rows } });
  const bench = await screen.findByRole('region', { name: words.queue.onTheBench('0002') });
  expect(bench).toHaveTextContent('“It went rough.”');
  expect(within(bench).getByRole('link', { name: words.queue.goOn('Look at 2E') })).toHaveAttribute(
    'href',
    '/case/case-2/teardown?at=A2-E1',
  );
});

test('what is overdue stands before what is merely waited for', async () => {
  openCase(<Queue />, { get: { '/api/cases': rows } });
  const late = (await screen.findByRole('link', { name: 'Spoon four' })).closest('tr') as HTMLElement;
  expect(late).toHaveTextContent(`${words.days.overdue}: oil report`);
  expect(late).not.toHaveTextContent('laboratory');
  const idle = screen.getByRole('link', { name: 'Kettle single' }).closest('tr') as HTMLElement;
  expect(idle).toHaveTextContent(words.queue.nobody);
});

test('cases are found by number, name, customer, word of the story and first event', async () => {
  const { user } = openCase(<Queue />, { get: { '/api/cases': rows } });
  await screen.findByRole('link', { name: 'Spoon four' });
  const find = screen.getByLabelText(words.queue.find);
  for (const [typed, name] of [
    ['0003', 'Kettle single'],
    ['LADLE', 'Ladle twin'],
    ['rough', 'Ladle twin'],
    ['lost its load', 'Spoon four'],
  ] as const) {
    await user.clear(find);
    await user.type(find, typed);
    expect(within(screen.getByRole('table')).getAllByRole('row')).toHaveLength(2);
    expect(screen.getByRole('link', { name })).toBeVisible();
  }
  await user.clear(find);
  await user.type(find, 'nobody has this');
  expect(screen.getByText(words.queue.nothingFound)).toBeVisible();
});

test('an empty shop says how to begin', async () => {
  openCase(<Queue />, { get: { '/api/cases': [] } });
  expect(await screen.findByText(words.queue.empty)).toBeVisible();
  expect(screen.queryByRole('table')).toBeNull();
});

test('a file of a case that is here already is offered as a copy', async () => {
  const { user } = openCase(<Queue />, { get: { '/api/cases': rows } });
  const queries: unknown[] = [];
  vi.mocked(api.POST).mockImplementation(((_path: string, options: { params: { query: object } }) => {
    queries.push(options.params.query);
    return Promise.resolve(
      queries.length === 1
        ? {
            error: { title: 'No', status: 409, detail: 'This case is here already.', existing: 'case-2' },
            response: new Response(null, { status: 409 }),
          }
        : { data: { id: 'copy' }, response: new Response(null, { status: 201 }) },
    );
  }) as never);
  const file = new File(['{}'], 'ladle.json', { type: 'application/json' });
  Object.defineProperty(file, 'text', { value: () => Promise.resolve('{}') });
  fireEvent.change(await screen.findByLabelText(words.queue.importCase, { selector: 'input' }), { target: { files: [file] } });
  expect(await screen.findByRole('alert')).toHaveTextContent('This case is here already.');
  await user.click(screen.getByRole('button', { name: words.queue.copy }));
  await waitFor(() => expect(queries).toEqual([expect.objectContaining({ copy: false }), expect.objectContaining({ copy: true })]));
});

test('a new case begins with what is usual for its drive, or with a saved engine until its cylinders change', async () => {
  const saved = {
    drive: 'bucket',
    layout: 'vee',
    cylinders: 8,
    intakeValves: 2,
    exhaustValves: 2,
    numbering: { A: [1, 2, 3, 4], B: [5, 6, 7, 8] },
  };
  const { user, asked } = openCase(<NewCase />, {
    get: {
      '/api/engine/plan': { plan: twin().plan, engine: { summary: 'As chosen' } },
      '/api/engines': [{ id: 's', name: 'Club eight', engine: { ...saved, summary: 'V 8, 32 valves' } }],
    },
  });
  const last = () => asked.filter((one) => one.path === '/api/engine/plan').at(-1)?.body;
  await waitFor(() => expect(last()).toMatchObject({ drive: 'pushrod', cylinders: 8, intakeValves: 1 }));
  expect(screen.getByRole('button', { name: words.newCase.create })).toBeDisabled();
  await user.click(screen.getByRole('button', { name: words.newCase.drives.finger }));
  await waitFor(() => expect(last()).toMatchObject({ drive: 'finger', intakeValves: 2, exhaustValves: 2 }));
  await user.click(await screen.findByLabelText(words.story.library));
  await user.click(await screen.findByTitle('Club eight: V 8, 32 valves'));
  await waitFor(() => expect(last()).toEqual(saved));
  const cylinders = screen.getByLabelText(words.newCase.cylinders);
  await user.clear(cylinders);
  await user.type(cylinders, '6');
  await waitFor(() => expect(last()).toMatchObject({ cylinders: 6, drive: 'bucket' }));
  expect(last()).not.toHaveProperty('numbering');
  await user.type(screen.getByLabelText(words.newCase.name), 'Tray of six');
  await user.click(screen.getByRole('button', { name: words.newCase.create }));
  await waitFor(() => expect(asked.at(-1)).toMatchObject({ path: '/api/cases', body: { name: 'Tray of six', engine: { cylinders: 6 } } }));
});
