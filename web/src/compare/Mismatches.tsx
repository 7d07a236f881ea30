import type { Schemas } from '../shared/api';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { useMismatches } from '../shared/queries';

type Mismatch = Schemas['MismatchView'];

const KINDS = ['claim', 'banks', 'kind'] as const;

/** What does not match in the engine, with the numbers. */
export function Mismatches({ caseId, onOpen }: { caseId: string; onOpen: (place: string) => void }) {
  const told = useMismatches(caseId);
  if (told.error !== null)
    return (
      <p className="wrong" role="alert">
        {failureWords(told.error)}
      </p>
    );
  if (told.data === undefined) return null;
  const all = told.data;
  return (
    <>
      <p className="note">{words.mismatches.note}</p>
      {all.length === 0 ? (
        <p className="note">{words.mismatches.nothing}</p>
      ) : (
        <table className="mismatches">
          <thead>
            <tr>
              <th>{words.mismatches.what}</th>
              <th />
              <th />
              <th className="num">{words.mismatches.difference}</th>
              <th className="num" title={words.mismatches.byGaugeHint}>
                {words.mismatches.byGauge}
              </th>
              <th>{words.mismatches.where}</th>
            </tr>
          </thead>
          {KINDS.filter((kind) => all.some((one) => one.kind === kind)).map((kind) => (
            <tbody key={kind}>
              <tr>
                <th colSpan={6} scope="rowgroup">
                  {words.mismatches.kinds[kind]}
                </th>
              </tr>
              {all
                .filter((one) => one.kind === kind)
                .map((one) => (
                  <Row key={`${one.what} ${one.where}`} one={one} onOpen={onOpen} />
                ))}
            </tbody>
          ))}
        </table>
      )}
    </>
  );
}

function Row({ one, onOpen }: { one: Mismatch; onOpen: (place: string) => void }) {
  return (
    <tr>
      <th scope="row">
        {one.what}
        <small>{one.where}</small>
      </th>
      <td>
        <Side side={one.one} unit={one.difference?.unit ?? ''} />
      </td>
      <td>
        <Side side={one.other} unit={one.difference?.unit ?? ''} />
      </td>
      <td className="num">{minus(one.difference?.shown ?? '')}</td>
      <td className="num">{one.byGauge === null ? '' : `×${one.byGauge}`}</td>
      <td>
        {one.places.map((place, i) => (
          <button key={place} type="button" className="plain-link" onClick={() => onOpen(place)}>
            {one.labels[i]}
          </button>
        ))}
      </td>
    </tr>
  );
}

/** Figures with a minus as it is set, not with a stroke. */
export const minus = (figures: string): string => figures.replaceAll(/(^| )-/g, '$1−');

export const Side = ({ side, unit }: { side: Mismatch['one']; unit: string }) => (
  <>
    <span className="note">{side.name}</span> <b>{minus(`${side.shown} ${unit}`.trim())}</b>
    {side.least !== null && side.most !== null && side.count > 1 && (
      <small>
        {minus(words.mismatches.range(side.least, side.most))}, {words.mismatches.of(side.count)}
      </small>
    )}
  </>
);
