import { expect } from '@playwright/test';
import { atTheBench, newCase, recorded, saved, shop, uuid, viewOf, test } from './bench';

test.beforeEach(async ({ page }) => atTheBench(page, 'R. Test'));

test('a bad entry stays in its cell with the reason, and Enter takes the offer', async ({ page, request }) => {
  const { id } = await newCase(request, 'Bad entries');
  await page.goto(`${shop()}/case/${id}/bench?at=A1-E1`);
  await page.getByLabel('Sheet', { exact: true }).click();
  await page.getByRole('option', { name: 'Heights, lift and room' }).click();
  await page.getByLabel('1E lash: empty').click();
  await page.keyboard.type('16');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('16 thou (0.016 in)?');
  await expect(page.getByLabel('1E lash', { exact: true })).toHaveValue('16');
  await expect(page.getByLabel('1E lash', { exact: true })).toBeFocused();
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(page.getByLabel('1E lash: 0.016')).toBeVisible();

  await page.getByLabel('1E installed height: empty').click();
  await page.keyboard.type('1.8.0');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('two decimal points');
  await expect(page.getByText('1 not accepted, still in its place')).toBeVisible();
  // It does not block the next entry, and outlives a reload.
  await page.getByLabel('3E installed height: empty').click();
  await page.keyboard.type('1.795');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('3E installed height: 1.795')).toBeVisible();
  await page.reload();
  // The sheet opens where something is still to be settled.
  await expect(page.getByLabel('1E installed height', { exact: true })).toHaveValue('1.8.0');
  await page.getByLabel('1E installed height', { exact: true }).fill('1.800');
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(page.getByLabel('1E installed height: 1.800')).toBeVisible();
});

test('entries made without a line are kept, survive, and are sent later', async ({ page, request, context }) => {
  const { id } = await newCase(request, 'Lost connection');
  await page.goto(`${shop()}/case/${id}/bench?at=A1-E1`);
  await page.getByLabel('1E free height', { exact: true }).waitFor();
  await context.setOffline(true);
  for (const text of ['2.050', '', '', '1.140']) {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByText('2 entries kept here, no line')).toBeVisible();
  await expect(page.getByLabel('1E free height: 2.050')).toBeVisible();
  // Taken back while there is no line: nothing of it may arrive as standing.
  await page.getByLabel('1E outside diameter', { exact: true }).pressSequentially('1.500');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /Undo: 1E outside dia/ }).click();
  expect((await viewOf(request, id)).entries).toEqual([]);
  await context.setOffline(false);
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('1E bind height: 1.140')).toBeVisible();
  await expect(page.getByLabel('1E outside diameter: empty')).toBeVisible();
});

test('what was entered without a line outlives the page', async ({ page, request, context }) => {
  const { id } = await newCase(request, 'Closed too early');
  await page.goto(`${shop()}/case/${id}/bench?at=A1-E1`);
  await page.getByLabel('1E free height', { exact: true }).waitFor();
  await context.setOffline(true);
  await page.keyboard.type('2.044');
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 entry kept here, no line')).toBeVisible();
  await page.close();
  await context.setOffline(false);
  const later = await context.newPage();
  await later.goto(`${shop()}/case/${id}/bench?at=A1-E1`);
  await expect(later.getByText(/All entries saved/)).toBeVisible();
  await expect.poll(async () => (await viewOf(request, id)).entries.length).toBe(1);
});

test('two hands on one cell settle it in place', async ({ page, request, browser }) => {
  const { id } = await newCase(request, 'Two windows');
  const address = `${shop()}/case/${id}/bench?at=A1-E1`;
  await page.goto(address);
  await page.getByLabel('1E free height', { exact: true }).waitFor();
  const other = await (await browser.newContext()).newPage();
  await atTheBench(other, 'Other hand');
  await other.goto(address);
  await other.getByLabel('1E free height', { exact: true }).waitFor();
  await other.keyboard.type('2.060');
  await other.keyboard.press('Enter');
  await saved(other);
  await page.getByLabel('1E free height', { exact: true }).pressSequentially('2.010');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Other hand entered 2.060 meanwhile; yours is 2.010');
  await page.getByRole('button', { name: 'Put mine in place' }).click();
  await saved(page);
  await expect.poll(async () => (await viewOf(request, id)).entries[0]?.shown).toBe('2.010');
  const entries = await recorded(request, id);
  expect(entries.map((entry) => entry.data?.text)).toEqual(['2.060', '2.010']);
});

