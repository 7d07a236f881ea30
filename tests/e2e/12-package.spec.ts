import { expect } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { atTheBench, entered, newCase, otherShop, PIXEL, saved, shop, test } from './bench';

test('a case goes to another shop with its pictures, and a changed package is refused in words', async ({ page, request, browser }) => {
  const { id } = await newCase(request, 'Evidence that travels');
  await entered(request, id, 'finding', { place: 'A1-E1', part: 'spring', item: 'coils_bright' }, { severity: 3, state: 'as_found' });
  const picture = await request.post(`${shop()}/api/cases/${id}/photographs`, {
    data: PIXEL,
    headers: { 'Content-Type': 'application/octet-stream' },
  });
  const { sha256 } = (await picture.json()) as { sha256: string };
  const slot = { place: 'A1-E1', part: 'spring', item: 'photograph', index: 'x' };
  await entered(request, id, 'photograph', slot, { sha256, caption: '1E spring' });
  await atTheBench(page, 'R. Test');
  await page.goto(`${shop()}/case/${id}/report`);
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Evidence package' }).press('Enter')]);
  expect(file.suggestedFilename()).toMatch(/^package-\d{4}\.zip$/);
  const content = readFileSync(await file.path());

  // Elsewhere: a byte was changed on the way; it is named, and nothing came in.
  const elsewhere = await browser.newPage();
  await elsewhere.goto(`${otherShop()}/`);
  const give = (name: string, buffer: Buffer): Promise<void> =>
    elsewhere.locator('input[type=file]').setInputFiles({ name, mimeType: 'application/zip', buffer });
  const changed = Buffer.from(content);
  const at = changed.indexOf('Evidence that travels');
  const middle = at === -1 ? Math.floor(changed.length / 2) : at;
  changed[middle] = (changed[middle] ?? 0) ^ 1;
  await give('changed.zip', changed);
  await expect(elsewhere.getByRole('alert')).toContainText(
    /“[^”]+” (cannot be read|is not as it was packed|was cut off|is longer than it says)/,
  );
  await elsewhere.keyboard.press('Escape');
  await give('holiday.zip', Buffer.from('sand'));
  await expect(elsewhere.getByRole('alert')).toContainText('It is no ZIP archive');
  await elsewhere.keyboard.press('Escape');
  await expect(elsewhere.getByText('Evidence that travels')).toHaveCount(0);

  // As it was packed it comes in, with its picture.
  await give('package.zip', content);
  await expect(elsewhere).toHaveURL(new RegExp(`/case/${id}/story`));
  await saved(elsewhere);
  await elsewhere.goto(`${otherShop()}/case/${id}/teardown/photographs`);
  await expect(elsewhere.getByRole('button', { name: /1E spring, open large/ })).toBeVisible();
  const back = await elsewhere.request.get(`${otherShop()}/api/cases/${id}/photographs/${sha256}/original`);
  expect(await back.body()).toEqual(PIXEL);
  // One that is here already is offered as a copy.
  await elsewhere.goto(`${otherShop()}/`);
  await give('package.zip', content);
  await elsewhere.getByRole('dialog').getByRole('button').last().click();
  await expect(elsewhere).toHaveURL(/\/story/);
  await elsewhere.close();
});
