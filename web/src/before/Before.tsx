import { Button, Input, Segmented } from 'antd';
import { useEffect, useState } from 'react';
import { MarginRule } from '../draw/MarginRule';
import { Tag } from '../draw/Tag';
import { Asked } from '../entry/Asked';
import { Sheet, type ReadingColumn, type SheetRow, type ShownColumn } from '../entry/Sheet';
import { useBench } from '../entry/useBench';
import { PlanSide } from '../frame/PlanSide';
import { useChosen } from '../frame/useChosen';
import type { ColumnView, MarginView, Schemas } from '../shared/api';
import { words } from '../shared/messages';
import { useBefore, useCatalogue } from '../shared/queries';
import './before.css';

const SECTIONS = ['cylinders', 'valves', 'engine', 'dates'] as const;
type Section = (typeof SECTIONS)[number];

/** Step 2: the tests on the assembled engine, and the health record of one that has not failed. */
export default function Before() {
  const { view } = useBench();
  const [chosen, choose] = useChosen();
  const [section, setSection] = useState<Section>('cylinders');
  const before = useBefore(view.id, view.revision);
  return (
    <div className="room">
      <PlanSide chosen={chosen} onChoose={choose} first="seatLoad" next={section === 'valves' ? (before.data?.nextPull ?? null) : null} />
      <div className="bench-sheet before">
        <div className="tool-row">
          <Segmented<Section>
            value={section}
            onChange={setSection}
            options={SECTIONS.map((value) => ({ value, label: words.before.sections[value] }))}
          />
        </div>
        {before.data === undefined ? (
          <div />
        ) : section === 'cylinders' ? (
          <Cylinders before={before.data} />
        ) : section === 'valves' ? (
          <Valves before={before.data} chosen={chosen} choose={choose} date="" />
        ) : section === 'engine' ? (
          <Engine before={before.data} />
        ) : (
          <Dates before={before.data} chosen={chosen} choose={choose} />
        )}
      </div>
    </div>
  );
}

type BeforeView = Schemas['BeforeView'];

function useColumns(): (code: string) => ColumnView | undefined {
  const catalogue = useCatalogue();
  return (code) => catalogue.data?.columns.find((one) => one.code === code);
}

function useUnit(): (column: ColumnView | undefined) => string {
  const { view } = useBench();
  return (column) => column?.units[view.settings.units === 'inch' ? 0 : 1] ?? '';
}

const rule = (margin: MarginView | undefined) => margin && <MarginRule margin={margin} width={130} />;

function marginAt(before: BeforeView, quantity: string, place: string, cam?: string): MarginView | undefined {
  return before.margins.find((one) => one.quantity === quantity && one.place === place && (cam === undefined || one.coil === cam));
}

function Remarks({ list }: { list: readonly string[] }) {
  if (list.length === 0) return null;
  return (
    <div className="remarks" role="status">
      {list.map((remark) => (
        <p key={remark}>{remark}</p>
      ))}
    </div>
  );
}

/** Compression, leak-down and where it hisses, cylinder by cylinder. */
function Cylinders({ before }: { before: BeforeView }) {
  const { view } = useBench();
  const catalogue = useCatalogue();
  const column = useColumns();
  const unit = useUnit();
  const [at, setAt] = useState('');
  const rows: SheetRow[] = [...view.plan.bores]
    .sort((a, b) => a.number - b.number)
    .map((bore) => ({ key: bore.cylinder, name: `cylinder ${bore.number}`, head: <b className="figures">{bore.number}</b> }));
  const reading = (code: string, index: string | null, head: string): ReadingColumn => ({
    key: `${code}.${index ?? ''}`,
    name: head,
    head,
    unit: unit(column(code)),
    gauge: column(code)?.gauge,
    slot: (row) => ({ place: row.key, part: 'chamber', item: code, index }),
  });
  const hiss = catalogue.data?.asked.find((one) => one.code === 'hiss');
  const shown: ShownColumn[] = [
    {
      key: 'share',
      head: words.before.ofHighest,
      unit: marginAt(before, 'compression', rows[0]?.key ?? '')?.limitWords,
      width: 140,
      show: (row) => rule(marginAt(before, 'compression', row.key)),
    },
    {
      key: 'leak',
      head: words.before.leaks,
      unit: marginAt(before, 'leak_down', rows[0]?.key ?? '')?.limitWords,
      width: 140,
      show: (row) => rule(marginAt(before, 'leak_down', row.key)),
    },
    { key: 'hiss', head: words.before.hisses, width: 200, show: (row) => hiss && <Asked question={hiss} place={row.key} narrow /> },
  ];
  return (
    <>
      <Remarks list={before.remarks} />
      <Sheet
        label={words.before.sections.cylinders}
        rows={rows}
        columns={[
          reading('compression', null, words.before.compression),
          reading('leak_down', 'cold', words.before.leakCold),
          reading('leak_down', 'hot', words.before.leakHot),
        ]}
        shown={shown}
        rowHead={words.before.cylinder}
        enter="down"
        at={at}
        onRow={setAt}
      />
    </>
  );
}

