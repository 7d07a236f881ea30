import { useState } from 'react';
import { PistonChart, rulingOf } from '../draw/PistonChart';
import { Tag } from '../draw/Tag';
import { useBench } from '../entry/useBench';
import type { Schemas } from '../shared/api';
import { failureWords } from '../shared/failure';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { usePiston } from '../shared/queries';

type View = Schemas['PistonView'];

const STEP = 0.5;
const MOST = 12;

/** The piston under the valves of a cylinder: how near, where, at speed, and which way the phase moves each. */
export function Piston({ place }: { place: string }) {
  const { view } = useBench();
  const [tried, hold] = useState<{ place: string; phase: number } | null>(null);
  const phase = tried?.place === place ? tried.phase : 0;
  const told = usePiston(view.id, place, phase);
  const piston = told.data;
  const found = piston?.valves[0]?.early ?? 0;
  const set = (to: number): void => hold({ place, phase: Math.max(-MOST, Math.min(MOST, Math.round(to / STEP) * STEP)) });
  const onKeyDown = useKeys([
    { shown: '← →', does: words.keysDo.phaseStep, on: /^ArrowRight$/, run: () => set(phase + STEP) },
    { shown: '← →', does: words.keysDo.phaseStep, on: /^ArrowLeft$/, run: () => set(phase - STEP) },
    { shown: 'Backspace', does: words.keysDo.phaseFound, on: /^Backspace$/, run: () => set(found) },
  ]);
  if (told.error !== null)
    return (
      <p className="wrong" role="alert">
        {failureWords(told.error)}
      </p>
    );
  if (piston === undefined) return null;
  const chosen = piston.valves[0];
  const isDrawn = piston.valves.some((one) => one.found.length > 0);
  return (
    <div className="sweep-place">
      <section className="sheet pad">
        {isDrawn && (
          <div
            onKeyDown={onKeyDown}
            tabIndex={0}
            role="slider"
            aria-label={words.motion.piston.slider(chosen?.label ?? '')}
            aria-valuemin={-MOST}
            aria-valuemax={MOST}
            aria-valuenow={phase}
            aria-valuetext={spoken(piston, phase)}
          >
            <PistonChart
              piston={piston}
              phase={phase}
              onPhase={set}
              words={words.motion.piston}
              label={words.motion.piston.chart(chosen?.label ?? '')}
            />
          </div>
        )}
        {piston.valves
          .filter((one) => one.found.length === 0)
          .map((one) => (
            <div key={one.place} className="empty">
              <b>{one.because === null ? words.motion.piston.missing(one.label) : words.motion.notThis}</b>
              <p>{one.because ?? `${one.missing.join(', ')}.`}</p>
            </div>
          ))}
      </section>
      <aside className="sweep-side">
        {piston.valves
          .filter((one) => one.found.length > 0)
          .map((one) => (
            <OneValve key={one.place} valve={one} piston={piston} phase={phase} />
          ))}
        {isDrawn && (
          <>
            <p className="note">{words.motion.piston.lag}</p>
            <p className="note">{words.motion.piston.negative}</p>
          </>
        )}
      </aside>
    </div>
  );
}

function OneValve({ valve, piston, phase }: { valve: View['valves'][number]; piston: View; phase: number }) {
  const found = valve.foundLeast?.clearance ?? 0;
  const limit = rulingOf(valve);
  const decimals = piston.unit === 'in' ? 3 : 2;
  const figure = (value: number): string => value.toFixed(decimals).replace('-', '−');
  return (
    <section className="one-valve" aria-label={words.motion.piston.chart(valve.label)}>
      <p>
        <Tag label={valve.label} lead={found < limit} />{' '}
        <b className={found < limit ? 'wrong' : undefined}>
          {figure(found)} {piston.unit}
        </b>{' '}
        {found < limit ? words.motion.piston.outside : words.motion.piston.inside},{' '}
        {words.motion.piston.ruling(valve.ruling, figure(limit))}
      </p>
      <p className="tried">
        {words.motion.piston.at(phase)}: {figure(valve.triedLeast?.clearance ?? 0)}
      </p>
      <p>
        {words.motion.piston.atSpeed}: {words.motion.piston.range(figure(found - piston.growthMost), figure(found - piston.growthLeast))}
      </p>
      <p className="note">{valve.measured === null ? words.motion.piston.assumed : words.motion.piston.level(valve.measured.shown)}</p>
      <h3>{words.motion.piston.sign}</h3>
      <p>{valve.sign}</p>
    </section>
  );
}

/** The phase, and what it leaves of each valve, in one sentence. */
const spoken = (piston: View, phase: number): string =>
  [
    words.motion.piston.at(phase),
    ...piston.valves.filter((one) => one.found.length > 0).map((one) => `${one.label} ${one.triedLeast?.clearance.toFixed(3) ?? ''}`),
  ].join(', ');
