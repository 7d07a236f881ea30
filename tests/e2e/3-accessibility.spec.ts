import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { atTheBench, newCase, shop, test, uuid, viewOf } from './bench';

/** Every place, with something in it, keeps WCAG 2.2 AA as far as a program can tell, and fits 1280 pixels. */
test('places are accessible and fit the bench screen', async ({ page, request }) => {
  await atTheBench(page, 'R. Test');
  const { id } = await newCase(request, 'Accessible');
  const post = async (kind: string, slot: object, data: object): Promise<void> => {
    const response = await request.post(`${shop()}/api/cases/${id}/entries`, {
      data: { id: uuid(), kind, supersedes: null, by: 'tests', at: new Date().toISOString(), slot: { index: null, ...slot }, data },
    });
    expect(response.status(), await response.text()).toBe(201);
  };
  await post('finding', { place: 'A1-E1', part: 'spring', item: 'coils_bright' }, { severity: 3 });
  await post('reading', { place: 'A1-E1', part: 'spring_seat', item: 'installed_height' }, { text: '1.720' });
  await post('reading', { place: 'A1-E1', part: 'spring', item: 'bind_height', index: 'outer' }, { text: '1.150' });
  await post('reading', { place: 'A1-E1', part: 'valve', item: 'net_lift' }, { text: '0.565' });
  for (const address of ['/', '/new', '/nowhere', ...PLACES.map((place) => `/case/${id}/${place}`)]) {
    await page.goto(shop() + address);
    await page.waitForLoadState('networkidle');
    expect(await failings(page), address).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), address).toBeLessThanOrEqual(1280);
  }

  // By night.
  await page.emulateMedia({ colorScheme: 'dark' });
  for (const place of ['story', 'before/valves', 'teardown', 'bench', 'clearances', 'cause']) {
    await page.goto(`${shop()}/case/${id}/${place}`);
    await page.waitForLoadState('networkidle');
    expect(await failings(page), `${place}, dark`).toEqual([]);
  }

  // Dialogs and open lists.
  await page.emulateMedia({ colorScheme: 'light' });
  await page.goto(`${shop()}/case/${id}/bench?at=A1-E1`);
  await page.getByLabel('1E free height', { exact: true }).waitFor();
  await page.getByRole('combobox', { name: 'Sheet' }).click();
  await expect(page.getByRole('option').first()).toBeVisible();
  expect(await failings(page), 'open list').toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /keys$/ }).click();
  await expect(page.getByRole('dialog')).toContainText('take back the last stroke');
  expect(await failings(page), 'keys').toEqual([]);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  // The reasoning behind the row is reached from its live cell by Tab alone.
  await page.getByLabel('1E free height', { exact: true }).focus();
  for (let i = 0; i < 12 && (await page.evaluate(() => document.activeElement?.closest('.rule, .derived') === null)); i++)
    await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('How this came about');
  expect(await failings(page), 'reasoning').toEqual([]);
});

const PLACES = [
  ...['story', 'symptoms', 'engine', 'claimed', 'timeline', 'log'].map((section) => `story/${section}`),
  ...['cylinders', 'valves', 'engine', 'dates'].map((section) => `before/${section}`),
  ...['look', 'plan', 'pieces', 'photographs'].map((section) => `teardown/${section}`),
  'bench',
  'clearances/margins',
  'clearances/departures',
  'cause',
  'motion',
  'report',
  'schedule',
];

/** What fails WCAG 2.2 AA, and what else every page has: a main landmark, a heading, one banner. */
async function failings(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .options({
      runOnly: { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'] },
      rules: Object.fromEntries(
        ['landmark-one-main', 'page-has-heading-one', 'landmark-no-duplicate-banner', 'document-title'].map((rule) => [
          rule,
          { enabled: true },
        ]),
      ),
    })
    .exclude('iframe')
    .analyze();
  return violations.map((one) => `${one.id}: ${one.nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`);
}

test('a case is worked by touch on a phone: nothing is wider than it, and what is pressed at the bench is large enough', async ({
  browser,
  request,
}) => {
  const { id } = await newCase(request, 'On a phone');
  const context = await browser.newContext({
    viewport: { width: 360, height: 800 },
    hasTouch: true,
    isMobile: true,
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  for (const address of ['/', '/new', ...PLACES.map((place) => `/case/${id}/${place}`)]) {
    await page.goto(shop() + address);
    await page.waitForLoadState('networkidle');
    expect(await page.evaluate(() => document.documentElement.scrollWidth), address).toBeLessThanOrEqual(360);
  }
  await page.goto(`${shop()}/case/${id}/teardown?at=A1-E1`);
  await page.getByLabel('Who is at the bench?').first().fill('R. Touch');
  await page.getByRole('button', { name: 'That is me' }).first().tap();
  await page.getByRole('option').first().tap();
  await page.getByRole('radio', { name: /2 clear/ }).tap();
  await page.getByRole('button', { name: 'Accept, next part' }).tap();
  await page.getByRole('button', { name: /^Nothing on the \d+ left/ }).tap();
  await page.goto(`${shop()}/case/${id}/bench?at=A1-E1`);
  await page.getByLabel('1E free height', { exact: true }).fill('2.050');
  await page.getByLabel('1E seat load: empty').tap();
  await expect
    .poll(async () => (await viewOf(request, id)).entries.some((entry) => entry.text === '2.050' && entry.by === 'R. Touch'))
    .toBe(true);
  const entries = (await viewOf(request, id)).entries;
  expect(entries.filter((entry) => entry.kind === 'finding')).toHaveLength(1);
  expect(entries.filter((entry) => entry.kind === 'look').length).toBeGreaterThan(5);
  await page.goto(`${shop()}/case/${id}/teardown?at=A2-E1`);
  await page.getByRole('option').first().waitFor();
  const small = await page.evaluate(() =>
    [...document.querySelectorAll('.entry [role=option], .entry .ant-btn, .parts button, .sites button, .lenses button')]
      .filter((one) => one.getBoundingClientRect().height < 40)
      .map((one) => one.textContent),
  );
  expect(small).toEqual([]);
  await context.close();
});
