import { screen, within } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, expect, test, vi } from 'vitest';
import { KeysProvider } from '../shared/keys';
import { words } from '../shared/messages';
import { openCase, twin } from '../testing/case';
import { margin } from '../testing/sheets';
import { KeysDialog } from './KeysDialog';
import { PlanSide } from './PlanSide';

afterEach(() => vi.restoreAllMocks());

const entries = [
  { kind: 'finding' as const, place: 'A1-E1', part: 'valve', item: 'tip_peened', content: { severity: 3 } },
  { kind: 'look' as const, place: 'A1-I1', part: 'valve', item: 'look', content: {} },
];
const side = <PlanSide chosen="A1-E1" onChoose={() => undefined} first="signs" />;
const cell = (name: RegExp): HTMLElement => screen.getByRole('gridcell', { name });

test('each lens shows its own: worst sign, looked at, margin; what is not known says so', async () => {
  const { user, asked } = openCase(side, {
    view: twin({ story: { answers: {}, failed: ['A2-E1'] } }),
    entries,
    get: {
      '/api/cases/{id}/sheets': [],
      '/api/cases/{id}/margins': {
        content: 'a',
        columns: [],
        margins: [margin({ place: 'A1-E1', verdict: 'outside', verdictWords: 'outside' })],
      },
    },
  });
  expect(cell(/^1E, exhaust, heavy, chosen/)).toBeVisible();
  expect(cell(/^1I, intake, absent/)).toBeVisible();
  expect(cell(/^2E, exhaust, not looked, reported failed/)).toBeVisible();
  await user.click(screen.getByRole('button', { name: words.lens.looked }));
  expect(cell(/^1I, intake, looked at/)).toBeVisible();
  await user.click(screen.getByRole('button', { name: words.lens.margin }));
  expect(await screen.findByRole('gridcell', { name: /^1E, exhaust, 0\.088 ± 0\.002 in, outside/ })).toBeVisible();
  expect(cell(/^1I, intake, not measured/)).toBeVisible();
  expect(asked).toEqual([]);
});

test('F2 opens the plan large and closes it', async () => {
  const { user } = openCase(side, { entries });
  await user.keyboard('{F2}');
  expect(await screen.findByRole('dialog')).toBeVisible();
  await user.keyboard('{F2}');
  expect(screen.queryByRole('dialog')).toBeNull();
});

function Keys() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" onClick={() => setOpen(true)}>
        keys
      </button>
      <KeysDialog open={open} onClose={() => setOpen(false)} />
    </>
  );
}

test('the list of keys is that of what is shown, no key twice', async () => {
  const { user } = openCase(
    <KeysProvider>
      {side}
      <Keys />
    </KeysProvider>,
  );
  await user.click(screen.getByRole('button', { name: 'keys' }));
  const rows = within(await screen.findByRole('dialog'))
    .getAllByRole('row')
    .map((row) => row.textContent);
  expect(rows).toContain(`F2${words.keysDo.planLarge}`);
  expect(rows).not.toContain(`F8${words.keysDo.gauge}`);
  expect(new Set(rows).size).toBe(rows.length);
});
