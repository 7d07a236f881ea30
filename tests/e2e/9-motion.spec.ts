import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { expect, type APIRequestContext } from '@playwright/test';
import { atTheBench, entered, newCase, patient, recorded, saved, shop, test } from './bench';

const SINGLE = {
  layout: 'inline',
  drive: 'bucket',
  face: 'flat',
  lash: 'solid',
  cylinders: 1,
  intendedSpeed: 9200,
  reachedSpeed: 9700,
};
/** A train as it is read and weighed. */
const TRAIN = [
  ['valve', 'valve_mass', '44.6'],
  ['retainer', 'retainer_mass', '10.8'],
  ['locks', 'lock_mass', '2.1'],
  ['spring', 'spring_mass', '58'],
  ['follower', 'follower_mass', '55.2'],
  ['lobe', 'lobe_lift', '0.4202'],
  ['valve', 'net_lift', '0.410'],
  ['valve', 'lash', '0.0095'],
  ['spring_seat', 'installed_height', '1.440'],
] as const;
/** The card of the cam, typed for all exhausts. */
const CARD = [
  ['claimed card: duration above the greater lift, all exhausts', '255'],
  ['claimed card: advertised duration, all exhausts', '288'],
  ['claimed card: height of the ramp, at the lobe, all exhausts', '0.010'],
  ['claimed card: lift of the ramp for each cam degree, all exhausts', '0.0004'],
] as const;

async function weighed(request: APIRequestContext, id: string): Promise<void> {
  for (const [part, item, text] of TRAIN) await entered(request, id, 'reading', { place: 'A1-E1', part, item }, { text });
  const load = (item: string, text: string, atText: string) =>
    entered(request, id, 'reading', { place: 'A1-E1', part: 'spring', item, index: 'outer' }, { text, atText });
  await load('load_seat', '62', '1.440');
  await load('load_open', '159', '1.030');
}

test('a card typed makes a train move; it is worked out, tried, and nothing of that is recorded', async ({ page, request }) => {
  patient(240_000);
  await atTheBench(page, 'Anna');
  const { id } = await newCase(request, 'What it did at speed', SINGLE);
  await weighed(request, id);
  await page.goto(`${shop()}/case/${id}/motion?at=A1-E1`);
  await expect(page.getByText('Nothing can move yet. It takes, of this valve:')).toBeVisible();
  await expect(page.getByText('card: duration above the greater lift', { exact: false })).toBeVisible();

  await page.getByText('Lift', { exact: true }).click();
  for (const [label, text] of CARD) {
    const field = page.getByLabel(label);
    await field.fill(text);
    await field.press('Enter');
  }
  await saved(page);
  await expect(page.getByRole('img', { name: 'Lobe of 1E1: lift and what follows from it' })).toBeVisible();
  // A card that contradicts itself is refused in words, and nothing of it is lost.
  const advertised = page.getByLabel('claimed card: advertised duration, all exhausts');
  await advertised.fill('240');
  await advertised.press('Enter');
  await expect(page.getByText('The lobe stands longer above the greater lift than above the smaller one.')).toBeVisible();
  await advertised.fill('288');
  await advertised.press('Enter');
  await saved(page);
  await expect(page.getByRole('img', { name: 'Lobe of 1E1: lift and what follows from it' })).toBeVisible();

  await page.getByText('Speed sweep', { exact: true }).click();
  const float = page.getByRole('row', { name: /^float [\d–]/ });
  await expect(float).toContainText(/95\d\d/);
  const before = (await recorded(request, id)).length;
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(float).toContainText('±', { timeout: 120_000 });

  const cursor = page.getByRole('slider', { name: 'What 1E1 does at each speed' });
  await expect(cursor).toHaveAttribute('aria-valuenow', '9700');
  await cursor.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(cursor).toHaveAttribute('aria-valuenow', '10200');
  await expect(page.getByRole('img', { name: 'One turn of 1E1 at 10200' })).toBeVisible();
  await expect(page.getByText(/^no contact for \d+ crank degrees$/)).toBeVisible();

  await page.getByRole('slider', { name: 'mass of the retainer' }).focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(float).toContainText(/9[67]\d\d/);
  await expect(page).toHaveURL(/try=.*retainer_mass/);

  // Set aside, it stays beside the next that is tried, with what each is paid with; a reload brings both back.
  await page.getByRole('button', { name: 'Set this aside, and try another' }).click();
  await page.getByRole('slider', { name: 'installed height' }).focus();
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('Shift+ArrowLeft');
  const heads = page.getByRole('row', { name: /^Speeds, 1\/min/ });
  await expect(heads).toContainText('triedA');
  await expect(page).toHaveURL(/try=.*installed_height/);
  await page.reload();
  await expect(heads).toContainText('triedA');
  await expect(page.getByRole('row', { name: /^float beyond the highest speed/ })).toContainText('−');
  await expect(page.getByText(/^A mass of the retainer/)).toBeVisible();
  await page.getByRole('button', { name: 'Drop A' }).click();
  await expect(heads).not.toContainText('triedA');
  expect((await recorded(request, id)).length).toBe(before);
});

