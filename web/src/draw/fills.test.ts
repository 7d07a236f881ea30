import { expect, test } from 'vitest';
import { box, disc, dots, lines, type Point } from './fills';

const strokes = (path: string): [Point, Point][] =>
  path
    .split('M')
    .filter((one) => one !== '')
    .map((one) => one.split('L').map((point) => point.split(' ').map(Number)) as unknown as [Point, Point]);

test('lines end on the outline, stand at their angle and a pitch apart', () => {
  const drawn = strokes(lines(box(10, 20, 40, 10), 90, 5));
  expect(drawn).toHaveLength(7); // at 15, 20 … 45; none on the edges
  for (const [from, to] of drawn) {
    expect(from[0]).toBe(to[0]);
    expect([from[1], to[1]].toSorted((a, b) => a - b)).toEqual([20, 30]);
  }
  expect(drawn.map(([from]) => from[0]).toSorted((a, b) => a - b)).toEqual([15, 20, 25, 30, 35, 40, 45]);
});

test('a hatch of 45 degrees rises to the right and stays within its box', () => {
  for (const [from, to] of strokes(lines(box(0, 0, 30, 12), 45, 5))) {
    expect((to[1] - from[1]) / (to[0] - from[0])).toBeCloseTo(-1, 1);
    for (const [x, y] of [from, to]) expect(x >= -0.01 && x <= 30.01 && y >= -0.01 && y <= 12.01).toBe(true);
  }
});

test('dots stand within a disc, every second row between those of the first', () => {
  const points = dots(disc(0, 0, 10), 6)
    .split('M')
    .slice(1)
    .map((one) => one.replace('h.1', '').split(' ').map(Number));
  expect(points.length).toBeGreaterThan(8);
  for (const [x = NaN, y = NaN] of points) expect(Math.hypot(x, y)).toBeLessThan(10.1);
});

test('an empty outline has no lines', () => {
  expect(lines(box(3, 3, 0, 10), 45, 5)).toBe('');
});

test('in a box every second row of dots is set off by half a pitch', () => {
  const rows = new Map<string, string[]>();
  for (const dot of dots(box(0, 0, 24, 12), 6)
    .split('M')
    .slice(1)) {
    const [x = '', y = ''] = dot.replace('h.1', '').split(' ');
    rows.set(y, [...(rows.get(y) ?? []), x]);
  }
  expect([...rows.values()]).toEqual([
    ['3', '9', '15', '21'],
    ['6', '12', '18'],
    ['3', '9', '15', '21'],
  ]);
});
