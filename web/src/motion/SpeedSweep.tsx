import { Button } from 'antd';
import { useState } from 'react';
import { signed, type Readout } from '../draw/Cursor';
import { Exports } from '../draw/Exports';
import { SpeedStrips } from '../draw/SpeedStrips';
import { Keycap } from '../draw/Tag';
import { turnAt, TurnChart } from '../draw/TurnChart';
import { useBench } from '../entry/useBench';
import type { Schemas } from '../shared/api';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { useMotionLog, useTurn, useTurns } from '../shared/queries';
import type { Tried } from '../tried/change';
import { Sliders } from '../tried/Sliders';
import { Beside, Use } from './Beside';
import { NoTrain } from './NoTrain';
import { Solving } from '../tried/Solving';
import { triedSpeed, type Alternative } from './tried';

type Motion = Schemas['MotionView'];

const STEP = 50;
const LONG = 10;

interface Props {
  motion: Motion;
  change: string;
  alternatives: readonly Alternative[];
  tried: readonly Tried[];
  onKeep: (tried: readonly Tried[]) => void;
  onDrop: (which: number) => void;
  onTry: (tried: Tried[]) => void;
  onRest: () => void;
  onAsFound: () => void;
}

/** Speed by speed: loft, bounce, force and the log; one turn under the cursor; and the same with what is tried. */
export function SpeedSweep({ motion, change, alternatives, tried, onKeep, onDrop, onTry, onRest, onAsFound }: Props) {
  const { view } = useBench();
  const log = useMotionLog(view.id, motion.place);
  const [picked, pick] = useState<number | null>(null);
  const [degree, setDegree] = useState<number | null>(null);
  const [rested, rest] = useState<readonly Tried[]>([]);
  const float = motion.thresholds.find((one) => one.name === 'float')?.found ?? null;
  const [low, high] = [motion.speeds[0] ?? 0, motion.speeds.at(-1) ?? 0];
  const within = (speed: number): number => Math.min(high, Math.max(low, Math.round(speed / STEP) * STEP));
  const at = motion.sweep === null ? null : within(picked ?? motion.highest ?? float ?? (low + high) / 2);
  const turn = useTurn(view.id, motion.place, at);
  const turns = useTurns(
    view.id,
    motion.place,
    at,
    alternatives.map((one) => one.change),
  );
  const move = (by: number): void => pick(within((at ?? 0) + by * STEP));
  const onKeyDown = useKeys([
    { shown: '← →', does: words.keysDo.speedStep, on: /^ArrowRight$/, shift: false, run: () => move(1) },
    { shown: '← →', does: words.keysDo.speedStep, on: /^ArrowLeft$/, shift: false, run: () => move(-1) },
    { shown: 'Shift ← →', does: words.keysDo.speedLong, on: /^ArrowRight$/, shift: true, run: () => move(LONG) },
    { shown: 'Shift ← →', does: words.keysDo.speedLong, on: /^ArrowLeft$/, shift: true, run: () => move(-LONG) },
    { shown: 'W', does: words.keysDo.triedOnOff, on: /^w$/i, run: () => turnOff() },
  ]);
  const turned = (by: number): void => setDegree((one) => (one ?? 0) + by);
  const onTurnKey = useKeys([
    { shown: '← →', does: words.keysDo.turnStep, on: /^ArrowRight$/, shift: false, run: () => turned(1) },
    { shown: '← →', does: words.keysDo.turnStep, on: /^ArrowLeft$/, shift: false, run: () => turned(-1) },
    { shown: 'Shift ← →', does: words.keysDo.turnLong, on: /^ArrowRight$/, shift: true, run: () => turned(LONG) },
    { shown: 'Shift ← →', does: words.keysDo.turnLong, on: /^ArrowLeft$/, shift: true, run: () => turned(-LONG) },
  ]);
  const turnOff = (): void => {
    if (tried.length > 0) rest(tried);
    onTry(tried.length > 0 ? [] : [...rested]);
  };
  const keep = (): void => {
    onKeep(tried);
    onTry([]);
  };
  const sliders = (
    <Sliders place={motion.place} sliders={motion.sliders} parts={motion.parts} tried={tried} onTry={onTry} onRest={onRest} />
  );
  if (motion.sweep === null || at === null)
    return (
      <div className="sweep-place">
        <section className="sheet pad">
          <NoTrain motion={motion} />
        </section>
        <aside className="sweep-side">{tried.length > 0 && sliders}</aside>
      </div>
    );
  const csv = `/api/cases/${view.id}/motion/${motion.place}/sweep.csv${change === '' ? '' : `?change=${encodeURIComponent(change)}`}`;
  return (
    <div className="sweep-place">
      <section className="sheet pad">
        <Exports name={`sweep-${motion.place}`} csv={csv} words={words.drawing}>
          <div
            onKeyDown={onKeyDown}
            tabIndex={0}
            role="slider"
            aria-label={words.motion.sweepOf(motion.label)}
            aria-valuemin={low}
            aria-valuemax={high}
            aria-valuenow={at}
            aria-valuetext={spoken(motion, at)}
          >
            <SpeedStrips
              motion={motion}
              sweep={motion.sweep}
              tried={alternatives.flatMap((one) => {
                const sweep = one.motion?.triedSweep ?? null;
                return sweep === null ? [] : [{ name: one.name, sweep, float: triedSpeed(one, 'float') }];
              })}
              cursor={{ at, readout: readout(motion, alternatives[0]?.motion?.triedSweep ?? null, at) }}
              onAt={(speed) => pick(within(speed))}
              logged={log.data?.bins ?? []}
              words={{ ...words.motion, logged: words.motion.loggedStrip }}
              label={words.motion.sweepOf(motion.label)}
            />
          </div>
        </Exports>
        <p className="turn-head">
          <b>
            {words.motion.turnAt} <span className="enamel">{at}</span>
          </b>
          <Keycap>←</Keycap>
          <Keycap>→</Keycap> {words.motion.nextSpeed}
          {turn.data !== undefined && <b className="to-right">{words.motion.lostFor(turn.data.lost)}</b>}
        </p>
        {turn.data !== undefined && (
          <Exports
            name={`turn-${motion.place}-${at}`}
            csv={`/api/cases/${view.id}/motion/${motion.place}/turn.csv?speed=${at}`}
            words={words.drawing}
          >
            <div
              onKeyDown={onTurnKey}
              tabIndex={0}
              role="slider"
              aria-label={words.motion.turnOf(motion.label, at)}
              aria-valuemin={turn.data.degrees[0] ?? 0}
              aria-valuemax={turn.data.degrees.at(-1) ?? 0}
              aria-valuenow={degree ?? 0}
              aria-valuetext={spokenTurn(motion, turn.data, degree ?? 0)}
            >
              <TurnChart
                turn={turn.data}
                tried={alternatives.flatMap((one, i) => {
                  const its = turns[i];
                  return its === undefined ? [] : [{ name: one.name, turn: its }];
                })}
                unitLength={motion.unitLength}
                unitForce={motion.unitForce}
                at={degree}
                onAt={(to) => setDegree(Math.round(to))}
                words={{ ...words.motion, lift: words.motion.valveLift, degrees: words.motion.crankDegrees }}
                label={words.motion.turnOf(motion.label, at)}
              />
            </div>
          </Exports>
        )}
      </section>
      <aside className="sweep-side">
        <Beside motion={motion} alternatives={alternatives} onDrop={onDrop} />
        <Solving isSolved={motion.isSolved} />
        {motion.triedBecause !== null && (
          <p className="wrong" role="alert">
            {motion.triedBecause}{' '}
            <Button size="small" onClick={onAsFound}>
              {words.stack.allAsFound}
            </Button>
          </p>
        )}
        {sliders}
        <Button size="small" disabled={tried.length === 0} onClick={keep}>
          {words.motion.keepBeside}
        </Button>
        <Use />
        <UnderCursor motion={motion} alternatives={alternatives} at={at} />
      </aside>
    </div>
  );
}

