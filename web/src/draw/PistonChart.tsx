import { scaleLinear } from '@visx/scale';
import { LinePath } from '@visx/shape';
import type { Schemas } from '../shared/api';
import { CommonAxis, Strip } from './Chart';
import { Cursor, pressed, type Point, type Readout } from './Cursor';
import { TRIED_DASHES } from './fills';
import { Hatch } from './Hatch';

type Piston = Schemas['PistonView'];
type Valve = Schemas['ValveClearanceView'];

const [WIDTH, LEFT, RIGHT] = [680, 62, 664];
const [TOP, FOOT, LEAST_TOP, LEAST_FOOT] = [24, 268, 318, 432];
/** Room at either end for the names of the curves. */
const NAME = 36;
/** How much of the room is shown above the greatest limit: beyond it the piston is far. */
const SHOWN = 2.6;

interface Props {
  piston: Piston;
  /** Crank degrees that the cams stand early, as tried, and what is left of each valve there; null on paper. */
  cursor: { phase: number; readout: Readout } | null;
  onPhase?: (phase: number) => void;
  /** The same with changes set aside: drawn as tried. */
  beside: readonly { name: string; piston: Piston }[];
  words: { clearance: string; degrees: string; least: string; phase: string };
  label: string;
}

/** Clearance over the crank angle, as found and at another phase; below it the least of each valve over the phase. */
export function PistonChart({ piston, cursor, onPhase, beside, words, label }: Props) {
  const drawn = piston.valves.filter((one) => one.found.length > 0);
  const x = scaleLinear<number>({ domain: [piston.degrees[0] ?? -42, piston.degrees.at(-1) ?? 42], range: [LEFT, RIGHT] });
  const limits = piston.valves.map(rulingOf);
  const high = SHOWN * Math.max(...limits, 0.001);
  const low = Math.min(0, ...drawn.flatMap((one) => one.least), ...drawn.flatMap((one) => one.found));
  const y = scaleLinear<number>({ domain: [Math.max(low, -high / 3), high], range: [FOOT, TOP] });
  const p = scaleLinear<number>({ domain: [piston.phases[0] ?? -12, piston.phases.at(-1) ?? 12], range: [LEFT, RIGHT] });
  const l = scaleLinear<number>({ domain: y.domain(), range: [LEAST_FOOT, LEAST_TOP] });
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${LEAST_FOOT + 40}`}
      role="img"
      aria-label={label}
      className="piston-chart"
      style={{ maxWidth: WIDTH }}
      onPointerDown={(event) => {
        const [along, down] = pressed(event);
        if (down * (LEAST_FOOT + 40) > FOOT + 30) onPhase?.(p.invert(along * WIDTH));
      }}
    >
      <Strip x={x} y={y} name={`${words.clearance}, ${piston.unit}`}>
        {piston.valves.map((one) => {
          const [from, to] = one.kind === 'E' ? [LEFT, x(0)] : [x(0), RIGHT];
          return (
            <g key={one.place}>
              <Hatch x={from} y={y(rulingOf(one))} width={to - from} height={FOOT - y(rulingOf(one))} opacity={0.4} />
              <path d={`M${from} ${y(rulingOf(one))}H${to}`} stroke="var(--ink)" strokeWidth="1.4" />
              {Object.entries(one.limits).map(([school, limit]) => (
                <path key={school} d={one.kind === 'E' ? `M${LEFT} ${y(limit)}h12` : `M${RIGHT} ${y(limit)}h-12`} stroke="var(--ink2)" />
              ))}
            </g>
          );
        })}
        {drawn.map((one) => (
          <AtSpeed key={one.place} of={one} piston={piston} x={x} y={y} />
        ))}
        {beside.flatMap(({ name, piston: other }, i) =>
          other.valves.map((one) => (
            <LinePath
              key={`${name} ${one.place}`}
              data={one.tried}
              x={(_, n) => x(other.degrees[n] ?? 0)}
              y={(value) => y(value)}
              stroke="var(--enamel)"
              strokeWidth={1.8}
              strokeDasharray={TRIED_DASHES[i + 1] ?? ''}
              fill="none"
            />
          )),
        )}
        {drawn.map((one, i) => (
          <g key={one.place}>
            {cursor !== null && (
              <LinePath
                data={one.tried}
                x={(_, n) => x(piston.degrees[n] ?? 0)}
                y={(value) => y(value)}
                stroke="var(--enamel)"
                strokeWidth={2}
                fill="none"
              />
            )}
            <LinePath
              data={one.found}
              x={(_, n) => x(piston.degrees[n] ?? 0)}
              y={(value) => y(value)}
              stroke="var(--ink)"
              strokeWidth={i === 0 ? 3.2 : 1.8}
              strokeDasharray={one.measured === null ? '7 4' : undefined}
              fill="none"
            />
          </g>
        ))}
        <path d={`M${x(0)} ${TOP}V${FOOT}`} stroke="var(--ink2)" strokeDasharray="16 4 3 4" />
        <path d={`M${LEFT} ${y(0)}H${RIGHT}`} stroke="var(--lead)" strokeWidth="1.4" />
      </Strip>
      {drawn.map((one) => (
        <Named key={one.place} of={one} x={x} y={y} />
      ))}
      {beside.flatMap(({ name, piston: other }) =>
        other.valves.map(
          (one) =>
            one.triedLeast !== null && (
              <text
                key={`${name} ${one.place}`}
                x={x(one.triedLeast.degree)}
                y={y(one.triedLeast.clearance) - 5}
                textAnchor="middle"
                className="axis halo enamel"
              >
                {name}
              </text>
            ),
        ),
      )}
      <CommonAxis x={x} top={FOOT} format={(value) => String(Math.abs(value))} />
      <text x={RIGHT} y={FOOT + 34} textAnchor="end" className="axis name">
        {words.degrees}
      </text>
      <Strip x={p} y={l} name={`${words.least}, ${piston.unit}`}>
        {drawn.map((one, i) => (
          <g key={one.place}>
            <path d={`M${LEFT} ${l(rulingOf(one))}H${RIGHT}`} stroke="var(--ink2)" strokeDasharray={i === 0 ? undefined : '5 4'} />
            <LinePath
              data={one.least}
              x={(_, n) => p(piston.phases[n] ?? 0)}
              y={(value) => l(value)}
              stroke="var(--ink)"
              strokeWidth={i === 0 ? 3 : 1.6}
              fill="none"
            />
          </g>
        ))}
        <path d={`M${LEFT} ${l(0)}H${RIGHT}`} stroke="var(--lead)" />
      </Strip>
      {drawn.map((one) => (
        <g key={one.place}>
          <text
            x={one.kind === 'E' ? RIGHT - 6 : LEFT + 6}
            y={l((one.least.at(one.kind === 'E' ? -1 : 0) ?? 0) * 0.9)}
            textAnchor={one.kind === 'E' ? 'end' : 'start'}
            className="axis halo strong"
          >
            {one.label}
          </text>
          <circle
            cx={p(one.early)}
            cy={l(one.foundLeast?.clearance ?? 0)}
            r="4"
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth="1.8"
          />
        </g>
      ))}
      {cursor !== null && (
        <Cursor
          x={p(cursor.phase)}
          top={LEAST_TOP - 4}
          foot={LEAST_FOOT}
          readout={cursor.readout}
          rooms={[{ left: LEFT + NAME, right: RIGHT - NAME, top: LEAST_TOP, foot: LEAST_FOOT }]}
          curves={drawn.flatMap((one) => one.least.map((value, i): Point => [p(piston.phases[i] ?? 0), l(value)]))}
        />
      )}
      <CommonAxis x={p} top={LEAST_FOOT} format={(value) => String(value)} />
      <text x={RIGHT} y={LEAST_FOOT + 34} textAnchor="end" className="axis name">
        {words.phase}
      </text>
    </svg>
  );
}

export const rulingOf = (valve: Valve): number => valve.limits[valve.ruling] ?? 0;

type Scaled = (value: number) => number;

/** What growth and stretch leave of it, as a band below what was found. */
function AtSpeed({ of, piston, x, y }: { of: Valve; piston: Piston; x: Scaled; y: Scaled }) {
  if (piston.growthMost <= 0) return null;
  const along = (by: number): string => of.found.map((value, i) => `${x(piston.degrees[i] ?? 0)} ${y(value - by)}`).join('L');
  const back = [...of.found.keys()].reverse();
  const lower = back.map((i) => `${x(piston.degrees[i] ?? 0)} ${y((of.found[i] ?? 0) - piston.growthMost)}`).join('L');
  return <path d={`M${along(piston.growthLeast)}L${lower}Z`} fill="var(--edge)" opacity={0.5} />;
}

/** The place where it is nearest, with its figure. */
function Named({ of, x, y }: { of: Valve; x: Scaled; y: Scaled }) {
  const least = of.foundLeast;
  if (least === null) return null;
  const isOutside = least.clearance < rulingOf(of);
  return (
    <g>
      <path d={`M${x(least.degree)} ${y(least.clearance)}V${FOOT}`} stroke={isOutside ? 'var(--lead)' : 'var(--ink)'} />
      <circle
        cx={x(least.degree)}
        cy={y(least.clearance)}
        r="4.5"
        fill="var(--sheet)"
        stroke={isOutside ? 'var(--lead)' : 'var(--ink)'}
        strokeWidth="2"
      />
      <text x={x(least.degree) + 6} y={y(least.clearance) + 20} className={isOutside ? 'axis halo wrong' : 'axis halo strong'}>
        {`${of.label} ${least.clearance.toFixed(3)}, ${Math.abs(least.degree).toFixed(0)}°`}
      </text>
    </g>
  );
}
