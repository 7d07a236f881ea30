import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, type CaseView } from '../shared/api';
import { catalogue, openCase, told, twin } from '../testing/case';
import { column, sheetLayout, stationRow } from '../testing/sheets';
import BenchPlace from './BenchPlace';

const layout = (code: string, title: string) =>
  sheetLayout(code, ['A1-E1', 'A1-I1', 'A2-E1', 'A2-I1'].map(stationRow), { title, columns: [column('lash')] });
const schools = [
  { code: 'usual', label: 'usual', meaning: 'As most do.' },
  { code: 'wide', label: 'wide', meaning: 'For endurance.' },
];
const get = {
  '/api/catalogue': { ...catalogue, schools },
  '/api/cases/{id}/sheets': [layout('springs', 'Springs'), layout('valves', 'Valves')],
};

beforeEach(() => localStorage.clear());
afterEach(() => vi.restoreAllMocks());

function putting(...answers: { status: number; body: unknown }[]) {
  const versions: string[] = [];
  vi.spyOn(api, 'PUT').mockImplementation(((_: string, { params }: { params: { header: Record<string, string> } }) => {
    versions.push(params.header['If-Match'] ?? '');
    const { status, body } = answers.shift() ?? { status: 500, body: { detail: 'not expected' } };
    const response = new Response(null, { status });
    return Promise.resolve(status < 400 ? { data: body, response } : { error: { status, title: '', ...(body as object) }, response });
  }) as never);
  return versions;
}

async function chooseSchool(user: ReturnType<typeof openCase>['user']): Promise<void> {
  await user.click(await screen.findByRole('combobox', { name: 'School' }));
  await user.click(await screen.findByTitle('For endurance.'));
}

test('a change of the school that is refused says why, and the school stays', async () => {
  putting({ status: 422, body: { detail: 'There is no such school.' } });
  const { user } = openCase(<BenchPlace />, { at: 'bench', get });
  await chooseSchool(user);
  expect(await screen.findByRole('alert')).toHaveTextContent('There is no such school.');
  expect(screen.getByRole('combobox', { name: 'School' }).closest('.ant-select')).toHaveTextContent('School: usual');
});

test('a school is changed on top of a story that was written meanwhile', async () => {
  const view = twin();
  const fresh: CaseView = { ...view, descriptionVersion: 5, name: 'Renamed' };
  const versions = putting({ status: 412, body: { detail: 'changed' } }, { status: 200, body: fresh });
  const { user } = openCase(<BenchPlace />, { view, at: 'bench', get: { ...get, '/api/cases/{id}': fresh } });
  await chooseSchool(user);
  await expect.poll(() => versions).toEqual(['"1"', '"5"']);
  expect(screen.queryByRole('alert')).toBeNull();
});

/** Answers each PUT when its turn is called. */
function puttingSlowly(replied: (settings: CaseView['settings']) => { status: number; body: object }) {
  const waiting: (() => void)[] = [];
  vi.spyOn(api, 'PUT').mockImplementation(
    ((_: string, { body }: { body: { settings: CaseView['settings'] } }) =>
      new Promise((answered) => {
        waiting.push(() => {
          const { status, body: told } = replied(body.settings);
          const response = new Response(null, { status });
          answered(status < 400 ? { data: told, response } : { error: { status, title: '', ...told }, response });
        });
      })) as never,
  );
  return async (turn: number): Promise<void> => {
    await expect.poll(() => waiting.length).toBe(turn);
    waiting[turn - 1]?.();
  };
}

test('two settings changed one after the other both stand, also where the server is slow', async () => {
  const limit = (code: string, title: string) => ({
    code,
    title,
    ruling: 'usual',
    figures: ['usual', 'race'].map((school) => ({ school, label: school, kind: '', least: null, most: '0.1', unit: 'in' })),
  });
  let stands = twin();
  const answers = puttingSlowly((settings) => {
    stands = { ...stands, settings, descriptionVersion: stands.descriptionVersion + 1 };
    return { status: 200, body: stands };
  });
  const { user } = openCase(<BenchPlace />, {
    view: stands,
    at: 'bench',
    get: { ...get, '/api/limits': [limit('lash', 'Lash'), limit('seat_width', 'Seat width')] },
  });
  await user.click(await screen.findByRole('button', { name: 'Other schools' }));
  for (const title of ['Lash', 'Seat width']) {
    await user.click(await screen.findByRole('combobox', { name: title }));
    const lists = document.querySelectorAll('.ant-select-dropdown:not(.ant-select-dropdown-hidden)');
    await user.click(within(lists[lists.length - 1] as HTMLElement).getByTitle(/^race/));
  }
  const shown = (title: string) => screen.getByRole('combobox', { name: title }).closest('.ant-select');
  for (const title of ['Lash', 'Seat width']) expect(shown(title)).toHaveTextContent(/^race/);
  await answers(1);
  await answers(2);
  await expect.poll(() => stands.settings.schools).toEqual({ lash: 'race', seat_width: 'race' });
});

test('a change that is refused while the next one waits is said, and the next one goes on', async () => {
  const view = twin();
  const asked: string[] = [];
  const answers = puttingSlowly((settings) => {
    asked.push(settings.school);
    return asked.length === 1 ? { status: 422, body: { detail: 'Not that school.' } } : { status: 200, body: { ...view, settings } };
  });
  const { user } = openCase(<BenchPlace />, { view, at: 'bench', get });
  await chooseSchool(user);
  await user.click(screen.getByRole('combobox', { name: 'School' }));
  await user.click(await screen.findByTitle('As most do.'));
  await answers(1);
  await answers(2);
  await expect.poll(() => asked).toEqual(['wide', 'usual']);
  expect(await screen.findByRole('alert')).toHaveTextContent('Not that school.');
});

