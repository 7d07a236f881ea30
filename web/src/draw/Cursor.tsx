import type { PointerEvent } from 'react';

/** A point of a drawing. */
export type Point = readonly [x: number, y: number];

/** What a curve is under the cursor; with something tried or held beside it, by how much that differs. */
export interface ReadoutRow {
  name: string;
  value: string;
  difference?: string | undefined;
}

export interface Readout {
  /** Where the cursor stands, with its unit. */
  head: string;
  rows: readonly ReadoutRow[];
}

interface Room {
  left: number;
  right: number;
  top: number;
  foot: number;
}

interface Props {
  x: number;
  top: number;
  foot: number;
  readout: Readout | null;
  /** The strips in one of which the box is to stand. */
  rooms: readonly Room[];
  /** What runs through them, point by point: the box stands where the least of it is covered. */
  curves: readonly Point[];
}

const [BOX, ROW, EDGE] = [176, 19, 6];
/** How far from the cursor's line the box stands, and how near a curve may come to it. */
const [OFF, NEAR] = [12, 4];

/** The line through all strips of a drawing, and one box that says what each of them is there. */
export function Cursor({ x, top, foot, readout, rooms, curves }: Props) {
  const height = readout === null ? 0 : (readout.rows.length + 1) * ROW + EDGE;
  const [left, boxTop] = freest(x, height, rooms, curves);
  return (
    <>
      <path d={`M${x} ${top}V${foot}M${x - 5} ${top - 10}h10l-5 10Z`} stroke="var(--enamel)" strokeWidth="1.6" fill="var(--enamel)" />
      {readout !== null && (
        // The same is spoken by whoever holds the cursor.
        <g transform={`translate(${left} ${boxTop})`} data-readout aria-hidden="true">
          <rect width={BOX} height={height} fill="var(--sheet)" stroke="var(--ink)" />
          <text x={EDGE + 2} y={ROW - 4} className="axis enamel">
            {readout.head}
          </text>
          {readout.rows.map((row, i) => (
            <g key={row.name} transform={`translate(0 ${(i + 2) * ROW - 4})`}>
              <text x={EDGE + 2} className="axis">
                {row.name}
              </text>
              <text x={row.difference === undefined ? BOX - EDGE - 2 : BOX - 60} textAnchor="end" className="axis strong">
                {row.value}
              </text>
              {row.difference !== undefined && (
                <text x={BOX - EDGE - 2} textAnchor="end" className="axis enamel">
                  {row.difference}
                </text>
              )}
            </g>
          ))}
        </g>
      )}
    </>
  );
}

/** Left and top of a box beside the cursor, or else at an end of a strip, that covers the least of the curves and not the cursor. */
export function freest(x: number, height: number, rooms: readonly Room[], curves: readonly Point[]): Point {
  let best: { place: Point; covered: number } | null = null;
  for (const room of rooms) {
    const lefts = [x + OFF, x - OFF - BOX, room.left + EDGE, room.right - BOX - EDGE];
    const tops = [room.top + EDGE, (room.top + room.foot - height) / 2, room.foot - height - EDGE];
    for (const left of lefts)
      for (const top of tops) {
        if (left < room.left || left + BOX > room.right) continue;
        const isOver = (px: number): boolean => px > left - NEAR && px < left + BOX + NEAR;
        const covered = curves.filter(([px, py]) => isOver(px) && py > top - NEAR && py < top + height + NEAR).length;
        const score = covered + (isOver(x) ? curves.length : 0) + Math.max(0, height + EDGE - (room.foot - room.top)) / height;
        if (best === null || score < best.covered) best = { place: [left, top], covered: score };
      }
  }
  return best?.place ?? [x + OFF, 0];
}

/** Where a drawing was pressed, as shares of its width and height. */
export function pressed(event: PointerEvent<SVGSVGElement>): Point {
  const box = event.currentTarget.getBoundingClientRect();
  return [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height];
}

/** A difference with its sign, always. */
export const signed = (value: number, decimals: number): string =>
  `${value < 0 ? '−' : value > 0 ? '+' : '±'}${Math.abs(value).toFixed(decimals)}`;
