import { AxisBottom } from '@visx/axis';
import type { ScaleLinear } from '@visx/vendor/d3-scale';
import { Area } from '@visx/shape';
import { useId, type ReactNode } from 'react';
import { Hatch } from './Hatch';

export type Scale = ScaleLinear<number, number>;

/** Least and most at one place of the axis. */
export interface Ranged {
  at: number;
  least: number;
  most: number;
}

/** The height in pixels from which a strip has room for more than two or three rules. */
const TALL = 100;

interface StripProps {
  x: Scale;
  y: Scale;
  name: string;
  /** What is read off under the pointer. */
  reading?: string | undefined;
  children: ReactNode;
}

/** One quantity over the common axis: rules with their figures at the left, its name above, what is drawn cut to the strip. */
export function Strip({ x, y, name, reading, children }: StripProps) {
  const clip = useId();
  const [left = 0, right = 0] = x.range();
  const [bottom = 0, top = 0] = y.range();
  return (
    <g>
      {levels(y, bottom - top > TALL ? 4 : 2).map((tick) => (
        <g key={tick}>
          <path d={`M${left} ${y(tick)}H${right}`} stroke="var(--line)" />
          <text x={left - 6} y={y(tick) + 4} textAnchor="end" className="axis">
            {tick}
          </text>
        </g>
      ))}
      <path d={`M${left} ${top}V${bottom}`} stroke="var(--ink)" fill="none" />
      <clipPath id={clip}>
        <rect x={left} y={top} width={right - left} height={bottom - top} />
      </clipPath>
      <g clipPath={`url(#${clip})`}>{children}</g>
      <text x={left} y={top - 7} className="axis name">
        {name}
      </text>
      {reading !== undefined && (
        <text x={right} y={top - 7} textAnchor="end" className="axis name">
          {reading}
        </text>
      )}
    </g>
  );
}

/** About so many levels of a scale, and more where these would be one only: one level shows no measure. */
function levels(y: Scale, about: number): number[] {
  const ticks = y.ticks(about);
  return ticks.length > 1 || about > 5 ? ticks : levels(y, about + 1);
}

/** What is not allowed in a strip, from a value upwards. */
export function ForbiddenAbove({ x, y, value }: { x: Scale; y: Scale; value: number }) {
  const [left = 0, right = 0] = x.range();
  const top = y.range()[1] ?? 0;
  return (
    <>
      <Hatch x={left} y={top} width={right - left} height={y(value) - top} lead opacity={0.35} />
      <path d={`M${left} ${y(value)}H${right}`} stroke="var(--lead)" />
    </>
  );
}

/** A band from the least to the most at each place, closed. */
export function Band({ x, y, data }: { x: Scale; y: Scale; data: Ranged[] }) {
  return (
    <Area
      data={data}
      x={(one) => x(one.at)}
      y0={(one) => y(one.least)}
      y1={(one) => y(one.most)}
      fill="var(--ink2)"
      stroke="var(--ink)"
      strokeWidth={1}
    />
  );
}

/** The common axis below all strips. */
export function CommonAxis({ x, top, format }: { x: Scale; top: number; format: (value: number) => string }) {
  return (
    <AxisBottom
      scale={x}
      top={top}
      numTicks={8}
      hideAxisLine
      tickLength={4}
      tickStroke="var(--ink)"
      tickFormat={(value) => format(value.valueOf())}
      // A plain text: what stands in a drawing of its own inside the drawing is lost on paper.
      tickComponent={({ x: at, formattedValue }) => (
        <text x={at} y={20} textAnchor="middle" className="axis">
          {formattedValue}
        </text>
      )}
    />
  );
}
