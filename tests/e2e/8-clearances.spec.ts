import { expect, type APIRequestContext } from '@playwright/test';
import { atTheBench, entered, newCase, recorded, saved, sends, shop, test, viewOf } from './bench';

/** A stack as it is measured, valve by valve. */
const STACK = [
  ['spring_seat', 'installed_height', '1.842'],
  ['spring_seat', 'locator_thickness', '0.060'],
  ['seal', 'seal_height', '0.900'],
  ['guide', 'guide_height', '0.640'],
  ['retainer', 'retainer_depth', '0.285'],
  ['valve', 'net_lift', '0.620'],
] as const;

async function measured(request: APIRequestContext, id: string, place: string): Promise<void> {
  for (const [part, item, text] of STACK) await entered(request, id, 'reading', { place, part, item }, { text });
  await entered(request, id, 'reading', { place, part: 'spring', item: 'bind_height', index: 'outer' }, { text: '1.120' });
}

test('a head is tried at one valve by keyboard, and nothing of it is recorded', async ({ page, request }) => {
  await atTheBench(page, 'Anna');
  const { id } = await newCase(request, 'What it takes');
  await measured(request, id, 'A1-E1');
  await request.put(`${shop()}/api/library/springs/short-one`, {
    data: {
      name: 'Short one',
      content: { figures: [{ item: 'bind_height', index: 'outer', text: '1.020' }] },
      version: 0,
      by: 'tests',
    },
  });
  const before = (await recorded(request, id)).length;
  await page.goto(`${shop()}/case/${id}/clearances?at=A1-E1`);
  await page.getByText('One station', { exact: true }).click();
  await expect(page.getByRole('img', { name: 'Stack of 1E in section, on the seat and at full lift' })).toBeVisible();
  const row = page.getByRole('row', { name: /^retainer to seal/ });
  await expect(row).toContainText('0.037');
  await expect(page.getByText('It lifts 0.620: 0.013 more than it may.')).toBeVisible();

  await page.getByRole('slider', { name: 'guide top cut' }).focus();
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('ArrowLeft');
  await expect(row).toContainText('0.076');
  await expect(page.getByText('As tried it may lift 0.646, by retainer to seal.')).toBeVisible();
  await expect(page).toHaveURL(/try=.*guide_cut/);
  await page.reload();
  await expect(row).toContainText('0.076');
  await page.getByRole('slider', { name: 'guide top cut' }).focus();
  await page.keyboard.press('Backspace');
  await expect(row).not.toContainText('0.076');
  await expect(page).not.toHaveURL(/try=/);

  await page.getByRole('combobox', { name: 'spring' }).click();
  await page.getByTitle('Short one, of the library').click();
  await expect(page.getByRole('row', { name: /^travel to bind/ })).toContainText('0.202');
  await page.getByRole('button', { name: 'All as found' }).click();
  await expect(page.getByRole('row', { name: /^travel to bind/ })).not.toContainText('0.202');

  await page.getByText('Guides to cut', { exact: true }).click();
  await expect(page.getByRole('row', { name: /^1E/ })).toContainText('0.013 in');
  await page.getByLabel('For so much more lift than now').fill('much');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Accepted');
  await page.getByLabel('For so much more lift than now').fill('0.050');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /^1E/ })).toContainText('0.063 in');
  expect((await recorded(request, id)).length).toBe(before);
});

test('a spring is swept by the simulated tester until it is solid, and told from one that has set', async ({ page, request }) => {
  await atTheBench(page, 'Anna');
  const { id } = await newCase(request, 'Swept');
  await entered(request, id, 'reading', { place: 'A1-E1', part: 'spring_seat', item: 'installed_height' }, { text: '1.850' });
  await entered(request, id, 'reading', { place: 'A1-E1', part: 'valve', item: 'net_lift' }, { text: '0.580' });
  await page.goto(`${shop()}/case/${id}/bench/swept?at=A1-E1`);
  const sweep = async (whose: string | null, free: string): Promise<void> => {
    await page.getByRole('button', { name: 'Sweep a spring' }).click();
    if (whose !== null) {
      await page.getByRole('combobox', { name: 'Whose' }).click();
      await page.getByTitle('a spring off the engine').click();
      await page.getByLabel('its tag, off the engine').fill(whose);
    }
    await expect(page.getByText('Listening for the tester')).toBeVisible();
    const options = ['--gauge', 'spring_tester', '--from', '1.95', '--to', '1.165', '--steps', '180', '--bind', '1.18', '--seed', '7'];
    expect(await sends('spring-tester.php', ...options, '--free', free)).toBe(0);
    await expect(page.getByText('180 points heard')).toBeVisible();
    await page.getByRole('button', { name: 'Keep the sweep' }).click();
    await saved(page);
  };
  await sweep(null, '2.250');
  await expect(page.getByRole('img', { name: 'Load and rate of 1 springs over their height' })).toBeVisible();
  await sweep('tired-1', '2.190');
  await expect(page.getByText(/tired-1 has set: .* less at every height/)).toBeVisible();

  // What hangs on the spring follows: bind height and travel come off the curve.
  await page.goto(`${shop()}/case/${id}/clearances/station?at=A1-E1`);
  await expect(page.getByRole('row', { name: /^travel to bind/ })).toContainText('0.090');
  const swept = (await viewOf(request, id)).entries.filter((entry) => entry.kind === 'sweep');
  expect(swept).toHaveLength(2);
  expect(swept.every((entry) => entry.content.received === true)).toBe(true);
});

test('an engine that has not failed is ready once lash, pulls and compression are good', async ({ page, request }) => {
  await atTheBench(page, 'Anna');
  const { id } = await newCase(request, 'Healthy', { layout: 'inline', drive: 'pushrod', cylinders: 4, rockerRatio: 1.5 });
  await page.goto(`${shop()}/case/${id}/before/health`);
  await expect(page.getByText('Not known yet: lash, seat-load pulls, compression and leak-down.')).toBeVisible();
  await entered(request, id, 'claim', { place: 'engine', part: 'valve', item: 'claimed.lash' }, { text: '0.016', standing: 'known' });
  const { stations } = await viewOf(request, id);
  for (const { code } of stations) {
    await entered(request, id, 'reading', { place: code, part: 'valve', item: 'lash' }, { text: '0.016' });
    for (const index of ['1', '2', '3', '4'])
      await entered(request, id, 'reading', { place: code, part: 'valve', item: 'pull', index }, { text: '118' });
  }
  for (const cylinder of new Set(stations.map((one) => one.cylinder)))
    await entered(request, id, 'reading', { place: cylinder, part: 'chamber', item: 'compression' }, { text: '175' });
  await page.reload();
  await expect(page.getByText('Ready to run: lash, seat-load pulls, compression and leak-down are good.')).toBeVisible();
});
