import { scaleLinear } from '@visx/scale';
import { Area, LinePath } from '@visx/shape';
import type { Schemas } from '../shared/api';
import { CommonAxis, Strip } from './Chart';
import { Cursor, pressed, signed, type Readout } from './Cursor';
import { TRIED_DASHES } from './fills';

type Lobe = Schemas['LiftCurveView'];

const [WIDTH, LEFT, RIGHT] = [680, 76, 664];
const OF = ['lift', 'velocity', 'acceleration', 'jerk'] as const;
const TOPS = { lift: [24, 140], velocity: [170, 244], acceleration: [274, 358], jerk: [388, 452] } as const;

interface Props {
  lobe: Lobe;
  /** What its card leaves open; none where the lobe was measured. */
  band: Schemas['LiftBandView'] | null;
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
export function LiftChart({ lobe, band, tried, measured, at, onAt, unit, words, label }: Props) {
  const x = scaleLinear<number>({ domain: [lobe.first, lobe.first + lobe.lift.length - 1], range: [LEFT, RIGHT] });
  const units = { lift: unit, velocity: `${unit}/°`, acceleration: `${unit}/°²`, jerk: `${unit}/°³` };
  const foot = TOPS.jerk[1];
  const scaleOf = (of: (typeof OF)[number]) => {
    const all = [...lobe[of], ...(band?.[of].flat() ?? []), ...tried.flatMap((one) => one.lobe[of])];
    return scaleLinear<number>({ domain: [Math.min(0, ...all), Math.max(...all)], range: [TOPS[of][1], TOPS[of][0]] });
  };
  const scales = { lift: scaleOf('lift'), velocity: scaleOf('velocity'), acceleration: scaleOf('acceleration'), jerk: scaleOf('jerk') };
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${foot + 40}`}
      role="img"
      aria-label={label}
      className="lift-chart"
      style={{ maxWidth: WIDTH }}
      onPointerDown={(event) => onAt(x.invert(pressed(event)[0] * WIDTH))}
    >
      {OF.map((of) => {
        const y = scales[of];
        return (
          <g key={of}>
            <Strip x={x} y={y} name={`${words[of]}, ${units[of]}`}>
              {band !== null && (
                <Area
                  data={band[of]}
                  x={(_, i) => x(lobe.first + i)}
                  y0={([least]) => y(least ?? 0)}
                  y1={([, most]) => y(most ?? 0)}
                  className="band"
                  fill="var(--edge)"
                  opacity={0.6}
                />
              )}
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
      <Cursor
        x={x(at)}
        top={18}
        foot={foot}
        readout={readout(lobe, tried[0]?.lobe, at, words)}
        rooms={OF.map((of) => ({ left: LEFT, right: RIGHT, top: TOPS[of][0], foot: TOPS[of][1] }))}
        curves={OF.flatMap((of) =>
          [lobe, ...tried.map((one) => one.lobe)].flatMap((one) =>
            one[of].map((value, i) => [x(one.first + i), scales[of](value)] as const),
          ),
        )}
      />
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

/** What each curve is under the cursor, with digits enough to tell it from its neighbours, and by how much the first tried differs. */
export function readout(lobe: Lobe, tried: Lobe | undefined, at: number, words: Record<(typeof OF)[number], string>): Readout {
  const rows = OF.flatMap((of) => {
    const value = lobe[of][at - lobe.first];
    if (value === undefined) return [];
    const decimals = of === 'lift' ? 4 : 6;
    const other = tried?.[of][at - tried.first];
    return [
      {
        name: words[of],
        value: value.toFixed(decimals).replace('-', '−'),
        difference: other === undefined ? undefined : signed(other - value, decimals),
      },
    ];
  });
  return { head: `${String(at).replace('-', '−')}°`, rows };
}
