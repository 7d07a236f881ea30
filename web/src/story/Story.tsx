import { useQueryClient } from '@tanstack/react-query';
import { Button, Input, Segmented, Select } from 'antd';
import { useMemo } from 'react';
import { placeLabel } from '../entry/slots';
import { Theirs } from '../entry/Theirs';
import { useBench } from '../entry/useBench';
import { useDocument, type WrittenDocument } from '../entry/useDocument';
import { PlanSide } from '../frame/PlanSide';
import { useChosen } from '../frame/Chosen';
import { useSection } from '../frame/useSection';
import { answer, api, type CaseView } from '../shared/api';
import { words } from '../shared/messages';
import { author } from '../shared/person';
import { caseKey, useCatalogue } from '../shared/queries';
import { Claimed } from './Claimed';
import { EngineForm } from './EngineForm';
import { Logs } from './Logs';
import { Symptoms } from './Symptoms';
import { Timeline } from './Timeline';
import './story.css';

const SECTIONS = ['story', 'symptoms', 'engine', 'claimed', 'timeline', 'log'] as const;
type Section = (typeof SECTIONS)[number];

interface Draft {
  name: string;
  answers: Record<string, string>;
  failed: string[];
  units: 'inch' | 'metric';
}

const draftOf = (view: CaseView): Draft => ({
  name: view.name,
  answers: view.story.answers,
  failed: view.story.failed,
  units: view.settings.units,
});

/** Step 1: what happened, how it ran, what engine it is, and what it was said to be built to. */
export default function Story() {
  const { view } = useBench();
  const [chosen, choose] = useChosen();
  const [section, setSection] = useSection(SECTIONS);
  const story = useStory(view);
  const label = placeLabel(view, chosen);
  const failed = story.draft.failed.includes(chosen);

  return (
    <div className="room">
      <PlanSide chosen={chosen} onChoose={choose} first="signs">
        <div className="plan-act">
          <button
            type="button"
            onClick={() =>
              void story.save(
                story.change({ failed: failed ? story.draft.failed.filter((one) => one !== chosen) : [...story.draft.failed, chosen] }),
              )
            }
          >
            {failed ? words.story.unmarkFailed(label) : words.story.markFailed(label)}
          </button>
        </div>
      </PlanSide>
      <div className="sheet pad story">
        <Segmented<Section>
          value={section}
          onChange={setSection}
          options={SECTIONS.map((value) => ({ value, label: words.story.sections[value] }))}
        />
        {section === 'story' && <Questions story={story} />}
        {section === 'symptoms' && <Symptoms />}
        {section === 'engine' && <EngineForm />}
        {section === 'claimed' && <Claimed />}
        {section === 'timeline' && <Timeline />}
        {section === 'log' && <Logs />}
      </div>
    </div>
  );
}

type StoryDraft = WrittenDocument<Draft>;

/** The story as it is being written: kept in the browser until the server has it under the version that was seen. */
function useStory(view: CaseView): StoryDraft {
  const queries = useQueryClient();
  return useDocument<Draft>({
    key: `mute-tapper.story.${view.id}`,
    stands: useMemo(() => draftOf(view), [view]),
    version: view.descriptionVersion,
    isReadable: (kept) => typeof kept.name === 'string' && typeof kept.answers === 'object' && Array.isArray(kept.failed),
    put: async (wanted, version) => {
      const fresh = await answer(
        api.PUT('/api/cases/{id}/description', {
          params: { path: { id: view.id }, header: { 'If-Match': `"${version}"` } },
          body: {
            name: wanted.name,
            story: { ...wanted.answers, failed: wanted.failed },
            settings: { ...view.settings, units: wanted.units },
            by: author(),
          },
        }),
      );
      queries.setQueryData(caseKey(view.id), fresh);
      return fresh.descriptionVersion;
    },
    refetch: () => queries.invalidateQueries({ queryKey: caseKey(view.id) }),
  });
}

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

function Questions({ story }: { story: StoryDraft }) {
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
