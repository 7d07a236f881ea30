import { useQueryClient } from '@tanstack/react-query';
import { Button, Input, Segmented, Select } from 'antd';
import { useEffect, useState } from 'react';
import { useBench } from '../entry/useBench';
import { placeLabel } from '../entry/slots';
import { PlanSide } from '../frame/PlanSide';
import { useChosen } from '../frame/useChosen';
import { answer, api, Refused, type CaseView } from '../shared/api';
import { words } from '../shared/messages';
import { person } from '../shared/person';
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
  const [section, setSection] = useState<Section>('story');
  const story = useDraft(view);
  const label = placeLabel(view, chosen);
  const failed = story.draft.failed.includes(chosen);

  return (
    <div className="room">
      <PlanSide chosen={chosen} onChoose={choose} first="signs">
        <div className="plan-act">
          <button
            type="button"
            onClick={() =>
              story.change({ failed: failed ? story.draft.failed.filter((one) => one !== chosen) : [...story.draft.failed, chosen] }, true)
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

interface StoryDraft {
  draft: Draft;
  change: (part: Partial<Draft>, saveNow?: boolean) => void;
  save: () => void;
  /** In conflict another hand was first: only a press of the button puts this story in its place. */
  state: 'saved' | 'changed' | 'saving' | 'conflict';
  problem: string | null;
}

/** The story as it is being written: kept in the browser until the server has it under the version that was seen. */
function useDraft(view: CaseView): StoryDraft {
  const queries = useQueryClient();
  const key = `mute-tapper.story.${view.id}`;
  const [draft, setDraft] = useState<Draft>(() => {
    const kept = localStorage.getItem(key);
    return kept === null ? draftOf(view) : (JSON.parse(kept) as Draft);
  });
  const [state, setState] = useState<StoryDraft['state']>(localStorage.getItem(key) === null ? 'saved' : 'changed');
  const [problem, setProblem] = useState<string | null>(null);
  const [version, setVersion] = useState(view.descriptionVersion);

  useEffect(() => {
    if (state === 'saved') {
      setDraft(draftOf(view));
      setVersion(view.descriptionVersion);
    }
  }, [state, view]);

  const send = async (wanted: Draft): Promise<void> => {
    setState('saving');
    try {
      const fresh = await answer(
        api.PUT('/api/cases/{id}/description', {
          params: { path: { id: view.id }, header: { 'If-Match': `"${version}"` } },
          body: {
            name: wanted.name,
            story: { ...wanted.answers, failed: wanted.failed },
            settings: { ...view.settings, units: wanted.units },
            by: person() || 'not named',
          },
        }),
      );
      localStorage.removeItem(key);
      queries.setQueryData(caseKey(view.id), fresh);
      setVersion(fresh.descriptionVersion);
      setProblem(null);
      setState('saved');
    } catch (error) {
      if (error instanceof Refused && error.problem.status === 412) {
        setState('conflict');
        setProblem(words.story.changed);
        if (error.problem.version !== undefined) setVersion(error.problem.version);
      } else {
        setState('changed');
        setProblem(error instanceof Refused ? error.message : 'No line to the server. What you wrote is kept in this browser.');
      }
    }
  };

  return {
    draft,
    change: (part, saveNow = false) => {
      const changed = { ...draft, ...part };
      setDraft(changed);
      if (state !== 'conflict') setState('changed');
      localStorage.setItem(key, JSON.stringify(changed));
      if (saveNow && state !== 'conflict') void send(changed);
    },
    save: () => void send(draft),
    state,
    problem,
  };
}

function Questions({ story }: { story: StoryDraft }) {
  const catalogue = useCatalogue();
  const { draft } = story;
  return (
    <form
      className="questions"
      onSubmit={(event) => {
        event.preventDefault();
        story.save();
      }}
      onBlur={() => story.state === 'changed' && story.save()}
    >
      <label>
        <span>{words.story.name}</span>
        <Input value={draft.name} maxLength={200} onChange={(event) => story.change({ name: event.target.value })} />
      </label>
      <label>
        <span>{words.story.units}</span>
        <Select
          value={draft.units}
          onChange={(units: 'inch' | 'metric') => story.change({ units }, true)}
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
