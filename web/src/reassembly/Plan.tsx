import { Button } from 'antd';
import { useState } from 'react';
import { Tag } from '../draw/Tag';
import { useBench } from '../entry/useBench';
import { useChosen } from '../frame/Chosen';
import { useOpened } from '../frame/useSection';
import { Choice } from '../shared/Choice';
import { isWriting, useKeysEverywhere } from '../shared/keys';
import { words } from '../shared/messages';
import { useReassembly } from '../shared/queries';
import { LineRow } from './LineRow';
import { countOf, placesAt, stagesOf, stateOf, type Line, type LinePlace } from './lines';
import { Tightenings } from './Tightenings';
import { Wall } from './Wall';
import './reassembly.css';

const keyOf = (at: LinePlace): string => `${at.place}.${at.code}`;

/** The plan by which this engine goes together: one stage, one valve, one open line at a time. */
export function Plan() {
  const bench = useBench();
  const { view } = bench;
  const plan = useReassembly(view.id).data;
  const [chosen, choose] = useChosen();
  const [asked, askStage] = useOpened('stage');
  const [held, hold] = useState<string | null>(null);
  const stages = plan === undefined ? [] : stagesOf(plan);
  const firstOpen = stages.find(({ lines }) => lines.some((line) => line.places.some((at) => stateOf(bench, at) === null)));
  const stage = stages.find((one) => one.stage === asked) ?? firstOpen ?? stages[0];
  const rows: { line: Line; at: LinePlace }[] = (stage?.lines ?? []).flatMap((line) => placesAt(line, chosen).map((at) => ({ line, at })));
  const current = rows.find(({ at }) => keyOf(at) === held) ?? rows.find(({ at }) => stateOf(bench, at) === null) ?? rows[0];
  const ofValves = stage?.lines.some((line) => line.places.some((at) => at.place === chosen)) ?? false;
  const stations = view.stations;
  const here = stations.findIndex((one) => one.code === chosen);
  const beside = (by: number) => stations[(here + by + stations.length) % stations.length];
  const walk = (by: number): void => {
    const next = beside(by);
    if (next === undefined || current === undefined) return;
    choose(next.code);
    hold(`${next.code}.${current.at.code}`);
  };
  const step = (by: number): void => {
    const i = rows.findIndex((one) => one === current) + by;
    const row = rows[i];
    if (row !== undefined) hold(keyOf(row.at));
    else if (ofValves && by > 0) {
      // The last line of a valve leads to the first of the next.
      const next = beside(1);
      const first = stage?.lines[0];
      if (next !== undefined && first !== undefined) {
        choose(next.code);
        hold(`${next.code}.${first.code}`);
      }
    }
  };
  const free = (event: KeyboardEvent): boolean => !isWriting(event) && !event.ctrlKey && !event.altKey;
  useKeysEverywhere([
    { shown: 'J K', does: words.keysDo.nextLine, on: /^[jk]$/i, when: free, run: (event) => step(/j/i.test(event.key) ? 1 : -1) },
    { shown: 'N B', does: words.keysDo.nextPlace, on: /^[nb]$/i, when: free, run: (event) => walk(/n/i.test(event.key) ? 1 : -1) },
  ]);
  if (plan === undefined) return null;
  const [done, total] = countOf(bench, plan.lines);
  const station = stations[here];
  return (
    <div className="in-reassembly">
      <div className="assembly pad">
        <div className="plan-head">
          <p>{words.reassembly.of(plan.taken.join(', '))}</p>
          <p role="status">{words.reassembly.progress(done, total)}</p>
          <Button onClick={() => window.print()}>{words.reassembly.print}</Button>
        </div>
        <div className="plate">
          <Tag label={station?.label ?? ''} />
          <span className="stands-at">
            {stage?.stage}
            <br />
            {current !== undefined && words.reassembly.line(current.line.number, plan.lines.length)}
          </span>
          {ofValves && (
            <>
              <Button onClick={() => walk(-1)}>{words.reassembly.back(beside(-1)?.label ?? '')}</Button>
              <Button onClick={() => walk(1)}>{words.reassembly.next(beside(1)?.label ?? '')}</Button>
            </>
          )}
        </div>
        <Choice
          label={words.reassembly.stage}
          value={stage?.stage ?? null}
          width="100%"
          onChange={(next) => {
            askStage(next);
            hold(null);
          }}
          options={stages.map((one) => {
            const [ready, all] = countOf(bench, one.lines);
            return { value: one.stage, label: `${one.stage}, ${ready}/${all}` };
          })}
        />
        <ol className="assembly-lines">
          {rows.map((row) => (
            <LineRow
              key={keyOf(row.at)}
              line={row.line}
              at={row.at}
              isOpen={row === current}
              onOpen={() => hold(keyOf(row.at))}
              onDone={() => step(1)}
            />
          ))}
        </ol>
        <Tightenings joints={plan.joints} />
        <p className="note">{words.reassembly.caution}</p>
      </div>
      <Wall plan={plan} />
    </div>
  );
}
