import AxeBuilder from '@axe-core/playwright';
import { expect } from '@playwright/test';
import { atTheBench, newCase, shop, uuid, test } from './bench';

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
  for (const address of [
    '/',
    '/new',
    ...[
      'story',
      'before',
      'teardown',
      'bench',
      'clearances',
      'cause',
      'report',
      'schedule',
      'teardown/plan',
      'teardown/pieces',
      'teardown/photographs',
    ].map((step) => `/case/${id}/${step}`),
  ]) {
    await page.goto(shop() + address);
    await page.waitForLoadState('networkidle');
    const { violations } = await new AxeBuilder({ page })
      .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
      .exclude('iframe')
      .analyze();
    expect(violations.map((one) => `${address}: ${one.id}: ${one.nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`)).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), address).toBeLessThanOrEqual(1280);
  }
});
