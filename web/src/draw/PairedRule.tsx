import type { Schemas } from '../shared/api';
import { Hatch } from './Hatch';

type Rule = Schemas['PairedRuleView'];

const [WIDTH, HEIGHT, BASE] = [242, 48, 28];

/** Two sides on one rule: each from its least over its middle to its most, a letter over each; notches where good values end. */
export function PairedRule({ rule, letters, label }: { rule: Rule; letters: readonly [string, string]; label: string }) {
  const x = (fraction: number): number => Math.round(10 * (4 + fraction * (WIDTH - 8))) / 10;
  const [one, other] = [rule.one, rule.other].map(([least = 0, middle = 0, most = 0]) => ({
    least: x(least),
    middle: x(middle),
    most: x(most),
  })) as [Marks, Marks];
  // Letters of two that stand close go apart.
  const isClose = Math.abs(one.middle - other.middle) < 16;
  const shift = isClose ? (one.middle <= other.middle ? -8 : 8) : 0;
  return (
    <svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={label}>
      {rule.ends.length === 2 &&
        rule.ends.map((end, i) => (
          <Hatch key={end} x={i === 0 ? 4 : x(end)} y={BASE} width={i === 0 ? x(end) - 4 : WIDTH - 4 - x(end)} height={10} opacity={0.6} />
        ))}
      <path d={`M4 ${BASE}H${WIDTH - 4}`} stroke="var(--edge)" />
      {rule.ends.map((end) => (
        <path key={end} d={`M${x(end)} ${BASE - 6}v12`} stroke="var(--ink2)" strokeWidth="1.6" />
      ))}
      <path d={`M${one.middle} ${BASE}H${other.middle}`} stroke="var(--ink)" strokeWidth="5" opacity={0.35} />
      <Mark at={one} letter={letters[0]} shift={shift} isOutside={rule.isOneOutside} dash="4 3" width={1.4} />
      <Mark at={other} letter={letters[1]} shift={-shift} isOutside={rule.isOtherOutside} width={2.6} />
    </svg>
  );
}

interface Marks {
  least: number;
  middle: number;
  most: number;
}

interface MarkProps {
  at: Marks;
  letter: string;
  shift: number;
  isOutside: boolean;
  width: number;
  dash?: string;
}

function Mark({ at, letter, shift, isOutside, width, dash }: MarkProps) {
  const colour = isOutside ? 'var(--lead)' : 'var(--ink)';
  return (
    <g stroke={colour} fill="none">
      <path d={`M${at.middle} ${BASE - 10}v20`} strokeWidth={width} strokeDasharray={dash} />
      <path d={`M${at.least} ${BASE - 8}v-4H${at.most}v4`} strokeWidth="1.1" />
      <text x={at.middle + shift} y="12" textAnchor="middle" fontSize="13" fontWeight="600" fill={colour} stroke="none">
        {letter}
      </text>
    </g>
  );
}