const ROWS = ['loft', 'gap', 'bounce', 'landing', 'peak'] as const;

/** What the curves say at the cursor. */
function UnderCursor({ motion, alternatives, at }: { motion: Motion; alternatives: readonly Alternative[]; at: number }) {
  return (
    <table className="thresholds">
      <thead>
        <tr>
          <th scope="col">
            {words.motion.under} {at}
          </th>
          <th className="num">{words.motion.found}</th>
          {alternatives.map((one) => (
            <th key={one.name} className="num tried">
              {one.name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {ROWS.map((row) => (
          <tr key={row}>
            <th scope="row">
              {words.motion.rows[row]}
              {row === 'landing' ? '' : `, ${row === 'peak' ? motion.unitForce : motion.unitLength}`}
            </th>
            <td className="num">{figure(motion, motion.sweep, row, at)}</td>
            {alternatives.map((one) => (
              <td key={one.name} className="num tried">
                {figure(motion, one.motion?.triedSweep ?? null, row, at)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** At the nearest speed of the sweep; nothing where it is another one each turn. */
function valueOf(motion: Motion, sweep: Motion['sweep'], row: (typeof ROWS)[number], at: number): number | null {
  const nearest = motion.speeds.reduce(
    (best, speed, i) => (Math.abs(speed - at) < Math.abs((motion.speeds[best] ?? 0) - at) ? i : best),
    0,
  );
  return sweep?.[row][nearest] ?? null;
}

const decimalsOf = (motion: Motion, row: (typeof ROWS)[number]): number =>
  row === 'peak' ? 0 : row === 'landing' ? 2 : motion.unitLength === 'in' ? 4 : 3;

function figure(motion: Motion, sweep: Motion['sweep'], row: (typeof ROWS)[number], at: number): string {
  if (sweep === null) return '';
  return valueOf(motion, sweep, row, at)?.toFixed(decimalsOf(motion, row)) ?? '–';
}

/** What the strips are at the cursor, and by how much the first change differs. */
const readout = (motion: Motion, tried: Motion['sweep'], at: number): Readout => ({
  head: `${at} 1/min`,
  rows: (['loft', 'bounce', 'peak'] as const).map((row) => {
    const [found, other] = [valueOf(motion, motion.sweep, row, at), valueOf(motion, tried, row, at)];
    return {
      name: words.motion.rows[row],
      value: figure(motion, motion.sweep, row, at),
      difference: found === null || other === null ? undefined : signed(other - found, decimalsOf(motion, row)),
    };
  }),
});

/** What the cursor stands on, in one sentence. */
const spoken = (motion: Motion, at: number): string =>
  [`${at} 1/min`, ...ROWS.map((row) => `${words.motion.rows[row]} ${figure(motion, motion.sweep, row, at)}`)].join(', ');

/** What the turn is at a degree, in one sentence. */
const spokenTurn = (motion: Motion, turn: Schemas['TurnView'], degree: number): string => {
  const { head, rows } = turnAt(turn, undefined, degree, { ...words.motion, unitLength: motion.unitLength, unitForce: motion.unitForce });
  return [head, ...rows.map((row) => `${row.name} ${row.value}`)].join(', ');
};
