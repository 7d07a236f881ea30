import { useEffect, useLayoutEffect, useMemo, useRef, useState, type ClipboardEvent, type ReactNode } from 'react';
import { Keycap, Tag } from '../draw/Tag';
import { draftsOf } from '../entry/drafts';
import { refusedIn } from '../entry/refusal';
import { slotKey, type SlotAddress } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { answer, api } from '../shared/api';
import { Choice } from '../shared/Choice';
import { failureWords } from '../shared/failure';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { say } from '../shared/saying';
import { useCatalogue, useSheet } from '../shared/queries';
import { cellName, cellsInOrder, slotOf, type Cell, type Chosen, type SheetColumn, type SheetLayout, type SheetRow as Row } from './cells';
import { pastedRange } from './pasted';
import { CsvDoors } from './CsvDoors';
import { SheetFoot } from './SheetFoot';
import { leastWidth, SheetHeads } from './SheetHeads';
import { SheetRow, type Hands } from './SheetRow';
import { useTold } from './told';
import { TraceDialog, type Subject } from './TraceDialog';
import { useCable } from './useCable';
import { useTestHeights } from './useTestHeights';
import './sheet.css';

const SHEET_KEYS = [
  { shown: 'Enter', does: words.keysDo.save },
  { shown: 'Shift Enter', does: words.keysDo.saveBack },
  { shown: 'Arrows', does: words.keysDo.cells },
  { shown: 'Esc', does: words.keysDo.putBack },
  { shown: 'F8', does: words.keysDo.gauge },
  { shown: 'Ctrl V', does: words.keysDo.pasteRange },
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
  leavesOut?: (row: Row, column: SheetColumn) => boolean;
  /** Something to be said at the end of a row. */
  note?: (row: Row) => ReactNode;
  /** What stands at the foot while nothing is wrong. */
  foot?: string;
}

/**
 * A sheet of readings with one live cell, laid out as it was declared: Enter saves and goes on, what is refused stays in its
 * cell with its reason, what follows from the readings stands beside them.
 */