test('a second window of the same browser sees what was entered, and sends what the first one kept', async ({ page, request, context }) => {
  const { id } = await newCase(request, 'Two tabs');
  const address = `${shop()}/case/${id}/bench?at=A1-E1`;
  await page.goto(address);
  await page.getByLabel('1E free height', { exact: true }).waitFor();
  const other = await context.newPage();
  await other.goto(address);
  await other.getByLabel('1E free height', { exact: true }).waitFor();
  await page.bringToFront();
  await context.setOffline(true);
  await page.keyboard.type('2.060');
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 entry kept here, no line')).toBeVisible();
  await page.close();
  await expect(other.getByText(/^(1 entry kept here, no line|Sending 1)$/)).toBeVisible();
  await context.setOffline(false);
  await saved(other);
  await expect.poll(async () => (await viewOf(request, id)).entries.map((entry) => entry.text)).toEqual(['2.060']);
});

test('what only this browser has is shown and sent from the queue too', async ({ page, request, context }) => {
  const { id } = await newCase(request, 'Left in the browser');
  await page.goto(`${shop()}/case/${id}/bench?at=A1-E1`);
  await page.getByLabel('1E free height', { exact: true }).waitFor();
  await page.route(/\/entries(\/together)?$/, (route) => route.abort());
  await page.keyboard.type('2.060');
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 entry kept here, no line')).toBeVisible();
  await page.getByRole('link', { name: 'Bench queue' }).click();
  await expect(page.getByText('1 entry of Left in the browser kept in this browser, not on the server yet')).toBeVisible();
  await page.unroute(/\/entries(\/together)?$/);
  await expect.poll(async () => (await viewOf(request, id)).entries.length).toBe(1);
  await expect(page.getByText(/kept in this browser/)).toHaveCount(0);
  await context.close();
});

test('a finding that another hand got ahead of is settled from the head row', async ({ page, request }) => {
  const { id } = await newCase(request, 'Two hands');
  await page.goto(`${shop()}/case/${id}/teardown?at=A1-E1`);
  await expect(page.getByLabel('part', { exact: true })).toBeFocused();
  const other = {
    id: uuid(),
    kind: 'finding',
    supersedes: null,
    by: 'Other hand',
    at: new Date().toISOString(),
    slot: { place: 'A1-E1', part: 'valve', item: 'tip_peened', index: null },
    data: { severity: 1 },
  };
  expect((await request.post(`${shop()}/api/cases/${id}/entries`, { data: other })).status()).toBe(201);
  await page.keyboard.press('v');
  await page.keyboard.type('mush');
  await page.keyboard.press('Enter');
  await page.keyboard.press('3');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: '1 not accepted, still in its place' }).click();
  await expect(page.getByRole('dialog')).toContainText('Other hand entered 1 meanwhile; yours is 3');
  await page.getByRole('button', { name: 'Put mine in place' }).click();
  await page.keyboard.press('Escape');
  await saved(page);
  expect((await viewOf(request, id)).entries[0]).toMatchObject({ severity: 3, supersedes: other.id });
});

test('undo takes back the last entry and says which', async ({ page, request }) => {
  const { id } = await newCase(request, 'Undo');
  await page.goto(`${shop()}/case/${id}/teardown?at=A1-E1`);
  await expect(page.getByLabel('part', { exact: true })).toBeFocused();
  await page.keyboard.press('v');
  await page.keyboard.type('mush');
  await page.keyboard.press('Enter');
  await page.keyboard.press('2');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /Undo: 1E valve, tip mushroomed or peened, 2/ })).toBeVisible();
  await expect(page.getByRole('region', { name: /^Recorded here/ })).toContainText('tip mushroomed');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('region', { name: /^Recorded here/ })).not.toContainText('tip mushroomed');
  await saved(page);
  const entries = await recorded(request, id);
  expect(entries.map((entry) => entry.kind)).toEqual(['finding', 'withdrawal']);
});

