import { scaleLinear } from '@visx/scale';
import { LinePath } from '@visx/shape';
import type { Schemas } from '../shared/api';
import { CommonAxis, Strip } from './Chart';
import { Hatch } from './Hatch';

type Pair = Schemas['ValvePairView'];

const [WIDTH, LEFT, RIGHT] = [680, 62, 664];
const [TOP, FOOT] = [24, 150];
/** How much of the gap is shown above its limit: beyond it both are far from each other. */
const SHOWN = 3;

interface Props {
  pair: Pair;
  /** Crank degrees after top dead centre. */
  degrees: readonly number[];
  unit: string;
  words: { gap: string; degrees: string };
  label: string;
}

/** The gap between both heads over the crank angle, as found and at the phase that is tried. */
export function PairChart({ pair, degrees, unit, words, label }: Props) {
  const limit = pair.limits[pair.ruling] ?? 0;
  const x = scaleLinear<number>({ domain: [degrees[0] ?? -42, degrees.at(-1) ?? 42], range: [LEFT, RIGHT] });
  const least = Math.min(0, ...pair.found, ...pair.tried);
  const y = scaleLinear<number>({ domain: [Math.max(least, -limit), SHOWN * limit], range: [FOOT, TOP] });
  const at = pair.foundLeast;
  const isOutside = at !== null && at.clearance < limit;
  const line = (values: readonly number[], stroke: string, strokeWidth: number, dash?: string) => (
    <LinePath
      data={[...values]}
      x={(_, i) => x(degrees[i] ?? 0)}
      y={(value) => y(value)}
      stroke={stroke}
      strokeWidth={strokeWidth}
      strokeDasharray={dash}
      fill="none"
    />
  );
  return (
    <svg viewBox={`0 0 ${WIDTH} ${FOOT + 40}`} role="img" aria-label={label} className="pair-chart" style={{ maxWidth: WIDTH }}>
      <Strip x={x} y={y} name={`${words.gap}, ${unit}`}>
        <Hatch x={LEFT} y={y(limit)} width={RIGHT - LEFT} height={FOOT - y(limit)} opacity={0.4} />
        <path d={`M${LEFT} ${y(limit)}H${RIGHT}`} stroke="var(--ink)" strokeWidth="1.4" />
        {Object.entries(pair.limits).map(([school, one]) => (
          <path key={school} d={`M${RIGHT} ${y(one)}h-12`} stroke="var(--ink2)" />
        ))}
        {line(pair.tried, 'var(--enamel)', 2)}
        {line(pair.found, 'var(--ink)', 3, pair.measured === null ? '7 4' : undefined)}
        <path d={`M${LEFT} ${y(0)}H${RIGHT}`} stroke="var(--lead)" strokeWidth="1.4" />
      </Strip>
      {at !== null && (
        <g>
          <circle
            cx={x(at.degree)}
            cy={y(at.clearance)}
            r="4.5"
            fill="var(--sheet)"
            stroke={isOutside ? 'var(--lead)' : 'var(--ink)'}
            strokeWidth="2"
          />
          <text x={x(at.degree) + 8} y={y(at.clearance) - 8} className={isOutside ? 'axis halo wrong' : 'axis halo strong'}>
            {`${pair.label} ${at.clearance.toFixed(3).replace('-', '−')}, ${Math.abs(at.degree).toFixed(0)}°`}
          </text>
        </g>
      )}
      <CommonAxis x={x} top={FOOT} format={(value) => String(Math.abs(value))} />
      <text x={RIGHT} y={FOOT + 34} textAnchor="end" className="axis name">
        {words.degrees}
      </text>
    </svg>
  );
}
