import { MarginRule } from '../draw/MarginRule';
import type { MarginView } from '../shared/api';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { useMoreOrLess, type MarginColumn, type MoreOrLessRow } from '../shared/queries';

interface Props {
  caseId: string;
  /** Opens a margin of the case as it is. */
  onOpen: (place: string, key: string) => void;
}

/** What more spring load, or less, would do: what too little risks beside what too much does, each where it is worst. */
export function MoreOrLess({ caseId, onOpen }: Props) {
  const told = useMoreOrLess(caseId);
  if (told.error !== null)
    return (
      <p className="wrong" role="alert">
        {failureWords(told.error)}
      </p>
    );
  if (told.data === undefined) return null;
  const { rows, tooLittle, tooMuch, missing } = told.data;
  if (rows.length === 0)
    return (
      <p className="more-or-less-note">
        {words.moreOrLess.missing} {missing.join(', ')}.
      </p>
    );
  const known = new Set(rows.flatMap((row) => row.margins.map((margin) => margin.quantity)));
  const sides = [
    { name: words.moreOrLess.tooLittle, columns: tooLittle.filter((one) => known.has(one.quantity)) },
    { name: words.moreOrLess.tooMuch, columns: tooMuch.filter((one) => known.has(one.quantity)) },
  ].filter((side) => side.columns.length > 0);
  return (
    <>
      <p className="more-or-less-note">{words.moreOrLess.note}</p>
      <table className="field more-or-less">
        <thead>
          <tr>
            <th colSpan={3} />
            {sides.map((side) => (
              <th key={side.name} colSpan={side.columns.length} scope="colgroup" className="side">
                {side.name}
              </th>
            ))}
          </tr>
          <tr>
            <th>{words.moreOrLess.load}</th>
            <th className="num">
              {words.moreOrLess.seat}
              <small>{rows[0]?.seatLoad.unit}</small>
            </th>
            <th className="num">
              {words.moreOrLess.open}
              <small>{rows[0]?.openLoad.unit}</small>
            </th>
            {sides.flatMap((side) =>
              side.columns.map((column, i) => (
                <th key={column.key} className={i === 0 ? 'side' : undefined}>
                  {column.head}
                  <small>{column.limitWords}</small>
                </th>
              )),
            )}
          </tr>
        </thead>
        {(['I', 'E'] as const).map((kind) => (
          <tbody key={kind}>
            <tr>
              <th colSpan={3 + sides.flatMap((side) => side.columns).length} scope="rowgroup">
                {words.moreOrLess.kinds[kind]}
              </th>
            </tr>
            {rows
              .filter((row) => row.kind === kind)
              .map((row) => (
                <tr key={row.percent} className={row.percent === 0 ? 'current' : undefined}>
                  <th scope="row" className="figures">
                    {words.moreOrLess.share(row.percent)}
                  </th>
                  <td className="num">{row.seatLoad.figure}</td>
                  <td className="num">{row.openLoad.figure}</td>
                  {sides.flatMap((side) =>
                    side.columns.map((column, i) => (
                      <td key={column.key} className={i === 0 ? 'rule side' : 'rule'}>
                        <Worst row={row} column={column} onOpen={onOpen} />
                      </td>
                    )),
                  )}
                </tr>
              ))}
          </tbody>
        ))}
      </table>
    </>
  );
}

/** The margin at the station where it is worst; as the case stands, it can be opened. */
function Worst({ row, column, onOpen }: { row: MoreOrLessRow; column: MarginColumn; onOpen: Props['onOpen'] }) {
  const margin = row.margins.find((one) => one.quantity === column.quantity);
  if (margin === undefined) return <small className="at">{words.moreOrLess.notKnown}</small>;
  return row.percent === 0 ? (
    <button type="button" onClick={() => onOpen(margin.place, column.key)}>
      <Ruled margin={margin} />
    </button>
  ) : (
    <span className="ruled">
      <Ruled margin={margin} />
    </span>
  );
}

const Ruled = ({ margin }: { margin: MarginView }) => (
  <>
    <MarginRule margin={margin} width={116} height={27} />
    <small className="at">{margin.label}</small>
  </>
);
