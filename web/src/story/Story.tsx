import { Segmented } from 'antd';
import { placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { useChosen } from '../frame/Chosen';
import { PlanSide } from '../frame/PlanSide';
import { useSection } from '../frame/useSection';
import { words } from '../shared/messages';
import { Changed } from './Changed';
import { Claimed } from './Claimed';
import { EngineForm } from './EngineForm';
import { Logs } from './Logs';
import { Questions } from './Questions';
import { Symptoms } from './Symptoms';
import { Timeline } from './Timeline';
import { useStory } from './useStory';
import './story.css';

const SECTIONS = ['story', 'symptoms', 'engine', 'claimed', 'timeline', 'log'] as const;
type Section = (typeof SECTIONS)[number];

/** Step 1: what happened, how it ran, what engine it is, and what it was said to be built to. */
export default function Story() {
  const { view } = useBench();
  const [chosen, choose] = useChosen();
  const [section, setSection] = useSection(SECTIONS);
  const story = useStory(view);
  const label = placeLabel(view, chosen);
  const failed = story.draft.failed.includes(chosen);

  return (
    <div className="room in-story">
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
        {section === 'story' && (
          <>
            <Questions story={story} />
            <Changed />
          </>
        )}
        {section === 'symptoms' && <Symptoms />}
        {section === 'engine' && <EngineForm />}
        {section === 'claimed' && <Claimed />}
        {section === 'timeline' && <Timeline />}
        {section === 'log' && <Logs />}
      </div>
    </div>
  );
}
