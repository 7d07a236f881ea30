import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { words } from '../shared/messages';
import { openCase } from '../testing/case';
import { margin } from '../testing/sheets';
import { onStep, readTried, withPart, withSlider } from '../tried/change';
import Clearances from './Clearances';

afterEach(() => {
  vi.restoreAllMocks();
  asked = [];
});

const quantity = (figure: string) => ({ figure, unit: 'in', plusMinus: null, shown: `${figure} in` });
const size = (inches: number) => ({ at: inches * 25.4, value: quantity(inches.toFixed(3)), isMeasured: true, claimed: null });
const slider = (name: string, found: number, more: object = {}) => ({
  name,
  label: name,
  unit: 'in',
  from: 0,
  to: 0.15,
  step: 0.001,
  decimals: 3,
  found,
  origin: 'caliper',
  ...more,
});
const stack = (more: object = {}) => ({
  place: 'A1-E1',
  label: '1E',
  found: { installed_height: size(1.842), net_lift: size(0.59) },
  tried: null,
  gaps: [{ name: 'to bind', found: margin({ verdict: 'outside', value: quantity('0.012') }), tried: null }],
  loads: [{ name: 'valve_seat_load', title: 'seat load', found: { ...quantity('168'), unit: 'lbf' }, tried: null }],
  ladder: {
    at: 0.59,
    half: 0.002,
    lift: quantity('0.590'),
    limits: [{ quantity: 'travel_to_bind', title: 'bind', at: 0.548, lift: quantity('0.548') }],
    tried: null,
    unit: 'in',
    missing: [],
    sentence: 'It lifts more than it may.',
  },
  sliders: [slider('guide_cut', 0), slider('locator_thickness', 0.06, { to: 0.12 })],
  parts: [{ part: 'spring', from: 'shelf-soft', name: 'Soft', isShelved: true }],
  ...more,
});
interface Asked {
  params: { path: { place?: string }; query: { change?: string; spring?: string } };
}
/** What was asked to be tried, in order; nothing is an empty word. */
let asked: string[] = [];
const get = (told: object = stack()) => ({
  '/api/cases/{id}/margins': { content: '', columns: [], margins: [] },
  '/api/cases/{id}/sheets': [],
  '/api/cases/{id}/stack/{place}': ({ params }: Asked) => {
    asked.push(params.query.change ?? '');
    return { ...told, place: params.path.place };
  },
});

test('a valve is shown with what remains of it and the lift it takes', async () => {
  openCase(<Clearances />, { at: 'clearances/station?at=A1-E1', get: get() });
  expect(await screen.findByRole('img', { name: words.stack.drawing('1E') })).toBeVisible();
  expect(screen.getByText('It lifts more than it may.')).toBeVisible();
  expect(screen.getByRole('row', { name: /to bind/ })).toHaveTextContent('0.012');
});

test('a slider goes by its step, by ten with Shift, and Backspace puts it back', async () => {
  const { address } = openCase(<Clearances />, { at: 'clearances/station?at=A1-E1', get: get() });
  const cut = await screen.findByRole('slider', { name: 'guide_cut' });
  fireEvent.keyDown(cut, { key: 'ArrowRight' });
  fireEvent.keyDown(cut, { key: 'ArrowRight', shiftKey: true });
  await waitFor(() =>
    expect(JSON.parse(asked.at(-1) ?? '')).toEqual([{ places: ['A1-E1'], name: 'guide_cut', to: { number: 0.011, unit: 'in' } }]),
  );
  fireEvent.keyUp(cut, { key: 'ArrowRight' });
  await expect.poll(() => decodeURIComponent(address())).toMatch(/try=.*0\.011/);
  fireEvent.keyDown(cut, { key: 'Backspace' });
  fireEvent.keyUp(cut, { key: 'Backspace' });
  await expect.poll(address).not.toMatch(/try=/);
  fireEvent.keyDown(cut, { key: 'ArrowLeft' });
  expect(cut).toHaveValue('0');
});

test('what the address tries is tried again, and all of it can be put back', async () => {
  const change = [{ places: ['A1-E1'], part: 'spring', from: 'shelf-soft' }];
  const { user } = openCase(<Clearances />, {
    at: `clearances/station?at=A1-E1&try=${encodeURIComponent(JSON.stringify(change))}`,
    get: get(),
  });
  await screen.findByText(words.stack.onShelf('Soft'));
  expect(JSON.parse(asked[0] ?? '')).toEqual(change);
  await user.click(screen.getByRole('button', { name: words.stack.allAsFound }));
  await waitFor(() => expect(asked.at(-1)).toBe(''));
});

test('what is tried goes on the board of remedies', async () => {
  const change = [{ places: ['A1-E1'], name: 'shims', to: { number: 0.04, unit: 'in' } }];
  const { user, sent } = openCase(<Clearances />, {
    at: `clearances/station?at=A1-E1&try=${encodeURIComponent(JSON.stringify(change))}`,
    get: get(),
  });
  await user.click(await screen.findByRole('button', { name: words.stack.asRemedy }));
  await waitFor(() => expect(sent[0]?.data).toEqual({ name: 'shims 0.040 in', remedyKind: 'trial', change }));
  expect(sent[0]?.slot).toMatchObject({ part: 'remedy', item: 'alternative' });
});

