import { temper, type TemperStep } from '../look/theme';
import { box, dots, lines, type Point } from './fills';

/** The pattern that repeats a step of the temper scale without colour, within an outline. */
export function TemperMarks({ step, outline }: { step: TemperStep; outline: readonly Point[] }) {
  if (step.patternInk === null) return null;
  const [path, width] =
    step.step === 1
      ? [dots(outline, 6), 2]
      : step.step === 2
        ? [lines(outline, 45, 5), 1.4]
        : step.step === 3
          ? [lines(outline, 45, 6) + lines(outline, -45, 6), 1.3]
          : [lines(outline, 0, 4), 1.5];
  return <path data-fill="temper" d={path} fill="none" stroke={step.patternInk} strokeWidth={width} strokeLinecap="round" opacity="0.75" />;
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
          <TemperMarks step={one} outline={CHIP} />
          {one.step > 0 && <rect x="5.5" y="4" width="11" height="14" fill={one.fill} />}
          <text x="11" y="16" textAnchor="middle" fontFamily="var(--condensed)" fontSize="14" fontWeight="700" fill={one.text}>
            {one.step}
          </text>
        </>
      )}
    </svg>
  );
}

const CHIP = box(1, 1, 20, 20);
