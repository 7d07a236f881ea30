import { render, screen } from '@testing-library/react';
import { expect, test } from 'vitest';
import { DaysRule } from './DaysRule';

/** Horizontal places of what is drawn: notch, both ends of the bracket, today. */
function placesOf(container: HTMLElement): { notch: number; from: number; to: number; today: number } {
  const paths = [...container.querySelectorAll('path')].map((path) => path.getAttribute('d') ?? '');
  const find = (pattern: RegExp): number[] => {
    const match = paths.map((d) => pattern.exec(d)).find((one) => one !== null);
    return (match ?? []).slice(1).map(Number);
  };
  const [notch = NaN] = find(/^M([-\d.]+) 21l-4\.5-10/);
  const [from = NaN, to = NaN] = find(/^M([-\d.]+) 8v-6H([-\d.]+)v6$/);
  const [today = NaN] = find(/^M([-\d.]+) 22l-4\.5 8h9z/);
  return { notch, from, to, today };
}

test('a late case reaches past the notch of its promise', () => {
  const { container } = render(<DaysRule promised={5} least={6} most={10} late label="6 to 10 days, promised in 5 days: late" />);
  expect(screen.getByRole('img', { name: /late/ })).toBeVisible();
  const { notch, from, to, today } = placesOf(container);
  expect(today).toBeLessThan(notch);
  expect(notch).toBeLessThan(from);
  expect(from).toBeLessThan(to);
});

test('a promise that has passed stands before today', () => {
  const { container } = render(<DaysRule promised={-3} least={0} most={1} late label="promised 3 days ago: late" />);
  const { notch, today } = placesOf(container);
  expect(notch).toBeLessThan(today);
});
