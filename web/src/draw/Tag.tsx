/** A station's name in its shop tag: two clipped corners on the left, a hole. */
export function Tag({ label, large = false, lead = false }: { label: string; large?: boolean; lead?: boolean }) {
  const colour = lead ? 'var(--lead)' : 'var(--ink)';
  return (
    <span className={large ? 'tag large' : 'tag'}>
      <svg viewBox="0 0 100 50" preserveAspectRatio="none" aria-hidden="true">
        <path d="M13 1H99V49H13L1 37V13Z" fill="var(--sheet)" stroke={colour} strokeWidth="1.4" vectorEffect="non-scaling-stroke" />
        <ellipse cx="14" cy="25" rx="4" ry="7" fill="none" stroke={colour} strokeWidth="1.4" vectorEffect="non-scaling-stroke" />
      </svg>
      <span>{label}</span>
    </span>
  );
}

export function Keycap({ children }: { children: string }) {
  return <kbd className="keycap">{children}</kbd>;
}
