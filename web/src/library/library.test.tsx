import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { createMemoryRouter } from 'react-router';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../shared/api';
import { setPerson } from '../shared/person';
import { Routed } from '../shared/Routed';
import Library from './Library';

afterEach(() => vi.restoreAllMocks());

const gauge = { code: 'lever_tester', label: 'lever tester', dimension: 'force', unit: 'lbf', stated: '', isOnCable: false, kind: null };
const limit = {
  code: 'valve_margin',
  title: 'margin',
  part: 'valve',
  side: 'at_least',
  unit: 'in',
  ruling: 'practice',
  mark: 'practice',
  source: 'Practice.',
  isShops: false,
  figures: [
    { school: 'practice', label: 'practice', kind: '', least: 0.03, most: null, shippedLeast: 0.03, shippedMost: null },
    { school: 'race', label: 'race', kind: 'E', least: 0.045, most: null, shippedLeast: 0.045, shippedMost: null },
  ],
};

const node = (is: string, code: string, name: string, others: string[] = []) => ({ is, code, name, about: '', group: '', words: others });
const lead = (from: string, to: string, word: string, more = {}) => ({
  code: `${to}.${from}`,
  from,
  to,
  when: '',
  word,
  reason: 'Because.',
  mark: 'practice',
  isShops: false,
  shippedWord: word,
  ...more,
});
const network = {
  nodes: [
    node('cause', 'loose', 'Seat loose'),
    node('cause', 'small', 'Height too small'),
    node('mechanism', 'bind', 'spring goes solid'),
    node('sign', 'bright', 'coils bright', ['polish']),
    node('sign', 'loose', 'seat turns'),
  ],
  links: [lead('small', 'bind', 'usually'), lead('bind', 'bright', 'nearly always'), lead('loose', 'loose', 'often')],
  checks: [
    {
      code: 'press',
      label: 'Pressed to solid',
      minutes: 10,
      days: 0,
      site: 'station',
      signs: ['bright'],
      reading: '',
      destroys: ['bright marks'],
      caution: 'Guard.',
    },
  ],
  strengths: [
    { word: 'nearly always', share: 0.95 },
    { word: 'usually', share: 0.75 },
    { word: 'often', share: 0.5 },
  ],
};

/** The library on a server that has these things, and takes what is put, or refuses it. */
function open(address: string, shelves: Record<string, unknown[]> = {}, refusal?: object, engines: unknown[] = []) {
  setPerson('Anna');
  const put: { shelf: string; code: string; body: unknown }[] = [];
  const given: Record<string, unknown> = {
    '/api/network': network,
    '/api/catalogue': { gauges: [gauge], columns: [], signs: [{ code: 'bright', photograph: 'Side on.', lookAlike: 'Clash.' }] },
    '/api/limits': [limit],
    '/api/engines': engines,
    '/api/stock': [
      {
        code: 'spring_shims',
        title: 'spring shims',
        unit: 'in',
        thicknesses: [0.015, 0.03],
        shipped: [0.015, 0.03],
        tolerance: 0.005,
        most: 6,
        mark: 'practice',
        source: 'Practice.',
        isShops: false,
      },
    ],
  };
  vi.spyOn(api, 'GET').mockImplementation(((path: string, options: { params?: { path: { shelf: string } } }) =>
    Promise.resolve({
      data: path.startsWith('/api/library')
        ? path.endsWith('versions')
          ? []
          : (shelves[options.params?.path.shelf ?? ''] ?? [])
        : given[path],
      response: new Response(null, { status: 200 }),
    })) as never);
  vi.spyOn(api, 'POST').mockImplementation(((path: string) =>
    path === '/api/library/file.json'
      ? Promise.resolve({ data: { changed: 2 }, response: new Response(null, { status: 200 }) })
      : Promise.reject(new Error('nothing is drawn here'))) as never);
  vi.spyOn(api, 'PUT').mockImplementation(((
    _: string,
    { params, body }: { params: { path: { shelf: string; code: string } }; body: object },
  ) => {
    put.push({ ...params.path, body });
    return Promise.resolve(
      refusal === undefined
        ? {
            data: { ...params.path, ...body, version: 1, at: '', sums: '', needsAct: false },
            response: new Response(null, { status: 200 }),
          }
        : { error: refusal, response: new Response(null, { status: 422 }) },
    );
  }) as never);
  const router = createMemoryRouter([{ path: '/library/:shelf?', element: <Library /> }], { initialEntries: [address] });
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <Routed router={router} />
    </QueryClientProvider>,
  );
  return { put, user: userEvent.setup() };
}

