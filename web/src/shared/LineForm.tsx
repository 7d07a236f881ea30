import { Button, Input } from 'antd';
import type { ReactNode } from 'react';

interface Props {
  label: string;
  heading?: string;
  /** What its button says. */
  send: string;
  isReady: boolean;
  onSend: () => void;
  children: ReactNode;
  /** Beside the button. */
  after?: ReactNode;
}

/** A form in a line: sent by Enter or its button, once what it needs is there. */
export function LineForm({ label, heading, send, isReady, onSend, children, after }: Props) {
  return (
    <form
      className="line-form"
      aria-label={label}
      onSubmit={(event) => {
        event.preventDefault();
        onSend(); // a form whose button is off is not sent by Enter either
      }}
    >
      {heading !== undefined && <h3>{heading}</h3>}
      {children}
      <Button htmlType="submit" disabled={!isReady}>
        {send}
      </Button>
      {after}
    </form>
  );
}

/** Words in such a line; what they are stands in the field until it is typed in. */
export function LineText({ value, label, onChange }: { value: string; label: string; onChange: (value: string) => void }) {
  return <Input value={value} maxLength={200} placeholder={label} aria-label={label} onChange={(event) => onChange(event.target.value)} />;
}
