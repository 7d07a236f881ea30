import { Button, Input, Segmented } from 'antd';
import { useEffect, useState } from 'react';
import { MarginRule } from '../draw/MarginRule';
import { Tag } from '../draw/Tag';
import { Asked } from '../entry/Asked';
import { useBench } from '../entry/useBench';
import { PlanSide } from '../frame/PlanSide';
import { useChosen } from '../frame/Chosen';
import { useSection } from '../frame/useSection';
import type { Schemas } from '../shared/api';
import { today } from '../shared/days';
import { words } from '../shared/messages';
import { useCatalogue, useLashOrder, useMargins, useSheet, useSheets } from '../shared/queries';
import type { SheetLayout } from '../sheet/cells';
import { Remarks, Sheet } from '../sheet/Sheet';
import './before.css';

const SECTIONS = ['cylinders', 'valves', 'engine', 'dates'] as const;
type Section = (typeof SECTIONS)[number];
type LashOrder = Schemas['LashOrderView'];

/** Step 2: the tests on the assembled engine, and the health record of one that has not failed. */
export default function Before() {
  const { view } = useBench();
  const [chosen, choose] = useChosen();
  const [section, setSection] = useSection(SECTIONS);
  const order = useLashOrder(view.id, view.revision);
  const layouts = useSheets(view.id, view.revision);
  const layout = (code: string): SheetLayout | undefined => layouts.data?.find((one) => one.code === code);
  const pulls = layout('pulls');
  return (
    <div className="room">
      <PlanSide chosen={chosen} onChoose={choose} first="seatLoad" next={section === 'valves' ? (order.data?.nextPull ?? null) : null} />
      <div className="bench-sheet before">
        <div className="tool-row">
          <Segmented<Section>
            value={section}
            onChange={setSection}
            options={SECTIONS.map((value) => ({ value, label: words.before.sections[value] }))}
          />
        </div>
        {section === 'cylinders' && <Told layout={layout('cylinders')} />}
        {section === 'valves' && order.data && pulls && (
          <Valves order={order.data} layout={pulls} chosen={chosen} choose={choose} date="" />
        )}
        {section === 'engine' && <Engine cams={layout('cams')} tests={layout('engine_tests')} />}
        {section === 'dates' && order.data && pulls && <Dates order={order.data} layout={pulls} chosen={chosen} choose={choose} />}
      </div>
    </div>
  );
}

/** A sheet whose rows are no stations, with what it says as a whole. */
function Told({ layout, foot }: { layout: SheetLayout | undefined; foot?: string }) {
  const { view } = useBench();
  const [at, setAt] = useState('');
  const told = useSheet(view.id, view.revision, layout?.code ?? 'cylinders');
  if (layout === undefined) return null;
  return (
    <>
      <Remarks list={told.data?.code === layout.code ? told.data.remarks : []} />
      <Sheet layout={layout} across={layout.goesAcross} at={at} onRow={setAt} {...(foot === undefined ? {} : { foot })} />
    </>
  );
}

interface ValvesProps {
  order: LashOrder;
  layout: SheetLayout;
  chosen: string;
  choose: (station: string) => void;
  /** Empty for the tests of this case, else the date of an earlier sheet. */
  date: string;
}

/** Lash and seat-load pulls, in the order in which lash is set; the next valve named large. */
function Valves({ order, layout, chosen, choose, date }: ValvesProps) {
  const { view, slots } = useBench();
  const catalogue = useCatalogue();
  const told = useSheet(view.id, view.revision, layout.code);
  const label = (code: string): string => view.stations.find((one) => one.code === code)?.label ?? code;
  const third = date === '' ? '3' : `${date}.3`;
  const wantsThird = (code: string): boolean =>
    order.wantThird.includes(code) || slots.get({ place: code, part: 'valve', item: 'pull', index: third }).entry !== null;
  const next = date === '' ? order.nextPull : null;
  const stop = order.order.find((one) => one.stations.includes(next ?? chosen));
  const state = catalogue.data?.asked.find((one) => one.code === 'lash_state');
  return (
    <>
      {date === '' && (
        <div className="next-pull" aria-live="polite">
          {next === null ? (
            <p className="quiet">{words.before.allPulled}</p>
          ) : (
            <>
              <span className="quiet">{words.before.next}</span>
              <button type="button" className="next-valve" onClick={() => choose(next)}>
                {label(next)}
              </button>
            </>
          )}
          <p>
            {stop?.words} {order.fromFiringOrder ? '' : words.before.noFiringOrder}
          </p>
          {state && (
            <label className="quiet">
              {state.ask} <Asked question={state} place="engine" narrow />
            </label>
          )}
        </div>
      )}
      <Remarks list={date === '' ? (told.data?.remarks ?? []) : []} />
      <Sheet
        layout={date === '' ? layout : { ...layout, margins: [] }}
        date={date}
        across
        at={chosen}
        onRow={choose}
        leavesOut={(row, column) => column.index.at(-1) === '3' && !wantsThird(row.key)}
        note={(row) => (order.wantThird.includes(row.key) ? <span className="wrong">{words.before.third}</span> : null)}
        foot={words.before.pullFoot}
      />
    </>
  );
}

