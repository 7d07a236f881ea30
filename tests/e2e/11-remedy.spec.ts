import { expect } from '@playwright/test';
import { atTheBench, entered, newCase, PHONE, saved, shop, test } from './bench';

const PLACES = ['A', 'B'].flatMap((bank) => [1, 2, 3, 4].flatMap((cylinder) => ['E1', 'I1'].map((valve) => `${bank}${cylinder}-${valve}`)));

test('from a signed call over two remedies to a reassembly ticked on a phone, and the engine that comes back', async ({
  page,
  request,
}) => {
  const { id } = await newCase(request, 'Together again');
  await entered(request, id, 'finding', { place: 'A1-E1', part: 'spring', item: 'coils_bright' }, { severity: 3, state: 'as_found' });
  for (const place of PLACES) {
    await entered(request, id, 'reading', { place, part: 'spring_seat', item: 'installed_height' }, { text: '1.720' });
    await entered(request, id, 'reading', { place, part: 'spring', item: 'bind_height', index: 'outer' }, { text: '1.120' });
    await entered(request, id, 'reading', { place, part: 'valve', item: 'net_lift' }, { text: '0.565' });
    await entered(request, id, 'reading', { place, part: 'spring', item: 'load_seat', index: 'outer' }, { text: '130', atText: '1.720' });
    await entered(request, id, 'reading', { place, part: 'spring', item: 'load_open', index: 'outer' }, { text: '340', atText: '1.155' });
  }
  const call = await request.put(`${shop()}/api/cases/${id}/call`, {
    data: { causes: ['installed_height_small'], words: 'Shimmed short.', confidence: 85, by: 'R. Test' },
    headers: { 'If-Match': '"1"' },
  });
  expect(call.status(), await call.text()).toBe(200);
  const signed = await request.post(`${shop()}/api/cases/${id}/call/signature`, {
    data: { by: 'R. Test' },
    headers: { 'If-Match': '"2"' },
  });
  expect(signed.status()).toBe(200);
  await atTheBench(page, 'E. Sallow');

  // Nothing was thought of; two remedies are put side by side, by keyboard.
  await page.goto(`${shop()}/case/${id}/remedy`);
  await page.getByRole('button', { name: 'Try a remedy' }).press('Enter');
  const form = page.getByRole('dialog');
  const change = async (name: string, figure: string): Promise<void> => {
    await expect(form.getByLabel('Name')).toBeFocused();
    await page.keyboard.type(name);
    await form.getByLabel('Figure').fill('a bit');
    await form.getByLabel('Figure').press('Enter');
    await expect(form.getByRole('alert')).toContainText('“a bit” is no figure');
    await form.getByLabel('Figure').fill(figure);
    await form.getByLabel('Figure').press('Enter');
    await form.getByRole('button', { name: 'Keep it on the board' }).press('Enter');
    await expect(form).toHaveCount(0);
  };
  await change('Thinner shims', '-0.050');
  await saved(page);
  await page.getByRole('button', { name: 'Try another' }).press('Enter');
  await change('Thicker shims', '0.020');
  await saved(page);
  const bind = (letter: string) => page.getByRole('button', { name: new RegExp(`^travel to bind, ${letter}:`) });
  await expect(bind('A')).toHaveAccessibleName(/0.035 to 0.085, .*, inside/);
  await expect(bind('B')).toHaveAccessibleName(/0.035 to 0.015, .*, outside/);
  await expect(bind('B')).toContainText('worse');
  await expect(page.getByText(/Still outside:/).last()).toBeVisible();
  // The plan shows every valve with it.
  await bind('A').focus();
  await expect(page.getByRole('complementary', { name: 'Head plan' })).toContainText('travel to bind, with A');
  await page.keyboard.press('t');
  await saved(page);
  await expect(page.getByRole('region', { name: 'A, Thinner shims' })).toContainText('taken');
  // Nothing of it reaches the judgement.
  const causes = async (): Promise<unknown> => {
    const ranking = (await (await request.get(`${shop()}/api/cases/${id}/ranking`)).json()) as { causes: unknown };
    return ranking.causes;
  };
  const before = await causes();

  // A part that stays needs its reason.
  await page.getByText('Parts', { exact: true }).click();
  const valves = page.getByRole('row', { name: /^valve/ }).first();
  await valves.getByRole('combobox').click();
  await page.getByTitle('keep', { exact: true }).click();
  await page.getByLabel('Left in because').fill('tips level, no wobble');
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(valves).toContainText('tips level, no wobble');
  await expect(page.getByText('16 × seal')).toBeVisible();

  // Together again, on a phone.
  await page.setViewportSize(PHONE.viewport);
  await page.goto(`${shop()}/case/${id}/remedy/reassembly?at=A1-E1&stage=Springs`);
  const head = (name: RegExp) => page.locator('.line-head', { hasText: name });
  await page.getByRole('button', { name: 'Tick as E. Sallow' }).click();
  await expect(head(/Installed height/)).toHaveAttribute('aria-expanded', 'true');
  await expect(page.getByText('planned 1.770 in')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Tick as E. Sallow/ })).toBeDisabled();

  // One value out of range: it is not ticked, it is kept with words.
  await page.getByLabel('Installed height, 1E').fill('1.795');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Outside by 0.020 in.*seat load on the valve is/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Tick as E. Sallow/ })).toBeDisabled();
  await page.getByRole('button', { name: 'Keep, say why' }).click();
  await page.getByLabel('Why').fill('no thinner shim in the house');
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(head(/Installed height/)).toContainText('kept out of range');

  // A line is left out with its reason.
  await expect(page.locator('.caution')).toContainText('guard shut, eye protection');
  await page.getByRole('button', { name: 'Leave out, say why' }).click();
  await page.getByLabel('Why').fill('spring comes tomorrow');
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(head(/Spring in/)).toContainText('left out');

  // An order is broken, and it is said what it risks.
  await head(/Travel to bind/).click();
  await page.goto(`${shop()}/case/${id}/remedy/reassembly?at=A1-E1&stage=Timing`);
  await head(/Two full cycles/).click();
  await expect(page.getByText(/Crank and cams at their marks.*Head on.* first: else the first turn under power/)).toBeVisible();
  await page.getByRole('button', { name: 'Tick as E. Sallow' }).click();
  await saved(page);
  await expect(head(/Two full cycles/)).toContainText('out of order');
  await page.reload();
  await expect(head(/Two full cycles/)).toContainText('out of order');

  // No torque is known: the passes are copied from the manual.
  await page.getByRole('button', { name: 'Enter the passes: rockers' }).click();
  await page.getByLabel('Passes, in order').fill('25 N·m');
  await page.getByRole('combobox', { name: 'Bolts' }).click();
  await page.getByTitle('used again: elastic range').click();
  await page.getByLabel('Where it stands: manual, edition, page').fill('made-up manual, page 12');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await saved(page);
  await expect(page.getByRole('region', { name: 'Tightening, from the maker’s manual' })).toContainText(
    '25 N·m; used again: tightened within the elastic range; from made-up manual',
  );
  for (const index of ['built-rebuild'])
    for (const place of ['A1-E1', 'A1-I1'])
      await entered(request, id, 'reading', { place, part: 'valve', item: 'lash', index }, { text: '0.012' });

  // On the wall.
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('.wall')).toContainText('no thinner shim in the house');
  await expect(page.getByRole('navigation')).toBeHidden();
  await page.emulateMedia({ media: null });

  // Ten hours later it comes back: lash and pulls again.
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${shop()}/case/${id}/remedy/afterwards`);
  await page.getByLabel('Day').fill('2027-01-20');
  await page.getByLabel('Ran since').fill('10');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await saved(page);
  const back = page.getByRole('region', { name: '2027-01-20' });
  await expect(back).toContainText('The call held so far: nothing of it after 10 h.');
  await back.getByLabel('Lash now, 1E').fill('0.021');
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(back).toContainText('but 1E moved: look before it breaks');
  await back.getByLabel('Pull now, 1E').fill('118 lb');
  await page.keyboard.press('Enter');
  await expect(back.getByLabel('Pull now, 1I')).toBeFocused();
  await saved(page);
  await expect(page.getByText(/came back: .* held/)).toBeVisible();

  // What was found is as it was found.
  expect(await causes()).toEqual(before);
});
