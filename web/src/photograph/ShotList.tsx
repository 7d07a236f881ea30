import type { Schemas } from '../shared/api';
import { words } from '../shared/messages';

/** What is still to be photographed, by the step that would destroy it. */
export function ShotList({ shots }: { shots: Schemas['TeardownView']['shots'] }) {
  const steps = [...new Set(shots.map((shot) => shot.before))];
  return (
    <section aria-label={words.plan.shots}>
      <h3>{words.plan.shots}</h3>
      {shots.length === 0 && <p className="note">{words.photo.noShots}</p>}
      <ul className="shots">
        {steps.map((step) => (
          <li key={step}>
            <span className="note">{words.plan.before(step)}</span>
            <b>
              {shots
                .filter((shot) => shot.before === step)
                .map((shot) => shot.label)
                .join(', ')}
            </b>
          </li>
        ))}
      </ul>
    </section>
  );
}
