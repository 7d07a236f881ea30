import { InputNumber } from 'antd';
import { useState } from 'react';

interface Props {
  value: number | null;
  label: string;
  disabled?: boolean;
  /** Told of a whole number once it is finished. */
  onCounted: (count: number) => void;
}

const MOST = 500;

/** A number of pieces: recorded when the field is left or Enter is pressed, not with each digit. */
export function CountField({ value, label, disabled = false, onCounted }: Props) {
  const [typed, setTyped] = useState<number | null | undefined>(undefined);
  const finish = (): void => {
    if (typed !== undefined && typed !== null && typed !== value) onCounted(typed);
    setTyped(undefined);
  };
  return (
    <InputNumber
      value={typed === undefined ? value : typed}
      min={0}
      max={MOST}
      precision={0}
      disabled={disabled}
      aria-label={label}
      onChange={setTyped}
      onBlur={finish}
      onPressEnter={finish}
    />
  );
}
