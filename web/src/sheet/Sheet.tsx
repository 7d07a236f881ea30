import { Button, Select } from 'antd';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Keycap, Tag } from '../draw/Tag';
import { MarginRule } from '../draw/MarginRule';
import { Asked } from '../entry/Asked';
import { draftsOf } from '../entry/drafts';
import { slotKey, type SlotAddress } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { answer, api, Refused, type MarginView, type Schemas } from '../shared/api';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { useCatalogue, useSheet } from '../shared/queries';
import {
  cellName,
  cellsInOrder,
  indexOf,
  slotOf,
  type Cell,
  type Chosen,
  type SheetColumn,
  type SheetLayout,
  type SheetRow,
} from './cells';
import { SheetCell } from './SheetCell';
import { SheetFoot } from './SheetFoot';
import { ofMargin, ofValue, TraceDialog, type Subject } from './TraceDialog';
import './sheet.css';

const SHEET_KEYS = [
  { shown: 'Enter', does: words.keysDo.save },
  { shown: 'Shift Enter', does: words.keysDo.saveBack },
  { shown: 'Arrows', does: words.keysDo.cells },
  { shown: 'Esc', does: words.keysDo.putBack },
  { shown: 'F8', does: words.keysDo.gauge },
];

interface Props {
  layout: SheetLayout;
  face?: string;
  /** The day of an earlier sheet; empty for the sheet of this case. */
  date?: string;
  across: boolean;
  /** The row that the hand is on, told and followed. */
  at: string;
  onRow: (key: string) => void;
  /** Cells that are not offered now. */
  leavesOut?: (row: SheetRow, column: SheetColumn) => boolean;
  /** Something to be said at the end of a row. */
  note?: (row: SheetRow) => ReactNode;
  /** What stands at the foot while nothing is wrong. */
  foot?: string;
}

/**
 * A sheet of readings with one live cell, laid out as it was declared: Enter saves and goes on, what is refused stays in its
 * cell with its reason, what follows from the readings stands beside them.
 */
