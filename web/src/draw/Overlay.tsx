import { scaleLinear } from '@visx/scale';
import { LinePath } from '@visx/shape';
import type { Schemas } from '../shared/api';
import { CommonAxis, Strip } from './Chart';

type Curve = Schemas['CurveView'];
type Point = Schemas['CurvePointView'];

const WIDTH = 860;
const HEIGHT = 216;
const [LEFT, RIGHT, TOP, BOTTOM] = [52, WIDTH - 150, 26, HEIGHT - 34];
/** Names stand no nearer than this below each other. */
const LINE = 17;
/** How lines are told apart without colour: by their marks first, by their dashes when there are more. */
const MARKS = ['circle', 'square', 'triangle', 'diamond'] as const;
const DASHES = ['', '7 3', '2 3', '9 3 2 3'];

interface Props {
  curves: readonly Curve[];
  label: string;
  along: string;
  up: string;
}

/** Lines drawn over each other, what is pressed together to the right; each with a mark of its own and its name where it ends. */
export function Overlay({ curves, label, along, up }: Props) {
  const [first] = curves;
  if (first === undefined) return null;
  const all = curves.flatMap(pointsOf);
  const x = scaleLinear<number>({ domain: [most(all, 'along'), least(all, 'along')], range: [LEFT, RIGHT - 12] });
  const y = scaleLinear<number>({ domain: [least(all, 'up'), most(all, 'up')], range: [BOTTOM, TOP], nice: true });
  const names = apart(curves.map((curve) => y(pointsOf(curve).at(-1)?.up ?? 0)));
  const decimals = first.unitAlong === 'in' ? 2 : 0;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={label} className="overlay" style={{ maxWidth: WIDTH }}>
      <Strip x={x} y={y} name={`${up}, ${first.unitUp}`}>
        {curves.map((curve, i) => (
          <g key={curve.name}>
            <LinePath
              data={curve.points}
              x={(one) => x(one.along)}
              y={(one) => y(one.up)}
              stroke="var(--ink)"
              strokeWidth={1.6}
              strokeDasharray={DASHES[Math.floor(i / MARKS.length) % DASHES.length] ?? ''}
              fill="none"
            />
            {curve.beyond !== null && <Beyond from={curve.points.at(-1)} to={curve.beyond} x={x} y={y} />}
          </g>
        ))}
      </Strip>
      {curves.map((curve, i) => {
        const end = pointsOf(curve).at(-1);
        const at = names[i] ?? 0;
        return (
          <g key={curve.name}>
            {curve.points.map((point) => (
              <Mark key={point.along} kind={MARKS[i % MARKS.length] ?? 'circle'} x={x(point.along)} y={y(point.up)} />
            ))}
            <path d={`M${x(end?.along ?? 0)} ${y(end?.up ?? 0)}L${RIGHT} ${at}`} stroke="var(--ink3)" fill="none" />
            <Mark kind={MARKS[i % MARKS.length] ?? 'circle'} x={RIGHT + 8} y={at} />
            <text x={RIGHT + 18} y={at + 5} className="axis name">
              {curve.name}
            </text>
          </g>
        );
      })}
      <CommonAxis x={x} top={BOTTOM} format={(value) => value.toFixed(decimals)} />
      <text x={RIGHT + 8} y={BOTTOM + 18} className="axis name">
        {`${along}, ${first.unitAlong}`}
      </text>
    </svg>
  );
}

/** By computation alone: thin, and ended by a stroke where the spring is solid. */
function Beyond({ from, to, x, y }: { from: Point | undefined; to: Point; x: (value: number) => number; y: (value: number) => number }) {
  return (
    <>
      {from !== undefined && (
        <path d={`M${x(from.along)} ${y(from.up)}L${x(to.along)} ${y(to.up)}`} stroke="var(--ink2)" strokeDasharray="1 3" fill="none" />
      )}
      <path d={`M${x(to.along)} ${y(to.up) - 7}v14`} stroke="var(--ink)" strokeWidth="2" />
    </>
  );
}

const SHAPES = {
  circle: 'M-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0Z',
  square: 'M-3.6 -3.6h7.2v7.2h-7.2Z',
  triangle: 'M0 -4.6L4.4 3.4H-4.4Z',
  diamond: 'M0 -5L5 0L0 5L-5 0Z',
} as const;

const Mark = ({ kind, x, y }: { kind: (typeof MARKS)[number]; x: number; y: number }) => (
  <path d={SHAPES[kind]} transform={`translate(${x} ${y})`} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.4" />
);

const pointsOf = (curve: Curve): readonly Point[] => [...curve.points, ...(curve.beyond === null ? [] : [curve.beyond])];
const least = (all: readonly Point[], of: keyof Point): number => Math.min(...all.map((one) => one[of]));
const most = (all: readonly Point[], of: keyof Point): number => Math.max(...all.map((one) => one[of]));

/** Places for names, as near to where they belong as their lines allow, from the topmost down. */
export function apart(wanted: readonly number[]): number[] {
  const places = [...wanted];
  let free = TOP;
  for (const i of [...wanted.keys()].sort((a, b) => (wanted[a] ?? 0) - (wanted[b] ?? 0))) {
    places[i] = Math.max(wanted[i] ?? 0, free);
    free = (places[i] ?? 0) + LINE;
  }
  return places;
}
