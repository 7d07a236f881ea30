import { scaleLinear } from '@visx/scale';
import { LinePath } from '@visx/shape';
import type { Schemas } from '../shared/api';
import { CommonAxis, Strip, type Scale } from './Chart';
import { Cursor, pressed, signed, type Point as Spot, type Readout } from './Cursor';
import { Hatch } from './Hatch';
import { TRIED_DASHES } from './fills';

type Turn = Schemas['TurnView'];

const [WIDTH, LEFT, RIGHT] = [680, 62, 664];
const [LIFT_TOP, LIFT_FOOT, FORCE_TOP, FORCE_FOOT] = [20, 124, 148, 190];
/** Crank degrees before the lobe begins and after the last that it is drawn to. */
const ROOM = 12;
/** Share of the full lift below which a valve counts as shut. */
const STILL = 0.002;

interface Props {
  turn: Turn;
  tried: readonly { name: string; turn: Turn }[];
  unitLength: string;
  unitForce: string;
  /** Crank degrees of the cursor; null before anybody set it. */
  at: number | null;
  onAt: (degree: number) => void;
  words: {
    lift: string;
    force: string;
    degrees: string;
    asked: string;
    lost: string;
    askedHere: string;
    liftHere: string;
    forceHere: string;
  };
  label: string;
}

