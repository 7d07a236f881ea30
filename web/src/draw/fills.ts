/** Fills drawn as lines, so that a drawing needs nothing from the page it stands on and prints as it shows. */
export type Point = readonly [x: number, y: number];

const figure = (n: number): string => String(Math.round(n * 100) / 100);

export const box = (x: number, y: number, width: number, height: number): Point[] => [
  [x, y],
  [x + width, y],
  [x + width, y + height],
  [x, y + height],
];

/** A circle, as near as a fill needs it. */
export const disc = (x: number, y: number, radius: number): Point[] =>
  Array.from({ length: 24 }, (_, i) => [x + radius * Math.cos((i * Math.PI) / 12), y + radius * Math.sin((i * Math.PI) / 12)]);

/** Path of parallel lines within a convex outline: `degrees` from the horizontal as a protractor reads, `pitch` apart. */
export function lines(outline: readonly Point[], degrees: number, pitch: number): string {
  const turn = (degrees * Math.PI) / 180;
  const along: Point = [Math.cos(turn), -Math.sin(turn)];
  const across: Point = [-along[1], along[0]];
  const dot = (a: Point, b: Point): number => a[0] * b[0] + a[1] * b[1];
  const offsets = outline.map((point) => dot(point, across));
  const most = Math.max(...offsets);
  let path = '';
  for (let at = Math.ceil(Math.min(...offsets) / pitch + 0.01) * pitch; at < most; at += pitch) {
    const cuts = outline.flatMap((from, i) => {
      const to = outline[(i + 1) % outline.length] ?? from;
      const [a, b] = [dot(from, across) - at, dot(to, across) - at];
      if (a < 0 === b < 0) return [];
      const share = a / (a - b);
      return [dot([from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])], along)];
    });
    const [from, to] = [Math.min(...cuts), Math.max(...cuts)];
    const point = (s: number): string => `${figure(s * along[0] + at * across[0])} ${figure(s * along[1] + at * across[1])}`;
    if (to - from > 0.05) path += `M${point(from)}L${point(to)}`;
  }
  return path;
}

/** Path of dots within a convex outline, each a short stroke to be drawn with round ends; every second row is set off by half. */
export function dots(outline: readonly Point[], pitch: number): string {
  let path = '';
  const rows = outline.map(([, y]) => y);
  let off = false;
  for (let y = Math.min(...rows) + pitch / 2; y < Math.max(...rows); y += pitch / 2, off = !off) {
    const xs = outline.flatMap(([ax, ay], i) => {
      const [bx, by] = outline[(i + 1) % outline.length] ?? [ax, ay];
      return ay < y === by < y ? [] : [ax + ((y - ay) / (by - ay)) * (bx - ax)];
    });
    const to = Math.max(...xs);
    for (let x = Math.min(...xs) + pitch / (off ? 1 : 2); x < to; x += pitch) path += `M${figure(x)} ${figure(y)}h.1`;
  }
  return path;
}

/** How lines of what is tried are told apart, the one under the hand first. */
export const TRIED_DASHES = ['', '8 4', '2 4'] as const;
