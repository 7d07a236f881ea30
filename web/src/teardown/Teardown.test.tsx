import { fireEvent, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { openCase, told, twin } from '../testing/case';
import Teardown from './Teardown';

afterEach(() => vi.restoreAllMocks());

const plan = { '/api/cases/{id}/teardown': { revision: 0, steps: [], next: null, shots: [], missingPieces: [] } };
const hydraulic = () => {
  const view = twin();
  return { ...view, engine: { ...view.engine, lash: 'hydraulic' } } as never;
};
const partSlot = (): HTMLInputElement => screen.getByLabelText('part');

test('one key clears the rest of a station and goes on to the next', async () => {
  const { user, sent } = openCase(<Teardown />, { get: plan });
  await expect.poll(() => document.activeElement).toBe(partSlot());
  await user.keyboard('..');
  await expect.poll(() => sent.length).toBe(10);
  expect(new Set(sent.map((entry) => entry.slot.place))).toEqual(new Set(['A1-E1', 'A1-I1']));
  expect(screen.getByText('Cylinder 2, exhaust')).toBeVisible();
});

test('a nought that a board writes with Shift clears one part, not the rest', async () => {
  const { sent } = openCase(<Teardown />, { get: plan });
  await expect.poll(() => document.activeElement).toBe(partSlot());
  fireEvent.keyDown(partSlot(), { key: '0', code: 'Digit0', shiftKey: true });
  await expect.poll(() => sent.length).toBe(1);
  fireEvent.keyDown(partSlot(), { key: '=', code: 'Digit0', shiftKey: true });
  await new Promise((done) => setTimeout(done, 50));
  expect(sent.map((entry) => entry.slot.part)).toEqual(['valve']);
});

test('part by letter, sign by typing, severity by digit, and on to the next part', async () => {
  const { user, sent } = openCase(<Teardown />, { get: plan });
  await screen.findByRole('option', { name: /tip mushroomed/ });
  await user.keyboard('smid'.slice(0, 1));
  await user.keyboard('adj{Enter}3{Enter}');
  await expect.poll(() => told(sent)).toEqual([['A1-E1/spring/coils_bright', { severity: 3, state: 'as_found' }]]);
  expect(partSlot().value).toBe('locks');
});

test('a sign of another part is found, and choosing it goes there', async () => {
  const { user, sent } = openCase(<Teardown />, { get: plan });
  await screen.findByRole('option', { name: /tip mushroomed/ });
  await user.keyboard('vpolish between');
  expect(screen.getByRole('option', { name: /adjacent coils bright.*spring/ })).toBeInTheDocument();
  await user.keyboard('{Enter}2{Enter}');
  await expect.poll(() => told(sent)[0]?.[0]).toBe('A1-E1/spring/coils_bright');
});

test('an element is filled or drained before its finding is taken', async () => {
  const { user, sent } = openCase(<Teardown />, { view: hydraulic(), get: plan });
  await screen.findByRole('option', { name: /tip mushroomed/ });
  await user.keyboard('fsink{Enter}2{Enter}');
  expect(screen.getByText(/Filled or drained\?/)).toBeVisible();
  expect(sent).toEqual([]);
  await user.keyboard('d{Enter}');
  await expect.poll(() => told(sent)).toEqual([['A1-E1/follower/element_stuck', { severity: 2, state: 'as_found', fill: 'drained' }]]);
});

test('as the neighbour: what stands there, on parts where nothing stands here', async () => {
  const { user, sent } = openCase(<Teardown />, {
    get: plan,
    entries: [
      { kind: 'finding', place: 'A1-E1', part: 'spring', item: 'coils_bright', content: { severity: 2, state: 'as_found' } },
      { kind: 'look', place: 'A1-E1', part: 'valve', item: 'look', content: { state: 'as_found' } },
      { kind: 'look', place: 'A1-E1', part: 'port', item: 'look', content: { state: 'as_found' } },
      { kind: 'finding', place: 'A2-E1', part: 'valve', item: 'tip_peened', content: { severity: 1, state: 'as_found' } },
    ],
  });
  await user.click(screen.getByRole('gridcell', { name: /^2E,/ }));
  await user.click(partSlot());
  await user.keyboard('=');
  await expect
    .poll(() => told(sent))
    .toEqual([
      ['A2-E1/spring/coils_bright', { severity: 2, state: 'as_found' }],
      ['A2-E1/port/look', { state: 'as_found' }],
    ]);
});

test('what is worth a look is one press from being recorded', async () => {
  const { user, sent } = openCase(<Teardown />, {
    get: {
      ...plan,
      '/api/cases/{id}/attention/{place}': [
        {
          sign: 'coils_bright',
          name: 'adjacent coils bright on facing sides',
          part: 'spring',
          because: 'Installed height too small would leave it',
        },
      ],
    },
  });
  await user.click(await screen.findByRole('button', { name: 'adjacent coils bright on facing sides' }));
  await user.keyboard('0{Enter}');
  await expect.poll(() => told(sent)).toEqual([['A1-E1/spring/coils_bright', { severity: 0, state: 'as_found' }]]);
});

test('the force to slide a valve is asked where the valve is looked at', async () => {
  const { user, sent } = openCase(<Teardown />, { get: plan });
  await user.click(await screen.findByRole('radio', { name: 'would not slide' }));
  expect(screen.getByText('Never driven out.')).toBeVisible();
  await expect.poll(() => told(sent)).toEqual([['A1-E1/valve/slide', { choice: 'stuck' }]]);
});
