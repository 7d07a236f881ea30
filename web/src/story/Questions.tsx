import { Button, Input, Select } from 'antd';
import { Theirs } from '../entry/Theirs';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import type { Draft, StoryDraft } from './useStory';

/** Where two stories differ, by what was asked. */
function differences(
  theirs: Draft,
  mine: Draft,
  questions: readonly { field: string; ask: string }[],
): { name: string; theirs: string; mine: string }[] {
  return [
    { name: words.story.name, theirs: theirs.name, mine: mine.name },
    { name: words.story.units, theirs: theirs.units, mine: mine.units },
    { name: words.story.failed, theirs: theirs.failed.join(', '), mine: mine.failed.join(', ') },
    ...questions.map(({ field, ask }) => ({ name: ask, theirs: theirs.answers[field] ?? '', mine: mine.answers[field] ?? '' })),
  ].filter((one) => one.theirs !== one.mine);
}

/** What is asked of the customer; saved whenever a field is left. */
export function Questions({ story }: { story: StoryDraft }) {
  const catalogue = useCatalogue();
  const { draft } = story;
  return (
    <form
      className="questions"
      onSubmit={(event) => {
        event.preventDefault();
        void story.save();
      }}
      onBlur={() => story.state === 'changed' && void story.save()}
    >
      {story.theirs !== null && (
        <div className="wide">
          <Theirs differences={differences(story.theirs, draft, catalogue.data?.questions ?? [])} onTake={story.takeTheirs} />
        </div>
      )}
      <label>
        <span>{words.story.name}</span>
        <Input value={draft.name} maxLength={200} onChange={(event) => story.change({ name: event.target.value })} />
      </label>
      <label>
        <span>{words.story.units}</span>
        <Select
          value={draft.units}
          onChange={(units: 'inch' | 'metric') => void story.save(story.change({ units }))}
          options={[
            { value: 'inch', label: words.story.inch },
            { value: 'metric', label: words.story.metric },
          ]}
        />
      </label>
      {catalogue.data?.questions.map((question) => (
        <label key={question.field} className={question.field === 'words' ? 'wide' : ''}>
          <span>{question.ask}</span>
          <Input.TextArea
            value={draft.answers[question.field] ?? ''}
            autoSize={{ minRows: question.field === 'words' ? 3 : 1, maxRows: 8 }}
            onChange={(event) => story.change({ answers: { ...draft.answers, [question.field]: event.target.value } })}
          />
        </label>
      ))}
      <div className="wide acts-row">
        <Button type="primary" htmlType="submit" disabled={story.state === 'saved'} loading={story.state === 'saving'}>
          {story.state === 'saved' ? words.story.saved : words.story.save}
        </Button>
        {story.problem !== null && (
          <span className="wrong" role="alert">
            {story.problem}
          </span>
        )}
      </div>
    </form>
  );
}
