import type { ReactNode } from 'react';
import { inList, useRoving } from './useRoving';

interface Props<T> {
  label: string;
  value: T | null;
  options: readonly { value: T; label: ReactNode; title?: string }[];
  onChange: (value: T) => void;
  className?: string;
}

/**
 * One of a few, all of them seen. One tab stop; arrows walk, and a press, Space or Enter chooses: what is chosen is recorded, so that
 * walking over it must not.
 */
export function Radios<T extends string | number>({ label, value, options, onChange, className = 'joined severities' }: Props<T>) {
  const chosen = options.findIndex((one) => one.value === value);
  const roving = useRoving<HTMLDivElement>(inList(options.length), { first: Math.max(0, chosen) });
  return (
    <div role="radiogroup" aria-label={label} className={className} ref={roving.ref} onKeyDown={roving.onKeyDown}>
      {options.map((one, i) => (
        <button
          key={one.value}
          type="button"
          role="radio"
          aria-checked={i === chosen}
          title={one.title}
          {...roving.item(i)}
          onClick={() => onChange(one.value)}
        >
          {one.label}
        </button>
      ))}
    </div>
  );
}
