import { render, screen } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { circleThrough, Drawn } from './Drawn';
import { clamped, viewBox, WHOLE, zoomedAbout } from './useView';

describe('what is seen of a picture', () => {
  test('zooming keeps the point under the hand where it is', () => {
    const before = { x: 0.5, y: 0.5, zoom: 2 };
    const after = zoomedAbout(before, 2, 0.6, 0.45);
    const onScreen = (view: typeof before): number[] => [(0.6 - view.x) * view.zoom, (0.45 - view.y) * view.zoom];
    expect(after.zoom).toBe(4);
    expect(onScreen(after)[0]).toBeCloseTo(onScreen(before)[0] ?? 0, 12);
    expect(onScreen(after)[1]).toBeCloseTo(onScreen(before)[1] ?? 0, 12);
  });

  test('it never leaves the picture, nor goes further out than the whole', () => {
    expect(clamped({ x: -3, y: 9, zoom: 4 })).toEqual({ x: 0.125, y: 0.875, zoom: 4 });
    expect(zoomedAbout(WHOLE, 0.2, 0.1, 0.1)).toEqual(WHOLE);
    expect(clamped({ x: 0.5, y: 0.5, zoom: 400 }).zoom).toBe(24);
  });

  test('it is the same part of two pictures of different size', () => {
    const view = { x: 0.25, y: 0.5, zoom: 2 };
    expect(viewBox(view, 1200, 800)).toBe('0 200 600 400');
    expect(viewBox(view, 2400, 1600)).toBe('0 400 1200 800');
  });
});

test('a circle through three points, and none through a line', () => {
  const circle = circleThrough([
    [5, 0],
    [0, 5],
    [-5, 0],
  ]);
  expect(circle?.x).toBeCloseTo(0, 12);
  expect(circle?.y).toBeCloseTo(0, 12);
  expect(circle?.r).toBeCloseTo(5, 12);
  expect(
    circleThrough([
      [0, 0],
      [1, 1],
      [2, 2],
    ]),
  ).toBeNull();
});

test('a drawing shows its measure or its number', () => {
  const measured = { figure: '0.500', unit: 'in', plusMinus: '0.008', shown: '0.500 ± 0.008 in' };
  render(
    <svg>
      <Drawn
        pixel={1}
        measure={{
          shape: 'length',
          points: [
            [0, 0],
            [9, 0],
          ],
          words: '',
          measured,
        }}
      />
      <Drawn pixel={1} number={3} measure={{ shape: 'mark', points: [[5, 5]], words: 'here', measured: null }} />
    </svg>,
  );
  expect(screen.getByText('0.500 ± 0.008 in')).toBeVisible();
  expect(screen.getByText('3')).toBeVisible();
});
