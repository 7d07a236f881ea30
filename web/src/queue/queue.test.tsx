import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { words } from '../shared/messages';
import { openCase, twin } from '../testing/case';
import { api } from '../shared/api';
import NewCase from './NewCase';
import { Queue } from './Queue';

const counts = { all: 3, mine: 1, bench: 2, waiting: 0, overdue: 1, signed: 1, aside: 0 };
const queue = (shown: readonly object[], more: object = {}) => ({ rows: shown, next: null, counts, plans: { twin: twin().plan }, ...more });

beforeEach(() => {
  localStorage.clear();
  // jsdom lays nothing out: what scrolls has a height here, so that rows are drawn.
  vi.spyOn(Element.prototype, 'clientHeight', 'get').mockReturnValue(700);
  vi.spyOn(Element.prototype, 'clientWidth', 'get').mockReturnValue(1200);
});
afterEach(() => vi.restoreAllMocks());

const row = (number: number, name: string, more: object = {}) => ({
  id: `case-${number}`,
  number,
  name,
  setAside: false,
  unreadable: null,
  found: '',
  customer: 'Made-up garage',
  words: '',
  engine: 'Inline 2, 4 valves',
  plan: 'twin',
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
  openCase(<Queue />, { get: { '/api/cases': queue(rows) } });
  const bench = await screen.findByRole('region', { name: words.queue.onTheBench('0002') });
  expect(bench).toHaveTextContent('“It went rough.”');
  expect(within(bench).getByRole('link', { name: words.queue.goOn('Look at 2E') })).toHaveAttribute(
    'href',
    '/case/case-2/teardown?at=A2-E1',
  );
});

test('the check that would tell most is offered beside the next act', async () => {
  const check = {
    check: { label: 'Mirror', minutes: 10, days: 0, destroys: [], caution: '' },
    stations: ['A2-E1'],
    where: '2E',
    step: 'before',
  };
  openCase(<Queue />, { get: { '/api/cases': queue(rows), '/api/cases/{id}/next-checks': { checks: [check] } } });
  const bench = await screen.findByRole('region', { name: words.queue.onTheBench('0002') });
  expect(await within(bench).findByRole('link', { name: 'Mirror' })).toHaveAttribute('href', '/case/case-2/before?at=A2-E1');
  expect(bench).toHaveTextContent('Would tell most: Mirror at 2E, 10 min.');
  const table = screen.getByRole('table');
  expect(within(table).getByRole('row', { name: /Ladle twin/ })).toHaveTextContent('Would tell most: Mirror');
  // Nothing was looked at in the one, and the other is called.
  expect(within(table).getAllByRole('link', { name: 'Mirror' })).toHaveLength(1);
});

test('what is overdue stands before what is merely waited for', async () => {
  openCase(<Queue />, { get: { '/api/cases': queue(rows) } });
  const late = (await screen.findByRole('link', { name: 'Spoon four' })).closest('tr') as HTMLElement;
  expect(late).toHaveTextContent(`${words.days.overdue}: oil report`);
  expect(late).not.toHaveTextContent('laboratory');
  const idle = screen.getByRole('link', { name: 'Kettle single' }).closest('tr') as HTMLElement;
  expect(idle).toHaveTextContent(words.queue.nobody);
});

test('the server is asked for the words and the view, once for what was typed', async () => {
  localStorage.setItem('mute-tapper.person', 'Ada of the tests');
  const questions: object[] = [];
  const { user } = openCase(<Queue />, {
    get: {
      '/api/cases': ({ params: { query } }: { params: { query: { find: string; view: string } } }) => {
        questions.push(query);
        return query.find === 'ladle' ? queue([row(2, 'Ladle twin', { found: 'a word of the note' })]) : queue(rows);
      },
    },
  });
  await screen.findByRole('link', { name: 'Spoon four' });
  await user.keyboard('/');
  expect(screen.getByLabelText(words.queue.find)).toHaveFocus();
  await user.keyboard('ladle');
  await waitFor(() => expect(screen.queryByRole('link', { name: 'Spoon four' })).toBeNull());
  expect(screen.getByText('a word of the note')).toBeVisible();
  expect(questions.map((one) => (one as { find: string }).find)).toEqual(['', 'ladle']);
  await user.click(screen.getByRole('button', { name: `${words.queue.views.mine} 1` }));
  await waitFor(() => expect(questions.at(-1)).toMatchObject({ view: 'mine', person: 'Ada of the tests', find: 'ladle' }));
});

test('the next page is asked for where the last one ended', async () => {
  const asked: unknown[] = [];
  openCase(<Queue />, {
    get: {
      '/api/cases': ({ params: { query } }: { params: { query: { before?: number } } }) => {
        asked.push(query.before);
        return query.before === undefined ? queue(rows.slice(0, 2), { next: 2 }) : queue(rows.slice(2));
      },
    },
  });
  expect(await screen.findByRole('link', { name: 'Spoon four' })).toBeVisible();
  expect(asked).toEqual([undefined, 2]);
});

test('a long queue draws only the rows that can be seen', async () => {
  openCase(<Queue />, { get: { '/api/cases': queue(Array.from({ length: 400 }, (_, i) => row(400 - i, `Kettle ${400 - i}`))) } });
  await screen.findByRole('link', { name: 'Kettle 400' });
  const drawn = within(screen.getByRole('table')).getAllByRole('row').length;
  expect(drawn).toBeGreaterThan(3);
  expect(drawn).toBeLessThan(40);
});

test('a case that cannot be read is one marked row, to be saved and set aside', async () => {
  const broken = row(4, 'Torn page', { unreadable: '/layout: nothing stands here.', plan: null });
  const { user } = openCase(<Queue />, { get: { '/api/cases': queue([broken, ...rows]) } });
  const marked = (await screen.findByText('Torn page')).closest('tr') as HTMLElement;
  expect(marked).toHaveTextContent('/layout: nothing stands here.');
  expect(within(marked).getByRole('link', { name: words.queue.raw })).toHaveAttribute('href', '/api/cases/case-4/raw.json');
  const put = vi.spyOn(api, 'PUT').mockResolvedValue({ data: { setAside: true }, response: new Response(null, { status: 200 }) });
  await user.click(within(marked).getByRole('button', { name: `Torn page: ${words.queue.setAside}` }));
  expect(put).toHaveBeenCalledWith(
    '/api/cases/{id}/set-aside',
    expect.objectContaining({ params: { path: { id: 'case-4' } }, body: { aside: true, by: 'not named' } }),
  );
  expect(await screen.findByRole('status')).toHaveTextContent(words.queue.wasSetAside('Torn page'));
  await user.click(screen.getByRole('button', { name: words.queue.undoAside }));
  expect(put).toHaveBeenLastCalledWith('/api/cases/{id}/set-aside', expect.objectContaining({ body: { aside: false, by: 'not named' } }));
});

test('an empty shop says how to begin', async () => {
  openCase(<Queue />, { get: { '/api/cases': queue([], { counts: { all: 0 } }) } });
  expect(await screen.findByText(words.queue.empty)).toBeVisible();
  expect(screen.queryByRole('table')).toBeNull();
});

test('a file of a case that is here already is offered as a copy', async () => {
  const { user } = openCase(<Queue />, { get: { '/api/cases': queue(rows) } });
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
