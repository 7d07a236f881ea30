import { memo, useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { words } from '../shared/messages';
import type { SlotState } from '../entry/slots';

interface Props {
  name: string;
  state: SlotState;
  active: boolean;
  /** The test height in the head of the column, for loads. */
  headAt: string | null;
  onOpen: () => void;
  onTyping: (typing: boolean) => void;
  /** A text to record, or null where nothing changed; and how far to go on. */
  onCommit: (text: string | null, along: number) => void;
  onStep: (rows: number, columns: number) => void;
}

/** One reading. Only the active cell is an input; the others are text. */
export const SheetCell = memo(function SheetCell(props: Props) {
  const { state, active, name, headAt, onOpen } = props;
  const refused = state.outgoing !== null && state.outgoing.state !== 'waiting' ? state.outgoing : null;
  const text = refused?.entry.data.text ?? state.entry?.shown ?? '';
  const otherHeight = headAt !== null && state.entry?.atShown != null && state.entry.atText !== headAt ? ` @${state.entry.atShown}` : '';
  if (active) return <LiveCell {...props} />;
  return (
    <td className={refused === null ? 'figure' : 'figure refused'} onClick={onOpen} aria-label={`${name}: ${text === '' ? 'empty' : text}`}>
      {text === '' ? <span className="quiet">–</span> : text}
      {state.entry?.content.received === true && <i className="cable" title={words.bench.received} />}
      <small>{otherHeight}</small>
    </td>
  );
}, same);

/** Handlers are new at every render and mean the same; what is shown decides. */
function same(before: Props, after: Props): boolean {
  return (
    !after.active &&
    !before.active &&
    before.state.entry === after.state.entry &&
    before.state.outgoing === after.state.outgoing &&
    before.headAt === after.headAt &&
    before.name === after.name
  );
}

function LiveCell({ state, name, onTyping, onCommit, onStep }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const refused = state.outgoing !== null && state.outgoing.state !== 'waiting' ? state.outgoing : null;
  const stands = refused?.entry.data.text ?? state.entry?.shown ?? '';
  const [typed, setTyped] = useState<string | null>(null);
  const offer = refused?.problem?.offers?.[0];

  useEffect(() => {
    // Where two sheets stand on one page, the one that has the hand keeps it.
    const held = document.activeElement?.closest('.bench-table') ?? null;
    if (held !== null && held !== input.current?.closest('.bench-table')) return;
    input.current?.focus({ preventScroll: false });
    input.current?.select();
    input.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, []);
  const type = (text: string | null): void => {
    setTyped(text);
    onTyping(text !== null);
  };
  const leave = (along: number): void => {
    const text = typed ?? (along === 1 && offer !== undefined ? offer : null);
    type(null);
    onCommit(text === null || (text.trim() === stands.trim() && refused === null) ? null : text, along);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key === 'Enter') {
      event.preventDefault();
      leave(event.shiftKey ? -1 : 1);
    } else if (event.key === 'Escape') {
      type(null);
    } else if (event.key.startsWith('Arrow') && typed === null && !event.altKey) {
      event.preventDefault();
      onStep(
        event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0,
        event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0,
      );
    }
  };
  return (
    <td className={refused === null ? 'figure live' : 'figure live refused'}>
      <input
        ref={input}
        value={typed ?? stands}
        data-committed={stands}
        aria-label={name}
        aria-invalid={refused !== null}
        inputMode="decimal"
        autoComplete="off"
        onChange={(event) => type(event.target.value)}
        onKeyDown={onKeyDown}
        onBlur={() => leave(0)}
      />
    </td>
  );
}