export function Sheet({ layout, face = '', date = '', across, at, onRow, leavesOut, note, foot = words.bench.foot }: Props) {
  const { view, slots, outbox, record, withdraw } = useBench();
  const catalogue = useCatalogue();
  const told = useSheet(view.id, view.revision, layout.code);
  const [live, setLive] = useState({ column: '', line: 0 });
  const [heights, setHeights] = useState<Record<string, string>>({});
  const [gauges, setGauges] = useState<Record<string, string>>({});
  const [trace, setTrace] = useState<Subject | null>(null);
  const lines = layout.lines.length > 0 ? layout.lines.map((line) => line.code) : [''];
  const r = Math.max(
    0,
    layout.rows.findIndex((one) => one.key === at),
  );
  const c = Math.max(
    0,
    layout.columns.findIndex((one) => one.key === live.column),
  );
  const row = layout.rows[r];
  const column = layout.columns[c];
  const line = Math.min(live.line, lines.length - 1);
  const chosen = (of: number): Chosen => ({ face, date, line: lines[of] ?? '' });
  const gaugeOf = (one: SheetColumn): string => gauges[one.code] ?? one.gauge;
  const isOffered = (cell: Cell): boolean => {
    const onRowOf = layout.rows[cell.row];
    const of = layout.columns[cell.column];
    return onRowOf !== undefined && of !== undefined && leavesOut?.(onRowOf, of) !== true;
  };

  const slotAt = (cell: Cell): SlotAddress | null => {
    const of = layout.columns[cell.column];
    const where = layout.rows[cell.row];
    return of === undefined || where === undefined ? null : slotOf(of, where, chosen(cell.line));
  };
  const here = { row: r, line, column: c };
  const drafts = draftsOf(view.id);
  const isTyping = (): boolean => {
    const slot = slotAt(here);
    return slot !== null && drafts.get(slotKey(slot)) !== null;
  };
  /** A press on another cell of the sheet enters what was typed in this one, as Enter does. */
  const press = (cell: Cell): void => {
    const slot = slotAt(here);
    const typed = slot === null ? null : drafts.get(slotKey(slot));
    if (slot !== null && typed !== null) {
      drafts.set(slotKey(slot), null);
      if (typed.trim() !== (slots.get(slot).entry?.shown ?? '')) commit(here, typed);
    }
    goTo(cell);
  };
  const goTo = (cell: Cell): void => {
    onRow(layout.rows[cell.row]?.key ?? at);
    setLive({ column: layout.columns[cell.column]?.key ?? '', line: cell.line });
  };
  const move = (from: Cell, along: number): void => {
    const cells = cellsInOrder(layout, across).filter(isOffered);
    const n = cells.findIndex((one) => one.row === from.row && one.line === from.line && one.column === from.column);
    const next = cells[(n + along + cells.length) % cells.length];
    if (next !== undefined) goTo(next);
  };
  const step = (from: Cell, down: number, right: number): void => {
    const n = from.row * lines.length + from.line + down;
    const next = {
      row: Math.floor(n / lines.length),
      line: ((n % lines.length) + lines.length) % lines.length,
      column: from.column + right,
    };
    if (isOffered(next)) goTo(next);
  };

  const testHeight = (one: SheetColumn): string => {
    const kept = heights[`${face}.${one.code}`];
    if (kept !== undefined) return kept;
    const last = slots.standing('reading').findLast((entry) => entry.item === one.code && entry.index === face && entry.atText !== null);
    const claims = slots.standing('claim');
    const claimed = claims.find((entry) => entry.item === `claimed.${one.code}` && entry.atText !== null)?.atText;
    const usual = claims.find((entry) => entry.item === `claimed.${one.usualHeight ?? ''}`)?.text;
    return last?.atText ?? claimed ?? usual ?? '';
  };
  const commit = (cell: Cell, text: string): void => {
    const of = layout.columns[cell.column];
    const where = layout.rows[cell.row];
    if (of === undefined || where === undefined) return;
    const slot = slotOf(of, where, chosen(cell.line));
    const what = cellName(where, of, lines[cell.line]);
    if (text.trim() === '') {
      withdraw(slot, what);
      return;
    }
    const height = of.atHeight ? testHeight(of).trim() : '';
    const gauge = gauges[of.code];
    record(
      'reading',
      slot,
      { text: text.trim(), ...(height === '' ? {} : { atText: height }), ...(gauge === undefined ? {} : { gauge }) },
      `${what}, ${text.trim()}`,
    );
  };

  // A refusal brings the hand back to its cell, unless it is typing somewhere else already.
  const seen = useRef(new Set<string>());
  useEffect(() => {
    for (const one of outbox.outgoing) {
      if (one.state === 'waiting' || seen.current.has(one.entry.id)) continue;
      seen.current.add(one.entry.id);
      const key = slotKey(one.entry.slot);
      const owner = cellsInOrder(layout, true).find((cell) => {
        const of = layout.columns[cell.column];
        const where = layout.rows[cell.row];
        return of !== undefined && where !== undefined && slotKey(slotOf(of, where, chosen(cell.line))) === key;
      });
      if (owner && !isTyping()) goTo(owner);
    }
  });

  const [gaugeProblem, setGaugeProblem] = useState<string | null>(null);
  const fromGauge = async (): Promise<void> => {
    if (row === undefined || column === undefined) return;
    const height = column.atHeight ? testHeight(column).trim() : '';
    try {
      const shown = await answer(
        api.GET('/api/gauges/{gauge}/reading', { params: { path: { gauge: gaugeOf(column) }, query: { quantity: column.code } } }),
      );
      setGaugeProblem(null);
      record(
        'reading',
        slotOf(column, row, chosen(line)),
        {
          text: `${shown.value} ${shown.unit}`,
          received: true,
          ...(height === '' ? {} : { atText: height }),
          ...(gauges[column.code] === undefined ? {} : { gauge: gauges[column.code] }),
        },
        `${cellName(row, column, lines[line])}, ${shown.value} ${words.bench.fromGauge(shown.simulated)}`,
      );
      move({ row: r, line, column: c }, 1);
    } catch (error) {
      setGaugeProblem(error instanceof Refused ? error.message : words.bench.gaugeSilent);
    }
  };
  const onKey = useKeys([{ shown: 'F8', does: words.keysDo.gauge, on: /^F8$/, run: () => void fromGauge() }], SHEET_KEYS);

  const outgoing = row === undefined || column === undefined ? null : slots.get(slotOf(column, row, chosen(line))).outgoing;
  const unsettled = outgoing !== null && outgoing.state !== 'waiting' ? outgoing : null;
  const failed = view.story.failed;
  const grouped = [...layout.columns, ...layout.computed].some((one) => one.under !== '');
  const questions = layout.questions
    .map((code) => catalogue.data?.asked.find((one) => one.code === code))
    .filter((one) => one !== undefined);
  return (
    <>
      <p className="gauge-row">
        {words.bench.gauge}
        <Select
          value={column ? gaugeOf(column) : ''}
          aria-label={words.bench.gauge}
          style={{ width: 330 }}
          onChange={(gauge: string) => column && setGauges((old) => ({ ...old, [column.code]: gauge }))}
          options={(catalogue.data?.gauges ?? [])
            .filter((gauge) => gauge.dimension === column?.dimension)
            .map((gauge) => ({ value: gauge.code, label: `${gauge.label}, ${gauge.stated}` }))}
        />
        <span className="note">{words.bench.gaugeDefault}</span>
        <span className="goes">
          goes into{' '}
          {row?.isStation === true ? (
            <>
              <Tag label={row.label} /> {column?.name} {lines[line]}
            </>
          ) : (
            cellName(row, column, lines[line])
          )}
        </span>
      </p>
      <div className="table-wrap" onKeyDown={onKey}>
        <table className={lines.length > 1 ? 'bench-table lined' : 'bench-table'} aria-label={layout.title}>
          <Heads layout={layout} grouped={grouped} note={note !== undefined} questions={questions}>
            {(one) =>
              one.atHeight ? (
                <label className="test-height">
                  {words.bench.at}{' '}
                  <input
                    aria-label={`test height of the ${one.name}`}
                    value={testHeight(one)}
                    data-committed={testHeight(one)}
                    onChange={(event) => setHeights((old) => ({ ...old, [`${face}.${one.code}`]: event.target.value }))}
                  />
                </label>
              ) : (
                <small>{one.unit}</small>
              )
            }
          </Heads>
          <tbody>
            {layout.rows.map((where, i) =>
              lines.map((_, l) => (
                <tr key={`${where.key}.${l}`} className={i === r ? 'current' : ''}>
                  {l === 0 && (
                    <th scope="row" rowSpan={lines.length}>
                      {where.isStation ? (
                        <Tag label={where.label} lead={failed.includes(where.key)} />
                      ) : (
                        <b className="figures">{where.label}</b>
                      )}
                    </th>
                  )}
                  {layout.lines.length > 0 && <th className="line-of">{layout.lines[l]?.label}</th>}
                  {layout.columns.map((of, j) => {
                    const cell = { row: i, line: l, column: j };
                    if (!isOffered(cell)) return <td key={of.key} />;
                    return (
                      <SheetCell
                        key={of.key}
                        name={cellName(where, of, lines[l])}
                        caseId={view.id}
                        slot={slotKey(slotOf(of, where, chosen(l)))}
                        state={slots.get(slotOf(of, where, chosen(l)))}
                        active={i === r && l === line && j === c}
                        headAt={of.atHeight ? testHeight(of) : null}
                        onOpen={() => press(cell)}
                        onCommit={(text, along) => {
                          if (text !== null) commit(cell, text);
                          if (along !== 0) move(cell, along);
                        }}
                        onStep={(down, right) => step(cell, down, right)}
                      />
                    );
                  })}
                  <Told layout={layout} told={told.data} row={where} line={l} lines={lines.length} chosen={chosen(l)} onTrace={setTrace} />
                  {l === 0 && date === '' && note !== undefined && <td rowSpan={lines.length}>{note(where)}</td>}
                  {l === 0 &&
                    questions.map((question) => (
                      <td key={question.code} rowSpan={lines.length} className="rule">
                        <Asked question={question} place={where.place} narrow />
                      </td>
                    ))}
                </tr>
              )),
            )}
          </tbody>
        </table>
      </div>
      <SheetFoot
        unsettled={unsettled}
        name={cellName(row, column, lines[line])}
        onOffer={(offer) => commit({ row: r, line, column: c }, offer)}
      >
        {column?.atHeight === true && testHeight(column) === '' ? (
          <p className="wrong">{words.bench.heightMissing}</p>
        ) : (
          <p className="note">{foot}</p>
        )}
        <Button className="from-gauge" onClick={() => void fromGauge()}>
          {words.bench.takeGauge} <Keycap>F8</Keycap>
        </Button>
        {gaugeProblem !== null && (
          <span className="wrong" role="alert">
            {gaugeProblem}
          </span>
        )}
      </SheetFoot>
      <TraceDialog caseId={view.id} subject={trace} onClose={() => setTrace(null)} />
    </>
  );
}

