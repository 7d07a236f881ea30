import { expect, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { atTheBench, newCase, otherShop, reading, recorded, saved, shop, uuid, viewOf, test } from './bench';

test.beforeEach(async ({ page }) => atTheBench(page, 'R. Test'));

/** A pushrod eight, from the telephone call to the last part on the tray. */
test('story, timeline and log of a pushrod eight', async ({ page, request }, info) => {
  const { id } = await newCase(request, 'From the call', {
    layout: 'vee',
    drive: 'pushrod',
    cylinders: 8,
    firingOrder: [1, 8, 4, 3, 6, 5, 7, 2],
    intendedSpeed: 7600,
  });
  await page.goto(`${shop()}/case/${id}/story`);

  // What was fitted, part by part, and the oil in figures.
  await page.getByText('Build as claimed').click();
  await page.getByLabel('claimed springs, all exhausts').fill('dual, said to be new');
  await page.keyboard.press('Enter');
  await page.getByLabel('claimed phosphorus in the oil').fill('1,100 ppm');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('can be read two ways');
  await page.getByLabel('claimed phosphorus in the oil').fill('1100');
  await page.keyboard.press('Enter');
  await saved(page);

  // Builds, runs, failures; a count that runs backwards is said.
  await page.getByText('Timeline', { exact: true }).click();
  for (const [what, date, runs] of [
    ['build', '2025-03-02', '0'],
    ['failure', '2025-08-10', '20'],
    ['failure', '2026-05-01', '12'],
  ] as const) {
    await page.getByRole('button', { name: `Add a ${what}` }).click();
    const row = page
      .getByRole('row')
      .filter({ has: page.getByLabel(`${what}: date`) })
      .last();
    await row.getByLabel(`${what}: date`).fill(date);
    await page.keyboard.press('Enter');
    await row.getByLabel(`${what}: since the build`).fill(runs);
    await page.keyboard.press('Tab');
  }
  await saved(page);
  await expect(page.getByRole('alert')).toContainText('the count runs backwards');
  const last = page
    .getByRole('row')
    .filter({ has: page.getByLabel('failure: date') })
    .last();
  await last.getByLabel('failure: since the build').fill('31');
  await page.keyboard.press('Tab');
  await last.getByLabel('failure: same symptom').check();
  await expect(page.getByText('the count runs backwards')).toHaveCount(0);
  await last.getByLabel('failure: date').fill('first of May');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('“first of May” is not a date');
  await last.getByLabel('failure: date').fill('2026-05-01');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toHaveCount(0);

  // Carried over, by keyboard alone: one letter fills and goes on.
  await page.getByRole('button', { name: /^block, build 2025-03-02/ }).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.type('cccxn');
  await expect(page.getByRole('button', { name: 'lifters, failure 2025-08-10: changed' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'pushrods, failure 2025-08-10: new', exact: true })).toBeVisible();

  // The log: recognised, read, and what was found in it.
  await page.getByText('Log', { exact: true }).click();
  const log = info.outputPath('run.csv');
  writeFileSync(
    log,
    execFileSync('php', ['bin/console', 'simulated:log', '--seconds', '200', '--limiter', '7600', '--missed-shift', '120'], {
      maxBuffer: 1e8,
    }),
  );
  const wrong = info.outputPath('letter.csv');
  writeFileSync(wrong, 'Dear shop,\nit broke.\n');
  await page.locator('input[type=file]').setInputFiles(wrong);
  await expect(page.getByRole('alert')).toContainText('letter.csv: This is not a log');
  const unitless = info.outputPath('unitless.csv');
  writeFileSync(unitless, 'time,rpm\n0,900\n1,7900\n2,900\n');
  await page.locator('input[type=file]').setInputFiles(unitless);
  await expect(page.getByText('“time” looks like time, but names no unit')).toBeVisible();
  await page.getByRole('button', { name: 'Read the log' }).click();
  await expect(page.getByRole('alert')).toContainText('no column holds the time');
  await page.locator('input[type=file]').setInputFiles(log);
  await expect(page.getByLabel('Engine speed (rpm) holds')).toBeVisible();
  await page.getByRole('button', { name: 'Read the log' }).click();
  const found = page.getByRole('list', { name: 'Found in it' });
  await expect(found).toContainText('over-speed once', { timeout: 90_000 });
  const chart = page.getByRole('application', { name: /Log of the run: 0.0 s to 3:/ });
  await chart.focus();
  await page.keyboard.press('+');
  await expect(page.getByRole('application', { name: /Log of the run: 20.0 s to 3:0/ })).toBeVisible();
  await saved(page);
  expect((await recorded(request, id)).some((entry) => entry.kind === 'log')).toBe(true);
});

test('tests before the teardown, by keyboard, and drift over dates', async ({ page, request }) => {
  const { id } = await newCase(request, 'Before', { layout: 'vee', drive: 'pushrod', cylinders: 8, firingOrder: [1, 8, 4, 3, 6, 5, 7, 2] });
  await page.goto(`${shop()}/case/${id}/before`);
  await expect(page.getByLabel('cylinder 1 compression', { exact: true })).toBeFocused();
  for (const psi of ['178', '181', '176', '96', '95 bar']) {
    await page.keyboard.type(psi);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByRole('alert')).toContainText('95 bar is not plausible here');
  await expect(page.getByLabel('cylinder 5 compression', { exact: true })).toBeFocused();
  await page.getByLabel('cylinder 5 compression', { exact: true }).fill('180');
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(page.getByRole('img', { name: /cylinder 4 compression against the highest: 53.*outside/ })).toBeVisible();
  await page.getByLabel('cylinder 4 where it hisses').click();
  await page.keyboard.type('in the exh');
  await page.getByTitle('Past an exhaust valve.').click();

  // Lash and pulls along the order in which lash is set; the next valve stands large.
  await page.getByText('Lash and pulls').click();
  await expect(page.getByRole('button', { name: '1I', exact: true })).toBeVisible();
  await expect(
    page.getByText(
      'Cylinder 1 at firing top dead centre, both valves shut: both its lobes point away from their followers. If the engine fires evenly, cylinder 6 rocks at overlap.',
    ),
  ).toBeVisible();
  await page.getByRole('button', { name: '1I', exact: true }).click();
  await reading(page, '1I lash', '16 thou');
  await reading(page, '1I seat-load pull 1', '118');
  await reading(page, '1I seat-load pull 2', '126');
  await expect(page.getByText('pull a third time')).toBeVisible();
  await page.getByLabel('1I seat-load pull 3: empty').click();
  await reading(page, '1I seat-load pull 3', '119');
  await reading(page, '1E lash', '0.018');
  await reading(page, '1E seat-load pull 1', '117');
  await reading(page, '1E seat-load pull 2', '118');
  await expect(page.getByRole('button', { name: '8I', exact: true })).toBeVisible();
  await expect(page.getByText('pull a third time')).toHaveCount(0);

  await page.getByText('Engine', { exact: true }).click();
  await page.getByRole('radio', { name: 'pulses with the misfire' }).click();
  await page.getByRole('radio', { name: 'looked, nothing seen' }).click();
  await reading(page, 'cam phase on the card', '106');
  await reading(page, 'cam phase found', '112');
  await saved(page);
  await expect(page.getByRole('img', { name: /cam phase against the card: 6.0 .* outside/ })).toBeVisible();

  // The same sheet on an earlier date: what drifts, and what the direction means.
  await page.getByText('Over dates').click();
  await page.getByLabel('Date of an earlier or new sheet: type it, Enter').fill('2026-01-15');
  await page.keyboard.press('Enter');
  await page.getByLabel('1I lash: empty').click();
  await reading(page, '1I lash', '0.016');
  await page.getByLabel('1E lash: empty').click();
  await reading(page, '1E lash', '0.012');
  await saved(page);
  await expect(page.getByRole('region', { name: 'These valves drift' })).toContainText(
    'It grew: lobe, follower, tip, cup or pushrod wears.',
  );
  const ranking = (await (await request.get(`${shop()}/api/cases/${id}/ranking`)).json()) as {
    causes: { code: string; probability: number }[];
  };
  expect(ranking.causes.findIndex((cause) => cause.code === 'phase_off')).toBeLessThan(3);
});

test('the plan, pieces, custody and tags of a pushrod eight', async ({ page, request }) => {
  const { id } = await newCase(request, 'Plan', { layout: 'vee', drive: 'pushrod', cylinders: 8, lash: 'hydraulic', face: 'roller' });
  await page.goto(`${shop()}/case/${id}/teardown/plan`);
  const first = page.getByRole('button', { name: /^Look and photograph from outside/ });
  await first.focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('button', { name: /^Compression and leak-down/ })).toBeFocused();
  // A step goes on without what is missing only with a reason.
  await page.getByRole('button', { name: 'Go on without 3' }).click();
  await page.getByLabel('Reason').fill('It would not turn.');
  await page.keyboard.press('Enter');
  await expect(page.getByText('done: It would not turn.').first()).toBeVisible();
  // The order can be changed, and what that breaks is said at once.
  await page.getByRole('button', { name: /^Head off/ }).focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('Alt+ArrowUp');
  await expect(page.getByRole('button', { name: /^Head off.*too early/ })).toBeFocused();
  await expect(page.getByText('Too early: these belong before it')).toBeVisible();
  await page.getByRole('button', { name: 'Back to the usual order' }).click();
  await expect(page.getByRole('button', { name: /^Head off.*too early/ })).toHaveCount(0);
  await saved(page);

  // Two lock halves a valve; a missing one stays open until it is found.
  await page.getByRole('button', { name: 'pieces and parts' }).click();
  await page.getByRole('radiogroup', { name: '1E lock halves' }).getByRole('radio').first().focus();
  await page.keyboard.type('212');
  await expect(page.getByText('1I locks: 1 missing')).toBeVisible();
  await page.getByRole('radiogroup', { name: '1I lock halves' }).getByRole('radio', { name: '1' }).focus();
  await page.keyboard.type('2');
  await expect(page.getByText('1I locks: 1 missing')).toHaveCount(0);
  await page.getByLabel('head bolts, and so on').fill('head bolts');
  await page.getByLabel('how many').fill('34');
  await page.getByRole('button', { name: 'Count them too' }).click();
  await expect(page.getByText('head bolts: 34 missing')).toBeVisible();

  // A part that leaves needs a name; every move stays on record.
  const hand = page.getByRole('button', { name: 'Hand it over' });
  await expect(hand).toBeDisabled();
  await page.getByLabel('who has it').fill('Made-up laboratory');
  await page.getByLabel('seal or bag').fill('S-14');
  // What is destroyed there needs both parties, each with its answer.
  await page.getByLabel('it is destroyed there').check();
  await expect(hand).toBeDisabled();
  await page.getByLabel('invited: who claims').fill('Owner, comes');
  await page.getByLabel('invited: who may have to pay').fill('Made-up springs, will not come');
  await hand.click();
  await expect(page.getByRole('cell', { name: 'seal S-14; destroyed there, invited: Owner, comes and Made-up springs' })).toBeVisible();
  await expect(page.getByRole('cell', { name: 'at the laboratory, Made-up laboratory' })).toBeVisible();
  const [tags] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Make the tags' }).click()]);
  expect(tags.suggestedFilename()).toMatch(/^tags-\d{4}\.pdf$/);

  // Hydraulic: the state of the element is part of the finding.
  await page.getByRole('button', { name: 'look', exact: true }).click();
  await page.getByLabel('part', { exact: true }).focus();
  await page.keyboard.press('f');
  await page.keyboard.type('does not sink');
  await page.keyboard.press('Enter');
  await page.keyboard.press('2');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Filled or drained? F or D.')).toBeVisible();
  await page.keyboard.press('f');
  await page.keyboard.press('Enter');
  await saved(page);
  const view = await viewOf(request, id);
  expect(view.entries.find((entry) => entry.item === 'element_stuck')?.content).toMatchObject({ severity: 2, fill: 'filled' });
});

