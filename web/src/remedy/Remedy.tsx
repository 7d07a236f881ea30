import { Segmented } from 'antd';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import { useChosen } from '../frame/Chosen';
import { PlanSide } from '../frame/PlanSide';
import { useOpened, useSection } from '../frame/useSection';
import { Afterwards } from '../reassembly/Afterwards';
import { Plan } from '../reassembly/Plan';
import { words } from '../shared/messages';
import { Board, type Under } from './Board';
import { Reuse } from './Reuse';
import './remedy.css';

const SECTIONS = ['remedies', 'reuse', 'reassembly', 'afterwards'] as const;

/** Step 9: what is changed, what goes back in, how it goes together, and how it came back. */
export default function Remedy() {
  const { view } = useBench();
  const [chosen, choose] = useChosen();
  const [section, setSection] = useSection(SECTIONS);
  const [only, showOnly] = useOpened('only');
  const [under, setUnder] = useState<Under | null>(null);
  const sections = (
    <Segmented<(typeof SECTIONS)[number]>
      value={section}
      onChange={setSection}
      options={SECTIONS.map((value) => ({ value, label: words.remedy.sections[value] }))}
    />
  );
  const place = view.stations.some((one) => one.code === only) ? only : null;
  const isBoard = section === 'remedies';
  return (
    <div className={section === 'reassembly' ? 'room in-remedy is-assembly' : 'room in-remedy'}>
      <PlanSide
        chosen={chosen}
        onChoose={(station, walks) => {
          choose(station);
          if (isBoard && !walks) showOnly(station);
        }}
        first={isBoard ? 'margin' : 'signs'}
        key={isBoard ? 'board' : 'other'}
        says={
          isBoard && under !== null ? { line: words.remedy.plannedLine(under.title, under.letter), readings: under.readings } : undefined
        }
      />
      <div className="sheet remedy">
        <div className="tool-row">{sections}</div>
        {isBoard && <Board place={place} onPlace={showOnly} onUnder={setUnder} onPlan={() => setSection('reassembly')} />}
        {section === 'reuse' && <Reuse />}
        {section === 'reassembly' && <Plan />}
        {section === 'afterwards' && <Afterwards />}
      </div>
    </div>
  );
}