interface HeadsProps {
  layout: SheetLayout;
  grouped: boolean;
  note: boolean;
  questions: readonly Schemas['AskedView'][];
  /** What stands under the name of a column: its unit, or its test height. */
  children: (column: SheetColumn) => ReactNode;
}

/** Heads of a sheet; columns that differ by depth or number only stand together under one. */
function Heads({ layout, grouped, note, questions, children }: HeadsProps) {
  const columns = [
    ...layout.columns.map((one) => ({ ...one, computed: false, below: children(one) })),
    ...layout.computed.map((one) => ({ ...one, computed: true, below: <small>{one.unit}</small> })),
  ];
  const groups: { head: string; span: number; computed: boolean }[] = [];
  for (const one of columns) {
    const last = groups.at(-1);
    if (one.under !== '' && last !== undefined && last.head === one.head && last.computed === one.computed) last.span++;
    else groups.push({ head: one.head, span: 1, computed: one.computed });
  }
  const deep = grouped ? 2 : 1;
  return (
    <thead>
      <tr>
        <th rowSpan={deep}>{words.bench.station}</th>
        {layout.lines.length > 0 && <th rowSpan={deep} className="line-of" />}
        {grouped
          ? groups.map((one, i) => (
              <th key={i} colSpan={one.span} className={one.computed ? 'figure computed' : 'figure'}>
                {one.head}
              </th>
            ))
          : columns.map((one) => (
              <th key={one.key} className={one.computed ? 'figure computed' : 'figure'}>
                {one.head}
                {one.below}
              </th>
            ))}
        {layout.margins.map((one) => (
          <th key={one.key} rowSpan={deep} style={{ width: 136 }}>
            {one.head}
            <small>{one.limitWords}</small>
          </th>
        ))}
        {note && <th rowSpan={deep} style={{ width: 150 }} />}
        {questions.map((one) => (
          <th key={one.code} rowSpan={deep} style={{ width: 190 }}>
            {one.ask}
          </th>
        ))}
      </tr>
      {grouped && (
        <tr className="under">
          {columns.map((one) => (
            <th key={one.key} className={one.computed ? 'figure computed' : 'figure'}>
              {one.under}
              {one.below}
            </th>
          ))}
        </tr>
      )}
    </thead>
  );
}

