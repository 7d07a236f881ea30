import { temper } from '../look/theme';

/** The patterns that repeat the temper scale without colour. Once a page. */
export function TemperPatterns() {
  const ink = (step: number): string => temper[step]?.patternInk ?? 'none';
  return (
    <svg width="0" height="0" aria-hidden="true" style={{ position: 'absolute' }}>
      <defs>
        <pattern id="temper1" width="6" height="6" patternUnits="userSpaceOnUse">
          <circle cx="1.5" cy="1.5" r="1" fill={ink(1)} />
          <circle cx="4.5" cy="4.5" r="1" fill={ink(1)} />
        </pattern>
        <pattern id="temper2" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <path d="M0 0V5" stroke={ink(2)} strokeWidth="1.4" />
        </pattern>
        <pattern id="temper3" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V6M0 0H6" stroke={ink(3)} strokeWidth="1.3" />
        </pattern>
        <pattern id="temper4" width="4" height="4" patternUnits="userSpaceOnUse">
          <path d="M0 1H4" stroke={ink(4)} strokeWidth="1.5" />
        </pattern>
        <pattern id="hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V5" stroke="var(--ink3)" strokeWidth="1.5" />
        </pattern>
        <pattern id="hatch-lead" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V5" stroke="var(--lead)" strokeWidth="2" />
        </pattern>
        <pattern id="stripes" width="3" height="4" patternUnits="userSpaceOnUse">
          <path d="M1 0V4" stroke="var(--ink)" strokeWidth="1.4" />
        </pattern>
        <pattern id="stripes-lead" width="3" height="4" patternUnits="userSpaceOnUse">
          <path d="M1 0V4" stroke="var(--lead)" strokeWidth="1.4" />
        </pattern>
      </defs>
    </svg>
  );
}

/** A severity: fill, pattern on the rim, digit in the middle. The word stands beside it. */
export function TemperChip({ step, size = 22 }: { step: number | null; size?: number }) {
  const one = step === null ? undefined : temper[step];
  return (
    <svg width={size} height={size} viewBox="0 0 22 22" role="img" aria-label={one ? `${one.step}, ${one.word}` : 'not looked'}>
      {one === undefined ? (
        <rect x="1" y="1" width="20" height="20" rx="2" fill="none" stroke="var(--edge)" strokeWidth="1.3" strokeDasharray="3 2.5" />
      ) : (
        <>
          <rect x="0.5" y="0.5" width="21" height="21" rx="2" fill={one.fill} stroke="var(--ink)" />
          {one.step > 0 && <rect x="1" y="1" width="20" height="20" fill={`url(#temper${one.step})`} opacity="0.75" />}
          {one.step > 0 && <rect x="5.5" y="4" width="11" height="14" fill={one.fill} />}
          <text x="11" y="16" textAnchor="middle" fontFamily="var(--condensed)" fontSize="14" fontWeight="700" fill={one.text}>
            {one.step}
          </text>
        </>
      )}
    </svg>
  );
}
