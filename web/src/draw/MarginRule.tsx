import { scaleLinear } from '@visx/scale';
import { memo } from 'react';
import type { MarginView } from '../shared/api';
import { box, lines } from './fills';
import { Hatch } from './Hatch';

const MARK = {
  inside: null,
  inside_close: 'half',
  cannot_tell: 'question',
  outside_close: 'ringed-cross',
  outside: 'cross',
  not_measured: 'dash',
} as const;

const isOutside = (margin: MarginView): boolean => margin.verdict === 'outside' || margin.verdict === 'outside_close';

/** The state mark, as drawn in every margin rule; also used in legends. */
export function VerdictMark({ verdict, x = 7, y = 14 }: { verdict: MarginView['verdict']; x?: number; y?: number }) {
  switch (MARK[verdict]) {
    case 'half':
      return (
        <g>
          <circle cx={x} cy={y} r="4.6" fill="none" stroke="var(--ink)" strokeWidth="1.3" />
          <path d={`M${x} ${y - 4.6}A4.6 4.6 0 0 0 ${x} ${y + 4.6}Z`} fill="var(--ink)" />
        </g>
      );
    case 'question':
      return (
        <g>
          <circle cx={x} cy={y} r="5.2" fill="none" stroke="var(--ink)" strokeWidth="1.3" strokeDasharray="2 1.6" />
          <text x={x} y={y + 3.4} fontSize="9.5" fontWeight="700" textAnchor="middle" fill="var(--ink)">
            ?
          </text>
        </g>
      );
    case 'cross':
    case 'ringed-cross':
      return (
        <g stroke="var(--lead)" fill="none">
          <path
            d={`M${x - 3.6} ${y - 3.6}l7.2 7.2M${x + 3.6} ${y - 3.6}l-7.2 7.2`}
            strokeWidth="2.2"
            transform={MARK[verdict] === 'cross' ? undefined : `translate(${x} ${y}) scale(.65) translate(${-x} ${-y})`}
          />
          {MARK[verdict] === 'ringed-cross' && <circle cx={x} cy={y} r="5.4" strokeWidth="1.3" />}
        </g>
      );
    case 'dash':
      return <path d={`M${x - 4} ${y}h8`} stroke="var(--ink3)" strokeWidth="1.4" />;
    default:
      return null;
  }
}

interface Geometry {
  x0: number;
  x1: number;
  base: number;
  hatch: number;
  bar: number;
  notch: [number, number];
  top: number;
  serif: number;
}

