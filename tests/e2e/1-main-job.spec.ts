import { expect } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { atTheBench, otherShop, saved, shop, test } from './bench';

/** From an empty database to a signed call and an open file: one coil-bound exhaust spring. */
test('a coil-bound spring, from the first click to the report', async ({ page, browser }, info) => {
  await atTheBench(page, 'R. Test');
  await page.goto(`${shop()}/`);
  await expect(page.getByText('No cases yet.')).toBeVisible();

  // The case, by keyboard.
  await page.getByRole('link', { name: 'New case' }).first().press('Enter');
  await page.getByLabel('Name of the case').pressSequentially('Harrow Lane eight');
  await expect(page.getByRole('img', { name: /V8, 16 valves, pushrod/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText('0001 · Harrow Lane eight', { exact: true })).toBeVisible();

  // The story.
  await page.getByLabel('What happened, in the customer’s words').fill('Broke up at seven thousand, then ran on seven.');
  await page.getByRole('gridcell', { name: /^4E,/ }).click();
  await page.getByRole('button', { name: 'Mark 4E as reported failed' }).click();
  await expect(page.getByRole('gridcell', { name: /4E, exhaust.*reported failed/ })).toBeVisible();

  // Teardown: part by letter, sign by typing, severity by digit.
  await page.getByRole('link', { name: /3 Teardown/ }).click();
  await expect(page.getByLabel('part', { exact: true })).toBeFocused();
  await page.keyboard.press('s');
  await page.keyboard.type('polish between');
  await expect(page.getByRole('option').first()).toContainText('adjacent coils bright on facing sides');
  await page.keyboard.press('Enter');
  await page.keyboard.press('3');
  await page.keyboard.press('Enter');
  await page.keyboard.press('d');
  await page.keyboard.type('end coil');
  await page.keyboard.press('Enter');
  await page.keyboard.press('2');
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(page.getByRole('region', { name: /^Recorded here/ })).toContainText('spring: adjacent coils bright');

  // A picture, attached to the part in the entry line.
  const picture = info.outputPath('spring.png');
  writeFileSync(
    picture,
    execFileSync('php', ['-r', 'require "vendor/autoload.php"; echo MuteTapper\\App\\Simulated\\PartPicture::SpringCoils->svg(3, 5);']),
  );
  execFileSync('rsvg-convert', ['-o', picture + '.png', picture]);
  await page
    .getByRole('list', { name: 'Parts' })
    .getByRole('button', { name: /spring 3/ })
    .or(page.getByRole('button', { name: /^S spring/ }))
    .first()
    .click();
  await page.locator('input[type=file]').setInputFiles(picture + '.png');
  await expect(page.getByRole('img', { name: '4E spring' })).toBeVisible();
  await page.getByRole('button', { name: /4E spring, open large/ }).click();
  await expect(page.getByRole('dialog')).toContainText('SHA-256');
  await page.keyboard.press('Escape');

  // The bench, by keyboard: heights down, springs across.
  await page.getByRole('link', { name: /4 Bench/ }).click();
  await page.getByLabel('Sheet', { exact: true }).click();
  await page.getByRole('option', { name: 'Heights, lift and room' }).click();
  await expect(page.getByLabel('4E installed height', { exact: true })).toBeFocused();
  await page.keyboard.type('1.720');
  await page.keyboard.press('Enter');
  await page.getByLabel('4E net lift: empty').click();
  await page.keyboard.type('14.35 mm');
  await page.keyboard.press('Enter');
  await page.getByLabel('Sheet', { exact: true }).click();
  await page.getByRole('option', { name: 'Springs, outer' }).click();
  await page.getByLabel('4E bind height: empty').click();
  await page.keyboard.type('1.150');
  await page.keyboard.press('Enter');
  await saved(page);
  const rule = page.getByRole('img', { name: /4E travel to bind: 0.005 plus or minus .* outside/ });
  await expect(rule).toBeVisible();
  await rule.click();
  await expect(page.getByRole('dialog')).toContainText('installed height − net lift − bind height');
  await expect(page.getByRole('dialog')).toContainText('height micrometer, ±0.001 in');
  await page.keyboard.press('Escape');

  // Coil bind is established; its root is open.
  await page.getByRole('link', { name: /8 Cause/ }).click();
  await expect(page.getByText(/^Established: spring goes solid \(coil bind\).*Its root is open between/)).toBeVisible();

  // What was claimed decides.
  await page.getByRole('link', { name: /1 Story/ }).click();
  await page.getByText('Build as claimed').click();
  await page.getByLabel('claimed installed height, all exhausts').fill('1.800');
  await page.keyboard.press('Enter');
  await saved(page);
  await page.getByRole('link', { name: /8 Cause/ }).click();
  await expect(page.getByText(/^Installed height too small \(.*\) leads/)).toBeVisible();
  const ledger = page.getByRole('region', { name: 'For installed height too small' });
  await expect(ledger).toContainText('installed height below the claim, 4E');
  await expect(ledger).toContainText('adjacent coils bright on facing sides, heavy, 4E');

  // The call.
  await page.getByLabel('Cause, in your judgement').click();
  await page.keyboard.type('Installed');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.getByLabel('Your reasons, in your own words').fill('The locator took eighty thou from 4E.');
  await page.getByRole('slider', { name: 'How sure are you' }).focus();
  for (let i = 0; i < 16; i++) await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: 'Sign the call as R. Test' }).click();
  await expect(page.getByText(/Signed by R. Test/)).toBeVisible();

  // Report and open file.
  await page.getByRole('link', { name: /10 Report/ }).click();
  const [pdf] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Make the PDF' }).click()]);
  const pdfPath = info.outputPath('report.pdf');
  await pdf.saveAs(pdfPath);
  const text = execFileSync('pdftotext', ['-layout', pdfPath, '-'], { encoding: 'utf8' });
  for (const words of [
    'The locator took eighty thou from 4E.',
    'Signed by R. Test',
    '80 % sure',
    'Installed height too small',
    'Broke up at seven thousand',
  ])
    expect(text).toContain(words);
  const [json] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Case as JSON' }).click()]);
  const jsonPath = info.outputPath('case.json');
  await json.saveAs(jsonPath);

  // Another shop opens it: the same case, with the picture to be supplied.
  const elsewhere = await browser.newPage();
  await atTheBench(elsewhere, 'Other');
  await elsewhere.goto(`${otherShop()}/`);
  await elsewhere.locator('input[type=file]').setInputFiles(jsonPath);
  await expect(elsewhere.getByRole('heading', { name: /· Harrow Lane eight/ })).toBeVisible();
  await elsewhere.getByRole('link', { name: /8 Cause/ }).click();
  await expect(elsewhere.getByText(/^Installed height too small \(.*\) leads/)).toBeVisible();
  await elsewhere.getByRole('link', { name: /3 Teardown/ }).click();
  await expect(elsewhere.getByText('picture not supplied')).toBeVisible();
  const id = /case\/([0-9a-f-]+)\//.exec(elsewhere.url())?.[1] ?? '';
  const again = await (await elsewhere.request.get(`${otherShop()}/api/cases/${id}/case.json`)).text();
  expect(again).toBe(readFileSync(jsonPath, 'utf8'));
  await elsewhere.close();
});
