import { expect } from '@playwright/test';
import { atTheBench, entered, newCase, saved, shop, slowed, test, uuid } from './bench';

// The judgement on the screen: where a mark is decides where the cause is, and a test before the teardown can decide alone.

test('a mark moved to another station moves the cause, and the board says where', async ({ page, request }) => {
  const { id } = await newCase(request, 'Moved');
  const seen = (place: string, sign: string, severity: number) =>
    entered(request, id, 'finding', { place, part: 'spring', item: sign }, { severity, state: 'as_found' });
  await seen('A2-E1', 'fracture_nick', 3);
  await seen('A2-E1', 'spring_rust', 2);
  await atTheBench(page, 'R. Test');

  // By hand, at the station it is on: a letter for the part, a few for the sign, a digit.
  await page.goto(`${shop()}/case/${id}/teardown?at=A2-E1`);
  const finds = async (sign: string) => {
    await expect(page.getByLabel('part', { exact: true })).toBeFocused();
    await page.keyboard.press('s');
    await page.keyboard.type(sign);
    await page.keyboard.press('Enter');
    await page.keyboard.press('3');
    await page.keyboard.press('Enter');
    await saved(page);
  };
  await finds('spring broken');
  await page.getByRole('link', { name: /8 Cause/ }).click();
  await expect(page.getByRole('status').filter({ hasText: /^Spring broken from a nick or pit \(3E\) leads/ })).toBeVisible();
  await expect(page.getByText('First event: Spring broke, 3E')).toBeVisible();
  const first = page.getByRole('row').filter({ hasText: 'Spring broken from a nick or pit' });
  await expect(first).toContainText('3E');

  // It was the spring of another cylinder: what was seen is taken back, and found there.
  for (const sign of ['fracture_nick', 'spring_rust', 'spring_broken']) {
    const document = (await (await request.get(`${shop()}/api/cases/${id}/case.json`)).json()) as {
      entries: { id: string; slot: { place: string; part: string; item: string; index: string | null } }[];
    };
    const entry = document.entries.find((one) => one.slot.item === sign);
    const taken = await request.post(`${shop()}/api/cases/${id}/entries`, {
      data: {
        id: uuid(),
        kind: 'withdrawal',
        slot: entry?.slot,
        supersedes: entry?.id,
        reason: 'mistyped',
        by: 'tests',
        at: new Date().toISOString(),
        data: null,
      },
    });
    expect(taken.status(), await taken.text()).toBe(201);
    await seen('B3-I1', sign, 3);
  }
  await page.reload();
  await expect(page.getByRole('status').filter({ hasText: /^Spring broken from a nick or pit \(6I\) leads/ })).toBeVisible();
  await expect(first).not.toContainText('3E');

  // Held against the runner-up, the lines add up to another sum.
  const ledger = page.getByRole('region', { name: 'For spring broken from a nick or pit' });
  await expect(ledger).toContainText('against none listed');
  await ledger.getByRole('button', { name: /^against (?!none)/ }).click();
  await expect(ledger).not.toContainText(/dB, against none listed/);
});

test('a case whose only clue is a test before the teardown', async ({ page, request }) => {
  const { id } = await newCase(request, 'Two neighbours', { layout: 'inline', drive: 'bucket', cylinders: 4 });
  for (const [cylinder, psi] of [
    ['A1', 181],
    ['A2', 92],
    ['A3', 95],
    ['A4', 179],
  ] as const) {
    await entered(
      request,
      id,
      'reading',
      { place: cylinder, part: 'chamber', item: 'compression' },
      {
        value: { number: psi, unit: 'psi', decimals: 0 },
        text: String(psi),
        gauge: 'compression_gauge',
      },
    );
  }
  await entered(request, id, 'answer', { place: 'A2', part: 'chamber', item: 'hiss' }, { choice: 'neighbour' });
  await entered(request, id, 'answer', { place: 'A3', part: 'chamber', item: 'hiss' }, { choice: 'neighbour' });
  await atTheBench(page, 'R. Test');
  await page.goto(`${shop()}/case/${id}/cause`);
  await expect(page.getByRole('status').filter({ hasText: /^Head gasket or crack, not the valvetrain .*leads/ })).toBeVisible();
  await expect(page.getByRole('region', { name: /^For head gasket/ })).toContainText('two neighbours low');
});

