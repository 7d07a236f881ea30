import { memo, useEffect, useLayoutEffect, useRef, type KeyboardEvent } from 'react';
import { draftsOf, useDraft } from '../entry/drafts';
import { refusedIn } from '../entry/refusal';
import type { SlotState } from '../entry/slots';
import { useHand } from '../frame/Chosen';
import { words } from '../shared/messages';

interface Props {
  name: string;
  caseId: string;
  /** Key of the slot, under which what is half typed is kept. */
  slot: string;
  state: SlotState;
  active: boolean;
  /** The test height in the head of the column, for loads. */
  headAt: string | null;
  onOpen: () => void;
  /** A text to record, or null where nothing changed; and how far to go on. */
  onCommit: (text: string | null, along: number) => void;
  onStep: (rows: number, columns: number) => void;
}

/** One reading. Only the active cell is an input; the others are text. What is half typed stays in its cell and is no record. */
export const SheetCell = memo(function SheetCell(props: Props) {
  const { state, active, name, headAt, caseId, slot, onOpen } = props;
  const draft = useDraft(caseId, slot);
  const refused = refusedIn(state);
  const text = refused?.entry.data.text ?? state.entry?.shown ?? '';
  const otherHeight = headAt !== null && state.entry?.atShown != null && state.entry.atText !== headAt ? ` @${state.entry.atShown}` : '';
  if (active) return <LiveCell {...props} />;
  const shown = draft ?? text;
  const kept = refused === null ? state.entry?.content.kept : undefined;
  const noFigure = refused === null && state.entry?.content.notMeasurable !== undefined;
  return (
    <td
      className={['figure', refused === null ? '' : 'refused', draft === null ? '' : 'half-typed'].join(' ').trim()}
      onClick={onOpen}
      aria-label={`${name}: ${shown === '' ? 'empty' : shown}${draft === null ? '' : `, ${words.bench.halfTyped}`}`}
      title={draft === null ? undefined : words.bench.halfTyped}
    >
      {shown === '' ? <span className="quiet">–</span> : noFigure && draft === null ? <span className="no-figure">{shown}</span> : shown}
      {kept !== undefined && draft === null && (
        <b className="kept" title={words.bench.kept(kept)} aria-label={words.bench.kept(kept)}>
          !
        </b>
      )}
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
    before.name === after.name &&
    before.slot === after.slot
  );
}

function LiveCell({ state, name, caseId, slot, onCommit, onStep }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const refused = refusedIn(state);
  const stands = refused?.entry.data.text ?? state.entry?.shown ?? '';
  const typed = useDraft(caseId, slot);
  const type = (text: string | null): void => draftsOf(caseId).set(slot, text);
  const hand = useHand();
  const offer = refused?.problem?.offers?.[0];

  useLayoutEffect(() => {
    // Where two sheets stand on one page, the one that has the hand keeps it; and a hand that walks the plan stays there.
    const own = input.current?.closest('.bench-table');
    const held = document.activeElement?.closest('.bench-table, [role=grid]') ?? null;
    if (held !== null && held !== own) return;
    input.current?.focus({ preventScroll: false });
    input.current?.select();
    input.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [hand]);
  useEffect(() => {
    // What another hand entered meanwhile is replaced by typing, as what stood there before would have been; what is half typed is not.
    if (document.activeElement === input.current && draftsOf(caseId).get(slot) === null) input.current?.select();
  }, [stands, caseId, slot]);
  const leave = (along: number): void => {
    const text = typed ?? (along === 1 && offer !== undefined ? offer : null);
    type(null);
    onCommit(text === null || (text.trim() === stands.trim() && refused === null) ? null : text, along);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.nativeEvent.isComposing) return;
    if (event.key === 'Enter') {
      event.preventDefault();
      leave(event.shiftKey ? -1 : 1);
    } else if (event.key === 'Tab' && typed !== null) {
      leave(0);
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
    <td className={['figure live', refused === null ? '' : 'refused', typed === null ? '' : 'half-typed'].join(' ').trim()}>
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
      />
    </td>
  );
}
