import type { CellReading } from '../draw/HeadPlan';
import { temper } from '../look/theme';
import type { PlanCell } from '../shared/api';
import type { ShownRow } from './useQueue';

export const numberOf = (row: ShownRow): string => String(row.number).padStart(4, '0');

/** Where the next act of a case is done. */
export const addressOf = (row: ShownRow): string =>
  `/case/${row.id}/${row.next.step}${row.next.place === null ? '' : `?at=${row.next.place}`}`;

/** The worst that was found at each station. */
export function worstReading(row: ShownRow): (cell: PlanCell) => CellReading {
  return (cell) => {
    const worst = row.worst[cell.station];
    return worst === undefined
      ? { unknown: true, spoken: 'not looked' }
      : { severity: worst, figure: String(worst), spoken: temper[worst]?.word ?? '' };
  };
}
