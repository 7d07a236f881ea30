import { useState } from 'react';
import { signed, type Readout } from '../draw/Cursor';
import { Exports } from '../draw/Exports';
import { PairChart } from '../draw/PairChart';
import { PistonChart, rulingOf } from '../draw/PistonChart';
import { Tag } from '../draw/Tag';
import { useBench } from '../entry/useBench';
import { useChosen } from '../frame/Chosen';
import type { Schemas } from '../shared/api';
import { failureWords } from '../shared/failure';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { pistonQuery, usePiston, usePistons } from '../shared/queries';
import { Rig } from './Rig';
import type { Alternative } from './tried';

type View = Schemas['PistonView'];

const STEP = 0.5;
const MOST = 12;

/** The piston under the valves of a cylinder: how near, where, at speed, and which way the phase moves each. */
export function Piston({ place, change, of, kept }: { place: string; change: string; of: string; kept: readonly Alternative[] }) {
  const { view } = useBench();
  const [tried, hold] = useState<{ place: string; phase: number } | null>(null);
  const phase = tried?.place === place ? tried.phase : 0;
  const [deeper, setDeeper] = useState(0);
  const told = usePiston(view.id, place, { phase, deeper, change });
  const piston = told.data;
  const others = usePistons(
    view.id,
    place,
    kept.map((one) => ({ phase, deeper, change: one.change })),
  );
  const beside = kept.flatMap(({ name }, i) => {
    const other = others[i];
    return other === undefined ? [] : [{ name, piston: other }];
  });
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
  if (piston === undefined)
    return (
      <p className="note pad" role="status">
        {words.motion.working}
      </p>
    );
  const query = new URLSearchParams(Object.entries(pistonQuery({ phase, deeper, change })).map(([key, value]) => [key, String(value)]));
  const chosen = piston.valves[0];
  const isDrawn = piston.valves.some((one) => one.found.length > 0);
  return (
    <div className="sweep-place">
      <section className="sheet pad">
        {isDrawn && (
          <Exports name={`piston-${place}`} csv={`/api/cases/${view.id}/motion/${place}/piston.csv?${query}`} words={words.drawing}>
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
                cursor={{ phase, readout: readout(piston, phase) }}
                onPhase={set}
                beside={beside}
                words={words.motion.piston}
                label={words.motion.piston.chart(chosen?.label ?? '')}
              />
            </div>
          </Exports>
        )}
        {piston.valves
          .filter((one) => one.found.length === 0)
          .map((one) => (
            <div key={one.place} className="empty">
              <b>{one.because === null ? words.motion.piston.missing(one.label) : words.motion.notThis}</b>
              <p>{one.because ?? `${one.missing.join(', ')}.`}</p>
            </div>
          ))}
        {piston.pair !== null && <Pair pair={piston.pair} piston={piston} place={place} />}
        <EveryValve piston={piston} />
      </section>
      <aside className="sweep-side">
        {of !== '' && (
          <p className="tried">
            {words.motion.tried}: {of}
          </p>
        )}
        {piston.valves
          .filter((one) => one.found.length > 0)
          .map((one) => (
            <OneValve key={one.place} valve={one} piston={piston} phase={phase} deeper={deeper} beside={beside} />
          ))}
        {isDrawn && (
          <>
            <label className="deeper">
              <span>{words.motion.piston.deeper}</span>
              <input
                type="range"
                min={0}
                max={piston.unit === 'in' ? 0.1 : 2.5}
                step={piston.unit === 'in' ? 0.005 : 0.1}
                value={deeper}
                aria-valuetext={`${deeper} ${piston.unit}`}
                onChange={(event) => setDeeper(Number(event.target.value))}
              />
              <b className="enamel">
                {deeper.toFixed(piston.unit === 'in' ? 3 : 2)} {piston.unit}
              </b>
            </label>
            <p className="note">{words.motion.piston.lag}</p>
            <p className="note">{words.motion.piston.negative}</p>
          </>
        )}
        <Rig />
      </aside>
    </div>
  );
}

interface OneProps {
  valve: View['valves'][number];
  piston: View;
  phase: number;
  deeper: number;
  beside: readonly { name: string; piston: View }[];
}

function OneValve({ valve, piston, phase, deeper, beside }: OneProps) {
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
        {words.motion.piston.at(phase)}
        {deeper > 0 && `, ${words.motion.piston.deeperBy(figure(deeper))}`}: {figure(valve.triedLeast?.clearance ?? 0)}
        {beside.map(({ name, piston: other }) => {
          const least = other.valves.find((one) => one.place === valve.place)?.triedLeast;
          return <span key={name}>{`, ${name} ${least == null ? '–' : figure(least.clearance)}`}</span>;
        })}
      </p>
      <p>
        {words.motion.piston.atSpeed}: {words.motion.piston.range(figure(found - piston.growthMost), figure(found - piston.growthLeast))}
      </p>
      <p className="note">{valve.measured === null ? words.motion.piston.assumed : words.motion.piston.level(valve.measured.shown)}</p>
      <Judged of={valve.radial} />
      <Judged of={valve.metalTried ?? valve.metal} />
      <h3>{words.motion.piston.sign}</h3>
      <p>{valve.sign}</p>
    </section>
  );
}