/** The scale itself: hatch, base, bar, schools, notch, bracket, scribed line, in this order. */
function Scale({ margin, g }: { margin: MarginView; g: Geometry }) {
  const at = (fraction: number): number => g.x0 + fraction * (g.x1 - g.x0);
  const notch = at(margin.notch);
  const outside = isOutside(margin);
  const measured = margin.at !== null;
  const ink = outside ? 'var(--lead)' : 'var(--ink)';
  const value = at(margin.at ?? margin.notch);
  const upper = margin.upper === null ? null : at(margin.upper);
  const forbidden: [number, number][] =
    upper !== null
      ? [
          [g.x0, notch],
          [upper, g.x1],
        ]
      : [margin.goodIsRight ? [g.x0, notch] : [notch, g.x1]];
  const close = margin.verdict.endsWith('close');
  const left = Math.min(notch, value);
  const low = at(margin.low ?? margin.notch);
  const high = at(margin.high ?? margin.notch);
  const ticks = Array.from({ length: 11 }, (_, i) => at(i / 10));
  return (
    <g>
      {forbidden.map(([from, to]) => (
        <Hatch key={from} x={from} y={g.base - g.hatch} width={to - from} height={g.hatch} lead={outside} opacity={measured ? 0.75 : 0.4} />
      ))}
      <path d={`M${g.x0} ${g.base}H${g.x1}`} stroke="var(--ink)" strokeWidth="1.2" strokeDasharray={measured ? undefined : '3 2.5'} />
      <path d={ticks.map((x) => `M${x} ${g.base}v3.5`).join('')} stroke="var(--edge)" />
      {measured && upper !== null && <Several margin={margin} g={g} at={at} from={notch} to={upper} />}
      {measured && upper === null && margin.verdict !== 'cannot_tell' && value !== notch && (
        <>
          <rect
            x={left}
            y={g.base - g.bar - 1}
            width={Math.abs(value - notch)}
            height={g.bar}
            fill={close ? 'none' : outside ? 'var(--lead)' : 'var(--edge)'}
            stroke={close ? ink : 'none'}
            strokeWidth="0.7"
          />
          {close && <path d={lines(box(left, g.base - g.bar - 1, Math.abs(value - notch), g.bar), 90, 3)} stroke={ink} strokeWidth="1.4" />}
        </>
      )}
      {margin.others.map((other) => (
        <path key={other.school} d={`M${at(other.at)} ${g.base - 7}v7m0 0v5`} stroke="var(--ink3)" strokeWidth="1.3" />
      ))}
      {[notch, ...(upper === null ? [] : [upper])].map((x) => (
        <g key={x}>
          <path
            d={`M${x - g.notch[0] / 2} ${g.base - g.notch[1]}L${x} ${g.base}L${x + g.notch[0] / 2} ${g.base - g.notch[1]}Z`}
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth="1.2"
          />
          <path d={`M${x} ${g.base}v6`} stroke="var(--ink)" strokeWidth="1.8" />
        </g>
      ))}
      {measured && margin.offScale !== null && (
        <path
          d={margin.offScale === 'high' ? `M${g.x1 - 6} ${g.top + 2}l6 6l-6 6` : `M${g.x0 + 6} ${g.top + 2}l-6 6l6 6`}
          fill="none"
          stroke={ink}
          strokeWidth="2.2"
        />
      )}
      {measured && margin.offScale === null && margin.verdict === 'cannot_tell' && (
        <g stroke="var(--ink)" fill="none" strokeWidth="1.2">
          <path d={`M${low} ${g.base}V${g.top}H${high}V${g.base}`} />
          <path d={`M${value} ${g.top}V${g.base + 2}`} strokeDasharray="2.5 2" />
        </g>
      )}
      {measured && margin.offScale === null && margin.verdict !== 'cannot_tell' && (
        <g stroke={ink} fill="none">
          <path
            d={`M${low} ${g.top - g.serif / 2}v${g.serif}M${high} ${g.top - g.serif / 2}v${g.serif}M${low} ${g.top}H${high}`}
            strokeWidth="1.3"
          />
          <path d={`M${value} ${g.top}V${g.base + 2}`} strokeWidth="2.4" />
        </g>
      )}
    </g>
  );
}

/** Several like places of one part within a window: a stroke each, a bar from the least to the largest, lead only past a notch. */
function Several({ margin, g, at, from, to }: { margin: MarginView; g: Geometry; at: (x: number) => number; from: number; to: number }) {
  const strokes = (margin.strokes.length > 0 ? margin.strokes : [margin.at ?? 0]).map(at);
  const least = Math.min(...strokes);
  const most = Math.max(...strokes);
  const bar = (left: number, right: number, fill: string) =>
    right > left && <rect x={left} y={g.base - g.bar - 1} width={right - left} height={g.bar} fill={fill} />;
  return (
    <g>
      {bar(Math.max(least, from), Math.min(most, to), 'var(--edge)')}
      {bar(least, Math.min(most, from), 'var(--lead)')}
      {bar(Math.max(least, to), most, 'var(--lead)')}
      {margin.strokes.length > 1 && <path d={strokes.map((x) => `M${x} ${g.base - 9}v9`).join('')} stroke="var(--ink)" strokeWidth="1" />}
    </g>
  );
}

/**
 * A margin in a table cell: state mark, figure, scale. The notch stands at the same x in every row. `bare`: without the figure, which
 * stands beside it. `tried`: where it would be with what is tried, on the same scale. `from`: where it stood before it was changed.
 */
