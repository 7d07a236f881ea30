import { Hatch } from './Hatch';

interface Props {
  /** Days from today until it is promised; negative when that has passed. */
  promised: number;
  least: number;
  most: number;
  late: boolean;
  width?: number;
  label: string;
}

/** The days of a promise: notch on the promised day, bracket over when it can be finished, today as a triangle. */
export function DaysRule({ promised, least, most, late, width = 150, label }: Props) {
  const from = Math.min(0, promised) - 1;
  const to = Math.max(promised, most) + 2;
  const x = (day: number): number => 4 + ((day - from) / (to - from)) * (width - 8);
  const notch = x(promised);
  const base = 21;
  const colour = late ? 'var(--lead)' : 'var(--ink)';
  const days = Array.from({ length: to - from + 1 }, (_, i) => from + i);
  return (
    <svg width={width} height={30} viewBox={`0 0 ${width} 30`} role="img" aria-label={label}>
      <Hatch x={notch} y={base - 10} width={width - 3 - notch} height={10} lead={late} opacity={late ? 1 : 0.75} />
      <path d={`M3 ${base}H${width - 3}`} stroke="var(--ink)" strokeWidth="1.2" />
      {days.length < 40 && <path d={days.map((day) => `M${x(day)} ${base}v3.5`).join('')} stroke="var(--ink)" />}
      <path d={`M${notch} ${base}l-4.5-10h9zv6`} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.2" />
      <path d={`M${x(least)} 8v-6H${x(most)}v6`} fill="none" stroke={colour} strokeWidth="1.4" />
      <path d={`M${x((least + most) / 2)} 2V${base + 2}`} stroke={colour} strokeWidth="2.4" />
      <path d={`M${x(0)} ${base + 1}l-4.5 8h9z`} fill="var(--enamel)" />
    </svg>
  );
}