test('a gauge is kept with what was typed: figures as figures, shares of per cent, what is empty left out', async () => {
  const { put, user } = open('/library/gauges?of=new');
  await user.type(await screen.findByLabelText('Name'), 'Hook Tester 1');
  await user.click(screen.getByLabelText('Kind of gauge'));
  await user.click(await screen.findByTitle('lever tester'));
  await user.type(screen.getByLabelText('Scale is right to ±'), '2,5');
  await user.type(screen.getByLabelText('Offset, by dead weight or block'), '-4');
  await user.type(screen.getByLabelText('Repeats to ±'), '5');
  await user.clear(screen.getByLabelText('Repeats to ±'));
  await user.click(screen.getByRole('checkbox'));
  await user.click(screen.getByRole('button', { name: 'Keep' }));
  expect(put).toEqual([
    {
      shelf: 'gauges',
      code: 'hook-tester-1',
      body: { name: 'Hook Tester 1', content: { kind: 'lever_tester', gain: 0.025, offset: -4, cable: true }, version: 0, by: 'Anna' },
    },
  ]);
});

test('what is refused is said, and what was typed stays', async () => {
  const { user } = open('/library/gauges?of=new', {}, { title: 'Not accepted', status: 422, detail: 'this cannot be negative.' });
  await user.type(await screen.findByLabelText('Name'), 'Mine');
  await user.type(screen.getByLabelText('Zero is right to ±'), '-1');
  await user.click(screen.getByRole('button', { name: 'Keep' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('this cannot be negative.');
  expect(screen.getByLabelText('Zero is right to ±')).toHaveValue('-1');
});

test('a limit is changed school by school; of a kind apart; what it judges is not touched', async () => {
  const { put, user } = open('/library/limits?of=valve_margin');
  const race = await screen.findByLabelText(/race exhausts least/);
  expect(screen.getByRole('button', { name: 'Keep' })).toBeDisabled();
  await user.clear(race);
  await user.type(race, '0.040');
  await user.click(screen.getByRole('button', { name: 'Keep' }));
  expect(put[0]?.body).toEqual({
    name: 'margin',
    content: {
      schools: { practice: 0.03 },
      by_kind: { E: { race: 0.04 } },
      default: 'practice',
      mark: 'practice',
      source: 'Practice.',
    },
    version: 0,
    by: 'Anna',
  });
});

test('a shelf tells what is overdue and finds by name', async () => {
  const item = (code: string, name: string, needsAct: boolean) => ({
    shelf: 'gauges',
    code,
    name,
    version: 1,
    content: { kind: 'lever_tester' },
    by: 'x',
    at: '2026-01-01T00:00:00Z',
    sums: '',
    needsAct,
  });
  const { user } = open('/library/gauges', { gauges: [item('a', 'Caliper left', false), item('b', 'Hook', true)] });
  expect(await screen.findByRole('link', { name: 'Hook overdue' })).toBeVisible();
  await user.type(screen.getByLabelText('Find on this shelf'), 'cali');
  expect(screen.queryByRole('link', { name: /Hook/ })).toBeNull();
  expect(screen.getByRole('link', { name: 'Caliper left' })).toBeVisible();
});

test('an engine is changed on its shelf, and what the form does not show of it stays', async () => {
  const engine = { layout: 'inline', drive: 'bucket', cylinders: 2, numbering: { A: [1, 2] }, firingOrder: [1, 2], firingAngles: [] };
  const shelved = {
    shelf: 'engines',
    code: 'twin',
    name: 'Twin',
    version: 3,
    content: { layout: 'inline', drive: 'bucket', cylinders: 2, flags: { turbo: 'no' } },
    by: 'x',
    at: '2026-01-01T00:00:00Z',
    sums: 'Inline 2',
    needsAct: false,
  };
  const { put, user } = open('/library/engines?of=twin', { engines: [shelved] }, undefined, [{ id: 'twin', name: 'Twin', engine }]);
  const order = await screen.findByLabelText('Firing order');
  expect(screen.getByRole('button', { name: 'Keep' })).toBeDisabled();
  await user.clear(order);
  await user.type(order, '2-1');
  await user.click(screen.getByRole('button', { name: 'Keep' }));
  expect(put[0]).toMatchObject({ shelf: 'engines', code: 'twin' });
  expect(put[0]?.body).toMatchObject({
    content: { drive: 'bucket', firing_order: [2, 1], numbering: { A: [1, 2] }, flags: { turbo: 'no' } },
    version: 3,
  });
});

test('a new engine is described from the least that makes one', async () => {
  const { put, user } = open('/library/engines?of=new');
  await user.type(await screen.findByLabelText('Name'), 'Boat four');
  await user.click(screen.getByLabelText('What opens the valves'));
  await user.click(await screen.findByTitle(/finger/i));
  await user.click(screen.getByRole('button', { name: 'Keep' }));
  expect(put[0]?.body).toMatchObject({ name: 'Boat four', content: { layout: 'inline', drive: 'finger', cylinders: 4 }, version: 0 });
  expect((put[0]?.body as { content: { numbering?: unknown } }).content.numbering).toBeUndefined();
});

test('a library taken in as a file says how much of it is new', async () => {
  const { user } = open('/library/gauges');
  await user.upload(screen.getByLabelText('Take in a file'), new File(['{}'], 'library.json', { type: 'application/json' }));
  expect(await screen.findByText(/2/)).toHaveAttribute('role', 'status');
});

test('the stock of shims is typed as it lies in the box', async () => {
  const { put, user } = open('/library/stock?of=spring_shims');
  const thicknesses = await screen.findByLabelText('Thicknesses that the shop keeps');
  expect(thicknesses).toHaveValue('0.015  0.03');
  await user.clear(thicknesses);
  await user.type(thicknesses, '0,5 1.2 x');
  await user.click(screen.getByLabelText('Unit'));
  await user.click(await screen.findByTitle('mm'));
  await user.click(screen.getByRole('button', { name: 'Keep' }));
  expect(put[0]).toMatchObject({ shelf: 'stock', code: 'spring_shims', body: { name: 'spring shims', version: 0 } });
  expect(put[0]?.body).toMatchObject({ content: { thicknesses: [0.5, 1.2, 'x'], unit: 'mm', tolerance: 0.005, most: 6 } });
});

test('the network is browsed both ways, and a cause is told from a sign of the same code', async () => {
  const { user } = open('/library/links');
  await user.type(await screen.findByLabelText('Find on this shelf'), 'polish');
  await user.click(await screen.findByRole('link', { name: 'coils bright' }));
  const leads = within(screen.getByRole('region', { name: 'coils bright' }));
  expect(leads.getByRole('heading', { name: 'Points to' })).toBeVisible();
  expect(leads.getByText('from Height too small')).toBeVisible();
  expect(leads.getByText('Pressed to solid, 10 min each station.', { exact: false })).toHaveTextContent('Destroys bright marks. Guard.');
  await user.click(leads.getByRole('link', { name: 'spring goes solid' }));
  const mechanism = within(screen.getByRole('region', { name: 'spring goes solid' }));
  expect(mechanism.getByRole('link', { name: 'Height too small' })).toBeVisible();
  expect(mechanism.getByRole('link', { name: 'coils bright' })).toBeVisible();
  await user.clear(screen.getByLabelText('Find on this shelf'));
  await user.click(screen.getByRole('link', { name: 'Seat loose' }));
  expect(within(screen.getByRole('region', { name: 'Seat loose' })).getByRole('link', { name: 'seat turns' })).toBeVisible();
});

test('a shop sets a link by its own word, with its reason, and has it back as shipped', async () => {
  const own = {
    shelf: 'links',
    code: 'bright.bind',
    name: 'x',
    version: 3,
    content: {},
    by: 'Ann',
    at: '2026-01-01',
    sums: 'often: Ours.',
  };
  network.links[1] = lead('bind', 'bright', 'often', { isShops: true, shippedWord: 'nearly always', reason: 'Ours.' });
  const { put, user } = open('/library/links?of=sign-bright', { links: [own] });
  expect(await screen.findByText('your shop’s word; shipped as “nearly always”')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Change how often: spring goes solid leads to coils bright' }));
  const reason = screen.getByLabelText('Why your shop says so');
  expect(screen.getByRole('button', { name: 'Keep' })).toBeDisabled();
  await user.clear(reason);
  await user.type(reason, 'Seen on thirty.');
  await user.click(screen.getByRole('button', { name: 'Keep' }));
  await user.click(screen.getByRole('button', { name: 'Change how often: spring goes solid leads to coils bright' }));
  await user.click(screen.getByRole('button', { name: 'Back to “nearly always”' }));
  const name = 'spring goes solid → coils bright';
  expect(put.map((one) => [one.shelf, one.code, one.body])).toEqual([
    ['links', 'bright.bind', { name, content: { word: 'often', mark: 'own', source: 'Seen on thirty.' }, version: 3, by: 'Anna' }],
    ['links', 'bright.bind', { name, content: null, version: 3, by: 'Anna' }],
  ]);
});