export const MarginRule = memo(function MarginRule({
  margin,
  width = 120,
  height = 28,
  bare = false,
  tried = null,
  from = null,
}: {
  margin: MarginView;
  width?: number;
  height?: number;
  bare?: boolean;
  tried?: number | null;
  from?: number | null;
}) {
  const outside = isOutside(margin);
  const x0 = bare ? 20 : margin.side === 'within' ? 68 : 62;
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={margin.spoken}
      fontFamily="var(--condensed)"
    >
      <VerdictMark verdict={margin.verdict} y={height / 2} />
      {!bare && (
        <text
          x={x0 - 7}
          y={height / 2 + 5.5}
          fontSize="16"
          fontWeight={outside ? 700 : 500}
          textAnchor="end"
          fill={outside ? 'var(--lead)' : 'var(--ink)'}
          style={{ fontFeatureSettings: '"tnum"' }}
        >
          {margin.value?.figure.replace('-', '−') ?? ''}
        </text>
      )}
      {from !== null && (
        <g stroke="var(--ink2)" fill="none" strokeWidth="1.3">
          <path d={`M${x0 + from * (width - 3 - x0)} 8V${height - 7}`} strokeDasharray="3 2" />
          <circle cx={x0 + from * (width - 3 - x0)} cy="5.2" r="2.8" />
        </g>
      )}
      <Scale margin={margin} g={{ x0, x1: width - 3, base: height - 7, hatch: 10, bar: 4.5, notch: [9, 10], top: 4.5, serif: 6 }} />
      {tried !== null && (
        <g stroke="var(--enamel)" fill="var(--sheet)">
          <path d={`M${x0 + tried * (width - 3 - x0)} 7.5V${height - 5}`} strokeWidth="2.4" />
          <circle cx={x0 + tried * (width - 3 - x0)} cy="5.5" r="3.6" strokeWidth="1.8" />
        </g>
      )}
    </svg>
  );
});

/** About so many figures find room under the large rule. */
const FIGURES = 5;

/** The same drawing, large, with figures and names. */
export function LargeMarginRule({ margin, width = 420 }: { margin: MarginView; width?: number }) {
  const g: Geometry = { x0: 14, x1: width - 14, base: 62, hatch: 20, bar: 8, notch: [18, 20], top: 30, serif: 9 };
  const at = (fraction: number): number => g.x0 + fraction * (g.x1 - g.x0);
  const from = Number(margin.scaleFrom);
  const to = Number(margin.scaleTo);
  const decimals = margin.scaleFrom.split('.')[1]?.length ?? 0;
  const labels = scaleLinear<number>({ domain: [from, to] }).ticks(FIGURES);
  const outside = isOutside(margin);
  const value = at(margin.at ?? margin.notch);
  return (
    <svg
      width="100%"
      viewBox={`0 0 ${width} 104`}
      role="img"
      aria-label={margin.spoken}
      fontFamily="var(--condensed)"
      style={{ maxWidth: width, display: 'block' }}
    >
      <Scale margin={margin} g={g} />
      {margin.others.map((other) => (
        <path key={other.school} d={`M${at(other.at)} ${g.base + 5}v22`} stroke="var(--ink3)" strokeDasharray="2 2" />
      ))}
      {labels.map((x) => (
        <g key={x}>
          <path d={`M${at((x - from) / (to - from))} ${g.base}v8`} stroke="var(--ink)" />
          <text
            x={at((x - from) / (to - from))}
            y={g.base + 23}
            fontSize="14"
            textAnchor="middle"
            fill="var(--ink2)"
            style={{ fontFeatureSettings: '"tnum"' }}
          >
            {x.toFixed(decimals)}
          </text>
        </g>
      ))}
      {margin.value && (
        <text
          x={Math.min(Math.max(value, 60), width - 60)}
          y="16"
          fontSize="17"
          fontWeight="700"
          textAnchor="middle"
          fill={outside ? 'var(--lead)' : 'var(--ink)'}
        >
          {margin.value.shown}
        </text>
      )}
      <text
        x={at(margin.notch) + ((margin.at ?? 0) >= margin.notch ? -13 : 13)}
        y={g.base - 8}
        fontSize="14"
        fontWeight="700"
        textAnchor={(margin.at ?? 0) >= margin.notch ? 'end' : 'start'}
        fill="var(--ink)"
      >
        {margin.others.length > 0 ? margin.school : 'limit'}
      </text>
      {margin.others.map((other) => (
        <text key={other.school} x={at(other.at)} y={g.base + 39} fontSize="13" textAnchor="middle" fill="var(--ink2)">
          {other.school}
        </text>
      ))}
    </svg>
  );
}