export function Sheet({ layout, face = '', date = '', across, at, onRow, leavesOut, note, foot = words.bench.foot }: Props) {
  const { view, slots, outbox, record, recordAll, withdraw } = useBench();
  const catalogue = useCatalogue();
  const [live, setLive] = useState({ column: '', line: 0 });
  const [gauges, setGauges] = useState<Record<string, string>>({});
  const [trace, setTrace] = useState<Subject | null>(null);
  /** What was pasted last, in words, until the hand goes on. */
  const [pasted, setPasted] = useState<string | null>(null);
  const lines = useMemo(() => (layout.lines.length > 0 ? layout.lines.map((line) => line.code) : ['']), [layout]);
  const chosen = useMemo(() => lines.map((line): Chosen => ({ face, date, line })), [lines, face, date]);
  const heights = useTestHeights(layout, face);
  const toldOf = useTold(layout, useSheet(view.id, layout.code).data, chosen);
  const drafts = draftsOf(view.id);
  /** Keys of all slots, by row, then line and column: put together once a sheet, not with each entry. */
  const keys = useMemo(
    () => layout.rows.map((where) => chosen.flatMap((what) => layout.columns.map((of) => slotKey(slotOf(of, where, what))))),
    [layout, chosen],
  );

  const indexIn = (list: readonly { key: string }[], key: string): number =>
    Math.max(
      0,
      list.findIndex((one) => one.key === key),
    );
  const here: Cell = {
    row: indexIn(layout.rows, at),
    line: Math.min(live.line, lines.length - 1),
    column: indexIn(layout.columns, live.column),
  };
  const row = layout.rows[here.row];
  const column = layout.columns[here.column];
  const slotAt = (cell: Cell): SlotAddress | null => {
    const [of, where, what] = [layout.columns[cell.column], layout.rows[cell.row], chosen[cell.line]];
    return of === undefined || where === undefined || what === undefined ? null : slotOf(of, where, what);
  };
  const draftAt = (cell: Cell): string | null => {
    const slot = slotAt(cell);
    return slot === null ? null : drafts.get(slotKey(slot));
  };
  const nameOf = (cell: Cell): string => cellName(layout.rows[cell.row], layout.columns[cell.column], lines[cell.line]);
  const isOffered = ({ row: r, column: c }: Cell): boolean => {
    const [where, of] = [layout.rows[r], layout.columns[c]];
    return where !== undefined && of !== undefined && leavesOut?.(where, of) !== true;
  };

  const goTo = (cell: Cell): void => {
    setPasted(null);
    setCame(null);
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
    const count = lines.length;
    const next = { row: Math.floor(n / count), line: ((n % count) + count) % count, column: from.column + right };
    if (isOffered(next)) goTo(next);
  };
  /** Test height and gauge of a column, as an entry carries them. */
  const carried = (c: number): { atText?: string; gauge?: string } => {
    const of = layout.columns[c];
    const height = of?.atHeight === true ? (heights.of[c] ?? '').trim() : '';
    const gauge = of === undefined ? undefined : gauges[of.code];
    return { ...(height === '' ? {} : { atText: height }), ...(gauge === undefined ? {} : { gauge }) };
  };
  const commit = (cell: Cell, text: string): void => {
    const slot = slotAt(cell);
    if (slot === null) return;
    if (text.trim() === '') withdraw(slot, nameOf(cell));
    else record('reading', slot, { text: text.trim(), ...carried(cell.column) }, `${nameOf(cell)}, ${text.trim()}`);
  };
  /** A range of a spreadsheet goes in from the live cell to the right and down, as one stroke; its empty cells change nothing. */
  const paste = (event: ClipboardEvent): void => {
    const range = pastedRange(event.clipboardData.getData('text/plain'));
    if (range === null) return;
    event.preventDefault();
    const first = here.row * lines.length + here.line;
    const filled = range.flatMap((cells, down) =>
      cells
        .map((text, right) => {
          const n = first + down;
          return { text, cell: { row: Math.floor(n / lines.length), line: n % lines.length, column: here.column + right } };
        })
        .filter(({ text }) => text !== ''),
    );
    const taken = filled.flatMap(({ text, cell }) => {
      const slot = isOffered(cell) ? slotAt(cell) : null;
      return slot === null ? [] : [{ kind: 'reading' as const, slot, data: { text, ...carried(cell.column) } }];
    });
    taken.forEach(({ slot }) => drafts.set(slotKey(slot), null));
    const told = words.bench.pasted(taken.length, filled.length - taken.length);
    recordAll(taken, told);
    setPasted(told);
    say(told);
  };
  /** A press on another cell of the sheet enters what was typed in this one, as Enter does. */
  const press = (cell: Cell): void => {
    const slot = slotAt(here);
    const typed = draftAt(here);
    if (slot !== null && typed !== null) {
      drafts.set(slotKey(slot), null);
      if (typed.trim() !== (slots.get(slot).entry?.shown ?? '')) commit(here, typed);
    }
    goTo(cell);
  };
  // A refusal brings the hand back to its cell, unless it is typing somewhere else already.
  const seen = useRef(new Set<string>());
  useEffect(() => {
    for (const one of outbox.outgoing) {
      if (one.state === 'waiting' || seen.current.has(one.entry.id)) continue;
      seen.current.add(one.entry.id);
      const key = slotKey(one.entry.slot);
      const owner = cellsInOrder(layout, true).find(({ row: r, line, column: c }) => keys[r]?.[line * layout.columns.length + c] === key);
      if (owner && draftAt(here) === null) goTo(owner);
    }
  });

  const gaugeOf = (one: SheetColumn): string => gauges[one.code] ?? one.gauge;
  const known = catalogue.data?.gauges ?? [];
  const gaugeHere = column === undefined ? undefined : known.find((one) => one.code === gaugeOf(column));
  const [isListening, listen] = useState(false);
  /** The reading that came last, in words, until the hand goes on by itself. */
  const [came, setCame] = useState<{ words: string; isWrong: boolean } | null>(null);
  const cable = useCable(isListening, (reading) => {
    const sender = known.find((one) => one.code === reading.gauge);
    const name = sender?.label ?? reading.gauge;
    const text = `${reading.value} ${reading.unit}`;
    const slot = slotAt(here);
    if (slot === null || column === undefined || (reading.gauge !== gaugeOf(column) && sender?.kind !== gaugeOf(column))) {
      setCame({ words: words.bench.notForHere(name, text, gaugeHere?.label ?? ''), isWrong: true });
      return false;
    }
    const height = column.atHeight && reading.height !== null ? { atText: reading.height } : {};
    record(
      'reading',
      slot,
      { text, received: true, ...carried(here.column), ...height, gauge: reading.gauge },
      `${nameOf(here)}, ${words.bench.fromCable(text, name, reading.simulated)}`,
    );
    drafts.set(slotKey(slot), null);
    move(here, 1);
    setCame({ words: `${nameOf(here)}: ${words.bench.fromCable(text, name, reading.simulated)}`, isWrong: false });
    return true;
  });
  const [gaugeProblem, setGaugeProblem] = useState<string | null>(null);
  const fromGauge = async (): Promise<void> => {
    const slot = slotAt(here);
    if (slot === null || column === undefined) return;
    try {
      const shown = await answer(
        api.GET('/api/gauges/{gauge}/reading', { params: { path: { gauge: gaugeOf(column) }, query: { quantity: column.code } } }),
      );
      setGaugeProblem(null);
      record(
        'reading',
        slot,
        { text: `${shown.value} ${shown.unit}`, received: true, ...carried(here.column) },
        `${nameOf(here)}, ${shown.value} ${words.bench.fromGauge(shown.simulated)}`,
      );
      move(here, 1);
    } catch (error) {
      setGaugeProblem(failureWords(error));
    }
  };
  const hands = useStable<Hands>({
    press,
    step,
    trace: setTrace,
    gauge: () => void fromGauge(),
    commit: (cell, text, along) => {
      if (text !== null) commit(cell, text);
      if (along !== 0) move(cell, along);
    },
  });

  const onKey = useKeys([{ shown: 'F8', does: words.keysDo.gauge, on: /^F8$/, run: hands.gauge }], SHEET_KEYS);

  const slotHere = slotAt(here);
  const unsettled = slotHere === null ? null : refusedIn(slots.get(slotHere));
  const grouped = [...layout.columns, ...layout.computed].some((one) => one.under !== '');
  const asked = catalogue.data?.asked;
  const questions = useMemo(
    () => layout.questions.map((code) => asked?.find((one) => one.code === code)).filter((one) => one !== undefined),
    [layout, asked],
  );
  return (
    <>
      <div className="gauge-row">
        {words.bench.gaugeShort}
        <Choice
          value={column ? gaugeOf(column) : ''}
          label={words.bench.gauge}
          width={240}
          onChange={(gauge) => column && setGauges((old) => ({ ...old, [column.code]: gauge }))}
          options={known
            .filter((gauge) => gauge.dimension === column?.dimension)
            .map((gauge) => ({ value: gauge.code, label: `${gauge.label}, ${gauge.stated}` }))}
        />
        {gaugeHere?.isOverdue === true ? (
          <span className="wrong">{words.bench.calibrationOver}</span>
        ) : (
          <span className="note">{gaugeHere?.kind == null ? words.bench.gaugeDefault : words.bench.gaugeOwn}</span>
        )}
        <button type="button" className="act-button listen" aria-pressed={isListening} onClick={() => listen(!isListening)}>
          {!isListening ? words.bench.listen : cable.isHeard ? words.bench.listening : words.bench.lost}
        </button>
        {date === '' && (
          <CsvDoors
            sheet={layout.code}
            title={layout.title}
            heightOf={(item, index) => {
              const of = layout.columns.findIndex((one) => one.code === item);
              if (layout.columns[of]?.atHeight !== true) return null;
              return index === (face === '' ? null : face) ? (heights.of[of] ?? '').trim() : '';
            }}
          />
        )}
        <span className="goes">
          {words.bench.goesInto}{' '}
          {row?.isStation === true ? (
            <>
              <Tag label={row.label} /> {column?.name} {lines[here.line]}
            </>
          ) : (
            nameOf(here)
          )}
        </span>
      </div>
      <div className="table-wrap" onKeyDown={onKey} onPaste={paste}>
        <table
          className={lines.length > 1 ? 'bench-table lined' : 'bench-table'}
          aria-label={layout.title}
          style={{ minWidth: leastWidth(layout, note !== undefined, questions.length) }}
        >
          <SheetHeads layout={layout} grouped={grouped} note={note !== undefined} questions={questions}>
            {(one) =>
              one.atHeight ? (
                <label className="test-height">
                  {words.bench.at}{' '}
                  <input
                    aria-label={`test height of the ${one.name}`}
                    value={heights.of[layout.columns.indexOf(one)] ?? ''}
                    data-committed={heights.of[layout.columns.indexOf(one)] ?? ''}
                    onChange={(event) => heights.set(one, event.target.value)}
                  />
                </label>
              ) : (
                <small>{one.unit}</small>
              )
            }
          </SheetHeads>
          <tbody>
            {layout.rows.map((where, r) => (
              <SheetRow
                key={where.key}
                layout={layout}
                caseId={view.id}
                row={where}
                number={r}
                lines={lines}
                isFailed={view.story.failed.includes(where.key)}
                isCurrent={r === here.row}
                live={r === here.row ? here : null}
                slots={keys[r] ?? []}
                states={(keys[r] ?? []).map((key, i) =>
                  leavesOut === undefined || isOffered({ row: r, line: 0, column: i % layout.columns.length }) ? slots.at(key) : null,
                )}
                heights={heights.of}
                told={toldOf(where)}
                hasNotes={date === '' && note !== undefined}
                note={note?.(where) ?? null}
                questions={questions}
                hands={hands}
              />
            ))}
          </tbody>
        </table>
      </div>
      <SheetFoot unsettled={unsettled} name={nameOf(here)} onOffer={(offer) => commit(here, offer)}>
        {column?.atHeight === true && heights.of[here.column] === '' ? (
          <p className="wrong">{words.bench.heightMissing}</p>
        ) : came !== null ? (
          <p className={came.isWrong ? 'wrong' : 'note'} role={came.isWrong ? 'alert' : 'status'}>
            {came.words}
          </p>
        ) : (
          <p className="note">{pasted === null ? foot : `${pasted}. ${words.bench.pastedHint}`}</p>
        )}
        <Choice
          value={null}
          label={words.bench.noFigure}
          placeholder={words.bench.noFigure}
          width={160}
          onChange={(why) => hands.commit(here, why, 1)}
          options={Object.entries(words.bench.noFigureWords).map(([value, label]) => ({ value, label }))}
        />
        <button type="button" className="act-button" onClick={hands.gauge}>
          {words.bench.takeGauge} <Keycap>F8</Keycap>
        </button>
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

/** Handlers that stay the same object and do what the newest of them does. */
function useStable<T extends object>(handlers: T): T {
  const latest = useRef(handlers);
  useLayoutEffect(() => {
    latest.current = handlers;
  });
  const [stable] = useState(
    () =>
      Object.fromEntries(
        Object.keys(handlers).map((name) => [
          name,
          (...given: unknown[]) => (latest.current as Record<string, (...given: unknown[]) => unknown>)[name]?.(...given),
        ]),
      ) as T,
  );
  return stable;
}
