import { PairedRule } from '../draw/PairedRule';
import { TemperChip } from '../draw/Temper';
import type { Schemas } from '../shared/api';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import { minus, Side } from './Mismatches';

type Comparison = Schemas['ComparisonView'];

const LETTERS = ['A', 'B'] as const;

/** What differs between two groups: figures by their gauges, signs by their steps, parts in words. */
export function Differences({ of }: { of: Comparison }) {
  const signs = useCatalogue().data?.signs ?? [];
  const isNothing = of.figures.length + of.signs.length + of.words.length === 0;
  return (
    <>
      <p className="note" role="status">
        {words.compare.summary(of.figures.length, of.alike, of.few)}
      </p>
      {isNothing && <p>{words.compare.nothing}</p>}
      {of.figures.length > 0 && (
        <table className="mismatches" aria-label={words.compare.figures}>
          <thead>
            <tr>
              <th>{words.mismatches.what}</th>
              <th>A: {of.one.name}</th>
              <th>B: {of.other.name}</th>
              <th>{words.compare.rule}</th>
              <th className="num">{words.mismatches.difference}</th>
              <th className="num" title={words.mismatches.byGaugeHint}>
                {words.mismatches.byGauge}
              </th>
              <th>{words.compare.outside}</th>
            </tr>
          </thead>
          <tbody>
            {of.figures.map((one) => (
              <tr key={`${one.code} ${one.what} ${one.where}`}>
                <th scope="row">
                  {one.what}
                  {one.where !== '' && <small>{one.where}</small>}
                </th>
                <td>
                  <Side side={{ ...one.one, name: '' }} unit={one.difference.unit} />
                </td>
                <td>
                  <Side side={{ ...one.other, name: '' }} unit={one.difference.unit} />
                </td>
                <td className="paired">
                  {one.rule !== null && (
                    <PairedRule
                      rule={one.rule}
                      letters={LETTERS}
                      label={words.compare.ruleOf(one.what, one.one.shown, one.other.shown, one.outside.length > 0)}
                    />
                  )}
                </td>
                <td className="num">{minus(one.difference.shown)}</td>
                <td className="num">{one.byGauge === null ? '' : `×${one.byGauge}`}</td>
                <td className="wrong">{one.outside.length === 0 ? '' : words.compare.outsideAt(one.outside.length)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {of.signs.length + of.words.length > 0 && (
        <table className="mismatches" aria-label={words.compare.signs}>
          <thead>
            <tr>
              <th>{words.compare.sign}</th>
              <th>{of.one.name}</th>
              <th>{of.other.name}</th>
            </tr>
          </thead>
          <tbody>
            {of.signs.map((one) => {
              const steps = signs.find((sign) => sign.code === one.sign)?.severity ?? [];
              return (
                <tr key={one.sign}>
                  <th scope="row">
                    {one.name}
                    <small>{one.part.replace('_', ' ')}</small>
                  </th>
                  <td>
                    <Step step={one.one} of={steps} />
                  </td>
                  <td>
                    <Step step={one.other} of={steps} />
                  </td>
                </tr>
              );
            })}
            {of.words.map((one) => (
              <tr key={one.what}>
                <th scope="row">{one.what}</th>
                <td>{one.one.shown}</td>
                <td>{one.other.shown}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

/** How far a sign went, as the teardown shows it; not looked is told from nothing there. */
const Step = ({ step, of }: { step: number | null; of: readonly string[] }) => (
  <span className="chip-of">
    <TemperChip step={step} size={18} /> {step === null ? words.compare.notLooked : (of[step] ?? '')}
  </span>
);