test('a table of lifts is taken from a file, noise and all: the lobe floats where its card says, and is drawn anew when taken back', async ({
  page,
  request,
}, info) => {
  await atTheBench(page, 'Anna');
  const { id } = await newCase(request, 'A lobe under the indicator', SINGLE);
  await weighed(request, id);
  await page.goto(`${shop()}/case/${id}/motion/lift?at=A1-E1`);
  await page.getByRole('button', { name: 'Take a table in' }).click();
  const field = page.getByRole('textbox', { name: 'Degree and lift at the lobe in in, a line each' });
  await field.fill('0 0.4202\n2 high');
  await expect(page.getByRole('alert')).toContainText('Line 2 is not a degree and a lift.');
  await field.fill('');

  // Written by the core itself from a card, with the noise of an indicator laid over it.
  const table = info.outputPath('lobe.csv');
  writeFileSync(table, execFileSync('php', ['tests/e2e/noisy-lobe.php']));
  await page.getByLabel('From a file').setInputFiles(table);
  await page.getByRole('button', { name: 'Keep 95 points' }).click();
  await saved(page);
  await expect(page.getByText('Of all exhausts: 95 points', { exact: false })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Lobe of 1E1: lift and what follows from it' })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PNG' }).click();
  expect((await download).suggestedFilename()).toBe('lift-A1-E1.png');

  await page.getByText('Speed sweep', { exact: true }).click();
  await expect(page.getByRole('row', { name: /^float \d/ })).toContainText(/9[456]\d\d/);
  await page.getByText('Lift', { exact: true }).click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await saved(page);
  await expect(page.getByText('The lobe cannot be drawn yet. It takes:')).toBeVisible();
});

const DRIVES = [
  {
    name: 'pushrods',
    label: '1E',
    engine: { layout: 'vee', drive: 'pushrod', face: 'roller', lash: 'solid', cylinders: 8, rockerRatio: 1.5, reachedSpeed: 7200 },
    read: { lobe_lift: '0.400', net_lift: '0.584', lash: '0.016', installed_height: '1.900' },
    loads: [
      ['190', '1.900'],
      ['438', '1.316'],
    ],
    float: /[56]\d\d\d/,
  },
  {
    name: 'fingers',
    label: '1E1',
    engine: { layout: 'inline', drive: 'finger', face: 'roller', lash: 'hydraulic', cylinders: 4, rockerRatio: 1.7, reachedSpeed: 7800 },
    read: { lobe_lift: '0.230', net_lift: '0.391', installed_height: '1.450' },
    loads: [
      ['60', '1.450'],
      ['150', '1.059'],
    ],
    float: /\d\d\d\d/,
  },
] as const;
const PARTS: Record<string, string> = { lobe_lift: 'lobe', installed_height: 'spring_seat', net_lift: 'valve', lash: 'valve' };

