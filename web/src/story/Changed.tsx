import { Asked } from '../entry/Asked';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';

/** What was changed before the engine came, and what came of it: a part changed without effect is not what it comes from. */
export function Changed() {
  const { view } = useBench();
  const possible = new Set(view.possibleSigns);
  const questions = (useCatalogue().data?.asked ?? []).filter(
    (one) => one.step === 'story' && one.signs.some((sign) => possible.has(sign)),
  );
  return (
    <section className="changed" aria-label={words.story.changed}>
      <h3>{words.story.changed}</h3>
      <p className="note">{words.story.changedHint}</p>
      <div className="changed-parts">
        {questions.map((question) => (
          <div key={question.code}>
            <span>{question.ask}</span>
            <Asked question={question} place="engine" narrow />
          </div>
        ))}
      </div>
    </section>
  );
}
