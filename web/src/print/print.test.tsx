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

test('each drawing names what is inside it by its own number, so that two can stand on one page', () => {
  const flat = { speeds: [1000, 2000], floatLoft: 0.01, meetsAt: null, meets: null, thresholds: [], unitLength: 'in', unitForce: 'lbf' };
  const sweep = {
    loft: [0, 0.005],
    gap: [0, 0],
    bounce: [0, 0],
    bounceLow: [0, 0],
    bounceHigh: [0, 0],
    landing: [],
    peak: [1, 2],
    varies: [],
  };
  const motion = { ...flat, label: '2E', sweep } as never;
  const logged = [{ from: 1200, seconds: 40 }];
  const [one, other] = [printed({ kind: 'speeds', motion, logged }, 1), printed({ kind: 'speeds', motion, logged }, 2)];
  const names = (svg: string): string[] => [...svg.matchAll(/ id="([^"]+)"/g)].map((found) => found[1] ?? '');
  expect(names(one).length).toBeGreaterThan(0);
  expect(names(one).filter((name) => names(other).includes(name))).toEqual([]);
  // Paper has no cursor, and a drawing inside a drawing is lost on it.
  expect(one).not.toContain('#0F5A50');
  expect(one.match(/<svg/g)).toHaveLength(1);
  expect(one).toContain('>1000<');
  expect(one).toContain('seconds in the log'); // asked of it, under what it can do
});

test('a line of evidence is as long on paper as on the screen: a factor of eight is half of 64', () => {
  const heavy = printed({ kind: 'weight', decibans: 10 * Math.log10(8), width: 100, height: 24 });
  expect(heavy).toMatch(/<rect x="50\.?0*" y="7" width="(50|49\.99\d*)/);
  expect(printed({ kind: 'weight', decibans: -40, width: 100, height: 24 })).toContain('width="98.5"');
});