for (const drive of DRIVES)
  test(`a train of ${drive.name} moves by what such engines usually have, and its guesses are said`, async ({ page, request }) => {
    await atTheBench(page, 'Anna');
    const { id } = await newCase(request, `Train of ${drive.name}`, drive.engine);
    for (const [item, text] of Object.entries(drive.read))
      await entered(request, id, 'reading', { place: 'A1-E1', part: PARTS[item] ?? '', item }, { text });
    for (const [i, [text, atText]] of drive.loads.entries())
      await entered(
        request,
        id,
        'reading',
        { place: 'A1-E1', part: 'spring', item: i === 0 ? 'load_seat' : 'load_open', index: 'outer' },
        { text, atText },
      );
    for (const [item, text] of [
      ['card_high_duration', '235'],
      ['card_low_duration', drive.name === 'fingers' ? '296' : '272'],
    ])
      await entered(request, id, 'claim', { place: 'kind-E', part: 'lobe', item: `claimed.${item}` }, { text, standing: 'known' });
    await page.goto(`${shop()}/case/${id}/motion/sweep?at=A1-E1`);
    await expect(page.getByRole('img', { name: `What ${drive.label} does at each speed` })).toBeVisible();
    await expect(page.getByRole('row', { name: /^float [\d–]/ })).toContainText(drive.float);
    await page.getByText('Masses and forces', { exact: true }).click();
    await expect(page.getByRole('row', { name: /rocker or finger/ })).toContainText('a guess: what such engines usually have');
  });

test('a log is laid over the speeds of a train, and its highest becomes evidence with one key', async ({ page, request }, info) => {
  await atTheBench(page, 'Anna');
  const { id } = await newCase(request, 'What the log asked', { ...SINGLE, reachedSpeed: undefined });
  await weighed(request, id);
  for (const [item, text] of [
    ['card_high_duration', '255'],
    ['card_low_duration', '288'],
  ])
    await entered(request, id, 'claim', { place: 'kind-E', part: 'lobe', item: `claimed.${item}` }, { text, standing: 'known' });
  await page.goto(`${shop()}/case/${id}/motion/log?at=A1-E1`);
  await expect(page.getByText('No log of this case was read to its end.')).toBeVisible();

  await page.goto(`${shop()}/case/${id}/story/log`);
  const log = info.outputPath('run.csv');
  writeFileSync(
    log,
    execFileSync('php', ['bin/console', 'simulated:log', '--seconds', '120', '--limiter', '9000', '--missed-shift', '80'], {
      maxBuffer: 64 * 1024 * 1024,
    }),
  );
  await page.locator('input[type=file]').setInputFiles(log);
  await page.getByRole('button', { name: 'Read the log' }).click();
  await expect(page.getByRole('list', { name: 'Found in it' })).toContainText('over-speed', { timeout: 90_000 });
  await saved(page);

  await page.goto(`${shop()}/case/${id}/motion/log?at=A1-E1`);
  await expect(page.getByText('Read: run.csv.')).toBeVisible();
  await expect(page.getByRole('row', { name: /^above float/ })).toContainText(/\d+\.\d$/);
  await page.getByRole('button', { name: 'Take the highest speed as what it saw' }).focus();
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(page.getByText('It is what the judgement holds against float.')).toBeVisible();
  await expect(page.getByRole('row', { name: /^above the highest speed as stated/ })).toBeVisible();
  expect((await recorded(request, id)).some((entry) => entry.data?.text?.endsWith('1/min'))).toBe(true);

  // The missed shift stands in the course of the log as float, and the cursor goes there.
  const course = page.getByRole('slider', { name: 'Course of run.csv' });
  await expect(course).toBeVisible();
  await page.getByRole('button', { name: 'float', exact: true }).first().click();
  await expect(course).toHaveAttribute('aria-valuetext', /^(79\.\d|80|80\.\d) s, \d+ 1\/min$/);

  // More load from a lower installed height: float moves above what the log saw.
  await page.getByText('Speed sweep', { exact: true }).click();
  const beyond = page.getByRole('row', { name: /^float beyond the highest speed/ });
  await expect(beyond).toContainText(/−\d/);
  await page.getByRole('slider', { name: 'installed height' }).focus();
  for (let i = 0; i < 10; i += 1) await page.keyboard.press('Shift+ArrowLeft');
  await expect(beyond.getByRole('cell').nth(1)).toHaveText(/^\d+$/);
});