interface ValvesProps {
  before: BeforeView;
  chosen: string;
  choose: (station: string) => void;
  /** Empty for the tests of this case, else the date of an earlier sheet. */
  date: string;
}

/** Lash and seat-load pulls, in the order in which lash is set; the next valve named large. */
function Valves({ before, chosen, choose, date }: ValvesProps) {
  const { view, slots } = useBench();
  const catalogue = useCatalogue();
  const column = useColumns();
  const unit = useUnit();
  const label = (code: string): string => view.stations.find((one) => one.code === code)?.label ?? code;
  const index = (number: number): string => (date === '' ? String(number) : `${date}.${number}`);
  const rows: SheetRow[] = before.order.flatMap((stop) =>
    stop.stations.map((code) => ({
      key: code,
      name: label(code),
      head: <Tag label={label(code)} lead={view.story.failed.includes(code)} />,
    })),
  );
  const hasThird = (code: string): boolean =>
    before.wantThird.includes(code) || slots.get({ place: code, part: 'valve', item: 'pull', index: index(3) }).entry !== null;
  const pull = (number: number): ReadingColumn => ({
    key: `pull.${number}`,
    name: `${words.before.pull} ${number}`,
    head: `${words.before.pull} ${number}`,
    unit: unit(column('pull')),
    gauge: column('pull')?.gauge,
    slot: (row) => (number === 3 && !hasThird(row.key) ? null : { place: row.key, part: 'valve', item: 'pull', index: index(number) }),
  });
  const lash: ReadingColumn = {
    key: 'lash',
    name: 'lash',
    head: 'lash',
    unit: unit(column('lash')),
    slot: (row) => ({ place: row.key, part: 'valve', item: 'lash', index: date === '' ? null : date }),
  };
  const columns = [...(view.engine.lash === 'solid' ? [lash] : []), pull(1), pull(2), pull(3)];
  const next = date === '' ? before.nextPull : null;
  const stop = before.order.find((one) => one.stations.includes(next ?? chosen));
  const state = catalogue.data?.asked.find((one) => one.code === 'lash_state');
  const shown: ShownColumn[] =
    date === ''
      ? [
          {
            key: 'departure',
            head: words.before.fromMiddle,
            unit: before.margins.find((one) => one.quantity === 'pull_from_middle')?.limitWords,
            width: 140,
            show: (row) => rule(marginAt(before, 'pull_from_middle', row.key)),
          },
          {
            key: 'third',
            head: '',
            width: 150,
            show: (row) => (before.wantThird.includes(row.key) ? <span className="wrong">{words.before.third}</span> : null),
          },
        ]
      : [];
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
            {stop?.words} {before.fromFiringOrder ? '' : words.before.noFiringOrder}
          </p>
          {state && (
            <label className="quiet">
              {state.ask} <Asked question={state} place="engine" narrow />
            </label>
          )}
        </div>
      )}
      <Remarks list={date === '' ? before.remarks : []} />
      <Sheet
        label={words.before.sections.valves}
        rows={rows}
        columns={columns}
        shown={shown}
        rowHead={words.bench.station}
        enter="across"
        at={chosen}
        onRow={choose}
        foot={words.before.pullFoot}
      />
    </>
  );
}