test('a failure that came again: what went from build to build decides', async ({ page, request }) => {
  const { id } = await newCase(request, 'Again and again');
  for (const [place, severity] of [
    ['A1-E1', 3],
    ['B2-I1', 3],
    ['A2-E1', 0],
    ['A3-E1', 0],
    ['B1-E1', 0],
    ['B3-I1', 0],
  ] as const) {
    await entered(request, id, 'finding', { place, part: 'lobe', item: 'lobe_worn' }, { severity, state: 'as_found' });
    if (severity > 0)
      await entered(request, id, 'finding', { place, part: 'follower', item: 'follower_dished' }, { severity, state: 'as_found' });
  }
  for (const date of ['2026-06-01', '2026-09-01'])
    await entered(
      request,
      id,
      'event',
      { place: 'engine', part: 'timeline', item: 'event', index: date },
      { what: 'failure', date, sameSymptom: true },
    );
  await atTheBench(page, 'R. Test');

  // By its marks alone it is open: oil, run-in, spring and more leave the same.
  await page.goto(`${shop()}/case/${id}/cause`);
  await expect(page.getByRole('status').filter({ hasText: /^Established: film lost .*open between/ })).toBeVisible();

  // What went into both failures, letter by letter down each column: the springs alone were carried.
  await page.getByRole('link', { name: /1 Story/ }).click();
  await page.getByText('Timeline', { exact: true }).click();
  const table = page.getByRole('region', { name: 'Carried over' });
  for (const date of ['2026-06-01', '2026-09-01'])
    for (const [component, letter] of [
      ['cam', 'n'],
      ['lifters', 'n'],
      ['springs', 'c'],
      ['oil', 'n'],
    ] as const) {
      await table.getByRole('button', { name: new RegExp(`^${component}, failure ${date}`) }).focus();
      await page.keyboard.press(letter);
    }
  await saved(page);
  await expect(
    table.getByText('In every failure that came again: springs. New in one of them, so not what it comes from: cam, lifters, oil.'),
  ).toBeVisible();

  await page.getByRole('link', { name: /8 Cause/ }).click();
  await expect(page.getByRole('status').filter({ hasText: /^Too much spring for slow running.* leads/ })).toBeVisible();
  await expect(page.getByText('springs: carried into 2, new in 0 of the failures that came again')).toBeVisible();
});

test('two banks side by side: what differs is seen, and the judgement hears it', async ({ page, request }) => {
  const { id } = await newCase(request, 'Two heads');
  for (const bank of ['A', 'B'])
    for (const cylinder of [1, 2, 3, 4]) {
      const place = `${bank}${cylinder}-E1`;
      const text = ((bank === 'A' ? 0.218 : 0.207) + 0.0002 * (cylinder % 2)).toFixed(4);
      await entered(request, id, 'reading', { place, part: 'spring', item: 'wire_diameter', index: 'outer' }, { text });
      await entered(
        request,
        id,
        'finding',
        { place, part: 'seat', item: 'seat_hammered' },
        { severity: bank === 'A' ? 0 : 2, state: 'as_found' },
      );
    }
  await atTheBench(page, 'R. Test');
  await page.goto(`${shop()}/case/${id}/compare`);
  const figures = page.getByRole('table', { name: 'Figures that differ' });
  await expect(figures.getByRole('row', { name: /wire diameter exhausts/ })).toContainText('−0.011');
  await expect(page.getByRole('table', { name: 'Signs and parts that differ' })).toContainText('seat hammered');

  // What is chosen goes on what was chosen just before, also where the screen is slow to show it.
  await slowed(page, 12);

  // By keys: the sides change places, and the difference its sign.
  await page.keyboard.press('x');
  await expect(figures.getByRole('row', { name: /wire diameter exhausts/ })).toContainText('0.011');
  await expect(figures).not.toContainText('−0.011');

  // One station against another, chosen on the plan and from the list.
  await page.getByRole('gridcell', { name: /^4E,/ }).click();
  await page.getByRole('combobox', { name: 'Second side', exact: true }).click();
  await page.locator('.ant-select-item-option[title="1E"]').click();
  await expect(figures.getByRole('columnheader', { name: 'A: 4E' })).toBeVisible();
  await expect(figures.getByRole('columnheader', { name: 'B: 1E', exact: true })).toBeVisible();
  await expect(figures.getByRole('row', { name: /wire diameter/ })).toContainText('0.011');

  await slowed(page, 1);
  await page.getByRole('link', { name: /8 Cause/ }).click();
  await expect(page.getByRole('row').filter({ hasText: 'Heads or banks unlike' })).toContainText('bank B');
});

