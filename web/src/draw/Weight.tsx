const FULL = 10 * Math.log10(64);
const TICKS = [2, 4, 8, 16, 32, 64];

interface Props {
  decibans: number;
  width?: number;
  height?: number;
}

/** How much a line of evidence weighs: length is logarithmic, full at a factor of 64; for grows from the right, against from the left. */
export function Weight({ decibans, width = 100, height = 24 }: Props) {
  const length = 100 * Math.min(1, Math.abs(decibans) / FULL);
  const isFor = decibans > 0;
  const x = (factor: number): number => (100 * 10 * Math.log10(factor)) / FULL;
  return (
    <svg width={width} height={height} viewBox="0 0 100 24" aria-hidden="true">
      <path d={TICKS.map((factor) => `M${isFor ? 100 - x(factor) : x(factor)} 20v3`).join('')} stroke="var(--edge)" />
      {isFor ? (
        <rect x={100 - length} y="7" width={length} height="10" fill="var(--ink)" />
      ) : (
        <rect x="0.75" y="7.75" width={Math.max(1, length - 1.5)} height="8.5" fill="none" stroke="var(--ink)" strokeWidth="1.5" />
      )}
    </svg>
  );
}
