import { fireEvent, render } from '@testing-library/react';
import { scaleLinear } from '@visx/scale';
import { expect, test } from 'vitest';
import { Band, CommonAxis, ForbiddenAbove, Strip } from './Chart';
import { Cursor, freest, pressed, signed } from './Cursor';

const x = scaleLinear<number>({ domain: [0, 10], range: [60, 260] });
const y = scaleLinear<number>({ domain: [0, 8000], range: [160, 20] });

test('a strip has round rules with their figures, and its name', () => {
  const { container } = render(
    <svg>
      <Strip x={x} y={y} name="engine speed, 1/min" reading="7600">
        <Band x={x} y={y} data={[{ at: 0, least: 900, most: 1000 }]} />
      </Strip>
    </svg>,
  );
  expect([...container.querySelectorAll('text')].map((one) => one.textContent)).toEqual([
    '0',
    '2000',
    '4000',
    '6000',
    '8000',
    'engine speed, 1/min',
    '7600',
  ]);
});

test('two strips of one page are cut each by its own window', () => {
  const { container } = render(
    <svg>
      <Strip x={x} y={y} name="a">
        <path />
      </Strip>
      <Strip x={x} y={y} name="b">
        <path />
      </Strip>
    </svg>,
  );
  const ids = [...container.querySelectorAll('clipPath')].map((one) => one.id);
  expect(new Set(ids).size).toBe(2);
  expect([...container.querySelectorAll('g[clip-path]')].map((one) => one.getAttribute('clip-path'))).toEqual(
    ids.map((id) => `url(#${id})`),
  );
});

test('from the limit upwards is forbidden, down to the limit and no further', () => {
  const { container } = render(
    <svg>
      <ForbiddenAbove x={x} y={y} value={4000} />
    </svg>,
  );
  const ys = [...(container.querySelector('[data-fill="hatch"]')?.getAttribute('d') ?? '').matchAll(/[ML][\d.]+ ([\d.]+)/g)].map((one) =>
    Number(one[1]),
  );
  expect(Math.max(...ys)).toBeCloseTo(90, 0);
  expect(Math.min(...ys)).toBeCloseTo(20, 0);
});

test('a band goes over the most and back under the least', () => {
  const data = [
    { at: 0, least: 0, most: 4000 },
    { at: 10, least: 4000, most: 8000 },
  ];
  const { container } = render(
    <svg>
      <Band x={x} y={y} data={data} />
    </svg>,
  );
  expect(container.querySelector('path')?.getAttribute('d')).toBe('M60,90L260,20L260,90L60,160Z');
});

test('the common axis is written as its reader reads it', () => {
  const { container } = render(
    <svg>
      <CommonAxis x={x} top={200} format={(value) => `${value} s`} />
    </svg>,
  );
  expect(container.textContent).toContain('0 s');
  expect(container.textContent).toContain('10 s');
});

const room = { left: 60, right: 660, top: 20, foot: 120 };
const along = (from: number, to: number, at: number): [number, number][] =>
  Array.from({ length: 40 }, (_, i) => [from + (i * (to - from)) / 39, at]);

test.each([
  ['beside the cursor where nothing runs', [], 300, 312],
  ['before it where a curve runs on', along(404, 660, 60), 400, 212],
  ['at the far end where one runs on either side of the cursor', [...along(60, 400, 30), ...along(60, 400, 110)], 200, 478],
])('the readout stands %s', (_, curves, cursor, left) => {
  const [at, top] = freest(cursor, 80, [room], curves);
  expect(at).toBe(left);
  expect(top).toBeGreaterThanOrEqual(room.top);
  expect(top + 80).toBeLessThanOrEqual(room.foot);
});

test('the readout is never on the cursor, and in the strip that has room for it', () => {
  const [left, top] = freest(
    62,
    80,
    [
      { ...room, foot: 60 },
      { ...room, top: 200, foot: 300 },
    ],
    [],
  );
  expect(left).toBeGreaterThan(62);
  expect(top).toBeGreaterThanOrEqual(200);
});

test('a cursor says in one box what each curve is, and by how much what is beside it differs', () => {
  const rows = [
    { name: 'loft', value: '0.0105', difference: signed(-0.0031, 4) },
    { name: 'force', value: '743' },
  ];
  const { container } = render(
    <svg>
      <Cursor x={100} top={10} foot={120} readout={{ head: '7000 1/min', rows }} rooms={[room]} curves={[]} />
    </svg>,
  );
  expect([...container.querySelectorAll('[data-readout] text')].map((one) => one.textContent)).toEqual([
    '7000 1/min',
    'loft',
    '0.0105',
    '−0.0031',
    'force',
    '743',
  ]);
  expect(signed(0.5, 1)).toBe('+0.5');
  expect(signed(0, 2)).toBe('±0.00');
});

test('a drawing is pressed at a share of its width and height, however large it is shown', () => {
  const at: unknown[] = [];
  const { container } = render(<svg onPointerDown={(event) => at.push(pressed(event))} />);
  const drawing = container.querySelector('svg') as SVGSVGElement;
  drawing.getBoundingClientRect = () => new DOMRect(100, 40, 400, 200);
  fireEvent.pointerDown(drawing, { clientX: 200, clientY: 90 });
  expect(at).toEqual([[0.25, 0.25]]);
});
