import { scaleLinear, scaleLog } from '@visx/scale';
import { Area, LinePath } from '@visx/shape';
import type { Schemas } from '../shared/api';
import { CommonAxis, Strip, type Scale } from './Chart';
import { Cursor, pressed, type Point, type Readout } from './Cursor';
import { TRIED_DASHES } from './fills';
import { Hatch } from './Hatch';

type Motion = Schemas['MotionView'];
type Sweep = Schemas['SpeedSweepView'];

const [WIDTH, LEFT, RIGHT] = [680, 62, 664];
/** Top and foot of each strip. */
const [LOFT, BOUNCE, PEAK, LOG] = [
  [22, 122],
  [150, 200],
  [228, 276],
  [304, 360],
] as const;
/** Loft is shown up to so many times what is called float. */
const LOFTY = 2.4;
const STEP = 100;

export interface LoggedBin {
  from: number;
  seconds: number;
}

/** A change: its name, and what the sweep and float are with it. */
export interface TriedSweep {
  name: string;
  sweep: Sweep;
  float: number | null;
}

interface Props {
  motion: Motion;
  sweep: Sweep;
  tried: readonly TriedSweep[];
  /** Speed of the cursor, and what the curves are there; null on paper. */
  cursor: { at: number; readout: Readout } | null;
  onAt?: (speed: number) => void;
  logged: readonly LoggedBin[];
  words: {
    loft: string;
    bounce: string;
    peak: string;
    speed: string;
    logged: string;
    float: string;
    meets: (what: string) => string;
    firstLoss: string;
    varies: string;
    found: string;
    tried: string;
  };
  label: string;
}

