import { memo, type ReactNode } from 'react';
import { MarginRule } from '../draw/MarginRule';
import { Tag } from '../draw/Tag';
import { Asked } from '../entry/Asked';
import type { SlotState } from '../entry/slots';
import type { MarginView, Schemas } from '../shared/api';
import { cellName, type Cell, type SheetLayout, type SheetRow as Row } from './cells';
import { SheetCell } from './SheetCell';
import { ofMargin, ofValue, type Subject } from './TraceDialog';

/** What the hand does in a cell; the same object as long as the sheet is shown. */
export interface Hands {
  press: (cell: Cell) => void;
  commit: (cell: Cell, text: string | null, along: number) => void;
  step: (cell: Cell, down: number, right: number) => void;
  trace: (subject: Subject) => void;
  gauge: () => void;
}

/** What a row tells, in the order of its columns and lines; undefined where there is nothing to tell. */
export interface Told {
  values: readonly (Schemas['ValueView'] | undefined)[];
  margins: readonly (MarginView | undefined)[];
}

interface Props {
  layout: SheetLayout;
  caseId: string;
  row: Row;
  number: number;
  lines: readonly string[];
  isFailed: boolean;
  isCurrent: boolean;
  /** Line and column of the live cell. */
  live: { line: number; column: number } | null;
  /** Keys of the slots, by line, then column. */
  slots: readonly string[];
  /** What stands in them; null where a cell is not offered. */
  states: readonly (SlotState | null)[];
  /** Test height of each column. */
  heights: readonly string[];
  told: Told;
  hasNotes: boolean;
  note: ReactNode;
  questions: readonly Schemas['AskedView'][];
  hands: Hands;
}

/** A row of a sheet: its readings, and what follows from them. Drawn anew only where something of it changed. */
export const SheetRow = memo(function SheetRow(props: Props) {
  const { layout, caseId, row, number, slots, lines, isFailed, isCurrent, live, states, heights, hasNotes, note, questions, hands } = props;
  return lines.map((line, l) => (
    <tr key={line} className={isCurrent ? 'current' : ''}>
      {l === 0 && (
        <th scope="row" rowSpan={lines.length}>
          {row.isStation ? <Tag label={row.label} lead={isFailed} /> : <b className="figures">{row.label}</b>}
        </th>
      )}
      {layout.lines.length > 0 && <th className="line-of">{layout.lines[l]?.label}</th>}
      {layout.columns.map((of, j) => {
        const state = states[l * layout.columns.length + j];
        const cell = { row: number, line: l, column: j };
        if (state == null) return <td key={of.key} />;
        return (
          <SheetCell
            key={of.key}
            name={cellName(row, of, line)}
            caseId={caseId}
            slot={slots[l * layout.columns.length + j] ?? ''}
            state={state}
            active={live !== null && l === live.line && j === live.column}
            headAt={of.atHeight ? (heights[j] ?? '') : null}
            onOpen={() => hands.press(cell)}
            onCommit={(text, along) => hands.commit(cell, text, along)}
            onStep={(down, right) => hands.step(cell, down, right)}
          />
        );
      })}
      <Follows {...props} line={l} />
      {l === 0 && hasNotes && <td rowSpan={lines.length}>{note}</td>}
      {l === 0 &&
        questions.map((question) => (
          <td key={question.code} rowSpan={lines.length} className="rule">
            <Asked question={question} place={row.place} narrow />
          </td>
        ))}
    </tr>
  ));
}, isSame);

const isOfLine = (template: readonly string[]): boolean => template.includes('{line}');

/** Computed values, and margins as rules; each opens its reasoning. Of the row that has the hand they are reached by Tab. */
function Follows({ layout, row, told, line, lines, isCurrent, hands }: Props & { line: number }) {
  const span = (template: readonly string[]): number => (isOfLine(template) ? 1 : lines.length);
  const tabIndex = isCurrent ? 0 : -1;
  return (
    <>
      {layout.computed.map((one, j) => {
        if (line > 0 && !isOfLine(one.index)) return null;
        const value = told.values[line * layout.computed.length + j];
        return (
          <td key={one.key} rowSpan={span(one.index)} className="figure derived">
            {value && (
              <button
                type="button"
                tabIndex={tabIndex}
                title={value.value.shown}
                aria-label={`${row.name} ${one.head} ${one.under}: ${value.value.shown}`}
                onClick={() => hands.trace(ofValue(value, row.name))}
              >
                {value.value.figure}
              </button>
            )}
          </td>
        );
      })}
      {layout.margins.map((one, j) => {
        if (line > 0 && !isOfLine(one.index)) return null;
        const margin = told.margins[line * layout.margins.length + j];
        return (
          <td key={one.key} rowSpan={span(one.index)} className="rule">
            {margin && (
              <button type="button" tabIndex={tabIndex} onClick={() => hands.trace(ofMargin(margin))} title={margin.sentence}>
                <MarginRule margin={margin} width={124} />
              </button>
            )}
          </td>
        );
      })}
    </>
  );
}

const sameList = <T,>(a: readonly T[], b: readonly T[], same: (x: T, y: T) => boolean = Object.is): boolean =>
  a.length === b.length && a.every((one, i) => same(one, b[i] as T));

/** Slots and what they tell are put together anew with each entry; most of a sheet stays what it was. */
function isSame(before: Props, after: Props): boolean {
  return (
    before.layout === after.layout &&
    before.row === after.row &&
    before.number === after.number &&
    before.isFailed === after.isFailed &&
    before.isCurrent === after.isCurrent &&
    before.live?.line === after.live?.line &&
    before.live?.column === after.live?.column &&
    before.note === after.note &&
    before.questions === after.questions &&
    before.slots === after.slots &&
    sameList(before.states, after.states, (x, y) => x?.entry === y?.entry && x?.outgoing === y?.outgoing) &&
    sameList(before.heights, after.heights) &&
    sameList(before.told.values, after.told.values) &&
    sameList(before.told.margins, after.told.margins)
  );
}
