import { Segmented } from 'antd';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import { useChosen } from '../frame/Chosen';
import { PlanSide } from '../frame/PlanSide';
import { useOpened, useSection } from '../frame/useSection';
import { failureWords } from '../shared/failure';
import { isWriting, useKeysEverywhere } from '../shared/keys';
import { words } from '../shared/messages';
import { useMotion } from '../shared/queries';
import { readTried, type Tried } from '../tried/change';
import { AgainstLog } from './AgainstLog';
import { Forces } from './Forces';
import { Lift } from './Lift';
import { Piston } from './Piston';
import { SpeedSweep } from './SpeedSweep';
import '../sheet/sheet.css';
import './motion.css';

const FIELDS = ['lift', 'forces', 'sweep', 'piston', 'log'] as const;

/** Step 6: what the parts of a valve did at speed, against what the log says they were asked to do. */
export default function Motion() {
  const { view } = useBench();
  const [place, choose] = useChosen();
  const [field, setField] = useSection(FIELDS, 'sweep');
  const [written, write] = useOpened('try');
  const [held, hold] = useState<{ place: string; tried: Tried[] } | null>(null);
  const tried = held?.place === place ? held.tried : readTried(written, place);
  const change = tried.length === 0 ? '' : JSON.stringify(tried);
  const told = useMotion(view.id, place, change);
  const go = (by: number): void => {
    const next = view.stations[view.stations.findIndex((one) => one.code === place) + by];
    if (next !== undefined) choose(next.code);
  };
  const free = (event: KeyboardEvent): boolean => !isWriting(event);
  useKeysEverywhere([
    { shown: '[', does: words.keysDo.stationBefore, on: /^\[$/, when: free, run: () => go(-1) },
    { shown: ']', does: words.keysDo.stationAfter, on: /^\]$/, when: free, run: () => go(1) },
  ]);
  const rest = (): void => {
    if (held !== null && change !== (written ?? '')) write(change === '' ? null : change);
  };
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
        {motion !== undefined && field === 'lift' && <Lift motion={motion} change={change} />}
        {motion !== undefined && field === 'forces' && <Forces motion={motion} />}
        {motion !== undefined && field === 'sweep' && (
          <SpeedSweep
            motion={motion}
            change={change}
            tried={tried}
            onTry={(next) => hold({ place, tried: next })}
            onRest={rest}
            onAsFound={() => {
              hold({ place, tried: [] });
              write(null);
            }}
          />
        )}
        {field === 'piston' && <Piston place={place} />}
        {motion !== undefined && field === 'log' && <AgainstLog motion={motion} />}
      </div>
    </div>
  );
}