/** Presses keys one by one and counts them. */
function counted(page: Page): { press: (key: string) => Promise<void>; type: (text: string) => Promise<void>; count: () => number } {
  let count = 0;
  const press = async (key: string): Promise<void> => {
    count += key.split('+').length;
    await page.keyboard.press(key);
  };
  return {
    press,
    type: async (text) => {
      for (const letter of text) await press(letter);
    },
    count: () => count,
  };
}

test('a four-valve engine of 32 valves: nothing there and ten signs in under 120 keystrokes', async ({ page, request }) => {
  const { id } = await newCase(request, 'Keystrokes', { layout: 'vee', drive: 'bucket', cylinders: 8 });
  await page.goto(`${shop()}/case/${id}/teardown`);
  await expect(page.getByLabel('part', { exact: true })).toBeFocused();
  const hand = counted(page);
  const signs: Record<number, [string, string, string]> = {
    0: ['s', 'bri', '2'],
    3: ['v', 'mus', '3'],
    4: ['t', 'ham', '1'],
    8: ['s', 'rub', '2'],
    11: ['k', 'out', '2'],
    15: ['c', 'lan', '1'],
    18: ['f', 'dis', '3'],
    22: ['g', 'pee', '2'],
    27: ['r', 'pri', '1'],
    31: ['l', 'she', '4'],
  };
  for (let station = 0; station < 32; station++) {
    const sign = signs[station];
    if (sign !== undefined) {
      await hand.press(sign[0]);
      await hand.type(sign[1]);
      await hand.press('Enter');
      await hand.press(sign[2]);
      await hand.press('Enter');
    }
    await hand.press('.');
  }
  expect(hand.count()).toBeLessThan(120);
  await expect(page.getByRole('status').filter({ hasText: 'All entries saved' })).toBeVisible({ timeout: 120_000 });
  const view = await viewOf(request, id);
  expect(view.steps.find((step) => step.code === 'teardown')?.done).toBe(1);
  const found = view.entries.filter((entry) => entry.kind === 'finding');
  expect(found.map((entry) => `${entry.item} ${entry.severity}`).sort()).toEqual(
    [
      'coils_bright 2',
      'follower_dished 3',
      'flank_landing 1',
      'guide_peened 2',
      'lash_shim_moved 2',
      'lock_ridge_sheared 4',
      'retainer_printed 1',
      'seat_hammered 1',
      'spring_rubbed 2',
      'tip_peened 3',
    ].sort(),
  );

  // Another shop opens the file and has all of it.
  const document = await (await request.get(`${shop()}/api/cases/${id}/case.json`)).text();
  const imported = await request.post(`${otherShop()}/api/cases/import?by=other`, {
    data: document,
    headers: { 'Content-Type': 'application/json' },
  });
  expect(imported.status()).toBe(201);
  expect(await (await request.get(`${otherShop()}/api/cases/${id}/case.json`)).text()).toBe(document);
});

