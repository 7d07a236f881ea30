import { Input } from 'antd';
import { useState, type ReactNode } from 'react';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import type { Content } from './useShelf';

interface FieldProps {
  label: string;
  value: string;
  hint?: string;
  unit?: string;
  onChange: (value: string) => void;
}

/** A field of a form with its name before it and its unit behind it. */
export function Field({ label, value, hint = '', unit = '', onChange }: FieldProps) {
  return (
    <Labelled label={label} hint={hint}>
      <Input
        value={value}
        aria-label={label}
        autoComplete="off"
        suffix={unit === '' ? undefined : <span className="note">{unit}</span>}
        onChange={(event) => onChange(event.target.value)}
      />
    </Labelled>
  );
}

/** What else is to be said of it. */
export const NoteField = ({ content, onChange }: { content: Content; onChange: (content: Content) => void }) => (
  <Input.TextArea
    value={typeof content['note'] === 'string' ? content['note'] : ''}
    placeholder={words.library.note}
    aria-label={words.library.note}
    autoSize={{ minRows: 2 }}
    onChange={(event) => onChange({ ...content, note: event.target.value })}
  />
);

export function Labelled({ label, hint = '', children }: { label: string; hint?: string; children: ReactNode }) {
  return (
    <div className="field">
      <span>
        {label}
        {hint !== '' && <small className="note">{hint}</small>}
      </span>
      {children}
    </div>
  );
}

/** What stands under a name as it is typed; nothing there is an empty field. */
export const shown = (content: Content, key: string): string => {
  const value = content[key];
  return typeof value === 'number' || typeof value === 'string' ? String(value) : '';
};

/** The figure that was typed: a number, or the words as they are, for the server to refuse by name; null where nothing was typed. */
export function figure(text: string): number | string | null {
  const plain = text.trim().replace(',', '.');
  if (plain === '') return null;
  return Number.isFinite(Number(plain)) ? Number(plain) : text;
}

interface FigureProps {
  label: string;
  value: unknown;
  prefix?: string;
  unit?: string;
  /** Of a share, which is typed in per cent. */
  isShare?: boolean;
  onChange: (value: number | string | null) => void;
}

/** A field for a figure: it shows what is being typed, "0." too, and tells the number that it comes to. */
export function FigureInput({ label, value, prefix = '', unit = '', isShare = false, onChange }: FigureProps) {
  const [typed, type] = useState<string | null>(null);
  const read = (text: string): number | string | null => {
    const told = figure(text);
    return isShare && typeof told === 'number' ? Number((told / 100).toPrecision(12)) : told;
  };
  const stands =
    typeof value === 'number' ? String(isShare ? Number((value * 100).toPrecision(12)) : value) : typeof value === 'string' ? value : '';
  return (
    <Input
      value={typed !== null && read(typed) === (value ?? null) ? typed : stands}
      aria-label={label}
      autoComplete="off"
      prefix={prefix === '' ? undefined : <span className="note">{prefix}</span>}
      suffix={unit === '' ? undefined : <span className="note">{unit}</span>}
      onChange={(event) => {
        type(event.target.value);
        onChange(read(event.target.value));
      }}
    />
  );
}

/** The content with what was typed under a name; an empty field leaves it out. */
export function withMember(content: Content, key: string, value: unknown): Content {
  const others = Object.fromEntries(Object.entries(content).filter(([name]) => name !== key));
  return value === null || value === '' ? others : { ...others, [key]: value };
}

/** Whose figures they are, and where they come from: said with whatever a shop sets otherwise than it is shipped. */
export function Sourced({ content, onChange }: { content: Content; onChange: (content: Content) => void }) {
  return (
    <>
      <Labelled label={words.library.mark}>
        <Choice
          value={shown(content, 'mark')}
          label={words.library.mark}
          width="100%"
          onChange={(mark) => onChange({ ...content, mark })}
          options={(['pub', 'practice', 'own'] as const).map((value) => ({ value, label: words.library.marks[value] }))}
        />
      </Labelled>
      <Input.TextArea
        value={shown(content, 'source')}
        aria-label={words.library.source}
        placeholder={words.library.source}
        autoSize={{ minRows: 2 }}
        onChange={(event) => onChange(withMember(content, 'source', event.target.value))}
      />
    </>
  );
}
