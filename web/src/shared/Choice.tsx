import { Select } from 'antd';
import { memo, useCallback, useEffect, useRef, type ReactNode } from 'react';

interface Props<T> {
  label: string;
  value: T | null;
  options: readonly { value: T; label: string; title?: string }[];
  onChange: (value: T) => void;
  /** Told when what was chosen is taken away; without it something is always chosen. */
  onClear?: () => void;
  placeholder?: string;
  width?: number | string;
  /** Whether a long list is narrowed by typing. */
  isSearched?: boolean;
  isBare?: boolean;
  className?: string;
}

const BY_LABEL = { optionFilterProp: 'label' };

/** One of many, opened from a list. It is drawn anew only where what it shows changed: many stand beside fields that are typed in. */
export function Choice<T extends string | number>({ options, onChange, onClear, ...shown }: Props<T>): ReactNode {
  const latest = useRef({ onChange, onClear });
  useEffect(() => {
    latest.current = { onChange, onClear };
  });
  const change = useCallback((value: string | number | undefined) => {
    if (value === undefined) latest.current.onClear?.();
    else latest.current.onChange(value as T);
  }, []);
  return <Drawn {...shown} options={JSON.stringify(options)} canClear={onClear !== undefined} onChange={change} />;
}

type DrawnProps = Omit<Props<string | number>, 'options' | 'onChange' | 'onClear'> & {
  options: string;
  canClear: boolean;
  onChange: (value: string | number | undefined) => void;
};

const Drawn = memo(function Drawn({
  label,
  value,
  options,
  canClear,
  placeholder,
  width,
  isSearched,
  isBare,
  className,
  onChange,
}: DrawnProps) {
  return (
    <Select<string | number>
      value={value}
      aria-label={label}
      placeholder={placeholder ?? null}
      allowClear={canClear}
      className={className ?? ''}
      variant={isBare === true ? 'borderless' : 'outlined'}
      popupMatchSelectWidth={false}
      showSearch={isSearched === true && BY_LABEL}
      style={{ width }}
      onChange={onChange}
      options={JSON.parse(options) as { value: string | number; label: string; title?: string }[]}
    />
  );
});
