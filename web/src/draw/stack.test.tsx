import { render, screen } from '@testing-library/react';
import { expect, test } from 'vitest';
import type { Schemas } from '../shared/api';
import { LiftLadder, placed } from './LiftLadder';
import { stackParts, wireHeight } from './stackParts';
import { StackSection, tightGaps, type StackGap } from './StackSection';
import { readAt } from './SweepChart';

const size = (inches: number, more: Partial<Schemas['StackSizeView']> = {}): Schemas['StackSizeView'] => ({
  at: inches * 25.4,
  value: { figure: inches.toFixed(3), unit: 'in', plusMinus: null, shown: '' },
  isMeasured: true,
  claimed: null,
  ...more,
});
const stack = {
  installed_height: size(1.842, { claimed: '1.900' }),
  net_lift: size(0.59),
  'bind_height.outer': size(1.24),
  'outside_diameter.outer': size(1.54),
  'wire_diameter.outer': size(0.207),
  locator_thickness: size(0.06, { claimed: '0.045' }),
  shim_stack: size(0.03),
  seal_height: size(0.9),
  retainer_depth: size(0.285),
};
const gap = (quantity: string, figure: string, isOutside = false): StackGap => ({
  quantity,
  coil: null,
  name: quantity,
  figure,
  isOutside,
  isDoubtful: false,
});
const words = {
  onSeat: 'on the seat',
  atLift: 'at full lift',
  asClaimed: 'as claimed',
  card: 'card',
  larger: (times: number) => `${times} times`,
  names: { installed_height: 'installed', net_lift: 'net lift', locator_thickness: 'locator', shim_stack: 'shims' },
};

test('a stack is drawn from what is known, and in the proportions of such heads where it is not', () => {
  const parts = stackParts(stack);
  expect(parts).toMatchObject({ face: 0.09, height: 1.842, lift: 0.59 });
  expect(parts?.sealTop).toBeCloseTo(0.99);
  expect(parts?.coils).toHaveLength(1);
  expect(parts?.coils[0]?.turns).toBeCloseTo(1.24 / 0.207);
  expect(parts?.pocket).toBeCloseTo((1.54 + 0.03) / 2);
  expect(stackParts({ ...stack, 'bind_height.inner': size(1.1) })?.coils[1]?.step).toBe(0.06);
  expect(stackParts({ net_lift: size(0.5) })).toBeNull();
});

test('the wire rises turn by turn, and its end turns lie on their neighbours at any height', () => {
  const coil = stackParts(stack)?.coils[0];
  if (coil === undefined) throw new Error('No coil.');
  for (const height of [1.842, 1.252]) {
    const heights = Array.from({ length: 13 }, (_, i) => wireHeight((i * coil.turns) / 12, coil, height));
    expect([...heights].sort((a, b) => a - b)).toEqual(heights);
    expect(wireHeight(1, coil, height)).toBeCloseTo(coil.wire);
    expect(wireHeight(coil.turns - 1, coil, height)).toBeCloseTo(height - coil.wire);
  }
});

test('what is too small to be seen is drawn again, larger, and a failing gap is marked', () => {
  const gaps = [gap('travel_to_bind', '0.012', true), gap('retainer_to_seal', '0.067')];
  expect(tightGaps(stack, gaps)).toBe(2);
  const { container } = render(<StackSection found={stack} tried={null} gaps={gaps} detail={0} label="Stack of 1E" words={words} />);
  expect(screen.getByRole('img', { name: 'Stack of 1E' })).toBeVisible();
  expect(screen.getAllByText('0.012').length).toBe(2);
  expect(screen.getAllByText('0.012')[0]).toHaveClass('is-outside');
  expect(screen.getByText('5 times')).toBeVisible();
  expect(screen.getByText('card 0.045')).toBeVisible();
  expect(container.querySelectorAll('[stroke="var(--enamel)"]')).toHaveLength(0);
});

test('what is tried is dashed where it would stand', () => {
  const tried = { ...stack, seal_height: size(0.85) };
  const { container } = render(<StackSection found={stack} tried={tried} gaps={[]} detail={0} label="Stack" words={words} />);
  expect(container.querySelectorAll('[stroke="var(--enamel)"]')).toHaveLength(2);
});

test('a size that is only claimed says so', () => {
  const claimed = { ...stack, installed_height: size(1.9, { isMeasured: false }) };
  render(<StackSection found={claimed} tried={null} gaps={[]} detail={0} label="Stack" words={words} />);
  expect(screen.getByText('1.900 installed as claimed')).toBeVisible();
  expect(stackParts(stack)?.isRead).toEqual({ retainer: true, seal: true, guide: true, locator: true, shims: true });
  expect(stackParts({ ...stack, seal_height: size(0.9, { isMeasured: false }) })?.isRead.seal).toBe(false);
});

test('names of limits that lie near each other stand on rows of their own', () => {
  expect(
    placed([
      [40, 140],
      [60, 150],
      [90, 190],
      [160, 300],
      [200, 300],
    ]),
  ).toEqual([0, 1, 2, 0, 1]);
});

test('the ladder says what is lifted and by which limit it ends', () => {
  const limit = (title: string, at: number) => ({
    quantity: title,
    title,
    at,
    lift: { figure: at.toFixed(3), unit: 'in', plusMinus: null, shown: '' },
  });
  render(
    <LiftLadder
      ladder={{
        at: 0.607,
        half: 0.003,
        lift: { figure: '0.607', unit: 'in', plusMinus: '0.003', shown: '0.607 ± 0.003 in' },
        limits: [limit('bind', 0.559), limit('seal', 0.627)],
        tried: limit('seal', 0.64),
        unit: 'in',
        missing: [],
        sentence: '',
      }}
      label="Highest lift"
      lifts="it lifts"
      tried="tried"
    />,
  );
  expect(screen.getByText('it lifts 0.607 ± 0.003 in')).toHaveClass('is-outside');
  expect(screen.getByText('bind 0.559')).toHaveClass('strong');
  expect(screen.getByText('tried 0.640')).toBeVisible();
});

test('a curve is read between its points and nowhere beyond them', () => {
  const points = [
    [1.9, 100],
    [1.8, 140],
    [1.7, 180],
  ];
  expect(readAt(points, 1.85)).toBeCloseTo(120);
  expect(readAt(points, 1.9)).toBe(100);
  expect(readAt(points, 1.95)).toBeNull();
  expect(readAt(points, 1.6)).toBeNull();
});
