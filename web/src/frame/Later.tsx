import { words } from '../shared/messages';
import { useBench } from '../entry/useBench';

/** A step that this version does not have, said plainly. */
export function Later({ step }: { step: string }) {
  const { view } = useBench();
  const name = view.steps.find((one) => one.code === step)?.label ?? step;
  return (
    <div className="sheet pad">
      <div className="empty">
        <b>{words.step.notHere(name)}</b>
        {words.step.notHereWhat}
      </div>
    </div>
  );
}
