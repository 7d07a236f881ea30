import AxeBuilder from '@axe-core/playwright';
import { expect, type APIRequestContext, type Page } from '@playwright/test';
import { atTheBench, entered, newCase, patient, PIXEL, shop, sweptTo, test } from './bench';

/** A case with something in every place. */
async function furnished(request: APIRequestContext): Promise<string> {
  const { id } = await newCase(request, 'Accessible');
  const post = (kind: string, slot: object, data: object): Promise<void> => entered(request, id, kind, slot, data);
  await post('finding', { place: 'A1-E1', part: 'spring', item: 'coils_bright' }, { severity: 3 });
  await post('reading', { place: 'A1-E1', part: 'spring_seat', item: 'installed_height' }, { text: '1.720' });
  await post('reading', { place: 'A1-E1', part: 'spring', item: 'bind_height', index: 'outer' }, { text: '1.150' });
  await post('reading', { place: 'A1-E1', part: 'valve', item: 'net_lift' }, { text: '0.565' });
  await post('reading', { place: 'A1-E1', part: 'guide', item: 'guide_height' }, { text: '0.640' });
  await post('reading', { place: 'A1-E1', part: 'retainer', item: 'retainer_depth' }, { text: '0.285' });
  for (const place of ['A1-E1', 'loose-box-1'])
    await post('sweep', { place, part: 'spring', item: 'sweep', index: 'outer' }, sweptTo(1.15, place === 'A1-E1' ? 0 : -25));
  await post(
    'remedy',
    { place: 'engine', part: 'remedy', item: 'alternative', index: 'lift' },
    { name: 'Less lift', remedyKind: 'cure', change: [{ places: ['A1-E1'], name: 'net_lift', to: { number: 0.5, unit: 'in' } }] },
  );
  await post(
    'remedy',
    { place: 'engine', part: 'remedy', item: 'alternative', index: 'hold' },
    { name: 'Limiter', remedyKind: 'containment', until: 'springs' },
  );
  await post('line', { place: 'A1-E1', part: 'assembly', item: 'line', index: 'spring_in' }, { state: 'ticked' });
  await post('reading', { place: 'A1-E1', part: 'spring_seat', item: 'installed_height', index: 'built-rebuild' }, { text: '1.790' });
  await post('outcome', { place: 'engine', part: 'afterwards', item: 'outcome', index: '2027-01-20' }, { amount: 10, symptom: 'gone' });
  const picture = await request.post(`${shop()}/api/cases/${id}/photographs`, {
    data: PIXEL,
    headers: { 'Content-Type': 'application/octet-stream' },
  });
  const { sha256 } = (await picture.json()) as { sha256: string };
  await post('photograph', { place: 'A1-E1', part: 'spring', item: 'photograph', index: 'x' }, { sha256, caption: '1E spring' });
  return id;
}

// Every place is opened four times over: the longest of all, so it is walked by several hands.
test.describe.configure({ mode: 'parallel' });

/** A minute where the machine is quiet, and it must pass where it is not. */
const PATIENCE = 1_200_000;

/** Every place keeps WCAG 2.2 AA as far as a program can tell, light and dark, and fits the bench screen and a phone. */
async function walk(page: Page, request: APIRequestContext, addresses: (id: string) => readonly string[]): Promise<void> {
  patient(PATIENCE);
  await atTheBench(page, 'R. Test');
  const id = await furnished(request);
  const fits = async (width: number, address: string): Promise<void> => {
    await page.setViewportSize({ width, height: 800 });
    expect(await page.evaluate(() => document.documentElement.scrollWidth), `${address} at ${width}`).toBeLessThanOrEqual(width);
  };
  for (const address of addresses(id)) {
    await page.goto(shop() + address);
    await page.waitForLoadState('networkidle');
    // On a busy machine a page is quiet before it is drawn.
    await expect(page.getByRole('main')).toBeVisible();
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeAttached();
    expect(await failings(page), address).toEqual([]);
    expect(await failings(page, 'dark'), `${address}, dark`).toEqual([]);
    await fits(360, address);
    await fits(1280, address);
  }
}

test('places beside the cases are accessible, and fit the bench screen and a phone', ({ page, request }) =>
  walk(page, request, () => ['/', '/new', '/quick?of=travel-to-bind', ...SHELVES, '/nowhere']));

const HANDS = 4;
for (let hand = 0; hand < HANDS; hand++)
  test(`places of a case are accessible, and fit the bench screen and a phone, ${hand + 1} of ${HANDS}`, ({ page, request }) =>
    walk(page, request, (id) => PLACES.filter((_, i) => i % HANDS === hand).map((place) => `/case/${id}/${place}`)));

for (let hand = 0; hand < HANDS; hand++)
  test(`dialogs and open lists are accessible, ${hand + 1} of ${HANDS}`, async ({ page, request }) => {
    patient(PATIENCE);
    await atTheBench(page, 'R. Test');
    const id = await furnished(request);
    for (const [place, name, open] of OPENED.filter((_, i) => i % HANDS === hand)) {
      await page.goto(`${shop()}/case/${id}/${place}`);
      await page.waitForLoadState('networkidle');
      await open(page);
      await expect(page.getByRole('dialog').or(page.getByRole('listbox')).first()).toBeAttached();
      expect(await failings(page), `${place}: ${name}`).toEqual([]);
      expect(await failings(page, 'dark'), `${place}: ${name}, dark`).toEqual([]);
    }
  });

