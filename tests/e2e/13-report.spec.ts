import { expect, type APIRequestContext, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { atTheBench, entered, newCase, saved, shop, test } from './bench';

const PICTURES = 40;

/** Photographs as a camera makes them, of about 600 kB each and no two alike: grain, so that they are no smaller than real ones. */
const GRAIN = `$i = imagecreatetruecolor(1600, 1200); mt_srand(7);
for ($y = 0; $y < 1200; $y += 2) for ($x = 0; $x < 1600; $x += 2) { $g = 90 + (($x + $y) >> 5) + mt_rand(-24, 24);
imagefilledrectangle($i, $x, $y, $x + 1, $y + 1, $g << 16 | $g << 8 | $g); }
for ($n = 0; $n < $argv[2]; $n++) { imagefilledellipse($i, 200 + 30 * $n, 600, 90, 500, 0x606060 + 0x010305 * $n); imagejpeg($i, "$argv[1]/$n.jpg", 80); }`;

function photographs(count: number): Buffer[] {
  const folder = mkdtempSync(join(tmpdir(), 'photographs.'));
  execFileSync('php', ['-r', GRAIN, folder, String(count)]);
  const pictures = Array.from({ length: count }, (_, i) => readFileSync(join(folder, `${i}.jpg`)));
  rmSync(folder, { recursive: true });
  return pictures;
}

/** A case with as many photographs as a big one has, a train that moves, and a chain of damage. */
async function furnished(request: APIRequestContext): Promise<string> {
  const { id } = await newCase(request, 'Papers for a dispute', {
    layout: 'inline',
    drive: 'bucket',
    cylinders: 4,
    lash: 'solid',
    intendedSpeed: 9200,
  });
  const reading = (part: string, item: string, text: string, more: object = {}, index?: string): Promise<void> =>
    entered(request, id, 'reading', { place: 'A1-E1', part, item, ...(index === undefined ? {} : { index }) }, { text, ...more });
  await reading('spring_seat', 'installed_height', '1.440');
  await reading('spring', 'bind_height', '0.960', {}, 'outer');
  await reading('spring', 'load_seat', '60', { atText: '1.440' }, 'outer');
  await reading('spring', 'load_open', '150', { atText: '1.030' }, 'outer');
  await reading('valve', 'net_lift', '0.470');
  await reading('lobe', 'lobe_lift', '0.470');
  await reading('valve', 'lash', '0.008');
  for (const [item, text] of [
    ['card_high_duration', '255'],
    ['card_low_duration', '290'],
  ] as const)
    await entered(request, id, 'claim', { place: 'kind-E', part: 'lobe', item: `claimed.${item}` }, { text, standing: 'known' });
  await entered(request, id, 'finding', { place: 'A1-E1', part: 'spring', item: 'coils_bright' }, { severity: 3 });
  await entered(request, id, 'finding', { place: 'A1-E1', part: 'seat', item: 'seat_hammered' }, { severity: 2 });
  for (const [i, data] of photographs(PICTURES).entries()) {
    const picture = await request.post(`${shop()}/api/cases/${id}/photographs`, {
      data,
      headers: { 'Content-Type': 'application/octet-stream' },
    });
    const { sha256 } = (await picture.json()) as { sha256: string };
    const slot = { place: 'A1-E1', part: 'spring', item: 'photograph', index: `p${i}` };
    await entered(request, id, 'photograph', slot, { sha256, caption: `Spring, turn ${i + 1}` });
  }
  return id;
}

/** Makes the PDF by the button, and reads it with a program that knows nothing of this one. */
async function pdf(page: Page): Promise<{ text: string; images: number; bytes: number; milliseconds: number }> {
  const from = Date.now();
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Make the PDF' }).click()]);
  const path = await file.path();
  const milliseconds = Date.now() - from;
  const text = execFileSync('pdftotext', ['-layout', path, '-']).toString();
  const images = execFileSync('pdfimages', ['-list', path])
    .toString()
    .split('\n')
    .filter((line) => line.includes('image')).length;
  expect(readFileSync(path).subarray(0, 5).toString()).toBe('%PDF-');
  return { text, images, bytes: statSync(path).size, milliseconds };
}

test('a report for an insurer and for a customer from one case with forty photographs; a later one says what changed', async ({
  page,
  request,
}) => {
  const id = await furnished(request);
  await atTheBench(page, 'R. Test');
  await page.goto(`${shop()}/case/${id}/cause`);
  await expect(page.getByRole('heading', { name: 'The call' })).toBeVisible();

  // The same drawings as on the screen: chain, evidence, motion.
  await page.goto(`${shop()}/case/${id}/report`);
  await expect(page.getByRole('button', { name: 'Note that report 1 is given out' })).toBeDisabled();
  const preview = page.frameLocator('iframe');
  for (const drawing of ['Chain of damage, told in sentences below', /^Loft, bounce and force of 1E1/])
    await expect(preview.getByRole('img', { name: drawing })).toBeVisible();
  const insurer = await pdf(page);
  console.log(`${PICTURES} photographs: ${insurer.milliseconds} ms, ${insurer.bytes} bytes`);
  expect(insurer.images).toBeGreaterThanOrEqual(PICTURES);
  for (const words of ['Draft, not signed', 'Measurements', 'Chain of damage', 'did at speed', 'Gauges', `Spring, turn ${PICTURES}`])
    expect(insurer.text).toContain(words);

  // The customer gets the same facts in fewer sections, and what was left out is said.
  await page.getByRole('combobox', { name: 'Whom the report is for' }).click();
  await page.getByText('for the customer', { exact: true }).click();
  const customer = await pdf(page);
  expect(customer.text).toContain('Left out here, and kept with the case');
  expect(customer.text).not.toContain('evidence for and against');
  for (const words of ['Chain of damage', 'travel to bind', `Spring, turn ${PICTURES}`]) expect(customer.text).toContain(words);

  // Signed, given out, changed, and made again.
  const view = await request.get(`${shop()}/api/cases/${id}`);
  const { callVersion } = (await view.json()) as { callVersion: number };
  const call = { causes: ['spring_weak'], words: 'It has set.', confidence: 85, by: 'R. Test' };
  expect((await request.put(`${shop()}/api/cases/${id}/call`, { data: call, headers: { 'If-Match': `"${callVersion}"` } })).status()).toBe(
    200,
  );
  const signed = { data: { by: 'R. Test' }, headers: { 'If-Match': `"${callVersion + 1}"` } };
  expect((await request.post(`${shop()}/api/cases/${id}/call/signature`, signed)).status()).toBe(200);
  await page.goto(`${shop()}/case/${id}/report`);
  await page.getByLabel('given to').fill('Made-up insurance');
  await expect(page.getByRole('button', { name: 'Note that report 1 is given out' })).toBeEnabled();
  await page.getByLabel('given to').press('Enter');
  await saved(page);
  await expect(page.getByText(/Report 1 was given out on .* by R\. Test to Made-up insurance/)).toBeVisible();
  await page.goto(`${shop()}/case/${id}/clearances/margins?at=A1-E1`);
  await entered(request, id, 'finding', { place: 'A1-I1', part: 'seat', item: 'seat_hammered' }, { severity: 1 });
  await page.goto(`${shop()}/case/${id}/report`);
  const again = await pdf(page);
  expect(again.text).toContain('Failure report 2');
  expect(again.text).toContain('Changed since the report before');
  expect(again.text).toContain('evidence for and against');
  expect(again.text).toMatch(/Seat hammered.* at 1I1: 1/);
  expect(again.text).not.toContain('Draft, not signed');
});
