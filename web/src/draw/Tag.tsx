const ADVANCE = { small: 9, large: 13.5 };

/** A station's name in its shop tag: two clipped corners on the left, a hole. */
export function Tag({ label, large = false, lead = false }: { label: string; large?: boolean; lead?: boolean }) {
  const height = large ? 42 : 24;
  const hole = large ? 26 : 18;
  const width = Math.max(large ? 84 : 52, hole + 12 + label.length * (large ? ADVANCE.large : ADVANCE.small));
  const clip = large ? 11 : 6;
  const colour = lead ? 'var(--lead)' : 'var(--ink)';
  return (
    <span className={large ? 'tag large' : 'tag'} style={{ width }}>
      <svg viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
        <path
          d={`M${clip} 1H${width - 1}V${height - 1}H${clip}L1 ${height - 1 - clip}V${1 + clip}Z`}
          fill="var(--sheet)"
          stroke={colour}
          strokeWidth="1.4"
        />
        <circle cx={large ? 13 : 9} cy={height / 2} r={large ? 4 : 2.6} fill="none" stroke={colour} strokeWidth="1.4" />
      </svg>
      <span style={{ marginLeft: hole }}>{label}</span>
    </span>
  );
}

export function Keycap({ children }: { children: string }) {
  return <kbd className="keycap">{children}</kbd>;
}
