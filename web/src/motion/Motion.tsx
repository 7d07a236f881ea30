import { Segmented } from 'antd';
import { useBench } from '../entry/useBench';
import { useChosen } from '../frame/Chosen';
import { PlanSide } from '../frame/PlanSide';
import { useNeighbours } from '../frame/useNeighbours';
import { useSection } from '../frame/useSection';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { useMotion } from '../shared/queries';
import { triedWords } from '../tried/change';
import { useKept } from '../tried/useKept';
import { useTried } from '../tried/useTried';
import { AgainstLog } from './AgainstLog';
import { Forces } from './Forces';
import { Lift } from './Lift';
import { Piston } from './Piston';
import { SpeedSweep } from './SpeedSweep';
import { useAlternatives } from './tried';
import '../sheet/sheet.css';
import './motion.css';

const FIELDS = ['lift', 'forces', 'sweep', 'piston', 'log'] as const;

/** Step 6: what the parts of a valve did at speed, against what the log says they were asked to do. */
export default function Motion() {
  const { view } = useBench();
  const [place, choose] = useChosen();
  const [field, setField] = useSection(FIELDS, 'sweep');
  const { tried, change, onTry, onRest, onAsFound } = useTried(place);
  const told = useMotion(view.id, place, change);
  const { kept, onKeep, onDrop } = useKept(place);
  const alternatives = useAlternatives(view.id, place, { tried, change, motion: told.data }, kept);
  useNeighbours();
  const motion = told.data;
  return (
    <div className="room in-motion">
      <PlanSide chosen={place} onChoose={choose} first="margin" margin={{ quantity: 'float_margin', index: null }}>
        <p className="note slab-note">{words.motion.computed}</p>
      </PlanSide>
      <div className="motion">
        <div className="tool-row">
          <Segmented<(typeof FIELDS)[number]>
            value={field}
            onChange={setField}
            options={FIELDS.map((value) => ({ value, label: words.motion.fields[value] }))}
          />
        </div>
        {told.error !== null && (
          <p className="wrong" role="alert">
            {failureWords(told.error)}
          </p>
        )}
        {motion === undefined && told.error === null && field !== 'piston' && (
          <p className="note pad" role="status">
            {words.motion.working}
          </p>
        )}
        {motion !== undefined && field === 'lift' && <Lift motion={motion} alternatives={alternatives} change={change} />}
        {motion !== undefined && field === 'forces' && <Forces motion={motion} />}
        {motion !== undefined && field === 'sweep' && (
          <SpeedSweep
            motion={motion}
            change={change}
            alternatives={alternatives}
            tried={tried}
            onKeep={onKeep}
            onDrop={onDrop}
            onTry={onTry}
            onRest={onRest}
            onAsFound={onAsFound}
          />
        )}
        {field === 'piston' && (
          <Piston
            place={place}
            change={change}
            of={motion === undefined ? '' : triedWords(tried, motion.sliders, motion.parts)}
            kept={alternatives.filter((one) => one.change !== change)}
          />
        )}
        {motion !== undefined && field === 'log' && <AgainstLog motion={motion} />}
      </div>
    </div>
  );
}
