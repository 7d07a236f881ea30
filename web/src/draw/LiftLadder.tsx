import { scaleLinear } from '@visx/scale';
import type { Schemas } from '../shared/api';
import { Hatch } from './Hatch';

type Ladder = Schemas['LiftLadderView'];

const [WIDTH, BASE, FROM, TO] = [356, 74, 10, 346];
/** Rows above the scale on which names stand so that they do not lie on each other. */
const ROWS = [48, 32, 16];
/** Pixels that a letter of a name takes. */
const LETTER = 6.4;

/** One scale of net lift: a notch for each limit, hatch beyond the lowest, and what the valve lifts. */
export function LiftLadder({ ladder, label, lifts, tried }: { ladder: Ladder; label: string; lifts: string; tried: string }) {
  const [lowest] = ladder.limits;
  if (lowest === undefined || ladder.at === null) return null;
  const all = [...ladder.limits.map((one) => one.at), ladder.at, ...(ladder.tried === null ? [] : [ladder.tried.at])];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const room = Math.max((most - least) * 0.12, most * 0.01);
  const x = scaleLinear<number>({ domain: [least - room, most + room], range: [FROM, TO] });
  const outside = ladder.at > lowest.at;
  const colour = outside ? 'var(--lead)' : 'var(--ink)';
  const [at, half] = [x(ladder.at), ((ladder.half ?? 0) * (TO - FROM)) / (most - least + 2 * room)];
  const names = ladder.limits.map((one) => `${one.title} ${one.lift.figure}`);
  const rows = placed(ladder.limits.map((one, i) => spanOf(x(one.at), names[i] ?? '')));
  const decimals = ladder.unit === 'in' ? 2 : 1;
  return (
    <svg viewBox={`0 0 ${WIDTH} 132`} role="img" aria-label={label} className="lift-ladder" style={{ maxWidth: WIDTH }}>
      <Hatch x={x(lowest.at)} y={BASE - 20} width={TO - x(lowest.at)} height={20} lead={outside} />
      {outside && <rect x={x(lowest.at)} y={BASE - 8.5} width={at - x(lowest.at)} height="8" fill="var(--lead)" />}
      <path d={`M${FROM} ${BASE}H${TO}`} stroke="var(--ink)" strokeWidth="1.2" />
      {x.ticks(6).map((tick) => (
        <g key={tick}>
          <path d={`M${x(tick)} ${BASE}v7`} stroke="var(--ink2)" />
          <text x={x(tick)} y={BASE + 22} textAnchor="middle" className="axis">
            {tick.toFixed(decimals)}
          </text>
        </g>
      ))}
      {ladder.limits.map((one, i) => {
        const [cx, row] = [x(one.at), ROWS[rows[i] ?? 0] ?? ROWS[0] ?? 0];
        const wide = i === 0 ? 9 : 6;
        return (
          <g key={`${one.quantity} ${one.title}`}>
            <path
              d={`M${cx - wide} ${BASE - (i === 0 ? 20 : 13)}L${cx} ${BASE}L${cx + wide} ${BASE - (i === 0 ? 20 : 13)}Z`}
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth="1.3"
            />
            <path d={`M${cx} ${BASE}v9`} stroke="var(--ink)" strokeWidth="1.8" />
            <path d={`M${cx} ${row + 4}V${BASE - 21}`} stroke="var(--ink3)" strokeWidth="0.8" />
            <text
              x={isRight(cx) ? cx + 3 : cx - 3}
              y={row}
              textAnchor={isRight(cx) ? 'end' : 'start'}
              className={i === 0 ? 'strong halo' : 'axis halo'}
            >
              {names[i]}
            </text>
          </g>
        );
      })}
      <path d={`M${at} 54V${BASE + 3}`} stroke={colour} strokeWidth="2.6" />
      <path d={`M${at - half} 50v8M${at + half} 50v8M${at - half} 54H${at + half}`} stroke={colour} strokeWidth="1.4" />
      <text
        x={Math.min(Math.max(at, 70), WIDTH - 70)}
        y={BASE + 40}
        textAnchor="middle"
        className={outside ? 'strong is-outside' : 'strong'}
      >
        {`${lifts} ${ladder.lift?.shown ?? ''}`}
      </text>
      {ladder.tried !== null && (
        <g>
          <path d={`M${x(ladder.tried.at) - 6} ${BASE + 20}l6 -12l6 12Z`} fill="var(--enamel)" />
          <text x={Math.min(Math.max(x(ladder.tried.at), 80), WIDTH - 80)} y={BASE + 56} textAnchor="middle" className="strong tried">
            {`${tried} ${ladder.tried.lift.figure}`}
          </text>
        </g>
      )}
    </svg>
  );
}

/** Names of the right half end at their notch, so that they do not run out of the drawing. */
const isRight = (x: number): boolean => x > WIDTH / 2;

type Span = readonly [from: number, to: number];

const spanOf = (x: number, name: string): Span => (isRight(x) ? [x - name.length * LETTER, x + 6] : [x - 6, x + name.length * LETTER]);

/** On which row each name stands: the lowest on which it does not lie on one that stands there already. */
export function placed(spans: readonly Span[]): number[] {
  const rows: Span[][] = ROWS.map(() => []);
  return spans.map(([from, to]) => {
    const free = rows.findIndex((taken) => taken.every(([a, b]) => to < a || from > b));
    const row = free === -1 ? 0 : free;
    rows[row]?.push([from, to]);
    return row;
  });
}
