import { Button, Input } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { useBench } from '../entry/useBench';
import type { Schemas } from '../shared/api';
import { whereMade } from '../entry/whereMade';
import { useCatalogue } from '../shared/queries';
import { words } from '../shared/messages';

export type PlannedStep = Schemas['PlannedStepView'];
type Requirement = Schemas['RequirementView'];

export const stepSlot = (code: string) => ({ place: 'engine', part: 'plan', item: `step.${code}` });

/** What a step destroys and what must be recorded first; done, done without, or left out with a reason. */
export function StepCard({ step, heading }: { step: PlannedStep; heading?: string }) {
  const { record, withdraw } = useBench();
  const [asking, setAsking] = useState<'done' | 'skipped' | null>(null);
  const [reason, setReason] = useState('');
  const set = (state: 'done' | 'skipped', note: string): void => {
    record('step', stepSlot(step.code), { state, ...(note === '' ? {} : { note }) }, `${step.label}, ${words.plan.states[state]}`);
    setAsking(null);
    setReason('');
  };
  const missing = step.missing > 0;
  return (
    <section className="step-card" aria-label={heading ?? step.label}>
      {heading !== undefined && <small className="quiet">{heading}</small>}
      <h3>{step.label}</h3>
      {step.because !== null && <p className="note">{step.because}.</p>}
      {step.destroys.length > 0 && step.state === 'open' && (
        <div className="warn destroys">
          <b className="wrong">{words.plan.destroys}:</b> {step.destroys.join('; ')}.
        </div>
      )}
      {step.tooEarlyFor.length > 0 && step.state === 'open' && (
        <p className="wrong">
          {words.plan.tooEarly}: {step.tooEarlyFor.join('; ')}.
        </p>
      )}
      {step.recordFirst.length > 0 && (
        <ul className="record-first" aria-label={words.plan.recordFirst}>
          {step.recordFirst.map((one) => (
            <Required key={`${one.kind}.${one.code}`} requirement={one} />
          ))}
        </ul>
      )}
      {step.caution !== null && step.state === 'open' && <p className="note caution">{step.caution}</p>}
      {step.state !== 'open' ? (
        <p className="quiet">
          {words.plan.states[step.state]}
          {step.reason === '' ? '' : `: ${step.reason}`}{' '}
          <button type="button" className="take-back" onClick={() => withdraw(stepSlot(step.code), step.label)}>
            {words.teardown.takeBack}
          </button>
        </p>
      ) : asking === null ? (
        <div className="step-acts">
          <Button type={missing ? 'default' : 'primary'} onClick={() => (missing ? setAsking('done') : set('done', ''))}>
            {missing ? words.plan.without(step.missing) : words.plan.done}
          </Button>
          <button type="button" className="take-back" onClick={() => setAsking('skipped')}>
            {words.plan.skip}
          </button>
        </div>
      ) : (
        <form
          className="step-acts"
          onSubmit={(event) => {
            event.preventDefault();
            if (reason.trim() !== '') set(asking, reason.trim());
          }}
        >
          <Input
            autoFocus
            value={reason}
            placeholder={words.plan.why}
            aria-label={words.plan.why}
            maxLength={1000}
            onChange={(event) => setReason(event.target.value)}
            onKeyDown={(event) => event.key === 'Escape' && setAsking(null)}
          />
          <Button htmlType="submit" disabled={reason.trim() === ''}>
            {asking === 'done' ? words.plan.goOn : words.plan.skip}
          </Button>
        </form>
      )}
    </section>
  );
}

/** Something to be recorded first: a tick when it is there, the way to it when it is not. */
function Required({ requirement }: { requirement: Requirement }) {
  const { view, slots, record, withdraw } = useBench();
  const catalogue = useCatalogue();
  if (requirement.kind === 'confirm') {
    const slot = { place: 'engine', part: 'plan', item: `confirm.${requirement.code}` };
    const ticked = slots.get(slot).entry !== null;
    return (
      <li>
        <label>
          <input
            type="checkbox"
            checked={ticked}
            onChange={() => (ticked ? withdraw(slot, requirement.label) : record('step', slot, { state: 'done' }, requirement.label))}
          />{' '}
          {requirement.label}
        </label>
      </li>
    );
  }
  const place = requirement.place;
  const to = whereMade(requirement.kind, { place: place ?? 'engine', part: '', item: requirement.code }, catalogue.data);
  return (
    <li className={requirement.recorded ? '' : 'open'}>
      <span aria-hidden="true">{requirement.recorded ? '✓' : '○'}</span>
      <span>
        {requirement.label}
        {!requirement.recorded && (
          <>
            {': '}
            <Link to={`/case/${view.id}/${to}`}>{requirement.known}</Link>
          </>
        )}
      </span>
    </li>
  );
}
