import { Input } from 'antd';
import { useId, useState, type KeyboardEvent } from 'react';

interface Props {
  label: string;
  /** What stands, as it is shown. */
  stands: string;
  /** What was not accepted, and why: it stays in the field. */
  refused?: { text: string; reason: string } | null;
  /** Why a text cannot be recorded at all; null where it can. */
  check?: (text: string) => string | null;
  /** Told of the text when the field is left, or on Enter, where it differs; '' takes back what stands. */
  onRecord: (text: string) => void;
  placeholder?: string;
  maxLength?: number;
  /** How wide it is, where that is not left to its place. */
  width?: number;
  isFigure?: boolean;
  disabled?: boolean;
}

/** A text that is recorded when its field is left or Enter pressed, not with each letter; Esc puts back what stood. */
export function EntryField({ label, stands, refused = null, check, onRecord, isFigure = false, width, ...field }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const why = useId();
  const reason = typed === null ? (refused?.reason ?? null) : (check?.(typed.trim()) ?? null);
  const [told, setTold] = useState(false);
  const finish = (): void => {
    const text = typed?.trim() ?? null;
    if (text === null) return;
    if (text !== '' && check?.(text)) {
      setTold(true); // it stays as it was typed, with what is accepted
      return;
    }
    setTyped(null);
    setTold(false);
    if (text !== stands || refused !== null) onRecord(text);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.nativeEvent.isComposing) return;
    if (event.key === 'Enter') finish();
    if (event.key === 'Escape') {
      setTyped(null);
      setTold(false);
    }
  };
  const isWrong = reason !== null && (typed === null || told);
  return (
    <>
      <Input
        {...field}
        value={typed ?? refused?.text ?? stands}
        data-committed={stands}
        aria-label={label}
        aria-invalid={isWrong}
        aria-describedby={isWrong ? why : undefined}
        status={isWrong ? 'error' : ''}
        className={isFigure ? 'figures' : ''}
        inputMode={isFigure ? 'decimal' : undefined}
        {...(width === undefined ? {} : { style: { width } })}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={finish}
        onKeyDown={onKeyDown}
      />
      {isWrong && (
        <span id={why} className="wrong note" role="alert">
          {reason}
        </span>
      )}
    </>
  );
}