test('a 32-valve engine is walked and cleared by keyboard', async ({ page, request }) => {
  const { id } = await newCase(request, 'Thirty-two', { layout: 'vee', drive: 'bucket', cylinders: 8 });
  await page.goto(`${shop()}/case/${id}/teardown`);
  await expect(page.getByRole('gridcell')).toHaveCount(32);
  await expect(page.getByLabel('part', { exact: true })).toBeFocused();
  for (let i = 0; i < 32; i++) await page.keyboard.press('.');
  await expect(page.getByText('32 of 32')).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'All entries saved' })).toBeVisible({ timeout: 120_000 });
  const view = await viewOf(request, id);
  expect(view.steps.find((step) => step.code === 'teardown')?.done).toBe(1);
  await page.getByRole('gridcell', { name: /^1E1,/ }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('gridcell', { name: /^1E2,.*chosen/ })).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('gridcell', { name: /^1I2,.*chosen/ })).toBeFocused();
});

test('pictures dropped on the strip belong to the part in the entry line', async ({ page, request }) => {
  const { id } = await newCase(request, 'Dropped pictures');
  await page.goto(`${shop()}/case/${id}/teardown?at=A1-E1`);
  await expect(page.getByLabel('part', { exact: true })).toBeFocused();
  await page.keyboard.press('r');
  const data = await page.evaluateHandle(async () => {
    const canvas = new OffscreenCanvas(40, 30);
    canvas.getContext('2d')?.fillRect(0, 0, 20, 30);
    const transfer = new DataTransfer();
    transfer.items.add(new File([await canvas.convertToBlob({ type: 'image/png' })], 'dropped.png', { type: 'image/png' }));
    return transfer;
  });
  await page.getByRole('button', { name: /Add photographs/ }).dispatchEvent('drop', { dataTransfer: data });
  await expect(page.getByRole('img', { name: '1E retainer' })).toBeVisible();
  await saved(page);
  const view = await viewOf(request, id);
  expect(view.entries.map((entry) => [entry.kind, entry.place, entry.part])).toEqual([['photograph', 'A1-E1', 'retainer']]);
  expect(view.photographs[0]).toMatchObject({ fileName: 'dropped.png', width: 40, height: 30 });
});

test('a note and a doubt go with the finding', async ({ page, request }) => {
  const { id } = await newCase(request, 'Notes');
  await page.goto(`${shop()}/case/${id}/teardown?at=A1-E1`);
  await expect(page.getByLabel('part', { exact: true })).toBeFocused();
  await page.keyboard.press('v');
  await page.keyboard.type('mush');
  await page.keyboard.press('Enter');
  await page.keyboard.press('2');
  await page.getByLabel('note').fill('Only on the rocker side.');
  await page.getByLabel('How sure').click();
  await page.getByTitle('not sure', { exact: true }).click();
  await page.getByRole('button', { name: 'Accept, next part' }).click();
  await expect(page.getByRole('region', { name: /^Recorded here/ })).toContainText('not sure. Only on the rocker side.');
  await saved(page);
  expect((await viewOf(request, id)).entries[0]).toMatchObject({ severity: 2, sureness: 0.5, note: 'Only on the rocker side.' });
});

test('files that are not what they should be are refused in words', async ({ page, request }, info) => {
  const { id } = await newCase(request, 'Bad files');
  await page.goto(`${shop()}/`);
  const give = async (name: string, content: string): Promise<void> => {
    await page.locator('input[type=file]').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) });
  };
  await give('springs.csv', 'station,height\n1E,1.8\n');
  await expect(page.getByRole('alert')).toContainText('springs.csv is not JSON');
  await page.keyboard.press('Escape');
  await give('old.json', '{"format": "mute-tapper-case", "version": 0}');
  await expect(page.getByRole('alert')).toContainText('version 0');
  await page.keyboard.press('Escape');
  await page.goto(`${shop()}/case/${id}/teardown?at=A1-E1`);
  await page.locator('input[type=file]').setInputFiles({ name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not a picture') });
  await expect(page.getByRole('alert')).toContainText('notes.jpg is not a picture that is accepted here');
  expect(info.errors).toEqual([]);
});