/** What is asked of the engine as a whole, oil pressure and cam phase. */
function Engine({ before }: { before: BeforeView }) {
  const { view } = useBench();
  const catalogue = useCatalogue();
  const column = useColumns();
  const unit = useUnit();
  const [at, setAt] = useState('');
  const questions = (catalogue.data?.asked ?? []).filter(
    (one) => one.step === 'before' && one.site === 'engine' && one.code !== 'lash_state',
  );
  const rows: SheetRow[] = [
    ...view.cams.map((cam) => ({ key: cam.code, name: cam.label, head: cam.label })),
    { key: 'oil', name: 'oil pressure', head: 'oil pressure' },
    { key: 'head', name: words.before.headTemperature, head: words.before.headTemperature },
  ];
  const isCam = (row: SheetRow): boolean => row.key !== 'oil' && row.key !== 'head';
  const columns: ReadingColumn[] = [
    {
      key: 'card',
      name: words.before.card,
      head: words.before.card,
      unit: unit(column('cam_phase_card')),
      slot: (row) => (isCam(row) ? { place: 'engine', part: 'timing', item: 'cam_phase_card', index: row.key } : null),
    },
    {
      key: 'found',
      name: words.before.found,
      head: words.before.found,
      unit: unit(column('cam_phase_found')),
      slot: (row) => (isCam(row) ? { place: 'engine', part: 'timing', item: 'cam_phase_found', index: row.key } : null),
    },
    ...(['cold', 'hot'] as const).map((state) => ({
      key: `oil.${state}`,
      name: `oil pressure ${state}`,
      head: `oil ${state}`,
      unit: unit(column('oil_pressure')),
      slot: (row: SheetRow) => (row.key === 'oil' ? { place: 'engine', part: 'oil', item: 'oil_pressure', index: state } : null),
    })),
    {
      key: 'temperature',
      name: words.before.temperature,
      head: words.before.temperature,
      unit: unit(column('lash_temperature')),
      slot: (row) => (row.key === 'head' ? { place: 'engine', part: 'valve', item: 'lash_temperature' } : null),
    },
  ];
  return (
    <div className="before-engine">
      <div className="asked-list">
        {questions.map((question) => (
          <Asked key={question.code} question={question} place="engine" />
        ))}
      </div>
      <Sheet
        label={words.before.sections.engine}
        rows={rows}
        columns={columns}
        shown={[
          {
            key: 'phase',
            head: words.before.offCard,
            unit: before.margins.find((one) => one.quantity === 'cam_phase')?.limitWords,
            width: 140,
            show: (row) => (isCam(row) ? rule(marginAt(before, 'cam_phase', 'engine', row.key)) : null),
          },
        ]}
        rowHead=""
        enter="across"
        at={at}
        onRow={setAt}
        foot={words.before.phaseFoot}
      />
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
function Dates({ before, chosen, choose }: Omit<ValvesProps, 'date'>) {
  const [date, setDate] = useState('');
  const [typed, setTyped] = useState('');
  const [added, setAdded] = useState<string[]>([]);
  const dates = [...new Set([...before.dates, ...added])].sort();
  useEffect(() => {
    const newest = before.dates.at(-1);
    if (date === '' && newest !== undefined) setDate(newest);
  }, [before.dates, date]);
  const valid = isDay(typed) && typed <= new Date().toISOString().slice(0, 10);
  const drifts = before.changes.filter((one) => one.drift);
  const shown = drifts.length > 0 ? drifts : before.changes;
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
      {before.changes.length > 0 && (
        <section className="drifts" aria-label={words.before.drifts}>
          <h3>{drifts.length > 0 ? words.before.drifts : words.before.noDrift(before.changes.length)}</h3>
          <ul>
            {shown.slice(0, 6).map((one) => (
              <li key={`${one.margin.quantity}.${one.margin.place}`} className={one.drift ? 'wrong-line' : ''}>
                <Tag label={one.margin.label} lead={one.drift} />
                <MarginRule margin={one.margin} width={150} />
                <span>
                  {one.margin.title} since {one.since}: {one.margin.value?.shown}. {one.drift ? one.meaning : ''}
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
        <Valves key={date} before={before} chosen={chosen} choose={choose} date={date} />
      )}
    </div>
  );
}