/** Loft, bounce, force and the seconds of the log over one axis of speed. */
export function SpeedStrips({ motion, sweep, tried, cursor, onAt, logged, words, label }: Props) {
  const { speeds } = motion;
  const x = scaleLinear<number>({ domain: [speeds[0] ?? 0, speeds.at(-1) ?? 1], range: [LEFT, RIGHT] });
  const top = LOFTY * motion.floatLoft;
  const y = scaleLinear<number>({ domain: [0, top], range: [LOFT[1], LOFT[0]] });
  const most = (lists: readonly (readonly (number | null)[])[]): number => Math.max(1e-6, ...lists.flat().map((one) => one ?? 0));
  const b = scaleLinear<number>({
    domain: [0, most([sweep.bounce, sweep.bounceHigh, ...tried.map((one) => one.sweep.bounce)])],
    range: [BOUNCE[1], BOUNCE[0]],
    nice: 2,
  });
  const p = scaleLinear<number>({
    domain: [0, most([sweep.peak, ...tried.map((one) => one.sweep.peak)])],
    range: [PEAK[1], PEAK[0]],
    nice: 2,
  });
  const of = (name: string) => motion.thresholds.find((one) => one.name === name);
  const float = of('float');
  const loss = of('first_loss');
  const foot = logged.length > 0 ? LOG[1] : PEAK[1];
  const decimals = motion.unitLength === 'in' ? 3 : 2;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${foot + 44}`}
      role="img"
      aria-label={label}
      className="speed-strips"
      style={{ maxWidth: WIDTH }}
      onPointerDown={(event) => onAt?.(x.invert(pressed(event)[0] * WIDTH))}
    >
      {float?.found != null && float.plusMinus !== null && (
        <FloatBand x={x} from={float.found - float.plusMinus} to={float.found + float.plusMinus} foot={foot} />
      )}
      <Strip x={x} y={y} name={`${words.loft}, ${motion.unitLength}`}>
        <Hatch x={LEFT} y={LOFT[0]} width={RIGHT - LEFT} height={y(motion.floatLoft) - LOFT[0]} opacity={0.4} />
        <path d={`M${LEFT} ${y(motion.floatLoft)}H${RIGHT}`} stroke="var(--ink)" strokeWidth="1.4" />
        {motion.meetsAt !== null && motion.meetsAt < top && (
          <path d={`M${LEFT} ${y(motion.meetsAt)}H${RIGHT}`} stroke="var(--lead)" strokeWidth="1.4" />
        )}
        <Line speeds={speeds} values={sweep.loft} x={x} y={y} width={3} />
        <TriedLines tried={tried} of="loft" speeds={speeds} x={x} y={y} />
      </Strip>
      <text x={LEFT + 6} y={y(motion.floatLoft) + 13} className="axis halo">
        {words.float}
      </text>
      {motion.meetsAt !== null && motion.meetsAt < top && (
        <text x={LEFT + 6} y={y(motion.meetsAt) - 4} className="axis halo wrong">
          {`${words.meets(motion.meets ?? '')} ${motion.meetsAt.toFixed(decimals)}`}
        </text>
      )}
      <Strip x={x} y={b} name={`${words.bounce}, ${motion.unitLength}`}>
        <Area
          data={speeds
            .map((speed, i) => [speed, sweep.bounceLow[i] ?? null, sweep.bounceHigh[i] ?? null] as const)
            .filter((one): one is [number, number, number] => one[1] !== null && one[2] !== null)}
          x={(one) => x(one[0])}
          y0={(one) => b(one[1])}
          y1={(one) => b(one[2])}
          fill="var(--edge)"
          opacity={0.6}
        />
        <Line speeds={speeds} values={sweep.bounce} x={x} y={b} width={2.4} />
        <TriedLines tried={tried} of="bounce" speeds={speeds} x={x} y={b} />
      </Strip>
      <Varying speeds={speeds} varies={sweep.varies} x={x} words={words.varies} />
      <Strip x={x} y={p} name={`${words.peak}, ${motion.unitForce}`}>
        <Line speeds={speeds} values={sweep.peak} x={x} y={p} width={2.4} />
        <TriedLines tried={tried} of="peak" speeds={speeds} x={x} y={p} />
      </Strip>
      {logged.length > 0 && <Logged logged={logged} x={x} from={float?.found ?? Infinity} name={words.logged} />}
      {loss?.found != null && (
        <g>
          <path d={`M${x(loss.found)} ${LOFT[0]}V${PEAK[1]}`} stroke="var(--ink)" strokeWidth="1.2" strokeDasharray="5 4" />
          <text x={x(loss.found) + 5} y={BOUNCE[0] + 12} className="axis halo">
            {`${words.firstLoss} ${loss.found}`}
          </text>
        </g>
      )}
      {float?.found != null && x(float.found) < RIGHT && (
        <circle cx={x(float.found)} cy={y(motion.floatLoft)} r="4.5" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.8" />
      )}
      {tried.map(
        (one, i) =>
          one.float !== null &&
          x(one.float) < RIGHT && (
            <g key={one.name}>
              <circle cx={x(one.float)} cy={y(motion.floatLoft)} r="4.5" fill="var(--sheet)" stroke="var(--enamel)" strokeWidth="1.8" />
              <text x={x(one.float)} y={y(motion.floatLoft) - 8 - 13 * i} textAnchor="middle" className="axis halo enamel">
                {one.name}
              </text>
            </g>
          ),
      )}
      {cursor !== null && (
        <Cursor
          x={x(cursor.at)}
          top={LOFT[0] - 6}
          foot={foot}
          readout={cursor.readout}
          rooms={[{ left: LEFT, right: RIGHT, top: LOFT[0], foot: LOFT[1] }]}
          curves={[sweep, ...tried.map((one) => one.sweep)].flatMap((one) =>
            one.loft.map((loft, i): Point => [x(speeds[i] ?? 0), y(loft)]),
          )}
        />
      )}
      <CommonAxis x={x} top={foot} format={(value) => value.toFixed(0)} />
      <text x={RIGHT} y={foot + 36} textAnchor="end" className="axis name">
        {words.speed}
      </text>
    </svg>
  );
}

interface LineProps {
  speeds: readonly number[];
  values: readonly (number | null)[];
  x: Scale;
  y: Scale;
  width: number;
  /** Of something tried: how its line is dashed. */
  tried?: string;
}

/** The same of every change, each in its dashes. */
const TriedLines = (props: {
  tried: readonly TriedSweep[];
  of: 'loft' | 'bounce' | 'peak';
  speeds: readonly number[];
  x: Scale;
  y: Scale;
}) =>
  props.tried.map((one, i) => (
    <Line
      key={one.name}
      speeds={props.speeds}
      values={one.sweep[props.of]}
      x={props.x}
      y={props.y}
      width={2}
      tried={TRIED_DASHES[i] ?? ''}
    />
  ));

/** Broken where the motion is another one each turn. */
const Line = ({ speeds, values, x, y, width, tried }: LineProps) => (
  <LinePath
    data={speeds.map((speed, i): [number, number | null] => [speed, values[i] ?? null])}
    defined={(one) => one[1] !== null}
    x={(one) => x(one[0])}
    y={(one) => y(one[1] ?? 0)}
    stroke={tried === undefined ? 'var(--ink)' : 'var(--enamel)'}
    strokeWidth={width}
    strokeDasharray={tried}
    fill="none"
  />
);

/** Where the speed of float may lie, by all that is not known. */
function FloatBand({ x, from, to, foot }: { x: Scale; from: number; to: number; foot: number }) {
  const [left, right] = [Math.max(LEFT, x(from)), Math.min(RIGHT, x(to))];
  return right <= left ? null : (
    <rect x={left} y={LOFT[0]} width={right - left} height={foot - LOFT[0]} fill="var(--edge)" opacity={0.3} data-fill="band" />
  );
}

function Varying({ speeds, varies, x, words }: { speeds: readonly number[]; varies: readonly boolean[]; x: Scale; words: string }) {
  const first = speeds.find((_, i) => varies[i]);
  if (first === undefined) return null;
  return (
    <text x={Math.max(x(first), LEFT + 240)} y={BOUNCE[0] - 7} textAnchor={x(first) > RIGHT - 130 ? 'end' : 'start'} className="axis halo">
      {words}
    </text>
  );
}

/** Seconds of the log in each hundred of speed, on a scale of powers: in lead past the speed of float, split there. */
function Logged({ logged, x, from, name }: { logged: readonly LoggedBin[]; x: Scale; from: number; name: string }) {
  const [low, high] = x.domain() as [number, number];
  const shown = logged.filter((one) => one.seconds > 0 && one.from + STEP > low && one.from < high);
  const y = scaleLog<number>({
    domain: [0.1, Math.max(1, ...shown.map((one) => one.seconds))],
    range: [LOG[1], LOG[0]],
    clamp: true,
  });
  const bar = (key: string, start: number, end: number, seconds: number, lead: boolean) =>
    end > start && (
      <rect
        key={key}
        x={x(Math.max(start, low)) + 0.5}
        width={Math.max(0, x(Math.min(end, high)) - x(Math.max(start, low)) - 1)}
        y={y(seconds)}
        height={LOG[1] - y(seconds)}
        fill={lead ? 'var(--lead)' : 'var(--ink3)'}
      />
    );
  return (
    <g>
      <path d={`M${LEFT} ${LOG[1]}H${RIGHT}`} stroke="var(--ink)" />
      <text x={LEFT} y={LOG[0] - 7} className="axis name">
        {name}
      </text>
      {[0.1, 1, 10, 100, 1000]
        .filter((tick) => tick <= (y.domain()[1] ?? 1))
        .map((tick) => (
          <g key={tick}>
            <path d={`M${LEFT} ${y(tick)}H${RIGHT}`} stroke="var(--line)" />
            <text x={LEFT - 6} y={y(tick) + 4} textAnchor="end" className="axis">
              {tick}
            </text>
          </g>
        ))}
      {shown.map((one) => [
        bar(`${one.from} below`, one.from, Math.min(one.from + STEP, from), one.seconds, false),
        bar(`${one.from} above`, Math.max(one.from, from), one.from + STEP, one.seconds, true),
      ])}
    </g>
  );
}
