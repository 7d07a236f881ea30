import { Segmented } from 'antd';
import { useBench } from '../entry/useBench';
import { useChosen } from '../frame/Chosen';
import { PlanSide } from '../frame/PlanSide';
import { useSection } from '../frame/useSection';
import { words } from '../shared/messages';
import { useLashOrder, useSheets } from '../shared/queries';
import type { SheetLayout } from '../sheet/cells';
import { Dates } from './Dates';
import { EngineTests } from './EngineTests';
import { Health } from './Health';
import { ToldSheet } from './ToldSheet';
import { Valves } from './Valves';
import './before.css';

const SECTIONS = ['cylinders', 'valves', 'engine', 'dates', 'health'] as const;
type Section = (typeof SECTIONS)[number];

/** Step 2: the tests on the assembled engine, and the health record of one that has not failed. */
export default function Before() {
  const { view } = useBench();
  const [chosen, choose] = useChosen();
  const [section, setSection] = useSection(SECTIONS);
  const order = useLashOrder(view.id);
  const layouts = useSheets(view.id);
  const layout = (code: string): SheetLayout | undefined => layouts.data?.find((one) => one.code === code);
  const pulls = layout('pulls');
  return (
    <div className="room in-before">
      <PlanSide chosen={chosen} onChoose={choose} first="seatLoad" next={section === 'valves' ? (order.data?.nextPull ?? null) : null} />
      <div className="bench-sheet before">
        <div className="tool-row">
          <Segmented<Section>
            value={section}
            onChange={setSection}
            options={SECTIONS.map((value) => ({ value, label: words.before.sections[value] }))}
          />
        </div>
        {section === 'cylinders' && <ToldSheet layout={layout('cylinders')} />}
        {section === 'valves' && order.data && pulls && (
          <Valves order={order.data} layout={pulls} chosen={chosen} choose={choose} date="" />
        )}
        {section === 'engine' && <EngineTests cams={layout('cams')} tests={layout('engine_tests')} />}
        {section === 'health' && <Health clocks={layout('clocks')} />}
        {section === 'dates' && order.data && pulls && <Dates order={order.data} layout={pulls} chosen={chosen} choose={choose} />}
      </div>
    </div>
  );
}
