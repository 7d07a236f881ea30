import { useEffect, useRef, useState } from 'react';
import { ShotList } from '../photograph/ShotList';
import { useBench } from '../entry/useBench';
import type { Schemas } from '../shared/api';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { inList, useRoving } from '../shared/useRoving';
import { StepCard, type PlannedStep } from './NextStep';

const orderSlot = { place: 'engine', part: 'plan', item: 'order' };

/** The whole plan, in its order; a step is moved with Alt and an arrow, and what that breaks is said at once. */
export function Plan({ teardown }: { teardown: Schemas['TeardownView'] }) {
  const { slots, record, withdraw } = useBench();
  const [open, setOpen] = useState<string | null>(teardown.next);
  const moved = useRef<string | null>(null);
  const ordered = slots.get(orderSlot).entry?.content.codes ?? null;
  // The order as chosen here shows at once; what follows from it comes with the plan.
  const rank = (step: PlannedStep): number => {
    const at = ordered?.indexOf(step.code) ?? -1;
    return at < 0 ? teardown.steps.indexOf(step) + (ordered === null ? 0 : 1000) : at;
  };
  const steps = [...teardown.steps].sort((a, b) => rank(a) - rank(b));
  const move = (code: string, by: number): void => {
    const codes = steps.map((step) => step.code);
    const from = codes.indexOf(code);
    const to = from + by;
    if (to < 0 || to >= codes.length) return;
    codes.splice(to, 0, ...codes.splice(from, 1));
    moved.current = code;
    record('order', orderSlot, { codes }, words.plan.moved(steps[from]?.label ?? code));
  };
  const roving = useRoving<HTMLOListElement>(inList(steps.length), {
    first: Math.max(
      0,
      steps.findIndex((step) => step.code === open),
    ),
  });
  useEffect(() => {
    if (moved.current === null) return;
    roving.focus(steps.findIndex((step) => step.code === moved.current));
    moved.current = null;
  });
  const onKeyDown = useKeys([
    {
      shown: 'Alt ↑ ↓',
      does: words.keysDo.moveStep,
      on: /^Arrow(Up|Down)$/,
      alt: true,
      run: ({ key, target }) => {
        const step = steps[Number((target as HTMLElement).dataset['roving'] ?? NaN)];
        if (step) move(step.code, key === 'ArrowDown' ? 1 : -1);
      },
    },
  ]);
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
        <ol ref={roving.ref} onKeyDown={roving.onKeyDown}>
          {steps.map((step, i) => (
            <li key={step.code} className={step.state}>
              <button
                type="button"
                aria-current={step.code === shown?.code}
                onClick={() => setOpen(step.code)}
                {...roving.item(i)}
                onFocus={(event) => {
                  roving.item(i).onFocus(event);
                  setOpen(step.code);
                }}
                onKeyDown={onKeyDown}
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
