import { box, lines } from './fills';

interface Props {
  x: number;
  y: number;
  width: number;
  height: number;
  lead?: boolean;
  opacity?: number;
}

/** What is not allowed: hatched, in lead where something stands in it. */
export function Hatch({ x, y, width, height, lead = false, opacity = 0.75 }: Props) {
  if (width <= 0 || height <= 0) return null;
  return (
    <path
      data-fill="hatch"
      d={lines(box(x, y, width, height), 45, 5)}
      fill="none"
      stroke={lead ? 'var(--lead)' : 'var(--ink3)'}
      strokeWidth={lead ? 2 : 1.5}
      opacity={opacity}
    />
  );
}
