import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { expect, test } from 'vitest';
import type { PlanView } from '../shared/api';
import { margin } from '../testing/sheets';
import { HeadPlan } from './HeadPlan';
import { LargeMarginRule, MarginRule } from './MarginRule';

test('a margin rule is spoken in full', () => {
  render(<MarginRule margin={margin({})} />);
  expect(screen.getByRole('img', { name: /0\.088 plus or minus 0\.002 in, limit at least 0\.060 in, inside/ })).toBeInTheDocument();
});

test('a departure is drawn with a typographic minus', () => {
  const { container } = render(<MarginRule margin={margin({ value: { figure: '-1.6', unit: '%', plusMinus: '1', shown: '' } })} />);
  expect(container.textContent).toContain('−1.6');
});

test('an interval has two notches, both sides hatched, and a stroke for each of several places', () => {
  const drawn = (more: Parameters<typeof margin>[0]): SVGElement | null =>
    render(<MarginRule margin={margin({ others: [], ...more })} />).container.querySelector('svg');
  const notches = (svg: SVGElement | null): number => svg?.querySelectorAll('path[fill="var(--sheet)"]').length ?? 0;
  const hatches = (svg: SVGElement | null): number => svg?.querySelectorAll('[data-fill="hatch"]').length ?? 0;
  const interval = drawn({ side: 'between', notch: 0.3, upper: 0.7, strokes: [0.4, 0.5, 0.6] });
  expect([notches(drawn({})), notches(interval)]).toEqual([1, 2]);
  expect([hatches(drawn({})), hatches(interval)]).toEqual([1, 2]);
  expect(interval?.querySelectorAll('path[stroke-width="1"]')[0]?.getAttribute('d')?.split('M')).toHaveLength(4);
});

test('of several places only what lies past a notch is drawn in lead', () => {
  const lead = (strokes: number[]): number =>
    render(<MarginRule margin={margin({ others: [], side: 'between', notch: 0.3, upper: 0.7, strokes })} />).container.querySelectorAll(
      'rect[fill="var(--lead)"]',
    ).length;
  expect([lead([0.4, 0.6]), lead([0.2, 0.6]), lead([0.2, 0.9])]).toEqual([0, 1, 2]);
});

test('what is not measured has no bar and no bracket', () => {
  const measured = render(<MarginRule margin={margin({})} />).container.querySelectorAll('rect').length;
  const { container } = render(<MarginRule margin={margin({ verdict: 'not_measured', value: null, at: null, low: null, high: null })} />);
  expect(container.querySelectorAll('rect')).toHaveLength(measured - 1);
});

test('the figures under the large rule never crowd it, whatever the unit', () => {
  for (const [scaleFrom, scaleTo] of [
    ['0.000', '0.160'],
    ['-60', '430'],
    ['0', '3200'],
    ['-0.2', '2.8'],
  ] as const) {
    const { container } = render(<LargeMarginRule margin={margin({ scaleFrom, scaleTo, others: [] })} />);
    const figures = [...container.querySelectorAll('text')].filter((one) => /^[−-]?[\d.]+$/.test(one.textContent));
    expect(figures.length).toBeGreaterThan(2);
    expect(figures.length).toBeLessThan(9);
    cleanup();
  }
});

test('the large rule names the ruling school and the others', () => {
  const { container } = render(<LargeMarginRule margin={margin({})} />);
  expect(container.textContent).toContain('usual');
  expect(container.textContent).toContain('roomy');
});

const cell = (station: string, label: string, x: number, y: number): PlanView['cells'][number] => ({
  station,
  label,
  kind: 'E',
  name: 'E',
  x,
  y,
  radius: 10,
  ports: [],
  letter: null,
});
const plan: PlanView = {
  width: 320,
  height: 456,
  crankLine: null,
  castings: [],
  columns: [],
  bores: [{ cylinder: 'A1', number: 1, x: 50, y: 50, radius: 40, box: { x: 0, y: 50 } }],
  cells: [cell('A1-E1', '1E1', 50, 30), cell('A1-E2', '1E2', 50, 70), cell('A1-I1', '1I1', 80, 50)],
};

function Walk() {
  const [chosen, setChosen] = useState('A1-E1');
  return (
    <HeadPlan
      plan={plan}
      reading={() => ({ spoken: 'not looked', unknown: true })}
      failed={new Set(['A1-E2'])}
      chosen={chosen}
      onChoose={setChosen}
      label="plan"
    />
  );
}

test('arrow keys go to the nearest station in their direction', async () => {
  const user = userEvent.setup();
  render(<Walk />);
  await user.tab();
  expect(screen.getByRole('gridcell', { name: /1E1.*chosen/ })).toHaveFocus();
  await user.keyboard('{ArrowDown}');
  expect(screen.getByRole('gridcell', { name: '1E2, exhaust, not looked, chosen, reported failed' })).toHaveFocus();
  await user.keyboard('{ArrowRight}');
  expect(screen.getByRole('gridcell', { name: /1I1/ })).toHaveFocus();
  await user.keyboard('{ArrowRight}');
  expect(screen.getByRole('gridcell', { name: /1I1/ })).toHaveFocus();
  await user.keyboard('{Home}');
  expect(screen.getByRole('gridcell', { name: /1E1/ })).toHaveFocus();
});

test('Enter, Space and a press take a station, and the hand leaves the plan', async () => {
  const user = userEvent.setup();
  const taken: [string, boolean][] = [];
  render(
    <HeadPlan
      plan={plan}
      reading={() => ({ spoken: '', unknown: true })}
      failed={new Set()}
      chosen="A1-E1"
      onChoose={(station, walks) => taken.push([station, walks])}
      label="plan"
    />,
  );
  for (const key of ['{Enter}', ' ']) {
    await user.tab();
    await user.keyboard(key);
    expect(document.body).toHaveFocus();
  }
  await user.click(screen.getByRole('gridcell', { name: /1E2/ }));
  expect(taken).toEqual([
    ['A1-E1', false],
    ['A1-E1', false],
    ['A1-E2', false],
  ]);
});
