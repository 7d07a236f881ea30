import { expect, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { atTheBench, newCase, reading, saved, shop, test, viewOf } from './bench';

const ROOT = join(import.meta.dirname, '..', '..');

/** Runs a stand-in of a gauge, its lines carried to the shop by the cable program. */
function sends(program: string, ...options: string[]): Promise<number | null> {
  const gauge = spawn(join(ROOT, 'simulated', program), options);
  const cable = spawn(join(ROOT, 'bin/gauge-cable'), [shop()], {
    env: { ...process.env, MUTE_TAPPER_DEVICE_WORD: process.env['DEVICE_WORD'] },
    stdio: ['pipe', 'ignore', 'inherit'],
  });
  gauge.stdout.pipe(cable.stdin);
  return new Promise((done) => cable.once('exit', done));
}

const listening = (page: Page) => expect(page.getByRole('button', { name: 'Listening to the cable' })).toBeVisible();

test('a gauge of the shop is added, and is overdue', async ({ page }) => {
  await atTheBench(page, 'Anna');
  await page.goto(`${shop()}/library/gauges`);
  await page.getByRole('link', { name: 'Add a gauge' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Height 2');
  await page.getByLabel('Kind of gauge').click();
  await page.getByTitle('height micrometer', { exact: true }).click();
  await page.getByLabel('Repeats to ±', { exact: true }).fill('x');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('alert')).toContainText('/content/repeat');
  await page.getByLabel('Repeats to ±', { exact: true }).fill('0.0005');
  await page.getByLabel('Calibrated on').fill('2024-01-31');
  await page.getByLabel('Again after, months').fill('12');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('repeats to 0.0005 in. Calibration due 2025-01-31')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Height 2 overdue' })).toBeVisible();
});

test('a gauge sends twenty readings; the one that slipped is named and read again', async ({ page, request }) => {
  await atTheBench(page, 'Anna');
  await request.put(`${shop()}/api/library/gauges/height-9`, {
    data: { name: 'Height 9', content: { kind: 'height_micrometer', cable: true }, version: 0, by: 'tests' },
  });
  const { id } = await newCase(request, 'Cable', { layout: 'vee', drive: 'bucket', cylinders: 6 });
  await page.goto(`${shop()}/case/${id}/bench/heights.`);
  await page.getByRole('button', { name: 'Listen to the cable' }).click();
  await listening(page);
  const height9 = ['--gauge', 'height-9', '--unit', 'in', '--around', '1.9', '--scatter', '0.002', '--seed', '3'];
  // The tester stands on the same bench: what it sends does not belong into a height.
  await sends('spring-tester.php', '--gauge', 'spring_tester', '--steps', '2');
  await expect(page.getByRole('alert')).toContainText('but this cell takes the height micrometer');
  expect(await sends('gauge.php', ...height9, '--count', '20', '--slip', '7')).toBe(0);
  await expect(page.getByText(/Far from the others of their kind.* installed height/)).toBeVisible();
  await saved(page);
  const entries = (await viewOf(request, id)).entries.filter((entry) => entry.item === 'installed_height');
  expect(entries).toHaveLength(20);
  expect(entries.every((entry) => entry.content.received === true)).toBe(true);
  const slipped = entries.find((entry) => Number.parseFloat(entry.text ?? '') > 1.91);
  const label = (await viewOf(request, id)).stations.find((one) => one.code === slipped?.place)?.label ?? '';
  await expect(page.getByText(/Far from the others/)).toContainText(`${label} ${Number.parseFloat(slipped?.text ?? '').toFixed(3)}`);

  await page.getByRole('cell', { name: new RegExp(`^${label} installed height`) }).click();
  await listening(page);
  await sends('gauge.php', ...height9, '--count', '1');
  await expect(page.getByText(/Far from the others/)).toHaveCount(0);
  await saved(page);
  const again = (await viewOf(request, id)).entries.find((entry) => entry.item === 'installed_height' && entry.place === slipped?.place);
  expect(again?.supersedes).toBe(slipped?.id);
});

test('a school that is chosen for a limit, and a limit of the library, judge the case', async ({ page, request }) => {
  await atTheBench(page, 'Anna');
  const { id } = await newCase(request, 'Schools');
  await page.goto(`${shop()}/case/${id}/bench/valves.?at=A1-E1`);
  await page.getByRole('cell', { name: /^1E margin:/ }).click();
  await reading(page, '1E margin', '0.038');
  const verdict = async (): Promise<string | undefined> => {
    const told = (await (await request.get(`${shop()}/api/cases/${id}/margins?quantity=valve_margin`)).json()) as {
      margins: { place: string; verdict: string }[];
    };
    return told.margins.find((one) => one.place === 'A1-E1')?.verdict;
  };
  await saved(page);
  await expect.poll(verdict).toBe('inside');
  await page.getByRole('button', { name: 'Other schools' }).click();
  await page.getByLabel('margin', { exact: true }).click();
  await page.getByTitle(/^race/).click();
  await expect.poll(verdict).toBe('outside');
  await page.keyboard.press('Escape');

  await page.goto(`${shop()}/library/limits?of=valve_margin`);
  await page.getByLabel('race exhausts least').fill('0.032');
  await page.getByLabel('Where the figure comes from').fill('This shop has run them so.');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('link', { name: /^margin changed here/ })).toBeVisible();
  await expect.poll(verdict).toBe('inside');
  await page.getByRole('button', { name: 'Back to the figure that came' }).click();
  await expect.poll(verdict).toBe('outside');
});

const table = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

test('a table of another hand is mapped and taken as one stroke; a bad one is refused by line and column', async ({ page, request }) => {
  await atTheBench(page, 'Anna');
  const { id } = await newCase(request, 'Table', { layout: 'inline', drive: 'bucket', cylinders: 2, intakeValves: 1, exhaustValves: 1 });
  await page.goto(`${shop()}/case/${id}/bench/heights.`);
  const input = page.locator('input[type=file][aria-label="CSV in"]');
  await input.setInputFiles(table('bad.csv', 'valve;height;shims\n1E;48,2;0\n9E;48,2;0\n1I;4820;0\n'));
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('What “height” is').click();
  await page.getByTitle('installed height (in)').click();
  await expect(dialog.getByRole('alert')).toContainText('Line 3, valve: This sheet has no place “9E”.');
  await expect(dialog.getByRole('alert')).toContainText('Line 4, height: 4820');
  await expect(dialog.getByRole('button', { name: /^Take/ })).toBeDisabled();
  await dialog.getByRole('button', { name: 'Leave it' }).click();
  expect((await viewOf(request, id)).entries).toEqual([]);

  await input.setInputFiles(table('good.csv', 'valve;height [mm];remark\n1E;48,21;well\n1I;48,19;\n2E;48,25;\n2I;48,20;\n'));
  await dialog.getByLabel('What “height [mm]” is').click();
  await page.getByTitle('installed height (in)').click();
  await dialog.getByRole('button', { name: 'Take 4 readings' }).click();
  await expect(page.getByRole('cell', { name: '1E installed height: 48.21 mm' }).or(page.getByLabel('1E installed height'))).toBeVisible();
  await saved(page);
  expect((await viewOf(request, id)).entries.map((entry) => `${entry.place} ${entry.text}`).sort()).toEqual([
    'A1-E1 48.21 mm',
    'A1-I1 48.19 mm',
    'A2-E1 48.25 mm',
    'A2-I1 48.20 mm',
  ]);
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'CSV out' }).click()]);
  expect(file.suggestedFilename()).toMatch(/^\d{4}-heights\.csv$/);
  await page.keyboard.press('Control+z');
  await saved(page);
  await expect.poll(async () => (await viewOf(request, id)).entries.filter((entry) => entry.kind === 'reading')).toEqual([]);
});