test('as the neighbour, and what is worth a look', async ({ page, request }) => {
  const { id } = await newCase(request, 'Neighbour', { layout: 'inline', drive: 'bucket', cylinders: 4 });
  await page.goto(`${shop()}/case/${id}/teardown?at=A1-E1`);
  await expect(page.getByLabel('part', { exact: true })).toBeFocused();
  await page.keyboard.press('s');
  await page.keyboard.type('bri');
  await page.keyboard.press('Enter');
  await page.keyboard.press('3');
  await page.keyboard.press('Enter');
  await saved(page);
  await page.goto(`${shop()}/case/${id}/teardown?at=A1-E2`);
  await expect(page.getByLabel('part', { exact: true })).toBeFocused();
  // The bright coils of one station point at what their causes would leave at the next.
  const worth = page.getByRole('region', { name: 'Worth a look here' });
  await expect(worth).toContainText('adjacent coils bright on facing sides');
  await page.keyboard.press('=');
  await saved(page);
  await expect
    .poll(async () =>
      (await viewOf(request, id)).entries.filter((entry) => entry.place === 'A1-E2').map((entry) => `${entry.item} ${entry.severity}`),
    )
    .toEqual(['coils_bright 3']);
});

test('photographs are taken, drawn on and measured by keyboard, paired, and printed', async ({ page, request }, info) => {
  const { id } = await newCase(request, 'Pictures', { layout: 'inline', drive: 'bucket', cylinders: 4 });
  await page.goto(`${shop()}/case/${id}/teardown/photographs?at=A1-E1`);
  await page.getByLabel('part of new pictures').click();
  await page.getByTitle('spring', { exact: true }).click();
  for (const severity of ['3', '0']) {
    await page.getByRole('button', { name: 'Simulated camera' }).click();
    const dialog = page.getByRole('dialog', { name: 'Simulated camera' });
    await expect(dialog).toContainText('parts that do not exist');
    await dialog.getByLabel('how bad').click();
    await page.getByTitle(severity, { exact: true }).click();
    await dialog.getByRole('button', { name: 'Take the picture' }).click();
    await expect(page.getByRole('button', { name: '1E1 spring, open large' })).toHaveCount(severity === '3' ? 1 : 2);
    await page.keyboard.press('Escape');
    await expect(dialog).toBeHidden();
  }
  // A broken picture is refused in words, and nothing else is lost.
  const broken = info.outputPath('broken.jpg');
  writeFileSync(broken, 'not a picture');
  await page.locator('input[type=file]').first().setInputFiles(broken);
  await expect(page.getByRole('alert')).toContainText('broken.jpg is not a picture that is accepted here');
  await page.getByRole('button', { name: 'Leave it' }).click();

  // A scale, then a length, without the mouse.
  await page.getByRole('button', { name: '1E1 spring, open large' }).first().focus();
  await page.keyboard.press('Enter');
  const picture = page.getByRole('dialog').getByRole('img', { name: '1E1 spring' });
  await expect(picture).toBeVisible();
  await page.keyboard.press('5');
  await page.keyboard.press('Enter');
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Enter');
  await page.getByLabel('Distance between the two points').fill('0.250 in');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Drawn on it' })).toContainText('scale 0.250 in');
  await page.keyboard.press('6');
  await page.keyboard.press('Enter');
  for (let i = 0; i < 8; i++) await page.keyboard.press('Shift+ArrowLeft');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Drawn on it' })).toContainText(/length 0\.500 ± 0\.0\d+ in/);
  await page.keyboard.press('3');
  await page.keyboard.press('Enter');
  await page.getByLabel('Words beside it').fill('polish begins here');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Drawn on it' })).toContainText('polish begins here');
  await page.getByLabel('sign that it shows').click();
  await page.keyboard.type('adjacent');
  await page.keyboard.press('Enter');
  await expect(page.locator('.annotator')).toBeFocused(); // the list has let go of the keys
  await page.keyboard.press('Escape');
  await expect(page.getByText('as found, adjacent coils bright on facing sides, 3 drawn')).toBeVisible();
  await saved(page);

  // Two side by side with one zoom.
  const photos = page.getByRole('button', { name: '1E1 spring, open large' });
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await photos.first().focus();
  await page.keyboard.press('p');
  await expect(page.getByLabel('pick').first()).toBeChecked();
  await page.keyboard.press('ArrowRight');
  await expect(photos.nth(1)).toBeFocused();
  await page.keyboard.press('p');
  await expect(page.getByRole('button', { name: 'Compare the two' })).toBeVisible();
  await page.keyboard.press('c');
  const pair = page.getByRole('dialog', { name: 'Side by side' });
  await expect(pair.locator('svg.picture')).toHaveCount(2);
  await pair.getByRole('group').focus();
  await page.keyboard.press('+');
  const boxes = await pair.locator('svg.picture').evaluateAll((all) => all.map((one) => one.getAttribute('viewBox')));
  expect(boxes[0]).toBe(boxes[1]);
  expect(boxes[0]).not.toMatch(/^0 0 /);

  const entries = (await recorded(request, id)) as unknown as { kind: string; data: { annotation?: { '@context': string } } | null }[];
  expect(entries.filter((entry) => entry.data?.annotation?.['@context'] === 'http://www.w3.org/ns/anno.jsonld')).toHaveLength(3);
});

