import { scaleLinear } from '@visx/scale';
import { LinePath } from '@visx/shape';
import type { Schemas } from '../shared/api';
import { CommonAxis, Strip } from './Chart';
import { TRIED_DASHES } from './fills';

type Lobe = Schemas['LiftCurveView'];

const [WIDTH, LEFT, RIGHT] = [680, 76, 664];
const OF = ['lift', 'velocity', 'acceleration', 'jerk'] as const;
const TOPS = { lift: [24, 140], velocity: [170, 244], acceleration: [274, 358], jerk: [388, 452] } as const;

interface Props {
  lobe: Lobe;
  tried: readonly { name: string; lobe: Lobe }[];
  /** Points as measured, from the nose; none where the lobe is known from its card. */
  measured: { degrees: readonly number[]; lifts: readonly number[] } | null;
  /** Cam degrees from the nose of the cursor. */
  at: number;
  onAt: (degree: number) => void;
  unit: string;
  words: Record<(typeof OF)[number], string> & { degrees: string };
  label: string;
}

/** The lift of a lobe and its three derivatives over the cam's angle. */
export function LiftChart({ lobe, tried, measured, at, onAt, unit, words, label }: Props) {
  const x = scaleLinear<number>({ domain: [lobe.first, lobe.first + lobe.lift.length - 1], range: [LEFT, RIGHT] });
  const units = { lift: unit, velocity: `${unit}/°`, acceleration: `${unit}/°²`, jerk: `${unit}/°³` };
  const foot = TOPS.jerk[1];
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${foot + 40}`}
      role="img"
      aria-label={label}
      className="lift-chart"
      style={{ maxWidth: WIDTH }}
      onPointerDown={(event) => {
        const box = event.currentTarget.getBoundingClientRect();
        onAt(x.invert(((event.clientX - box.left) / box.width) * WIDTH));
      }}
    >
      {OF.map((of) => {
        const all = [...lobe[of], ...tried.flatMap((one) => one.lobe[of])];
        const y = scaleLinear<number>({ domain: [Math.min(0, ...all), Math.max(...all)], range: [TOPS[of][1], TOPS[of][0]] });
        return (
          <g key={of}>
            <Strip x={x} y={y} name={`${words[of]}, ${units[of]}`} reading={reading(lobe, of, at)}>
              <path d={`M${LEFT} ${y(0)}H${RIGHT}`} stroke="var(--ink3)" />
              <Curve lobe={lobe} of={of} x={x} y={y} />
              {tried.map((one, i) => (
                <Curve key={one.name} lobe={one.lobe} of={of} x={x} y={y} tried={TRIED_DASHES[i] ?? ''} />
              ))}
              {of === 'lift' &&
                measured?.degrees.map((degree, i) => (
                  <circle key={degree} cx={x(degree)} cy={y(measured.lifts[i] ?? 0)} r="2.2" fill="var(--sheet)" stroke="var(--ink2)" />
                ))}
            </Strip>
          </g>
        );
      })}
      <path d={`M${x(at)} 18V${foot}M${x(at) - 5} 8h10l-5 10Z`} stroke="var(--enamel)" strokeWidth="1.6" fill="var(--enamel)" />
      <CommonAxis x={x} top={foot} format={(value) => String(value)} />
      <text x={RIGHT} y={foot + 34} textAnchor="end" className="axis name">
        {words.degrees}
      </text>
    </svg>
  );
}

interface CurveProps {
  lobe: Lobe;
  of: (typeof OF)[number];
  x: (degree: number) => number;
  y: (value: number) => number;
  /** Of something tried: how its line is dashed. */
  tried?: string;
}

const Curve = ({ lobe, of, x, y, tried }: CurveProps) => (
  <LinePath
    data={lobe[of]}
    x={(_, i) => x(lobe.first + i)}
    y={(value) => y(value)}
    stroke={tried === undefined ? 'var(--ink)' : 'var(--enamel)'}
    strokeWidth={tried === undefined ? 2.4 : 1.8}
    strokeDasharray={tried}
    fill="none"
  />
);

/** What a curve is under the cursor, with digits enough to tell it from its neighbours. */
export function reading(lobe: Lobe, of: (typeof OF)[number], at: number): string {
  const value = lobe[of][Math.round(at) - lobe.first];
  return value === undefined ? '' : value.toFixed(of === 'lift' ? 4 : 6).replace('-', '−');
}