const choice = (label: string) => async (page: Page) => {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await expect(page.locator('.ant-select-dropdown:visible')).toBeVisible();
};
const pressed = (name: RegExp) => (page: Page) => page.getByRole('button', { name }).first().click();
/** Every shelf of the library, with something of it open. */
const SHELVES = [
  '/library/gauges?of=new',
  '/library/springs?of=new',
  '/library/limits?of=seat_width',
  '/library/links?of=mechanism-coil_bind',
  '/library/engines?of=new',
  '/library/studies?of=new',
];
/** What opens over a place, and how. */
const OPENED: readonly [place: string, name: string, open: (page: Page) => Promise<void>][] = [
  ['teardown', 'keys', pressed(/keys$/)],
  ['teardown', 'who is there', pressed(/^At the bench/)],
  ['teardown', 'plan in full size', (page) => page.keyboard.press('F2')],
  ['teardown?at=A1-E1', 'photograph', pressed(/1E spring, open large/)],
  ['teardown/photographs', 'simulated camera', pressed(/simulated/i)],
  ['bench?at=A1-E1', 'reasoning', pressed(/1E travel to bind/)],
  ['bench', 'sheets', choice('Sheet')],
  ['bench/valves.', 'other schools', pressed(/^Other schools/)],
  ['bench', 'margins of the plan', choice('Which margin the plan shows')],
  ['story/engine', 'engine', (page) => page.getByRole('combobox').first().click()],
  ['cause', 'cause called', choice('Cause, in your judgement')],
  ['cause/chain?event=float', 'event added to the chain', pressed(/^Add an event/)],
  ['remedy/remedies', 'a remedy is written', pressed(/^Change it/)],
  ['remedy/reuse', 'what becomes of a part', (page) => page.getByRole('combobox').first().click()],
  ['schedule', 'kind of work', (page) => page.getByRole('combobox').first().click()],
];

const PLACES = [
  ...['story', 'symptoms', 'engine', 'claimed', 'timeline', 'log'].map((section) => `story/${section}`),
  ...['cylinders', 'valves', 'engine', 'dates', 'health'].map((section) => `before/${section}`),
  ...['look', 'plan', 'pieces', 'photographs'].map((section) => `teardown/${section}`),
  'bench',
  'bench/valves.',
  'bench/guides.',
  'bench/swept?at=A1-E1',
  ...['margins', 'station?at=A1-E1', 'fit', 'departures', 'kind', 'guides', 'springs'].map((section) => `clearances/${section}`),
  'compare',
  ...['remedies', 'reuse', 'reassembly?at=A1-E1&stage=Springs', 'afterwards'].map((section) => `remedy/${section}`),
  'cause',
  'cause/chain?event=float',
  ...['lift?at=A1-E1', 'sweep?at=A1-E1', 'piston'].map((section) => `motion/${section}`),
  'report',
  'schedule',
];

/** What fails WCAG 2.2 AA, and what else every page has: a main landmark, a heading, one banner. In the dark only colours differ. */
async function failings(page: Page, colorScheme: 'light' | 'dark' = 'light'): Promise<string[]> {
  await page.emulateMedia({ colorScheme });
  await settled(page);
  const { violations } = await (colorScheme === 'dark' ? new AxeBuilder({ page }).withRules(['color-contrast']) : everyRule(page))
    // No frame is looked into, so that no page of its own is needed to gather what was found: half the time.
    .setLegacyMode()
    .exclude('iframe')
    .analyze();
  await page.emulateMedia({ colorScheme: 'light' });
  // An open list is scrolled by the arrows of the field that opened it: it needs no stop of its own.
  const isOpenList = (rule: string, html: string): boolean =>
    rule === 'scrollable-region-focusable' && html.includes('ant-select-dropdown-list-holder');
  return violations
    .map((one) => ({ rule: one.id, html: one.nodes.map((node) => node.html.slice(0, 120)).filter((html) => !isOpenList(one.id, html)) }))
    .filter(({ html }) => html.length > 0)
    .map(({ rule, html }) => `${rule}: ${html.join(' | ')}`);
}

/** Waits until nothing changes its colour or place any more. */
const settled = (page: Page): Promise<void> =>
  page.evaluate(async () => {
    await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
    const ending = document.getAnimations().filter((one) => one.effect?.getComputedTiming().endTime !== Infinity);
    await Promise.all(ending.map((one) => one.finished.catch(() => undefined)));
  });

const everyRule = (page: Page): AxeBuilder =>
  new AxeBuilder({ page }).options({
    runOnly: { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'] },
    rules: Object.fromEntries(
      ['landmark-one-main', 'page-has-heading-one', 'landmark-no-duplicate-banner', 'document-title'].map((rule) => [
        rule,
        { enabled: true },
      ]),
    ),
  });
