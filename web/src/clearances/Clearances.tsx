import { Segmented } from 'antd';
import { useMemo } from 'react';
import { VerdictMark } from '../draw/MarginRule';
import { byValve } from '../entry/byValve';
import { useBench } from '../entry/useBench';
import { PlanSide } from '../frame/PlanSide';
import { useChosen } from '../frame/Chosen';
import { useOpened, useSection } from '../frame/useSection';
import type { MarginView } from '../shared/api';
import { words } from '../shared/messages';
import { useMarginsOfStep } from '../shared/queries';
import { ofMargin, Reasoning } from '../sheet/TraceDialog';
import { FitField } from './FitField';
import { Guides } from './Guides';
import { MoreOrLess } from './MoreOrLess';
import { leastFirst, RuleField } from './RuleField';
import { Station } from './Station';
import '../sheet/sheet.css';
import './clearances.css';

const MARKS: readonly MarginView['verdict'][] = ['outside', 'cannot_tell', 'inside_close', 'not_measured'];

const FIELDS = ['margins', 'station', 'fit', 'departures', 'kind', 'guides', 'springs'] as const;
/** Fields that open no rule beside them. */
const ALONE: readonly string[] = ['fit', 'guides'];
/** Fields of rules that are told margin by margin; the others are told apart. */
const OF_MARGINS = ['margins', 'departures', 'kind'] as const;

/** Step 5: every margin of every station as a field of rules; one of them opened with its reasoning. */
export default function Clearances() {
  const { view } = useBench();
  const told = useMarginsOfStep(view.id, 'bench');
  const [chosen, choose] = useChosen();
  const [field, setField] = useSection(FIELDS);
  const [rule, setRule] = useOpened('rule');
  const margins = useMemo(
    () =>
      new Map(byValve(view.stations, told.data?.margins ?? []).map(([code, one]) => [`${code} ${one.quantity} ${one.coil ?? ''}`, one])),
    [view.stations, told.data],
  );
  const [order, setOrder] = useOpened('order');
  const ofMargins = OF_MARGINS.find((one) => one === field);
  const columns = (told.data?.columns ?? []).filter((one) => one.field === (ofMargins ?? 'margins'));
  const find = (place: string, i: number): MarginView | undefined =>
    margins.get(`${place} ${columns[i]?.quantity ?? ''} ${columns[i]?.index[0] ?? ''}`);
  const column = Math.max(
    0,
    columns.findIndex((one) => one.key === rule),
  );
  const under = columns[column];
  const opened = ofMargins === undefined && rule === null ? undefined : find(chosen, column);
  const sorted = columns.findIndex((one) => one.key === order);
  const rows = sorted === -1 ? view.stations : leastFirst(view.stations, (code) => find(code, sorted));
  const openStation = (place: string): void => {
    choose(place);
    setField('station');
  };
  const fields = (
    <div className="tool-row">
      <Segmented<(typeof FIELDS)[number]>
        value={field}
        onChange={setField}
        options={FIELDS.map((value) => ({ value, label: words.clearances.fields[value] }))}
      />
      {ofMargins !== undefined && columns.length === 0 && <span className="note">{words.clearances.nothing[ofMargins]}</span>}
    </div>
  );
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
      {field === 'station' ? (
        <div className="clearances one-station">
          {fields}
          <Station />
        </div>
      ) : (
        <div className={ALONE.includes(field) ? 'clearances one-field' : 'clearances'}>
          {fields}
          <div className="table-wrap sheet">
            {field === 'fit' && <FitField onOpen={openStation} />}
            {field === 'guides' && <Guides caseId={view.id} onOpen={openStation} />}
            {field === 'springs' && (
              <MoreOrLess
                caseId={view.id}
                onOpen={(place, key) => {
                  choose(place);
                  setRule(key);
                }}
              />
            )}
            {ofMargins !== undefined && (
              <RuleField
                rows={rows}
                columns={columns}
                find={find}
                chosen={chosen}
                sortedBy={sorted === -1 ? null : order}
                onSort={setOrder}
                onOpen={(place, key) => {
                  choose(place);
                  setRule(key);
                }}
              />
            )}
          </div>
          {!ALONE.includes(field) && (
            <aside className="opened">
              {opened ? <Reasoning caseId={view.id} subject={ofMargin(opened)} /> : <p className="note">{words.clearances.hint}</p>}
            </aside>
          )}
        </div>
      )}
    </div>
  );
}
