import { Button } from 'antd';
import { useEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { Keycap } from '../draw/Tag';
import { answer, api, Refused } from '../shared/api';
import { SheetFoot } from './SheetFoot';
import { SheetCell } from './SheetCell';
import { words } from '../shared/messages';
import { slotKey, type SlotAddress } from './slots';
import { useBench } from './useBench';
import './sheet.css';

export interface SheetRow {
  key: string;
  /** What the row is called in messages and for the ear. */
  name: string;
  head: ReactNode;
}

/** A column that is typed into: where a row has no such reading, its slot is null. */
export interface ReadingColumn {
  key: string;
  name: string;
  head: ReactNode;
  unit?: string;
  /** The gauge that usually reads it: where it is on a cable, its reading can be taken. */
  gauge?: string | undefined;
  slot: (row: SheetRow) => SlotAddress | null;
}

/** A column that shows something, or holds a control of its own. */
export interface ShownColumn {
  key: string;
  head: ReactNode;
  unit?: string | undefined;
  width?: number;
  show: (row: SheetRow) => ReactNode;
}

interface Props {
  label: string;
  rows: readonly SheetRow[];
  columns: readonly ReadingColumn[];
  shown?: readonly ShownColumn[];
  rowHead: string;
  enter: 'down' | 'across';
  /** The row that the hand is on, told and followed. */
  at: string;
  onRow: (key: string) => void;
  /** What stands at the foot while nothing is wrong. */
  foot?: string;
}

/** A sheet of readings with one live cell: Enter saves and goes on, what is refused stays in its cell with its reason. */
export function Sheet({ label, rows, columns, shown = [], rowHead, enter, at, onRow, foot = words.bench.foot }: Props) {
  const { slots, outbox, record, withdraw } = useBench();
  const [columnKey, setColumnKey] = useState('');
  const column = columns.find((one) => one.key === columnKey) ?? columns[0];
  const row = rows.find((one) => one.key === at) ?? rows[0];
  const [typing, setTyping] = useState(false);

  const goTo = (rowKey: string, key: string): void => {
    onRow(rowKey);
    setColumnKey(key);
  };
  const move = (from: SheetRow, key: string, along: number): void => {
    const r = rows.indexOf(from);
    const c = columns.findIndex((one) => one.key === key);
    const all = rows.length * columns.length;
    const n = enter === 'down' ? c * rows.length + r : r * columns.length + c;
    for (let far = 1; far <= all; far++) {
      const to = (n + along * far + all * far) % all;
      const [nr, nc] =
        enter === 'down' ? [to % rows.length, Math.floor(to / rows.length)] : [Math.floor(to / columns.length), to % columns.length];
      const next = rows[nr];
      const nextColumn = columns[nc];
      if (next && nextColumn && nextColumn.slot(next) !== null) {
        goTo(next.key, nextColumn.key);
        return;
      }
    }
  };
  const step = (from: SheetRow, key: string, dr: number, dc: number): void => {
    const next = rows[rows.indexOf(from) + dr];
    const nextColumn = columns[columns.findIndex((one) => one.key === key) + dc];
    if (next && nextColumn && nextColumn.slot(next) !== null) goTo(next.key, nextColumn.key);
  };
  const commit = (of: SheetRow, one: ReadingColumn, text: string): void => {
    const slot = one.slot(of);
    if (slot === null) return;
    const what = `${of.name} ${one.name}`;
    if (text.trim() === '') withdraw(slot, what);
    else record('reading', slot, { text: text.trim() }, `${what}, ${text.trim()}`);
  };

  // A refusal brings the hand back to its cell, unless it is typing somewhere else already.
  const seen = useRef(new Set<string>());
  useEffect(() => {
    for (const one of outbox.outgoing) {
      if (one.state === 'waiting' || seen.current.has(one.entry.id)) continue;
      seen.current.add(one.entry.id);
      const key = slotKey(one.entry.slot);
      const owner = rows
        .flatMap((r) => columns.map((c) => [r, c] as const))
        .find(([r, c]) => {
          const slot = c.slot(r);
          return slot !== null && slotKey(slot) === key;
        });
      if (owner && !typing) goTo(owner[0].key, owner[1].key);
    }
  });

  const [gaugeProblem, setGaugeProblem] = useState<string | null>(null);
  const fromGauge = async (): Promise<void> => {
    if (row === undefined || column?.gauge === undefined) return;
    const slot = column.slot(row);
    if (slot === null) return;
    try {
      const line = await answer(
        api.GET('/api/gauges/{gauge}/reading', { params: { path: { gauge: column.gauge }, query: { quantity: slot.item } } }),
      );
      setGaugeProblem(null);
      record(
        'reading',
        slot,
        { text: `${line.value} ${line.unit}`, received: true },
        `${row.name} ${column.name}, ${line.value} ${words.bench.fromGauge(line.simulated)}`,
      );
      move(row, column.key, 1);
    } catch (error) {
      setGaugeProblem(error instanceof Refused ? error.message : words.bench.gaugeSilent);
    }
  };
  const onKey = (event: KeyboardEvent): void => {
    if (event.key !== 'F8') return;
    event.preventDefault();
    void fromGauge();
  };

  const activeSlot = column && row ? column.slot(row) : null;
  const outgoing = activeSlot === null ? null : slots.get(activeSlot).outgoing;
  const unsettled = outgoing !== null && outgoing.state !== 'waiting' ? outgoing : null;
  return (
    <>
      <div className="table-wrap" onKeyDown={onKey}>
        <table className="bench-table" aria-label={label}>
          <thead>
            <tr>
              <th>{rowHead}</th>
              {columns.map((one) => (
                <th key={one.key} className="figure">
                  {one.head}
                  <small>{one.unit}</small>
                </th>
              ))}
              {shown.map((one) => (
                <th key={one.key} style={one.width === undefined ? {} : { width: one.width }}>
                  {one.head}
                  <small>{one.unit}</small>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((one) => (
              <tr key={one.key} className={one.key === row?.key ? 'current' : ''}>
                <th scope="row">{one.head}</th>
                {columns.map((c) => {
                  const slot = c.slot(one);
                  if (slot === null) return <td key={c.key} />;
                  return (
                    <SheetCell
                      key={c.key}
                      name={`${one.name} ${c.name}`}
                      state={slots.get(slot)}
                      active={one.key === row?.key && c.key === column?.key}
                      headAt={null}
                      onOpen={() => goTo(one.key, c.key)}
                      onTyping={setTyping}
                      onCommit={(text, along) => {
                        if (text !== null) commit(one, c, text);
                        if (along !== 0) move(one, c.key, along);
                      }}
                      onStep={(dr, dc) => step(one, c.key, dr, dc)}
                    />
                  );
                })}
                {shown.map((c) => (
                  <td key={c.key} className="rule">
                    {c.show(one)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <SheetFoot
        unsettled={unsettled}
        name={`${row?.name ?? ''} ${column?.name ?? ''}`}
        onOffer={(offer) => row && column && commit(row, column, offer)}
      >
        <p className="note">{foot}</p>
        {column?.gauge !== undefined && (
          <Button className="from-gauge" onClick={() => void fromGauge()}>
            {words.bench.takeGauge} <Keycap>F8</Keycap>
          </Button>
        )}
        {gaugeProblem !== null && (
          <span className="wrong" role="alert">
            {gaugeProblem}
          </span>
        )}
      </SheetFoot>
    </>
  );
}