test('days ahead: what can be done, what waits, what is late, and a laboratory that answers', async ({ page, request }) => {
  const { id } = await newCase(request, 'Days');
  await page.goto(`${shop()}/case/${id}/schedule`);
  const form = page.getByRole('form', { name: 'Plan something' });
  await form.getByLabel('What is to be done').fill('Valves from the supplier');
  await form.getByLabel('Whose').click();
  await page.getByTitle('parts', { exact: true }).click();
  await form.getByLabel('days at least').fill('4');
  await form.getByLabel('days at most').fill('6');
  await form.getByRole('button', { name: 'Plan it' }).click();
  await form.getByLabel('What is to be done').fill('Assemble');
  await form.getByLabel('comes after').click();
  await page.getByTitle('Valves from the supplier').last().click();
  await page.keyboard.press('Escape');
  await form.getByLabel('days at least').fill('1');
  await form.getByLabel('days at most').fill('1');
  await form.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByRole('region', { name: 'Waits' })).toContainText('waits for Valves from the supplier');
  const soon = new Date(Date.now() + 2 * 864e5).toISOString().slice(0, 10);
  await page.getByLabel('promised for').fill(soon);
  await page.keyboard.press('Enter');
  await expect(page.getByText('5 to 7 days, promised in 2 days: late').first()).toBeVisible();
  await page.getByRole('region', { name: 'Can be done now' }).getByRole('button', { name: 'Is on its way' }).click();
  await expect(page.getByRole('region', { name: 'Is with somebody' })).toContainText('Valves from the supplier');
  await page.getByRole('region', { name: 'Is with somebody' }).getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('region', { name: 'Can be done now' })).toContainText('Assemble');

  // A circle is named, not followed for ever.
  const post = (index: string, data: object) =>
    request.post(`${shop()}/api/cases/${id}/entries`, {
      data: {
        id: uuid(),
        kind: 'task',
        supersedes: null,
        by: 'tests',
        at: new Date().toISOString(),
        slot: { place: 'engine', part: 'schedule', item: 'task', index },
        data,
      },
    });
  expect((await post('a', { label: 'A', kind: 'work', after: ['b'] })).status()).toBe(201);
  expect((await post('b', { label: 'B', kind: 'work', after: ['a'] })).status()).toBe(201);
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('These wait for each other in a circle, so none can begin: A, B.');

  const ask = page.getByRole('form', { name: 'Ask a laboratory' });
  await ask.getByLabel('What is asked, of which part or sample').fill('iron and fuel, sample 1');
  await ask.getByLabel('which laboratory').click();
  await page.getByTitle('Oil laboratory (simulated)').click();
  await ask.getByRole('button', { name: 'Send the request' }).click();
  await expect(page.getByRole('region', { name: 'Is with somebody' })).toContainText('iron and fuel, sample 1');
  await expect(page.getByRole('region', { name: 'Laboratory reports' })).toContainText('iron', { timeout: 120_000 });
  await expect(page.getByRole('region', { name: 'Laboratory reports' })).toContainText('simulated');
  await page.goto(`${shop()}/`);
  await expect(page.getByRole('row').filter({ has: page.getByRole('link', { name: 'Days', exact: true }) })).toContainText(
    'promised in 2 days',
  );
});
