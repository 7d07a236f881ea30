import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { ShotList } from '../photograph/ShotList';
import { useBench } from '../entry/useBench';
import type { Schemas } from '../shared/api';
import { words } from '../shared/messages';
import { StepCard, type PlannedStep } from './NextStep';

const orderSlot = { place: 'engine', part: 'plan', item: 'order' };

/** The whole plan, in its order; a step is moved with Alt and an arrow, and what that breaks is said at once. */
export function Plan({ teardown }: { teardown: Schemas['TeardownView'] }) {
  const { slots, record, withdraw } = useBench();
  const [open, setOpen] = useState<string | null>(teardown.next);
  const list = useRef<HTMLOListElement>(null);
  const moved = useRef<string | null>(null);
  const ordered = slots.get(orderSlot).entry?.content.codes ?? null;
  // The order as chosen here shows at once; what follows from it comes with the plan.
  const rank = (step: PlannedStep): number => {
    const at = ordered?.indexOf(step.code) ?? -1;
    return at < 0 ? teardown.steps.indexOf(step) + (ordered === null ? 0 : 1000) : at;
  };
  const steps = [...teardown.steps].sort((a, b) => rank(a) - rank(b));
  useEffect(() => {
    if (moved.current === null) return;
    list.current?.querySelector<HTMLElement>(`[data-step="${moved.current}"]`)?.focus();
    moved.current = null;
  });
  const move = (code: string, by: number): void => {
    const codes = steps.map((step) => step.code);
    const from = codes.indexOf(code);
    const to = from + by;
    if (to < 0 || to >= codes.length) return;
    codes.splice(to, 0, ...codes.splice(from, 1));
    moved.current = code;
    record('order', orderSlot, { codes }, words.plan.moved(steps[from]?.label ?? code));
  };
  const onKey = (event: KeyboardEvent, code: string, at: number): void => {
    if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
    event.preventDefault();
    const by = event.key === 'ArrowDown' ? 1 : -1;
    if (event.altKey) move(code, by);
    else list.current?.querySelector<HTMLElement>(`[data-step="${steps[at + by]?.code ?? code}"]`)?.focus();
  };
  const shown = steps.find((step) => step.code === open) ?? steps[0];
  return (
    <div className="plan-list">
      <div className="plan-steps">
        <p className="note">
          {words.plan.hint}{' '}
          {ordered !== null && (
            <button type="button" className="take-back" onClick={() => withdraw(orderSlot, words.plan.usual)}>
              {words.plan.usual}
            </button>
          )}
        </p>
        <ol ref={list}>
          {steps.map((step, i) => (
            <li key={step.code} className={step.state}>
              <button
                type="button"
                data-step={step.code}
                aria-current={step.code === shown?.code}
                onClick={() => setOpen(step.code)}
                onFocus={() => setOpen(step.code)}
                onKeyDown={(event) => onKey(event, step.code, i)}
              >
                <span className="plan-mark" aria-hidden="true">
                  {step.state === 'done' ? '✓' : step.state === 'skipped' ? '–' : String(i + 1)}
                </span>
                <span>
                  {step.label}
                  <small className={step.tooEarlyFor.length > 0 && step.state === 'open' ? 'wrong' : ''}>{words.plan.line(step)}</small>
                </span>
              </button>
              <span className="plan-moves">
                <button type="button" tabIndex={-1} aria-label={words.plan.earlier(step.label)} onClick={() => move(step.code, -1)}>
                  {words.plan.up}
                </button>
                <button type="button" tabIndex={-1} aria-label={words.plan.later(step.label)} onClick={() => move(step.code, 1)}>
                  {words.plan.down}
                </button>
              </span>
            </li>
          ))}
        </ol>
      </div>
      <div className="plan-open">
        {shown && <StepCard key={shown.code} step={shown} />}
        <ShotList shots={teardown.shots} />
      </div>
    </div>
  );
}
