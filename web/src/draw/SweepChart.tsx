import { scaleLinear } from '@visx/scale';
import { LinePath } from '@visx/shape';
import type { Schemas } from '../shared/api';
import { CommonAxis, Strip, type Scale } from './Chart';
import { Cursor, pressed, signed, type Readout } from './Cursor';
import { Hatch } from './Hatch';

type Swept = Schemas['SweptSpringsView'];
type Spring = Schemas['SweptSpringView'];
type Pair = readonly [number, number];

const [WIDTH, LEFT, RIGHT] = [660, 58, 640];
const [LOAD_TOP, LOAD_FOOT, RATE_TOP, RATE_FOOT] = [40, 330, 376, 520];
/** A rate chart shows so much of the rate on either side, and lets what goes solid run out of it. */
const RATE_ROOM = 0.2;

/** Where along the axis the leaders begin, and where the names stand, one below the other. */
const [NAMED_AT, NAMES_FROM, NAME_ROW] = [0.5, 430, 18];

interface Props {
  swept: Swept;
  shown: readonly Spring[];
  chosen: string;
  /** Height of the cursor. */
  at: number;
  onAt: (height: number) => void;
  words: {
    load: string;
    rate: string;
    rateHere: string;
    height: string;
    installed: string;
    open: string;
    bind: string;
    solid: string;
    closing: string;
  };
  label: string;
}

