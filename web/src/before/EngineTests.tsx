import { Asked } from '../entry/Asked';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import type { SheetLayout } from '../sheet/cells';
import { ToldSheet } from './ToldSheet';

/** What is asked of the engine as a whole, oil pressure and cam phase. */
export function EngineTests({ cams, tests }: { cams: SheetLayout | undefined; tests: SheetLayout | undefined }) {
  const catalogue = useCatalogue();
  const questions = (catalogue.data?.asked ?? []).filter(
    (one) => one.step === 'before' && one.site === 'engine' && one.code !== 'lash_state',
  );
  return (
    <div className="before-engine">
      <div className="asked-list">
        {questions.map((question) => (
          <Asked key={question.code} question={question} place="engine" />
        ))}
      </div>
      <ToldSheet layout={cams} foot={words.before.phaseFoot} />
      <ToldSheet layout={tests} />
    </div>
  );
}
