import { expect, type Locator, type Page } from '@playwright/test';
import { newCase, PHONE, PIXEL, saved, shop, test, viewOf } from './bench';

/** Tab, or Shift+Tab, until the control has the hand: what cannot be reached this way fails here. */
async function tabTo(page: Page, control: Locator, key: 'Tab' | 'Shift+Tab' = 'Tab', most = 80): Promise<void> {
  await control.waitFor();
  for (let i = 0; i < most; i++) {
    if (await control.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press(key);
  }
  throw new Error(`${control.toString()} was not reached in ${most} stops.`);
}

/** Opens the list of a choice that has the hand, and takes the option by its words. */
async function pick(page: Page, option: string | RegExp, most = 30): Promise<void> {
  await page.keyboard.press('ArrowDown');
  const wanted = page.locator('.ant-select-item-option-active').filter({ hasText: option });
  for (let i = 0; i < most && !(await wanted.isVisible()); i++) await page.keyboard.press('ArrowDown');
  await expect(wanted).toBeVisible();
  await page.keyboard.press('Enter');
}

test('a case from first click to signed call, by keyboard alone', async ({ page }) => {
  const { keyboard } = page;
  await page.goto(`${shop()}/`);
  await tabTo(page, page.getByLabel('Who is at the bench?'));
  await keyboard.type('K. Board');
  await keyboard.press('Enter');
  await tabTo(page, page.getByRole('link', { name: 'New case' }).first());
  await keyboard.press('Enter');
  await tabTo(page, page.getByLabel('Name of the case'));
  await keyboard.type('Weir Road eight');
  await keyboard.press('Enter');
  await expect(page.getByText(/· Weir Road eight$/)).toBeVisible();

  // The story, and the station that was reported failed: the plan is one stop, arrows walk it.
  await tabTo(page, page.getByLabel('What happened, in the customer’s words'));
  await keyboard.type('Broke up at seven thousand, then ran on seven.');
  await tabTo(page, page.getByRole('gridcell', { name: /^1E,/ }), 'Shift+Tab');
  await keyboard.press('ArrowRight');
  await keyboard.press('ArrowDown');
  for (let i = 0; i < 4 && !(await page.getByRole('gridcell', { name: /^4E,.*chosen/ }).isVisible()); i++)
    await keyboard.press('ArrowDown');
  await expect(page.getByRole('gridcell', { name: /^4E,.*chosen/ })).toBeFocused();
  await tabTo(page, page.getByRole('button', { name: 'Mark 4E as reported failed' }));
  await keyboard.press('Enter');
  await expect(page.getByRole('gridcell', { name: /4E, exhaust.*reported failed/ })).toBeVisible();

  // Teardown.
  await tabTo(page, page.getByRole('link', { name: /3 Teardown/ }), 'Shift+Tab');
  await keyboard.press('Enter');
  await expect(page.getByLabel('part', { exact: true })).toBeFocused();
  await keyboard.type('s');
  await expect(page.getByLabel('sign', { exact: true })).toBeFocused();
  await keyboard.type('polish between');
  await expect(page.getByRole('option').first()).toContainText('adjacent coils bright on facing sides');
  await keyboard.press('Enter');
  await keyboard.type('3');
  await keyboard.press('Enter');
  await keyboard.type('.');
  await saved(page);

  // The bench: another sheet, four readings, and the reasoning of a margin.
  await tabTo(page, page.getByRole('link', { name: /4 Bench/ }), 'Shift+Tab');
  await keyboard.press('Enter');
  const sheet = page.getByRole('combobox', { name: 'Sheet', exact: true });
  await tabTo(page, sheet, 'Shift+Tab');
  await pick(page, 'Heights, lift and room');
  await tabTo(page, page.getByLabel('4I installed height', { exact: true })); // the rest of 4E was said to be clean: the hand went on
  await keyboard.press('ArrowUp');
  await expect(page.getByLabel('4E installed height', { exact: true })).toBeFocused();
  await keyboard.type('1.720');
  await keyboard.press('Enter');
  await keyboard.press('ArrowUp'); // Enter went down the column
  const lift = page.getByLabel('4E net lift', { exact: true });
  for (let i = 0; i < 8 && !(await lift.isVisible()); i++) await keyboard.press('ArrowRight');
  await keyboard.type('0.575');
  await keyboard.press('Enter');
  await tabTo(page, sheet, 'Shift+Tab');
  await pick(page, 'Springs, outer');
  const bind = page.getByLabel('4E bind height', { exact: true });
  await tabTo(page, page.getByLabel('4I free height', { exact: true }));
  await keyboard.press('ArrowUp');
  for (let i = 0; i < 8 && !(await bind.isVisible()); i++) await keyboard.press('ArrowRight');
  await keyboard.type('1.150');
  await keyboard.press('Enter');
  await saved(page);
  while (!(await page.getByRole('row', { name: /^4E/ }).evaluate((row) => row.classList.contains('current'))))
    await keyboard.press('Shift+Enter');
  const margin = page.getByRole('button', { name: /4E travel to bind: -0.005 plus or minus .* outside/ });
  await tabTo(page, margin);
  await keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('installed height − net lift − bind height');
  await keyboard.press('Escape');
  await expect(margin).toBeFocused();

  // The call.
  await tabTo(page, page.getByRole('link', { name: /8 Cause/ }), 'Shift+Tab');
  await keyboard.press('Enter');
  await expect(page.getByText(/Established: spring goes solid \(coil bind\)/)).toBeVisible();
  await tabTo(page, page.getByLabel('Cause, in your judgement'));
  await keyboard.type('Installed');
  await keyboard.press('Enter');
  await keyboard.press('Escape');
  await tabTo(page, page.getByLabel('Your reasons, in your own words'));
  await keyboard.type('Solid before full lift.');
  await tabTo(page, page.getByRole('slider', { name: 'How sure are you' }), 'Shift+Tab');
  for (let i = 0; i < 14; i++) await keyboard.press('ArrowRight');
  await tabTo(page, page.getByRole('button', { name: 'Sign the call as K. Board' }));
  await keyboard.press('Enter');
  await expect(page.getByText(/Signed by K. Board/)).toBeVisible();
});

test('the bench by touch, on a phone', async ({ browser, request }) => {
  const { id } = await newCase(request, 'On a phone');
  const context = await browser.newContext(PHONE);
  const page = await context.newPage();
  const tap = (name: string | RegExp, role: 'button' | 'link' | 'radio' | 'option' | 'gridcell' = 'button'): Promise<void> =>
    page.getByRole(role, { name }).first().tap();

  // Who is there, and the case from the queue.
  await page.goto(`${shop()}/`);
  await page.getByLabel('Who is at the bench?').tap();
  await page.keyboard.insertText('T. Humb');
  await tap('That is me');
  await page
    .getByRole('link', { name: /On a phone/ })
    .first()
    .tap();
  await tap(/1 Story/, 'link');
  await page.getByLabel('What happened, in the customer’s words').tap();
  await page.keyboard.insertText('Ticked, then ran on seven.');
  await tap(/^4E,/, 'gridcell');
  await tap('Mark 4E as reported failed');

  // Teardown without a key: part, sign, how bad, and nothing on the rest.
  await tap(/3 Teardown/, 'link');
  await tap(/^spring not looked/);
  await page.getByLabel('sign', { exact: true }).tap();
  await page.keyboard.insertText('polish between');
  await tap(/adjacent coils bright/, 'option');
  await tap(/3.*heavy/, 'radio');
  await tap(/^Accept/);
  await expect(page.getByRole('region', { name: /^Recorded here/ })).toContainText('adjacent coils bright');
  await tap(/^Nothing on the \d+ left/);
  await expect
    .poll(async () => (await viewOf(request, id)).entries.filter((entry) => entry.kind === 'finding').map((entry) => entry.item))
    .toContain('coils_bright');

  // A photograph of the part.
  await page.locator('input[type=file]').first().setInputFiles({ name: 'p.png', mimeType: 'image/png', buffer: PIXEL });
  await expect(page.getByRole('img', { name: /^4[EI]/ }).first()).toBeVisible();

  // A reading, and the next one in another cell.
  await tap(/4 Bench/, 'link');
  await page.getByLabel('4E free height').tap();
  await page.keyboard.insertText('2.050');
  await page.getByLabel('4E bind height').tap();
  await page.keyboard.insertText('1.150');
  await page.getByLabel('4E free height').tap();
  await expect
    .poll(async () => (await viewOf(request, id)).entries.filter((entry) => entry.kind === 'reading').map((entry) => entry.content.text))
    .toEqual(['2.050', '1.150']);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  await context.close();
});