/** Load and rate over one axis of height, which falls to the right: what is pressed goes right. */
export function SweepChart({ swept, shown, chosen, at, onAt, words, label }: Props) {
  const points = shown.flatMap((one) => pairs(one.points));
  if (points.length === 0) return null;
  const heights = points.map(([height]) => height);
  const x = scaleLinear<number>({ domain: [Math.max(...heights), Math.min(...heights)], range: [LEFT, RIGHT] });
  const loads = points.map(([, load]) => load);
  const spring = shown.find((one) => one.place === chosen) ?? shown[0];
  // A solid spring runs off the chart: the axis ends a little above the load at which the last one begins to be solid.
  const top = Math.max(...shown.map((one) => loadBeforeSolid(one)));
  const y = scaleLinear<number>({ domain: [Math.min(0, ...loads), top * 1.12], range: [LOAD_FOOT, LOAD_TOP], nice: true });
  const rates = shown.map(middleRate).filter((rate) => rate > 0);
  const r = scaleLinear<number>({
    domain: [Math.min(...rates) * (1 - RATE_ROOM), Math.max(...rates) * (1 + RATE_ROOM)],
    range: [RATE_FOOT, RATE_TOP],
    nice: true,
  });
  const decimals = swept.unitHeight === 'in' ? 2 : 0;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 556`}
      role="img"
      aria-label={label}
      className="sweep-chart"
      style={{ maxWidth: WIDTH }}
      onPointerDown={(event) => onAt(x.invert(pressed(event)[0] * WIDTH))}
    >
      <Strip x={x} y={y} name={`${words.load}, ${swept.unitLoad}`}>
        <Lines shown={shown} chosen={chosen} against={swept.against} of="points" x={x} y={y} />
        <Names shown={shown} chosen={chosen} x={x} y={y} />
      </Strip>
      <Strip x={x} y={r} name={`${words.rate} ${swept.unitHeight === 'in' ? '0.050 in' : '1.27 mm'}, ${swept.unitRate}`}>
        <Lines shown={shown} chosen={chosen} against={swept.against} of="rates" x={x} y={r} />
      </Strip>
      {(
        [
          [swept.installed, words.installed, 14],
          [swept.open, words.open, 14],
        ] as const
      ).map(
        ([height, name, dy]) =>
          height !== null && (
            <g key={name}>
              <path
                d={`M${x(height)} ${LOAD_TOP - 8}V${LOAD_FOOT}M${x(height)} ${RATE_TOP}V${RATE_FOOT}`}
                stroke="var(--ink)"
                strokeWidth="1.2"
              />
              <text x={x(height) - 4} y={dy} textAnchor={x(height) > 160 ? 'end' : 'start'} className="axis">
                {`${name} ${height.toFixed(decimals + 1)}`}
              </text>
            </g>
          ),
      )}
      {spring?.bind != null && <Bind spring={spring} bind={spring.bind} x={x} words={words} />}
      {spring?.closesBelow != null && (
        <text x={x(spring.closesBelow) - 8} y={RATE_TOP + 16} textAnchor="end" className="axis halo">
          {words.closing}
        </text>
      )}
      <Cursor
        x={x(at)}
        top={24}
        foot={RATE_FOOT}
        readout={spring === undefined ? null : readout(swept, shown, spring, at, words)}
        rooms={[
          { left: LEFT, right: RIGHT, top: LOAD_TOP, foot: LOAD_FOOT },
          { left: LEFT, right: RIGHT, top: RATE_TOP, foot: RATE_FOOT },
        ]}
        curves={shown.flatMap((one) => [
          ...pairs(one.points).map(([height, load]) => [x(height), y(load)] as const),
          ...pairs(one.rates).map(([height, rate]) => [x(height), r(rate)] as const),
        ])}
      />
      <CommonAxis x={x} top={RATE_FOOT} format={(value) => value.toFixed(decimals)} />
      <text x={RIGHT} y={RATE_FOOT + 34} textAnchor="end" className="axis name">
        {`${words.height}, ${swept.unitHeight}`}
      </text>
    </svg>
  );
}

/** The other springs thin, the one that they are held against in enamel, the chosen one last and heaviest. */
function Lines(props: { shown: readonly Spring[]; chosen: string; against: string | null; of: 'points' | 'rates'; x: Scale; y: Scale }) {
  const { shown, chosen, against, of, x, y } = props;
  const ordered = [...shown].sort((a, b) => Number(a.place === chosen) - Number(b.place === chosen));
  return ordered.map((one) => (
    <LinePath
      key={one.place}
      data={pairs(one[of]) as [number, number][]}
      x={([height]) => x(height)}
      y={([, value]) => y(value)}
      stroke={one.place === against ? 'var(--enamel)' : 'var(--ink)'}
      strokeWidth={one.place === chosen ? 3.2 : one.place === against ? 2.2 : 1.4}
      strokeDasharray={dashOf(shown, one)}
      fill="none"
    />
  ));
}

/** Each line by its name, at a leader, in the corner where no line runs. */
function Names({ shown, chosen, x, y }: { shown: readonly Spring[]; chosen: string; x: Scale; y: Scale }) {
  const at = x.invert(LEFT + NAMED_AT * (RIGHT - LEFT));
  const read = shown.flatMap((one) => {
    const load = readAt(one.points, at);
    return load === null ? [] : [{ one, load }];
  });
  const lowest = LOAD_FOOT - 14;
  return read
    .sort((a, b) => a.load - b.load)
    .map(({ one, load }, i) => {
      const foot = lowest - i * NAME_ROW;
      return (
        <g key={one.place}>
          <path d={`M${x(at) + i * 3} ${y(load)}L${NAMES_FROM - 6} ${foot - 4}`} stroke="var(--ink3)" strokeWidth="0.9" fill="none" />
          <text x={NAMES_FROM} y={foot} className={one.place === chosen ? 'axis strong halo' : 'axis halo'}>
            {one.label}
          </text>
        </g>
      );
    });
}

/** How the lines are told apart besides their weight. */
const DASHES = ['', '9 4', '2 3', '9 3 2 3'];
export const dashOf = (shown: readonly Spring[], spring: Spring): string => DASHES[shown.indexOf(spring) % DASHES.length] ?? '';

/** Where the chosen spring is solid, with its uncertainty, and what lies beyond. */
function Bind({ spring, bind, x, words }: { spring: Spring; bind: number; x: Scale; words: Props['words'] }) {
  const half = spring.bindHalf ?? 0;
  const [low, high] = [x(bind + half), x(bind - half)];
  return (
    <g>
      {[
        [LOAD_TOP, LOAD_FOOT],
        [RATE_TOP, RATE_FOOT],
      ].map(([top = 0, foot = 0]) => (
        <g key={top}>
          <Hatch x={x(bind)} y={top} width={RIGHT - x(bind)} height={foot - top} opacity={0.45} />
          <path d={`M${x(bind)} ${top}V${foot}`} stroke="var(--ink)" strokeWidth="1.4" />
        </g>
      ))}
      <path
        d={`M${low} ${LOAD_TOP - 8}v8M${high} ${LOAD_TOP - 8}v8M${low} ${LOAD_TOP - 4}H${high}`}
        stroke="var(--ink)"
        strokeWidth="1.3"
      />
      <text x={RIGHT} y={30} textAnchor="end" className="axis strong">
        {`${words.bind} ${spring.bindHeight?.shown ?? ''}`}
      </text>
      <text x={x(bind) + 4} y={LOAD_FOOT - 8} className="axis halo">
        {words.solid}
      </text>
    </g>
  );
}

const pairs = (list: readonly (readonly number[])[]): Pair[] => list.map((one) => [one[0] ?? 0, one[1] ?? 0]);

/** Load and rate of the chosen spring under the cursor, and how far they lie from those of the one that it is held against. */
function readout(swept: Swept, shown: readonly Spring[], spring: Spring, at: number, words: Props['words']): Readout {
  const against = shown.find((one) => one.place === swept.against && one !== spring);
  const row = (name: string, of: 'points' | 'rates') => {
    const value = readAt(spring[of], at);
    const other = against === undefined ? null : readAt(against[of], at);
    return {
      name,
      value: value === null ? '–' : value.toFixed(1),
      difference: value === null || other === null ? undefined : signed(value - other, 1),
    };
  };
  return {
    head: `${spring.label} ${at.toFixed(swept.unitHeight === 'in' ? 3 : 2)} ${swept.unitHeight}`,
    rows: [row(`${words.load}, ${swept.unitLoad}`, 'points'), row(`${words.rateHere}, ${swept.unitRate}`, 'rates')],
  };
}

/** Read off the nearest two points of a curve; nothing outside of it. */
export function readAt(points: readonly (readonly number[])[], height: number): number | null {
  const all = pairs(points);
  const below = all.findIndex(([one]) => one <= height);
  const [from, to] = [all[below - 1], all[below]];
  if (to === undefined || (from === undefined && to[0] !== height)) return null;
  if (from === undefined || to[0] === height) return to[1];
  return from[1] + ((from[0] - height) / (from[0] - to[0])) * (to[1] - from[1]);
}

function middleRate(spring: Spring): number {
  const rates = pairs(spring.rates)
    .map(([, rate]) => rate)
    .sort((a, b) => a - b);
  return rates[Math.floor(rates.length / 2)] ?? 0;
}

const loadBeforeSolid = (spring: Spring): number =>
  Math.max(
    ...pairs(spring.points)
      .filter(([height]) => spring.bind === null || height >= spring.bind)
      .map(([, load]) => load),
  );
