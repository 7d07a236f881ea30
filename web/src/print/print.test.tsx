import { expect, test } from 'vitest';
import type { PlanView } from '../shared/api';
import { margin } from '../testing/sheets';
import { printed } from './print';

const plan: PlanView = {
  width: 320,
  height: 200,
  crankLine: null,
  castings: [],
  columns: [],
  bores: [{ cylinder: 'A1', number: 1, x: 50, y: 50, radius: 40, box: { x: 0, y: 50 } }],
  cells: [
    { station: 'A1-E1', label: '1E', kind: 'E', name: 'E', x: 30, y: 50, radius: 12, ports: [], letter: null },
    { station: 'A1-I1', label: '1I', kind: 'I', name: 'I', x: 70, y: 50, radius: 12, ports: [], letter: null },
  ],
};

test('the plan of the screen is printed as a document of its own, in colours of paper', () => {
  const svg = printed({ kind: 'plan', plan, worst: { 'A1-E1': 3 }, failed: ['A1-E1'], label: 'Head plan' });
  expect(svg).toMatch(/^<svg xmlns="http:\/\/www.w3.org\/2000\/svg" width="320" height="200" /);
  expect(svg).not.toContain('var(');
  expect(svg).not.toContain('url(#');
  expect(svg).toContain('#7D4283'); // the step "heavy"
  expect(svg).toContain('>3<');
  expect(svg).toContain('stroke-dasharray="2.5 2.5"'); // 1I was not looked at
  expect(svg).toContain('fill="#AD2F17"'); // the corner flag
});

test('a rule beside its figure is printed without it, at the size asked for', () => {
  const svg = printed({ kind: 'rule', margin: margin({}), width: 150, height: 30 });
  expect(svg.match(/width="/g)?.length).toBeGreaterThan(0);
  expect(svg).toMatch(/^<svg xmlns="\S+" width="150" height="30" viewBox="0 0 150 30"/);
  expect(svg).not.toContain('0.088<');
  expect(svg).toContain('data-fill="hatch"');
});

test('what was drawn on a picture is printed in the pixels of the picture, marks numbered in their order', () => {
  const at = (x: number, y: number): [number, number] => [x, y];
  const svg = printed({
    kind: 'picture',
    width: 1120,
    height: 800,
    drawn: [
      { shape: 'mark', points: [at(10, 20)], words: 'chip', measured: null },
      { shape: 'text', points: [at(30, 40)], words: 'a < b & c', measured: null },
      { shape: 'mark', points: [at(50, 60)], words: '', measured: null },
    ],
  });
  expect(svg).toContain('viewBox="0 0 1120 800"');
  expect(svg).toContain('>1<');
  expect(svg).toContain('>2<');
  expect(svg).toContain('a &lt; b &amp; c');
  expect(svg).toContain('r="26"'); // 13 screen pixels of a picture shown half as large
});
