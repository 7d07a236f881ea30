import { Segmented } from 'antd';
import { useState } from 'react';
import { MarginRule, VerdictMark } from '../draw/MarginRule';
import { useBench } from '../entry/useBench';
import { PlanSide } from '../frame/PlanSide';
import { useChosen } from '../frame/useChosen';
import type { MarginView } from '../shared/api';
import { words } from '../shared/messages';
import { useSprings } from '../shared/queries';
import { ofMargin, Reasoning } from '../bench/TraceDialog';
import '../entry/sheet.css';
import './clearances.css';

const FIELD: readonly Column[] = [
  { quantity: 'travel_to_bind', coil: 'outer', head: 'outer bind' },
  { quantity: 'travel_to_bind', coil: 'inner', head: 'inner bind' },
  { quantity: 'retainer_to_seal', coil: null, head: 'retainer to seal' },
  { quantity: 'spring_in_pocket', coil: null, head: 'spring in pocket' },
  { quantity: 'installed_height_from_claim', coil: null, head: 'installed height' },
];

interface Column {
  quantity: string;
  coil: string | null;
  head: string;
}

/** Departures from the build as claimed, for what was both claimed and measured anywhere. */
function departures(margins: readonly MarginView[]): Column[] {
  const found = new Map<string, Column>();
  for (const margin of margins) {
    if (margin.quantity.endsWith('_from_claim') && margin.value !== null) {
      found.set(`${margin.quantity} ${margin.coil ?? ''}`, {
        quantity: margin.quantity,
        coil: margin.coil,
        head: margin.title.replace(/ against .*/, ''),
      });
    }
  }
  return [...found.values()];
}

const MARKS: readonly MarginView['verdict'][] = ['outside', 'cannot_tell', 'inside_close', 'not_measured'];

/** Step 5: every margin of every station as a field of rules; one of them opened with its reasoning. */
export default function Clearances() {
  const { view } = useBench();
  const springs = useSprings(view.id, view.revision);
  const [chosen, choose] = useChosen();
  const [column, setColumn] = useState(0);
  const [field, setField] = useState<'margins' | 'departures'>('margins');
  const margins = springs.data?.margins ?? [];
  const all = field === 'margins' ? FIELD : departures(margins);
  const find = (place: string, i: number): MarginView | undefined =>
    margins.find((margin) => margin.place === place && margin.quantity === all[i]?.quantity && (margin.coil ?? null) === all[i].coil);
  const columns = FIELD.map((_, i) => i).filter(
    (i) => FIELD[i]?.coil !== 'inner' || view.stations.some((station) => find(station.code, i) !== undefined),
  );
  const opened = find(chosen, column);
  return (
    <div className="room">
      <PlanSide chosen={chosen} onChoose={choose} first="travel">
        <ul className="marks">
          {MARKS.map((verdict) => (
            <li key={verdict}>
              <svg
                width="16"
                height="16"
                style={{ '--ink': 'var(--slab-ink)', '--lead': 'var(--slab-lead)', '--ink3': 'var(--slab-ink2)' } as never}
                aria-hidden="true"
              >
                <VerdictMark verdict={verdict} x={8} y={8} />
              </svg>
              {verdict.replace('_', ' ').replace('inside close', 'inside, close')}
            </li>
          ))}
        </ul>
      </PlanSide>
      <div className="clearances">
        <div className="table-wrap sheet">
          <div className="tool-row">
            <Segmented<'margins' | 'departures'>
              value={field}
              onChange={(picked) => {
                setField(picked);
                setColumn(0);
              }}
              options={[
                { value: 'margins', label: words.clearances.margins },
                { value: 'departures', label: words.clearances.departures },
              ]}
            />
            {columns.length === 0 && <span className="note">{words.clearances.nothingClaimed}</span>}
          </div>
          <table className="field">
            <thead>
              <tr>
                <th>{words.bench.station}</th>
                {columns.map((i) => (
                  <th key={i}>
                    {all[i]?.head}
                    <small>{find(view.stations[0]?.code ?? '', i)?.limitWords}</small>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {view.stations.map((station, r) => (
                <tr
                  key={station.code}
                  className={`${station.code === chosen ? 'current' : ''} ${view.stations[r + 1]?.cylinder === station.cylinder ? '' : 'last'}`}
                >
                  <th scope="row" className="figures">
                    {station.label}
                  </th>
                  {columns.map((i) => {
                    const margin = find(station.code, i);
                    return (
                      <td key={i} className="rule">
                        {margin && (
                          <button
                            type="button"
                            onClick={() => {
                              choose(station.code);
                              setColumn(i);
                            }}
                          >
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
        </div>
        <aside className="opened">
          {opened ? <Reasoning caseId={view.id} subject={ofMargin(opened)} /> : <p className="note">{words.clearances.hint}</p>}
        </aside>
      </div>
    </div>
  );
}
