import { MarginRule } from '../draw/MarginRule';
import type { CaseView, MarginView } from '../shared/api';
import { words } from '../shared/messages';
import type { MarginColumn } from '../shared/queries';

interface Props {
  rows: readonly CaseView['stations'][number][];
  columns: readonly MarginColumn[];
  /** The margin of a station in the column of this number. */
  find: (place: string, column: number) => MarginView | undefined;
  chosen: string;
  /** Key of the column that the rows go by, the least room first; null where they go by station, a heavier line a cylinder. */
  sortedBy: string | null;
  onSort: (key: string | null) => void;
  onOpen: (place: string, key: string) => void;
}

/** Rules of every station, a column a quantity: notches line up, so that a column is read in one sweep. */
export function RuleField({ rows, columns, find, chosen, sortedBy, onSort, onOpen }: Props) {
  return (
    <table className="field">
      <thead>
        <tr>
          <th aria-sort={sortedBy === null ? 'ascending' : undefined}>
            <button type="button" onClick={() => onSort(null)}>
              {words.bench.station}
            </button>
          </th>
          {columns.map((one) => (
            <th key={one.key} aria-sort={sortedBy === one.key ? 'ascending' : undefined}>
              <button type="button" title={words.clearances.byLeast} onClick={() => onSort(sortedBy === one.key ? null : one.key)}>
                {one.head}
                <small>{one.limitWords}</small>
              </button>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((station, r) => (
          <tr
            key={station.code}
            className={`${station.code === chosen ? 'current' : ''} ${sortedBy === null && rows[r + 1]?.cylinder !== station.cylinder ? 'last' : ''}`}
          >
            <th scope="row" className="figures">
              {station.label}
            </th>
            {columns.map((one, i) => {
              const margin = find(station.code, i);
              return (
                <td key={one.key} className="rule">
                  {margin && (
                    <button type="button" onClick={() => onOpen(station.code, one.key)}>
                      <MarginRule margin={margin} width={columns.length > 4 ? 106 : 124} height={27} />
                    </button>
                  )}
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** By how much of a margin is left, the least first; what was not measured stands last. */
export function leastFirst<T extends { code: string }>(
  stations: readonly T[],
  margin: (code: string) => MarginView | undefined,
): readonly T[] {
  const left = ({ code }: T): number => margin(code)?.room ?? Infinity;
  return [...stations].sort((a, b) => left(a) - left(b));
}