/** One turn: what the lobe asks, what the valve does, the force between them; hatched where contact is lost. */
export function TurnChart({ turn, tried, unitLength, unitForce, at, onAt, words, label }: Props) {
  const { degrees } = turn;
  const points = pointsOf(turn);
  const moving = points.filter((one) => one.asked > 0 || Math.abs(one.lift) > STILL * turn.fullLift);
  const x = scaleLinear<number>({
    domain: [(moving[0]?.at ?? degrees[0] ?? 0) - ROOM, (moving.at(-1)?.at ?? degrees.at(-1) ?? 1) + ROOM],
    range: [LEFT, RIGHT],
  });
  const most = Math.max(turn.fullLift, ...turn.lift, ...tried.flatMap((one) => one.turn.lift));
  const y = scaleLinear<number>({ domain: [Math.min(0, ...turn.lift), most * 1.08], range: [LIFT_FOOT, LIFT_TOP] });
  const forces = [...turn.force, ...tried.flatMap((one) => one.turn.force)];
  const f = scaleLinear<number>({ domain: [0, Math.max(1, ...forces) * 1.05], range: [FORCE_FOOT, FORCE_TOP], nice: 2 });
  const lost = stretches(points);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${FORCE_FOOT + 40}`}
      role="img"
      aria-label={label}
      className="turn-chart"
      style={{ maxWidth: WIDTH }}
      onPointerDown={(event) => onAt(x.invert(pressed(event)[0] * WIDTH))}
    >
      {lost.map(([from, to]) => (
        <Hatch key={from} x={x(from)} y={LIFT_TOP} width={x(to) - x(from)} height={FORCE_FOOT - LIFT_TOP} opacity={0.5} />
      ))}
      <Strip x={x} y={y} name={`${words.lift}, ${unitLength}`}>
        <Line points={points} of="asked" x={x} y={y} width={1.4} dash="5 4" />
        <Line points={points} of="lift" x={x} y={y} width={2.8} />
        {tried.map((one, i) => (
          <Line key={one.name} points={pointsOf(one.turn)} of="lift" x={x} y={y} width={1.8} dash={TRIED_DASHES[i] ?? ''} isTried />
        ))}
      </Strip>
      {turn.loft > 0 && (
        <LinePath
          data={points.filter((one) => one.lift > turn.fullLift)}
          x={(one) => x(one.at)}
          y={(one) => y(one.lift)}
          stroke="var(--lead)"
          strokeWidth={4}
          fill="none"
        />
      )}
      {lost[0] !== undefined && (
        <text x={(x(lost[0][0]) + x(lost[0][1])) / 2} y={LIFT_FOOT - 8} textAnchor="middle" className="axis halo strong">
          {words.lost}
        </text>
      )}
      <text x={LEFT + 8} y={LIFT_TOP + 14} className="axis halo">
        {words.asked}
      </text>
      <Strip x={x} y={f} name={`${words.force}, ${unitForce}`}>
        <Line points={points} of="force" x={x} y={f} width={1.8} />
        {tried.map((one, i) => (
          <Line key={one.name} points={pointsOf(one.turn)} of="force" x={x} y={f} width={1.4} dash={TRIED_DASHES[i] ?? ''} isTried />
        ))}
      </Strip>
      {at !== null && (
        <Cursor
          x={x(at)}
          top={LIFT_TOP - 6}
          foot={FORCE_FOOT}
          readout={turnAt(turn, tried[0]?.turn, at, { ...words, unitLength, unitForce })}
          rooms={[{ left: LEFT, right: RIGHT, top: LIFT_TOP, foot: LIFT_FOOT }]}
          curves={points.flatMap((one): Spot[] => [
            [x(one.at), y(one.lift)],
            [x(one.at), y(one.asked)],
          ])}
        />
      )}
      <CommonAxis x={x} top={FORCE_FOOT} format={(value) => String(value)} />
      <text x={RIGHT} y={FORCE_FOOT + 34} textAnchor="end" className="axis name">
        {words.degrees}
      </text>
    </svg>
  );
}

interface Named {
  askedHere: string;
  liftHere: string;
  forceHere: string;
  unitLength: string;
  unitForce: string;
}

/** What the lobe asks, where the valve is and what presses it, at a crank degree; with the first change, by how much that differs. */
export function turnAt(turn: Turn, tried: Turn | undefined, at: number, words: Named): Readout {
  const decimals = words.unitLength === 'in' ? 4 : 3;
  const [here, there] = [pointAt(turn, at), tried === undefined ? null : pointAt(tried, at)];
  const row = (name: string, of: 'asked' | 'lift' | 'force', digits: number) => ({
    name,
    value: here === null ? '–' : here[of].toFixed(digits).replace('-', '−'),
    difference: here === null || there === null ? undefined : signed(there[of] - here[of], digits),
  });
  return {
    head: `${String(Math.round(at)).replace('-', '−')}°`,
    rows: [
      row(words.askedHere, 'asked', decimals),
      row(words.liftHere, 'lift', decimals),
      row(`${words.forceHere}, ${words.unitForce}`, 'force', 0),
    ],
  };
}

/** The point nearest to a degree. */
const pointAt = (turn: Turn, at: number): Point | null =>
  pointsOf(turn).reduce<Point | null>((best, one) => (best === null || Math.abs(one.at - at) < Math.abs(best.at - at) ? one : best), null);

interface Point {
  at: number;
  asked: number;
  lift: number;
  force: number;
  isLost: boolean;
}

const pointsOf = (turn: Turn): Point[] =>
  turn.degrees.map((at, i) => ({
    at,
    asked: turn.asked[i] ?? 0,
    lift: turn.lift[i] ?? 0,
    force: turn.force[i] ?? 0,
    isLost: !(turn.held[i] ?? false) && (turn.asked[i] ?? 0) > 0,
  }));

interface LineProps {
  points: Point[];
  of: 'asked' | 'lift' | 'force';
  x: Scale;
  y: Scale;
  width: number;
  dash?: string;
  isTried?: boolean;
}

const Line = (props: LineProps) => (
  <LinePath
    data={props.points}
    x={(one) => props.x(one.at)}
    y={(one) => props.y(one[props.of])}
    stroke={props.isTried === true ? 'var(--enamel)' : 'var(--ink)'}
    strokeWidth={props.width}
    strokeDasharray={props.dash}
    fill="none"
  />
);

/** From where to where contact is lost while the lobe asks for lift. */
function stretches(points: readonly Point[]): [number, number][] {
  const found: [number, number][] = [];
  let from: number | null = null;
  for (const one of points) {
    if (one.isLost && from === null) from = one.at;
    if (!one.isLost && from !== null) {
      found.push([from, one.at]);
      from = null;
    }
  }
  return found.filter(([start, end]) => end - start > 1);
}