test('the obvious cause is wrong until the check is made that tells it apart; from empty to a signed call', async ({ page, request }) => {
  const { id } = await newCase(request, 'Blue smoke');
  const smoke = { place: 'engine', part: 'running', item: 'blue_smoke' };
  await entered(request, id, 'finding', smoke, { severity: 2, state: 'as_found' });
  for (const bank of ['A', 'B'])
    for (const cylinder of [1, 2, 3, 4])
      for (const [part, item, severity] of [
        ['port', 'oil_past_guide', 2],
        ['guide', 'guide_bellmouth', 2],
        ['guide', 'guide_dry', 0],
        ['valve', 'tip_edge_wipe', 0],
      ] as const)
        await entered(request, id, 'finding', { place: `${bank}${cylinder}-I1`, part, item }, { severity, state: 'as_found' });
  await atTheBench(page, 'R. Test');

  // Every intake guide is worn: that is what the board says, and what would tell most.
  await page.goto(`${shop()}/case/${id}/cause`);
  const says = (words: RegExp) => expect(page.getByRole('status').filter({ hasText: words })).toBeVisible();
  await says(/^Guide worn \(all intakes\) leads/);
  const next = page.getByRole('region', { name: 'What would tell most' });
  const filter = next.getByRole('listitem', { name: /filter/i });
  await expect(filter).toContainText(/If debris in the oil passages: dirt in the oil/);

  // The filter is cut open, and there is grit: one key.
  await next.getByRole('listitem').first().focus();
  while (!(await filter.evaluate((one) => one === document.activeElement))) await page.keyboard.press('ArrowDown');
  await page.keyboard.press('f');
  await saved(page);
  await says(/^Dirt in the oil.* leads/);
  await expect(page.getByText(/1 sign changed since your look/)).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'Guide worn' })).toContainText(/was \d+ %/);

  // The chain goes from the dirt to the smoke. Where the analyst knows better, it is cut with the reason, and mended.
  await page.getByText('Chain of damage', { exact: true }).click();
  await page.getByRole('button', { name: /^1, Dirt in the oil/ }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: /^2, Guide worn open, seen, .* because of 1/ })).toBeFocused();
  await page.keyboard.press('c');
  await expect(page.getByLabel('Why')).toBeFocused();
  await page.keyboard.type('worn before the oil was');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Cut: Dirt in the oil → guide worn open, R. Test/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/Cut: Dirt in the oil/)).toHaveCount(0);
  await page.keyboard.press('f');
  await expect(page.getByText(/First event: Guide worn open, R. Test/)).toBeVisible();

  // The call: what it was, where it began, what it was not and why, what stays open.
  await page.getByText('Ranking and call', { exact: true }).click();
  await page.getByLabel('Cause, in your judgement').click();
  await page.getByTitle('Dirt in the oil').click();
  await page.keyboard.press('Escape');
  await page.getByLabel('First event, in your judgement').click();
  await page.getByTitle('Guide worn open').click();
  await page.getByLabel('Your reasons, in your own words').fill('Grit in the filter; every guide is ground alike.');
  await page.getByLabel('Rule out a cause').pressSequentially('guide worn');
  await expect(page.locator('.ant-select-item-option-active:visible')).toHaveText('Guide worn');
  await page.keyboard.press('Enter');
  await page.getByLabel('Why not: Guide worn').fill('Bores of that age would not all go at once.');
  await page.getByLabel('Open points').fill('Where the grit came in.');
  for (let i = 0; i < 16; i++) await page.getByRole('slider', { name: 'How sure are you' }).press('ArrowRight');
  await expect(page.getByText('very likely')).toBeVisible();
  await page.getByRole('button', { name: 'Sign the call as R. Test' }).click();
  const call = page.getByRole('complementary', { name: 'The call' });
  await expect(call).toContainText('Dirt in the oil, first event: Guide worn open');

  // A later word supersedes it, and both are there.
  await page.getByLabel('Open points').fill('None.');
  await expect(call).toContainText('Signing it anew supersedes this one.');
  await page.getByRole('button', { name: 'Sign the call as R. Test' }).click();
  await expect(call.getByRole('list', { name: 'Superseded' })).toContainText('Signed by R. Test');

  // The report prints the chain and the call.
  const report = await (await request.get(`${shop()}/api/cases/${id}/report.html`)).text();
  for (const words of ['Chain of damage', 'Bores of that age', 'Superseded: signed by R. Test']) expect(report).toContain(words);
});

test('springs that are met again in a later case were carried: by their tags, whatever was said', async ({ page, request }) => {
  const stamp = uuid().slice(-6);
  const earlier = await newCase(request, `First time ${stamp}`);
  const later = await newCase(request, `Second time ${stamp}`);
  for (const [date, sameSymptom] of [
    ['2026-06-01', false],
    ['2026-09-01', true],
  ] as const)
    await entered(
      request,
      later.id,
      'event',
      { place: 'engine', part: 'timeline', item: 'event', index: date },
      { what: 'failure', date, sameSymptom },
    );
  await atTheBench(page, 'R. Test');
  for (const one of [earlier, later]) {
    await page.goto(`${shop()}/case/${one.id}/teardown/pieces?at=A1-E1`);
    await page.getByLabel('tag of the spring, outer of 1E').fill(`Drawer ${stamp}`);
    await page.keyboard.press('Enter');
    await saved(page);
  }
  await expect(page.getByRole('link', { name: `at 1E of First time ${stamp}` })).toBeVisible();

  await page.goto(`${shop()}/case/${later.id}/story/timeline`);
  const table = page.getByRole('region', { name: 'Carried over' });
  await table.getByRole('button', { name: 'springs, failure 2026-09-01: not said' }).focus();
  await page.keyboard.press('n');
  await page.getByRole('combobox', { name: 'failure: case of it' }).click();
  await page
    .locator('.ant-select-item-option')
    .filter({ hasText: `First time ${stamp}` })
    .click();
  await saved(page);
  await expect(page.getByText('1 tagged part')).toBeVisible();
  await expect(table.getByRole('button', { name: 'springs, failure 2026-09-01: carried' })).toBeVisible();
  await expect(table.getByText('In every failure that came again: springs.')).toBeVisible();
  await expect(page.getByRole('alert')).toContainText(`by their tags (drawer-${stamp}) they were carried`);
});