/** What is asked of the engine as a whole, oil pressure and cam phase. */
function Engine({ cams, tests }: { cams: SheetLayout | undefined; tests: SheetLayout | undefined }) {
  const catalogue = useCatalogue();
  const questions = (catalogue.data?.asked ?? []).filter(
    (one) => one.step === 'before' && one.site === 'engine' && one.code !== 'lash_state',
  );
  return (
    <div className="before-engine">
      <div className="asked-list">
        {questions.map((question) => (
          <Asked key={question.code} question={question} place="engine" />
        ))}
      </div>
      <Told layout={cams} foot={words.before.phaseFoot} />
      <Told layout={tests} />
    </div>
  );
}

/** Whether a text is a day of the calendar; a browser takes the 31st of February for one in March. */
function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const day = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(day.getTime()) && day.toISOString().startsWith(text);
}

/** Lash and pulls of one engine over dates: what drifts, and what the direction means. */
function Dates({ order, layout, chosen, choose }: Omit<ValvesProps, 'date'>) {
  const { view } = useBench();
  const drift = useMargins(view.id, view.revision, { quantity: 'lash_drift,pull_drift' });
  const [date, setDate] = useState('');
  const [typed, setTyped] = useState('');
  const [added, setAdded] = useState<string[]>([]);
  const dates = [...new Set([...order.dates, ...added])].sort();
  useEffect(() => {
    const newest = order.dates.at(-1);
    if (date === '' && newest !== undefined) setDate(newest);
  }, [order.dates, date]);
  const valid = isDay(typed) && typed <= today();
  const followed = (drift.data?.margins ?? []).filter((one) => one.value !== null);
  const drifts = followed.filter((one) => one.verdict === 'outside' || one.verdict === 'outside_close');
  const shown = drifts.length > 0 ? drifts : followed;
  return (
    <div className="dates">
      <div className="tool-row">
        {dates.map((one) => (
          <Button key={one} type={one === date ? 'primary' : 'default'} onClick={() => setDate(one)}>
            {one}
          </Button>
        ))}
        <Input
          value={typed}
          aria-label={words.before.newDate}
          placeholder="2026-03-14"
          style={{ width: 130 }}
          status={typed.length === 10 && !valid ? 'error' : ''}
          onChange={(event) => setTyped(event.target.value.trim())}
          onPressEnter={() => {
            if (!valid) return;
            setAdded((old) => [...old, typed]);
            setDate(typed);
            setTyped('');
          }}
        />
        <span className="note">{typed.length === 10 && !valid ? words.before.badDate : words.before.newDate}</span>
      </div>
      {followed.length > 0 && (
        <section className="drifts" aria-label={words.before.drifts}>
          <h3>{drifts.length > 0 ? words.before.drifts : words.before.noDrift(followed.length)}</h3>
          <ul>
            {shown.slice(0, 6).map((one) => (
              <li key={`${one.quantity}.${one.place}`} className={drifts.includes(one) ? 'wrong-line' : ''}>
                <Tag label={one.label} lead={drifts.includes(one)} />
                <MarginRule margin={one} width={150} />
                <span>
                  {one.title}: {one.value?.shown}. {one.sentence}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {date === '' ? (
        <div className="pad">
          <div className="empty">
            <b>{words.before.noDates}</b>
            {words.before.noDatesWhat}
          </div>
        </div>
      ) : (
        <Valves key={date} order={order} layout={layout} chosen={chosen} choose={choose} date={date} />
      )}
    </div>
  );
}