/** A margin in one line: figure and verdict, or what keeps it from being decided. */
function Judged({ of }: { of: View['valves'][number]['radial'] }) {
  if (of === null) return null;
  return of.verdict === 'not_measured' ? (
    <p className="note">
      {of.title}: {of.value?.shown} {of.sentence}
    </p>
  ) : (
    <p className={of.verdict.startsWith('outside') ? 'wrong' : undefined}>
      {of.title}: <b>{of.value?.shown}</b> {of.verdictWords}
      {of.verdict === 'cannot_tell' && <small className="note"> {of.sentence}</small>}
    </p>
  );
}

/** Valve to valve: the gap of both heads, or what it takes. */
function Pair({ pair, piston, place }: { pair: NonNullable<View['pair']>; piston: View; place: string }) {
  const { view } = useBench();
  if (pair.found.length === 0)
    return (
      <div className="empty">
        <b>{pair.because === null ? words.motion.piston.pairMissing(pair.label) : words.motion.notThis}</b>
        <p>{pair.because ?? `${pair.missing.join(', ')}.`}</p>
      </div>
    );
  return (
    <>
      <Exports name={`valves-${place}`} csv={`/api/cases/${view.id}/motion/${place}/piston.csv`} words={words.drawing}>
        <PairChart
          pair={pair}
          degrees={piston.degrees}
          unit={piston.unit}
          words={words.motion.piston}
          label={words.motion.piston.pairOf(pair.label)}
        />
      </Exports>
      {pair.areParallel && <p className="note">{words.motion.piston.parallel}</p>}
      <p className="note">{pair.measured === null ? words.motion.piston.pairAssumed : words.motion.piston.level(pair.measured.shown)}</p>
    </>
  );
}

/** How near each valve of the engine comes, and where: one is chosen by its tag. */
function EveryValve({ piston }: { piston: View }) {
  const [at, choose] = useChosen();
  const decimals = piston.unit === 'in' ? 3 : 2;
  return (
    <table className="figures-table every-valve">
      <caption>{words.motion.piston.every}</caption>
      <thead>
        <tr>
          <th>{words.motion.piston.valve}</th>
          <th className="num">
            {words.motion.piston.least} <small>{piston.unit}</small>
          </th>
          <th className="num">{words.motion.piston.where}</th>
          <th>{words.motion.piston.levelHead}</th>
          <th>{words.motion.piston.verdict}</th>
        </tr>
      </thead>
      <tbody>
        {piston.stations.map((one) => {
          const { isOutside } = one;
          return (
            <tr key={one.place} className={one.place === at ? 'current' : undefined} aria-current={one.place === at}>
              <th scope="row">
                <button type="button" onClick={() => choose(one.place)}>
                  <Tag label={one.label} lead={isOutside} />
                </button>
              </th>
              <td className={isOutside ? 'num wrong' : 'num'}>{one.least?.clearance.toFixed(decimals).replace('-', '−') ?? '–'}</td>
              <td className="num">{one.least === null ? '' : words.motion.piston.degree(one.least.degree)}</td>
              <td>
                {one.least === null
                  ? words.motion.piston.unknown
                  : one.isMeasured
                    ? words.motion.piston.isMeasured
                    : words.motion.piston.isAssumed}
              </td>
              <td>{one.verdictWords}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** What the phase leaves of each valve, and by how much that differs from what was found. */
function readout(piston: View, phase: number): Readout {
  const decimals = piston.unit === 'in' ? 3 : 2;
  return {
    head: words.motion.piston.at(phase),
    rows: piston.valves.flatMap((one) =>
      one.foundLeast === null || one.triedLeast === null
        ? []
        : [
            {
              name: one.label,
              value: one.triedLeast.clearance.toFixed(decimals).replace('-', '−'),
              difference: signed(one.triedLeast.clearance - one.foundLeast.clearance, decimals),
            },
          ],
    ),
  };
}

/** The phase, and what it leaves of each valve, in one sentence. */
const spoken = (piston: View, phase: number): string =>
  [
    words.motion.piston.at(phase),
    ...piston.valves.filter((one) => one.found.length > 0).map((one) => `${one.label} ${one.triedLeast?.clearance.toFixed(3) ?? ''}`),
  ].join(', ');
