import { Button, Input } from 'antd';
import { useState } from 'react';
import { MarginRule } from '../draw/MarginRule';
import { useBench } from '../entry/useBench';
import { useOpened } from '../frame/useSection';
import type { Schemas } from '../shared/api';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { useGuidesToCut } from '../shared/queries';
import { keepAsRemedy, type Change } from '../tried/asRemedy';

type Margin = Schemas['MarginView'];

/** What is to be cut off each guide, for the lift of now or for more, and what stands then. */
export function Guides({ caseId, onOpen }: { caseId: string; onOpen: (place: string) => void }) {
  const bench = useBench();
  const [more, setMore] = useOpened('more');
  const [typed, type] = useState(more ?? '');
  const told = useGuidesToCut(caseId, more ?? '');
  const take = (): void => setMore(typed.trim() === '' ? null : typed.trim());
  return (
    <>
      <p className="more-or-less-note">{words.guides.note}</p>
      <form
        className="more-lift"
        onSubmit={(event) => {
          event.preventDefault();
          take();
        }}
      >
        <label>
          {words.guides.more}
          <Input value={typed} placeholder="0.050" autoComplete="off" onBlur={take} onChange={(event) => type(event.target.value)} />
        </label>
        {told.error !== null && (
          <span className="wrong" role="alert">
            {failureWords(told.error)}
          </span>
        )}
      </form>
      {told.data !== undefined && (
        <>
          <Cuts rows={told.data} onOpen={onOpen} />
          <div className="more-lift">
            <Button
              disabled={told.data.every((row) => row.cut === null)}
              onClick={() => keepAsRemedy(bench, cutsOf(told.data), words.guides.remedy)}
            >
              {words.stack.asRemedy}
            </Button>
          </div>
        </>
      )}
    </>
  );
}

/** Guides that lose the same are one change. */
function cutsOf(rows: readonly Schemas['CutTargetView'][]): Change[] {
  const cuts = new Map<string, { places: string[]; name: string; by: { number: number; unit: string } }>();
  for (const { cut, place } of rows) {
    if (cut === null) continue;
    const alike = cuts.get(cut.shown) ?? { places: [], name: 'guide_cut', by: { number: Number(cut.figure), unit: cut.unit } };
    alike.places.push(place);
    cuts.set(cut.shown, alike);
  }
  return [...cuts.values()];
}

function Cuts({ rows, onOpen }: { rows: readonly Schemas['CutTargetView'][]; onOpen: (place: string) => void }) {
  const rooms = [...new Map(rows.flatMap((row) => row.before).map((one) => [one.quantity, one])).values()];
  if (rooms.length === 0) return <p className="more-or-less-note">{words.guides.nothing}</p>;
  const find = (all: readonly Margin[], quantity: string): Margin | undefined => all.find((one) => one.quantity === quantity);
  const hasNoLonger = rows.some((row) => row.noLonger !== null);
  return (
    <>
      <table className="field more-or-less">
        <thead>
          <tr>
            <th>{words.guides.station}</th>
            <th className="num">
              {words.guides.top}
              <small>{rows[0]?.top.unit}</small>
            </th>
            <th className="num">{words.guides.cut}</th>
            <th className="num">{words.guides.after}</th>
            {rooms.map((room) => (
              <th key={room.quantity} className="side">
                {room.title}
                <small>
                  {words.guides.before}, {words.guides.then}; {room.limitWords}
                </small>
              </th>
            ))}
            {hasNoLonger && <th className="side">{words.guides.noLonger}</th>}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.place}>
              <th scope="row" className="figures">
                <button type="button" className="plain-link" onClick={() => onOpen(row.place)}>
                  {row.label}
                </button>
              </th>
              <td className="num">{row.top.figure}</td>
              <td className="num">{row.cut === null ? <span className="note">{words.guides.none}</span> : <b>{row.cut.shown}</b>}</td>
              <td className="num">{row.cut === null ? '' : row.topAfter.figure}</td>
              {rooms.map(({ quantity }) => {
                const before = find(row.before, quantity);
                const after = find(row.after, quantity);
                return (
                  <td key={quantity} className="rule side">
                    {before && <MarginRule margin={before} width={124} height={27} tried={row.cut === null ? null : (after?.at ?? null)} />}
                  </td>
                );
              })}
              {hasNoLonger && <td className="side wrong">{row.noLonger}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
