import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { expect, test } from 'vitest';
import type { MarginView, PlanView } from '../shared/api';
import { HeadPlan } from './HeadPlan';
import { LargeMarginRule, MarginRule } from './MarginRule';

const margin = (more: Partial<MarginView>): MarginView => ({
  place: 'A1-E1',
  label: '1E',
  coil: 'outer',
  quantity: 'travel_to_bind',
  title: 'travel to bind',
  verdict: 'inside',
  verdictWords: 'inside',
  probabilityGood: 1,
  value: { figure: '0.088', unit: 'in', plusMinus: '0.002', shown: '0.088 ± 0.002 in' },
  side: 'at_least',
  limit: { figure: '0.060', unit: 'in', plusMinus: null, shown: '0.060 in' },
  limitWords: 'at least 0.060 in',
  school: 'usual',
  notch: 0.34,
  goodIsRight: true,
  at: 0.5,
  low: 0.48,
  high: 0.52,
  offScale: null,
  others: [{ school: 'roomy', at: 0.6 }],
  scaleFrom: '0.006',
  scaleTo: '0.166',
  missing: [],
  sentence: '',
  spoken: '1E travel to bind: 0.088 plus or minus 0.002 in, limit at least 0.060 in, inside',
  ...more,
});

test('a margin rule is spoken in full', () => {
  render(<MarginRule margin={margin({})} />);
  expect(screen.getByRole('img', { name: /0\.088 plus or minus 0\.002 in, limit at least 0\.060 in, inside/ })).toBeInTheDocument();
});

test('a departure is drawn with a typographic minus', () => {
  const { container } = render(<MarginRule margin={margin({ value: { figure: '-1.6', unit: '%', plusMinus: '1', shown: '' } })} />);
  expect(container.textContent).toContain('−1.6');
});

test('what is not measured has no bar and no bracket', () => {
  const measured = render(<MarginRule margin={margin({})} />).container.querySelectorAll('rect').length;
  const { container } = render(<MarginRule margin={margin({ verdict: 'not_measured', value: null, at: null, low: null, high: null })} />);
  expect(container.querySelectorAll('rect')).toHaveLength(measured - 1);
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
