import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';

/** A step that this version does not have, said plainly; anything that is no step is something else. */
export function Later({ otherwise }: { otherwise: ReactNode }) {
  const { view } = useBench();
  const { step: code } = useParams();
  const step = view.steps.find((one) => one.code === code);
  if (step === undefined) return otherwise;
  return (
    <div className="sheet pad">
      <div className="empty">
        <b>{words.step.notHere(step.label)}</b>
        {words.step.notHereWhat}
      </div>
    </div>
  );
}
