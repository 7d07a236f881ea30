import { Button } from 'antd';
import { differences, enteredOf } from '../engine/draft';
import { EngineFields } from '../engine/EngineFields';
import { Theirs } from '../entry/Theirs';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import { SaveToLibrary } from './EngineLibrary';
import { useEngine } from './useEngine';

/** The engine of the case; a change that would leave entries without their place is refused with the list. */
export function EngineForm() {
  const { view } = useBench();
  const document = useEngine(view);
  const entered = enteredOf(document.draft, view.engine);
  return (
    <form
      className="engine-form"
      onSubmit={(event) => {
        event.preventDefault();
        void document.save();
      }}
    >
      {document.theirs !== null && <Theirs differences={differences(document.theirs, document.draft)} onTake={document.takeTheirs} />}
      <EngineFields draft={document.draft} entered={entered} onChange={(part) => void document.change(part)} />
      <div className="acts-row">
        <Button type="primary" htmlType="submit" disabled={document.state === 'saved'} loading={document.state === 'saving'}>
          {document.state === 'saved' ? words.story.saved : words.story.saveEngine}
        </Button>
        {document.problem !== null && (
          <span className="wrong" role="alert">
            {document.problem}
          </span>
        )}
      </div>
      <SaveToLibrary engine={entered} suggestion={view.name} />
    </form>
  );
}
