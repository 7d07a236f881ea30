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
  /** Whether a heavier line parts the cylinders. */
  isGrouped: boolean;
  onOpen: (place: string, key: string) => void;
}

/** Rules of every station, a column a quantity: notches line up, so that a column is read in one sweep. */
export function RuleField({ rows, columns, find, chosen, isGrouped, onOpen }: Props) {
  return (
    <table className="field">
      <thead>
        <tr>
          <th>{words.bench.station}</th>
          {columns.map((one) => (
            <th key={one.key}>
              {one.head}
              <small>{one.limitWords}</small>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((station, r) => (
          <tr
            key={station.code}
            className={`${station.code === chosen ? 'current' : ''} ${isGrouped && rows[r + 1]?.cylinder !== station.cylinder ? 'last' : ''}`}
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
