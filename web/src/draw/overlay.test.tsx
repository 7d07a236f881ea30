import { render, screen } from '@testing-library/react';
import { expect, test } from 'vitest';
import { apart, Overlay } from './Overlay';

const curve = (name: string, up: number[], beyond: number | null = null) => ({
  name,
  face: 'outer',
  unitAlong: 'in',
  unitUp: 'lbf',
  points: up.map((one, i) => ({ along: 1.9 - 0.6 * i, up: one })),
  beyond: beyond === null ? null : { along: 1.2, up: beyond },
});
const drawn = (...curves: ReturnType<typeof curve>[]) =>
  render(<Overlay curves={curves} label="springs over each other" along="height" up="load" />).container;

test('lines over each other have names, and marks of their own', () => {
  const container = drawn(curve('a', [120, 281]), curve('b', [140, 307]));
  expect(screen.getByRole('img', { name: 'springs over each other' })).toBeVisible();
  expect(container.textContent).toContain('load, lbf');
  expect([...container.querySelectorAll('text.name')].map((one) => one.textContent)).toEqual(expect.arrayContaining(['a', 'b']));
  const shapes = new Set([...container.querySelectorAll('path[transform]')].map((one) => one.getAttribute('d')));
  expect(shapes.size).toBe(2);
});

test('what is pressed together lies to the right, and more load lies higher', () => {
  const marks = [...drawn(curve('a', [120, 281])).querySelectorAll('path[transform]')].map((one) =>
    (one.getAttribute('transform') ?? '').match(/-?[\d.]+/g)?.map(Number),
  );
  const [seat, open] = marks;
  expect(open?.[0]).toBeGreaterThan(seat?.[0] ?? Infinity);
  expect(open?.[1]).toBeLessThan(seat?.[1] ?? -Infinity);
});

test('what is computed beyond the readings is dotted', () => {
  expect(drawn(curve('a', [120, 281])).querySelectorAll('[stroke-dasharray="1 3"]')).toHaveLength(0);
  expect(drawn(curve('a', [120, 281], 310)).querySelectorAll('[stroke-dasharray="1 3"]')).toHaveLength(1);
});

test('names never lie on each other and keep their order', () => {
  const places = apart([100, 100, 40, 104]);
  const sorted = [...places].sort((a, b) => a - b);
  sorted.slice(1).forEach((place, i) => expect(place - (sorted[i] ?? 0)).toBeGreaterThanOrEqual(17));
  expect(places[2]).toBe(40);
  expect(places[3]).toBe(Math.max(...places));
});

test('nothing to draw is nothing drawn', () => {
  expect(drawn().querySelector('svg')).toBeNull();
});