test('the sheet is that of the address, and choosing another one goes there', async () => {
  const { user, address } = openCase(<BenchPlace />, { at: 'bench/valves.?at=A2-E1', get });
  expect(await screen.findByRole('table', { name: 'Valves' })).toBeVisible();
  await user.click(screen.getByRole('combobox', { name: 'Sheet' }));
  await user.click(await screen.findByTitle('Springs'));
  expect(address()).toBe('bench/springs.?at=A2-E1');
  expect(await screen.findByRole('table', { name: 'Springs' })).toBeVisible();
});

test('arrows walk the plan and stay on it; Enter goes on with the station in the sheet', async () => {
  const { user, sent } = openCase(<BenchPlace />, { at: 'bench', get });
  await screen.findByRole('table', { name: 'Springs' });
  screen.getByRole('gridcell', { name: /^1E,/ }).focus();
  await user.keyboard('{ArrowDown}');
  expect(document.activeElement).toHaveAccessibleName(/^2E,/);
  await user.keyboard('{ArrowRight}');
  expect(document.activeElement).toHaveAccessibleName(/^2I,/);
  await user.keyboard('{Enter}2.05{Enter}');
  await expect.poll(() => told(sent).map(([slot]) => slot)).toEqual([expect.stringMatching(/^A2-I1\//)]);
});

const rowsShown = (): (string | null)[] => screen.getAllByRole('rowheader').map((head) => head.textContent);

test('rows are walked as the engine fires or as lash is set, where that is known', async () => {
  const stops = ['A2', 'A1'].map((cylinder, i) => ({ cylinder, number: 2 - i, stations: [`${cylinder}-I1`, `${cylinder}-E1`], words: '' }));
  const orders = {
    ...get,
    '/api/cases/{id}/lash-order': { order: stops, fromFiringOrder: true, wantThird: [], dates: [], nextPull: null },
  };
  const view = twin();
  const { user } = openCase(<BenchPlace />, {
    at: 'bench',
    view: { ...view, engine: { ...view.engine, firingOrder: [2, 1] } },
    get: orders,
  });
  const walk = async (name: string): Promise<void> => {
    await user.click(await screen.findByRole('combobox', { name: 'Order of the rows' }));
    await user.click(await screen.findByTitle(name));
  };
  await screen.findByRole('table', { name: 'Springs' });
  expect(rowsShown()).toEqual(['1E', '1I', '2E', '2I']);
  await walk('Rows as it fires');
  expect(rowsShown()).toEqual(['2E', '2I', '1E', '1I']);
  await walk('Rows by lash order');
  await expect.poll(rowsShown).toEqual(['2I', '2E', '1I', '1E']);
});

test('a firing order that is not known is not offered', async () => {
  const { user } = openCase(<BenchPlace />, { at: 'bench', get });
  await user.click(await screen.findByRole('combobox', { name: 'Order of the rows' }));
  expect(await screen.findByTitle('Rows by lash order')).toBeInTheDocument();
  expect(screen.queryByTitle('Rows as it fires')).toBeNull();
});

test('a spring off the engine that waits for its first reading is still there when the page comes again', async () => {
  const loose = sheetLayout('loose_springs', [], { title: 'Springs off the engine', columns: [column('free_height')], isLoose: true });
  const shown = { view: twin(), at: 'bench/loose_springs.', get: { ...get, '/api/cases/{id}/sheets': [loose] } };
  const { user } = openCase(<BenchPlace />, shown);
  await user.type(await screen.findByLabelText('Its tag'), 'Drawer 1{Enter}');
  expect(await screen.findByText('drawer-1')).toBeVisible();
  cleanup();
  openCase(<BenchPlace />, shown);
  expect(await screen.findByText('drawer-1')).toBeVisible();
});

const springOff = (more: Record<string, unknown> = {}) =>
  sheetLayout('loose_springs', [{ key: 'loose-b', place: 'loose-b', part: '', label: 'b', name: 'loose b', isStation: false }], {
    title: 'Springs off the engine',
    columns: [column('free_height')],
    faces: [{ code: 'outer', label: 'outer' }],
    isLoose: true,
    ...more,
  });

test('a spring off the engine is put at a station, and other cases in which it was met are told', async () => {
  const met = { case: 'other', number: 3, name: 'Last build', place: 'A3-I1', label: '5I', isLoose: false };
  const { user, sent } = openCase(<BenchPlace />, {
    at: 'bench/loose_springs.outer',
    get: { ...get, '/api/cases/{id}/sheets': [springOff()], '/api/parts/{tag}': [met] },
  });
  await user.click(await screen.findByRole('combobox', { name: 'where b stands' }));
  await user.click(await screen.findByTitle('2I'));
  await expect.poll(() => told(sent)).toEqual([['A2-I1/spring/tag/outer', { tag: 'b' }]]);
  expect(await screen.findByRole('link', { name: 'at 5I of Last build' })).toHaveAttribute(
    'href',
    '/case/other/bench/springs.outer?at=A3-I1',
  );
});
