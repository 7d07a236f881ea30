import type { ReactNode } from 'react';
import type { Schemas } from '../shared/api';
import { words } from '../shared/messages';
import type { SheetColumn, SheetLayout } from './cells';

/** Widths of the columns in pixels; a sheet that needs more than there is scrolls, its stations stay. */
const WIDTH = { station: 74, line: 50, reading: 62, margin: 136, note: 150, question: 190 };

/** The least width at which everything of a sheet can be read. */
export const leastWidth = (layout: SheetLayout, note: boolean, questions: number): number =>
  WIDTH.station +
  (layout.lines.length > 0 ? WIDTH.line : 0) +
  WIDTH.reading * (layout.columns.length + layout.computed.length) +
  WIDTH.margin * layout.margins.length +
  (note ? WIDTH.note : 0) +
  WIDTH.question * questions;

interface Props {
  layout: SheetLayout;
  grouped: boolean;
  note: boolean;
  questions: readonly Schemas['AskedView'][];
  /** What stands under the name of a column: its unit, or its test height. */
  children: (column: SheetColumn) => ReactNode;
}

/** Heads of a sheet; columns that differ by depth or number only stand together under one. */
export function SheetHeads({ layout, grouped, note, questions, children }: Props) {
  const columns = [
    ...layout.columns.map((one) => ({ ...one, computed: false, below: children(one) })),
    ...layout.computed.map((one) => ({ ...one, computed: true, below: <small>{one.unit}</small> })),
  ];
  const groups: { head: string; span: number; computed: boolean }[] = [];
  for (const one of columns) {
    const last = groups.at(-1);
    if (one.under !== '' && last !== undefined && last.head === one.head && last.computed === one.computed) last.span++;
    else groups.push({ head: one.head, span: 1, computed: one.computed });
  }
  const deep = grouped ? 2 : 1;
  return (
    <thead>
      <tr>
        <th rowSpan={deep}>{layout.isLoose ? words.bench.looseHead : words.bench.station}</th>
        {layout.lines.length > 0 && <th rowSpan={deep} className="line-of" />}
        {grouped
          ? groups.map((one, i) => (
              <th key={i} colSpan={one.span} className={one.computed ? 'figure computed' : 'figure'}>
                {one.head}
              </th>
            ))
          : columns.map((one) => (
              <th key={one.key} className={one.computed ? 'figure computed' : 'figure'}>
                {one.head}
                {one.below}
              </th>
            ))}
        {layout.margins.map((one) => (
          <th key={one.key} rowSpan={deep} style={{ width: WIDTH.margin }}>
            {one.head}
            <small>{one.limitWords}</small>
          </th>
        ))}
        {note && (
          <th rowSpan={deep} style={{ width: WIDTH.note }}>
            {layout.isLoose ? words.bench.stands : ''}
          </th>
        )}
        {questions.map((one) => (
          <th key={one.code} rowSpan={deep} style={{ width: WIDTH.question }}>
            {one.ask}
          </th>
        ))}
      </tr>
      {grouped && (
        <tr className="under">
          {columns.map((one) => (
            <th key={one.key} className={one.computed ? 'figure computed' : 'figure'}>
              {one.under}
              {one.below}
            </th>
          ))}
        </tr>
      )}
    </thead>
  );
}
