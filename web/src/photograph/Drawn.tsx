import type { Schemas } from '../shared/api';

export type Measure = Pick<Schemas['MeasureView'], 'shape' | 'points' | 'words' | 'measured'>;

interface Props {
  measure: Measure;
  /** What one screen pixel is worth in pixels of the picture: lines keep their width at every zoom. */
  pixel: number;
  number?: number;
  chosen?: boolean;
}

/** Centre and radius of the circle through three points. */
export function circleThrough(points: readonly (readonly [number, number])[]): { x: number; y: number; r: number } | null {
  const [a, b, c] = points;
  if (a === undefined || b === undefined || c === undefined) return null;
  const d = 2 * (a[0] * (b[1] - c[1]) + b[0] * (c[1] - a[1]) + c[0] * (a[1] - b[1]));
  if (Math.abs(d) < 1e-6) return null;
  const sq = (p: readonly [number, number]): number => p[0] ** 2 + p[1] ** 2;
  const x = (sq(a) * (b[1] - c[1]) + sq(b) * (c[1] - a[1]) + sq(c) * (a[1] - b[1])) / d;
  const y = (sq(a) * (c[0] - b[0]) + sq(b) * (a[0] - c[0]) + sq(c) * (b[0] - a[0])) / d;
  return { x, y, r: Math.hypot(a[0] - x, a[1] - y) };
}

/** A drawing on a picture: a light line in a dark one, so that it reads on any ground. Never in the colours of severity. */
export function Drawn({ measure, pixel, number, chosen = false }: Props) {
  const points = measure.points as [number, number][];
  const [first, second] = points;
  if (first === undefined) return null;
  const last = points.at(-1) ?? first;
  const text = measure.shape === 'text' ? measure.words : (measure.measured?.shown ?? '');
  const path =
    measure.shape === 'outline'
      ? `M${points.map((p) => p.join(' ')).join('L')}Z`
      : measure.shape === 'angle' || measure.shape === 'length' || measure.shape === 'scale' || measure.shape === 'arrow'
        ? `M${points.map((p) => p.join(' ')).join('L')}`
        : '';
  const circle = measure.shape === 'diameter' ? circleThrough(points) : null;
  const angle = second === undefined ? 0 : (Math.atan2(last[1] - first[1], last[0] - first[0]) * 180) / Math.PI;
  const size = 15 * pixel;
  const line = (width: number, stroke: string) => (
    <g stroke={stroke} strokeWidth={width * pixel} fill="none" strokeLinecap="round" strokeLinejoin="round">
      {path !== '' && <path d={path} />}
      {circle && <circle cx={circle.x} cy={circle.y} r={circle.r} />}
      {measure.shape === 'arrow' && (
        <path
          d={`M${-14 * pixel} ${-7 * pixel}L0 0L${-14 * pixel} ${7 * pixel}`}
          transform={`translate(${last[0]} ${last[1]}) rotate(${angle})`}
        />
      )}
      {(measure.shape === 'length' || measure.shape === 'scale') &&
        points.map((p, i) => (
          <path key={i} d={`M0 ${-6 * pixel}V${6 * pixel}`} transform={`translate(${p[0]} ${p[1]}) rotate(${angle})`} />
        ))}
    </g>
  );
  const anchor: [number, number] =
    measure.shape === 'length' || measure.shape === 'scale'
      ? [(first[0] + last[0]) / 2, (first[1] + last[1]) / 2 - 9 * pixel]
      : [last[0] + 10 * pixel, last[1] - 8 * pixel];
  return (
    <g>
      {line(chosen ? 6.5 : 4.5, '#102822')}
      {line(chosen ? 3 : 2, '#F4FBF7')}
      {measure.shape === 'mark' && (
        <>
          <circle cx={first[0]} cy={first[1]} r={13 * pixel} fill="#102822" stroke="#F4FBF7" strokeWidth={2 * pixel} />
          <text
            x={first[0]}
            y={first[1] + 5 * pixel}
            textAnchor="middle"
            fontSize={size}
            fontWeight="700"
            fill="#F4FBF7"
            fontFamily="var(--condensed)"
          >
            {number}
          </text>
        </>
      )}
      {text !== '' && (
        <text
          x={anchor[0]}
          y={anchor[1]}
          textAnchor={measure.shape === 'length' || measure.shape === 'scale' ? 'middle' : 'start'}
          fontSize={size}
          fontWeight="600"
          fontFamily="var(--condensed)"
          fill="#F4FBF7"
          stroke="#102822"
          strokeWidth={4 * pixel}
          paintOrder="stroke"
        >
          {text}
        </text>
      )}
    </g>
  );
}