test('brackets go from valve to valve, and what is tried stays with the valve it was tried at', async () => {
  const { address } = openCase(<Clearances />, { at: 'clearances/station?at=A1-E1', get: get() });
  const cut = await screen.findByRole('slider', { name: 'guide_cut' });
  fireEvent.keyDown(cut, { key: 'ArrowRight' });
  fireEvent.keyDown(cut, { key: ']' });
  await expect.poll(address).toMatch(/at=A1-I1/);
  await screen.findByRole('slider', { name: 'guide_cut' });
  expect(asked.at(-1)).toBe('');
});

test('a valve of which too little is known says what it takes', async () => {
  const told = stack({ found: {}, gaps: [], ladder: { ...stack().ladder, at: null, lift: null, limits: [], missing: ['net lift'] } });
  openCase(<Clearances />, { at: 'clearances/station?at=A1-E1', get: get(told) });
  expect(await screen.findByText(words.stack.missing)).toBeVisible();
  expect(screen.getByRole('link', { name: words.stack.measure })).toHaveAttribute('href', expect.stringContaining('bench/heights'));
});

test('a change at its own value is no change, and an address that says something else is none', () => {
  const cut = { ...slider('guide_cut', 0.02), unit: 'in' };
  const tried = withSlider([], 'A1-E1', cut, 0.05);
  expect(tried).toHaveLength(1);
  expect(withSlider(tried, 'A1-E1', cut, 0.02)).toEqual([]);
  expect(withSlider(tried, 'A1-E1', cut, null)).toEqual([]);
  expect(withPart(withPart(tried, 'A1-E1', 'spring', 'x'), 'A1-E1', 'spring', null)).toEqual(tried);
  expect(readTried(JSON.stringify(tried), 'A2-E1')).toEqual([]);
  expect(readTried('nonsense', 'A1-E1')).toEqual([]);
  expect(onStep(cut, 0.05049)).toBe(0.05);
  expect(onStep(cut, 9)).toBe(0.15);
});

test('guides are cut for the lift that is typed, and a refusal leaves what was typed', async () => {
  const row = {
    place: 'A1-E1',
    label: '1E',
    top: quantity('0.640'),
    cut: quantity('0.063'),
    topAfter: quantity('0.577'),
    before: [margin({ quantity: 'retainer_to_guide' })],
    after: [margin({ quantity: 'retainer_to_guide' })],
    noLonger: 'The seal.',
  };
  const cuts = [row, { ...row, place: 'A2-E1', label: '2E' }, { ...row, place: 'A1-I1', label: '1I', cut: null }];
  const { user, address, sent } = openCase(<Clearances />, {
    at: 'clearances/guides',
    get: { ...get(), '/api/cases/{id}/guides-to-cut': cuts },
  });
  expect(await screen.findAllByText('0.063 in')).toHaveLength(2);
  expect(screen.getAllByText('The seal.')[0]).toHaveClass('wrong');
  await user.click(screen.getByRole('button', { name: words.stack.asRemedy }));
  await waitFor(() =>
    expect(sent[0]?.data).toMatchObject({
      remedyKind: 'trial',
      change: [{ places: ['A1-E1', 'A2-E1'], name: 'guide_cut', by: { number: 0.063, unit: 'in' } }],
    }),
  );
  await user.type(screen.getByLabelText(words.guides.more), '0.080{Enter}');
  await expect.poll(address).toMatch(/more=0\.080/);
});

test('a spring that is tried in the fit is asked for at every valve', async () => {
  const columns = [
    { key: 'spring_in_pocket', quantity: 'spring_in_pocket', title: '', head: 'in pocket', index: [], limitWords: '', field: 'margins' },
  ];
  const springs: (string | undefined)[] = [];
  openCase(<Clearances />, {
    at: 'clearances/fit?spring=shelf-soft',
    get: {
      ...get(),
      '/api/cases/{id}/fit': ({ params }: Asked) => {
        springs.push(params.query.spring);
        return { columns, margins: [], springs: stack().parts };
      },
    },
  });
  expect(await screen.findByText(/in pocket/)).toBeVisible();
  expect(springs).toEqual(['shelf-soft']);
});

test('what cannot be tried is said, and can be put back', async () => {
  const change = [{ places: ['A1-E1'], name: 'horn', to: { number: 1, unit: 'in' } }];
  const { user } = openCase(<Clearances />, {
    at: `clearances/station?at=A1-E1&try=${encodeURIComponent(JSON.stringify(change))}`,
    get: {
      ...get(),
      '/api/cases/{id}/stack/{place}': ({ params }: Asked) => {
        if (params.query.change !== undefined) throw new Error('there is no value “horn”.');
        return stack();
      },
    },
  });
  await user.click(await screen.findByRole('button', { name: words.stack.allAsFound }));
  expect(await screen.findByRole('slider', { name: 'guide_cut' })).toBeVisible();
});
