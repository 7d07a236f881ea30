import { scaleLinear } from '@visx/scale';
import { Area, LinePath } from '@visx/shape';
import type { Schemas } from '../shared/api';
import { CommonAxis, Strip } from './Chart';
import { Cursor, pressed, type Point } from './Cursor';
import { Hatch } from './Hatch';

type Trace = Schemas['LogTraceView'];

const [WIDTH, LEFT, RIGHT] = [760, 66, 744];
const [TOP, FOOT] = [40, 210];
const [LEFT_TOP, LEFT_FOOT] = [246, 320];

interface Level {
  name: string;
  speed: number;
  isLead: boolean;
}

interface Props {
  trace: Trace;
  /** Speeds that are drawn through the trace. */
  levels: readonly Level[];
  unitForce: string;
  /** Seconds of the cursor. */
  at: number;
  onAt: (seconds: number) => void;
  words: { speed: string; left: string; seconds: string };
  label: string;
}

/** Speed over the time of a log, with what the train can do drawn through it; below, what gas leaves of the load on the seat. */
export function LogTrace({ trace, levels, unitForce, at, onAt, words, label }: Props) {
  const { times, low, high, left } = trace;
  const x = scaleLinear<number>({ domain: [times[0] ?? 0, times.at(-1) ?? 1], range: [LEFT, RIGHT] });
  const top = 1.04 * Math.max(...high, ...levels.map((one) => one.speed), 1000);
  const y = scaleLinear<number>({ domain: [0, top], range: [FOOT, TOP] });
  const known = left.filter((one) => one !== null);
  const l = scaleLinear<number>({ domain: [Math.min(0, ...known), Math.max(1, ...known)], range: [LEFT_FOOT, LEFT_TOP], nice: 2 });
  const foot = known.length > 0 ? LEFT_FOOT : FOOT;
  const cursor = nearestMoment(times, at);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${foot + 40}`}
      role="img"
      aria-label={label}
      className="log-trace"
      style={{ maxWidth: WIDTH }}
      onPointerDown={(event) => onAt(x.invert(pressed(event)[0] * WIDTH))}
    >
      <Strip x={x} y={y} name={words.speed}>
        {levels
          .filter((one) => one.isLead)
          .map((one) => (
            <Hatch key={one.name} x={LEFT} y={TOP} width={RIGHT - LEFT} height={y(one.speed) - TOP} opacity={0.3} />
          ))}
        <Area data={times} x={(one) => x(one)} y0={(_, i) => y(low[i] ?? 0)} y1={(_, i) => y(high[i] ?? 0)} fill="var(--edge)" />
        <LinePath data={times} x={(one) => x(one)} y={(_, i) => y(high[i] ?? 0)} stroke="var(--ink)" strokeWidth={1.4} fill="none" />
        {levels.map((one) => (
          <path
            key={one.name}
            d={`M${LEFT} ${y(one.speed)}H${RIGHT}`}
            stroke={one.isLead ? 'var(--lead)' : 'var(--ink)'}
            strokeWidth="1.4"
            strokeDasharray={one.isLead ? undefined : '5 4'}
          />
        ))}
      </Strip>
      {levels.map((one) => (
        <text
          key={one.name}
          x={one.isLead ? RIGHT - 6 : LEFT + 6}
          y={y(one.speed) - 4}
          textAnchor={one.isLead ? 'end' : 'start'}
          className={one.isLead ? 'axis halo wrong' : 'axis halo'}
        >
          {`${one.name} ${one.speed.toFixed(0)}`}
        </text>
      ))}
      {known.length > 0 && (
        <Strip x={x} y={l} name={`${words.left}, ${unitForce}`}>
          <Hatch x={LEFT} y={l(0)} width={RIGHT - LEFT} height={LEFT_FOOT - l(0)} opacity={0.4} />
          <path d={`M${LEFT} ${l(0)}H${RIGHT}`} stroke="var(--lead)" strokeWidth="1.4" />
          <LinePath
            data={left}
            defined={(one) => one !== null}
            x={(_, i) => x(times[i] ?? 0)}
            y={(one) => l(one ?? 0)}
            stroke="var(--ink)"
            strokeWidth={1.8}
            fill="none"
          />
        </Strip>
      )}
      <Cursor
        x={x(times[cursor] ?? 0)}
        top={14}
        foot={foot}
        readout={{
          head: `${times[cursor] ?? 0} s`,
          rows: [
            { name: words.speed, value: high[cursor]?.toFixed(0) ?? '–' },
            ...(known.length > 0
              ? [{ name: `${words.left}, ${unitForce}`, value: left[cursor]?.toFixed(0).replace('-', '−') ?? '–' }]
              : []),
          ],
        }}
        rooms={[
          { left: LEFT, right: RIGHT, top: TOP, foot: FOOT },
          ...(known.length > 0 ? [{ left: LEFT, right: RIGHT, top: LEFT_TOP, foot: LEFT_FOOT }] : []),
        ]}
        curves={[
          ...times.map((time, i): Point => [x(time), y(high[i] ?? 0)]),
          ...left.flatMap((one, i): Point[] => (one === null ? [] : [[x(times[i] ?? 0), l(one)]])),
        ]}
      />
      <CommonAxis x={x} top={foot} format={(value) => String(value)} />
      <text x={RIGHT} y={foot + 34} textAnchor="end" className="axis name">
        {words.seconds}
      </text>
    </svg>
  );
}

/** The moment of a course in which a time lies. */
export function nearestMoment(times: readonly number[], at: number): number {
  let found = 0;
  for (const [i, time] of times.entries()) if (time <= at) found = i;
  return found;
}
