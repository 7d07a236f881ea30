import { words } from '../shared/messages';
import { EntryField } from './EntryField';

interface Props {
  value: number | null;
  label: string;
  disabled?: boolean;
  /** Told of a whole number once it is finished. */
  onCounted: (count: number) => void;
}

const MOST = 500;
const isCount = (text: string): boolean => /^\d+$/.test(text) && Number(text) <= MOST;

/** A number of pieces: recorded when the field is left or Enter is pressed, not with each digit. */
export function CountField({ value, label, disabled = false, onCounted }: Props) {
  return (
    <EntryField
      label={label}
      stands={value === null ? '' : String(value)}
      check={(text) => (isCount(text) ? null : words.pieces.notACount(MOST))}
      onRecord={(text) => text !== '' && onCounted(Number(text))}
      isFigure
      width={70}
      disabled={disabled}
    />
  );
}
