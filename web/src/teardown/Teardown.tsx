import { useState } from 'react';
import { useBench } from '../entry/useBench';
import { useChosen } from '../frame/Chosen';
import { PlanSide } from '../frame/PlanSide';
import { useSection } from '../frame/useSection';
import { PhotoDesk } from '../photograph/PhotoDesk';
import { useTeardown } from '../shared/queries';
import { Look } from './Look';
import { Pieces } from './Pieces';
import { Plan } from './Plan';
import { SECTIONS, StationHead, type Site } from './StationHead';
import './teardown.css';

/** Step 3: station by station, part by part: what is there, and what is firmly not there. */
export default function Teardown() {
  const { view } = useBench();
  const [chosen, choose] = useChosen();
  const [section, setSection] = useSection(SECTIONS);
  const [site, setSite] = useState<Site>('station');
  const teardown = useTeardown(view.id).data;
  const station = view.stations.find((one) => one.code === chosen) ?? view.stations[0];
  if (station === undefined) return null;
  const place = site === 'station' ? station.code : site === 'cylinder' ? station.cylinder : 'engine';
  return (
    <div className="room wide-plan in-teardown in-photographs">
      <PlanSide chosen={chosen} onChoose={choose} first="signs" />
      <div className="teardown">
        <StationHead station={station} site={site} onSite={setSite} section={section} onSection={setSection} />
        {section === 'look' && (
          <Look
            key={site}
            site={site}
            place={place}
            station={station}
            onStation={choose}
            nextStep={teardown?.steps.find((step) => step.code === teardown.next)}
          />
        )}
        {section === 'plan' && teardown && <Plan teardown={teardown} />}
        {section === 'pieces' && teardown && <Pieces teardown={teardown} chosen={chosen} choose={choose} />}
        {section === 'photographs' && <PhotoDesk place={place} shots={teardown?.shots ?? []} />}
      </div>
    </div>
  );
}
