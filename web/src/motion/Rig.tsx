import { Asked } from '../entry/Asked';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';

/** How a clearance was checked: what the rig was, and what of it spoils the figure. */
export function Rig() {
  const { view, slots } = useBench();
  const catalogue = useCatalogue();
  const asked = (catalogue.data?.asked ?? []).filter(
    (one) => one.step === 'motion' && (one.code !== 'rig_pushrod' || view.engine.drive === 'pushrod'),
  );
  if (asked.length === 0) return null;
  const answers = asked.map((question) => {
    const chosen = slots.get({ place: 'engine', part: question.part, item: question.code }).entry?.content.choice ?? null;
    return question.choices.find((one) => one.code === chosen) ?? null;
  });
  const good = answers.filter((one) => one !== null && !one.spoils).length;
  const spoilt = answers.filter((one) => one?.spoils === true);
  return (
    <details className="rig" open={good < asked.length && good > 0}>
      <summary>
        <b>{words.motion.piston.rig}</b>, {words.motion.piston.rigReady(good, asked.length)}
      </summary>
      {spoilt.map((one) => (
        <p key={one?.meaning} className="wrong">
          {one?.meaning}
        </p>
      ))}
      <div className="rig-rows">
        {asked.map((question) => (
          <div key={question.code} className="rig-row">
            <span>{question.ask}</span>
            <Asked question={question} place="engine" narrow />
          </div>
        ))}
      </div>
    </details>
  );
}
