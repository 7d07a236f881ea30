import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { atTheBench, newCase, shop, test, uuid } from './bench';

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

const PHONE = { viewport: { width: 360, height: 800 }, hasTouch: true, isMobile: true, reducedMotion: 'reduce' as const };

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

test('no place is wider than a phone', async ({ browser, request }) => {
  const { id } = await newCase(request, 'On a phone');
  const context = await browser.newContext(PHONE);
  const page = await context.newPage();
  for (const address of ['/', '/new', ...PLACES.map((place) => `/case/${id}/${place}`)]) {
    await page.goto(shop() + address);
    await page.waitForLoadState('networkidle');
    expect(await page.evaluate(() => document.documentElement.scrollWidth), address).toBeLessThanOrEqual(360);
  }
  await context.close();
});