interface ToldProps {
  layout: SheetLayout;
  told: Schemas['SheetView'] | undefined;
  row: SheetRow;
  line: number;
  lines: number;
  chosen: Chosen;
  onTrace: (subject: Subject) => void;
}

/** What follows from the readings of a row: computed values, and margins as rules; each opens its reasoning. */
function Told({ layout, told, row, line, lines, chosen, onTrace }: ToldProps) {
  const isOfLine = (template: readonly string[]): boolean => template.includes('{line}');
  const span = (template: readonly string[]): number => (isOfLine(template) ? 1 : lines);
  return (
    <>
      {layout.computed.map((one) => {
        if (line > 0 && !isOfLine(one.index)) return null;
        const index = indexOf(one.index, row, chosen);
        const value = told?.values.find((other) => other.place === row.place && other.name === one.name && other.index === index);
        return (
          <td key={one.key} rowSpan={span(one.index)} className="figure derived">
            {value && (
              <button
                type="button"
                title={value.value.shown}
                aria-label={`${row.name} ${one.head} ${one.under}: ${value.value.shown}`}
                onClick={() => onTrace(ofValue(value, row.name))}
              >
                {value.value.figure}
              </button>
            )}
          </td>
        );
      })}
      {layout.margins.map((one) => {
        if (line > 0 && !isOfLine(one.index)) return null;
        const index = indexOf(one.index, row, chosen);
        const margin = told?.margins.find(
          (other: MarginView) =>
            other.place === row.place && other.quantity === one.quantity && (one.index.length === 0 || other.coil === index),
        );
        return (
          <td key={one.key} rowSpan={span(one.index)} className="rule">
            {margin && (
              <button type="button" onClick={() => onTrace(ofMargin(margin))} title={margin.sentence}>
                <MarginRule margin={margin} width={124} />
              </button>
            )}
          </td>
        );
      })}
    </>
  );
}

/** What a sheet says as a whole. */
export function Remarks({ list }: { list: readonly string[] }) {
  if (list.length === 0) return null;
  return (
    <div className="remarks" role="status">
      {list.map((remark) => (
        <p key={remark}>{remark}</p>
      ))}
    </div>
  );
}
