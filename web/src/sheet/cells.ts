import type { SlotAddress } from '../entry/slots';
import type { Schemas } from '../shared/api';

export type SheetLayout = Schemas['SheetLayoutView'];
export type SheetRow = Schemas['SheetRowView'];
export type SheetColumn = Schemas['SheetColumnView'];

/** What is chosen of a sheet beside row and column: its page, a line of the row, the day of an earlier sheet. */
export interface Chosen {
  face: string;
  line: string;
  date: string;
}

/** The index that a template means here: parts that are empty are left out. */
export function indexOf(template: readonly string[], row: SheetRow, chosen: Chosen): string | null {
  const parts: Record<string, string> = { '{face}': chosen.face, '{line}': chosen.line, '{row}': row.part, '{date}': chosen.date };
  const index = template.map((part) => parts[part] ?? part).filter((part) => part !== '');
  return index.length === 0 ? null : index.join('.');
}

export function slotOf(column: SheetColumn, row: SheetRow, chosen: Chosen): SlotAddress {
  return { place: row.place, part: column.part, item: column.code, index: indexOf(column.index, row, chosen) };
}

/** What a cell is called in messages and for the ear; a column that names its row already is not told it twice. */
export const cellName = (row: SheetRow | undefined, column: SheetColumn | undefined, line = ''): string =>
  [column !== undefined && row !== undefined && column.name.startsWith(`${row.name} `) ? '' : row?.name, column?.name, line]
    .filter(Boolean)
    .join(' ');

/** A cell of a sheet by the numbers of its row, line and column. */
export interface Cell {
  row: number;
  line: number;
  column: number;
}

/** The cells of a sheet in the order in which Enter goes: along each line, or down each column. */
export function cellsInOrder(layout: SheetLayout, across: boolean): Cell[] {
  const lines = Math.max(1, layout.lines.length);
  const cells: Cell[] = [];
  for (let row = 0; row < layout.rows.length; row++) {
    for (let line = 0; line < lines; line++) {
      for (let column = 0; column < layout.columns.length; column++) cells.push({ row, line, column });
    }
  }
  return across ? cells : cells.sort((a, b) => a.column - b.column || a.row - b.row || a.line - b.line);
}
