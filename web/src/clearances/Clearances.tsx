import { Segmented } from 'antd';
import { useMemo } from 'react';
import { MarginRule, VerdictMark } from '../draw/MarginRule';
import { useBench } from '../entry/useBench';
import { PlanSide } from '../frame/PlanSide';
import { useChosen } from '../frame/Chosen';
import { useOpened, useSection } from '../frame/useSection';
import type { MarginView } from '../shared/api';
import { words } from '../shared/messages';
import { useMarginsOfStep } from '../shared/queries';
import { ofMargin, Reasoning } from '../sheet/TraceDialog';
import { MoreOrLess } from './MoreOrLess';
import '../sheet/sheet.css';
import './clearances.css';

const MARKS: readonly MarginView['verdict'][] = ['outside', 'cannot_tell', 'inside_close', 'not_measured'];

const FIELDS = ['margins', 'departures', 'kind', 'springs'] as const;

/** Step 5: every margin of every station as a field of rules; one of them opened with its reasoning. */
export default function Clearances() {
  const { view } = useBench();
  const told = useMarginsOfStep(view.id, 'bench');
  const [chosen, choose] = useChosen();
  const [field, setField] = useSection(FIELDS);
  const [rule, setRule] = useOpened('rule');
  const margins = useMemo(
    () => new Map((told.data?.margins ?? []).map((one) => [`${one.place} ${one.quantity} ${one.coil ?? ''}`, one])),
    [told.data],
  );
  const isOfSprings = field === 'springs';
  const columns = (told.data?.columns ?? []).filter((one) => one.field === (isOfSprings ? 'margins' : field));
  const find = (place: string, i: number): MarginView | undefined =>
    margins.get(`${place} ${columns[i]?.quantity ?? ''} ${columns[i]?.index[0] ?? ''}`);
  const column = Math.max(
    0,
    columns.findIndex((one) => one.key === rule),
  );
  const under = columns[column];
  const opened = isOfSprings && rule === null ? undefined : find(chosen, column);
  return (
    <div className="room in-clearances">
      <PlanSide
        chosen={chosen}
        onChoose={choose}
        first="margin"
        margin={under && { quantity: under.quantity, index: under.index[0] ?? null }}
      >
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
            <Segmented<(typeof FIELDS)[number]>
              value={field}
              onChange={setField}
              options={FIELDS.map((value) => ({ value, label: words.clearances.fields[value] }))}
            />
            {!isOfSprings && columns.length === 0 && <span className="note">{words.clearances.nothing[field]}</span>}
          </div>
          {isOfSprings ? (
            <MoreOrLess
              caseId={view.id}
              onOpen={(place, key) => {
                choose(place);
                setRule(key);
              }}
            />
          ) : (
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
                {view.stations.map((station, r) => (
                  <tr
                    key={station.code}
                    className={`${station.code === chosen ? 'current' : ''} ${view.stations[r + 1]?.cylinder === station.cylinder ? '' : 'last'}`}
                  >
                    <th scope="row" className="figures">
                      {station.label}
                    </th>
                    {columns.map((one, i) => {
                      const margin = find(station.code, i);
                      return (
                        <td key={one.key} className="rule">
                          {margin && (
                            <button
                              type="button"
                              onClick={() => {
                                choose(station.code);
                                setRule(one.key);
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
          )}
        </div>
        <aside className="opened">
          {opened ? <Reasoning caseId={view.id} subject={ofMargin(opened)} /> : <p className="note">{words.clearances.hint}</p>}
        </aside>
      </div>
    </div>
  );
}
