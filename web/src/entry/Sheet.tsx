import { Button } from 'antd';
import { useEffect, useRef, useState, type ReactNode } from 'react';
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
  const { slots, outbox, record, withdraw, drop } = useBench();
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

  const activeSlot = column && row ? column.slot(row) : null;
  const outgoing = activeSlot === null ? null : slots.get(activeSlot).outgoing;
  const unsettled = outgoing !== null && outgoing.state !== 'waiting' ? outgoing : null;
  return (
    <>
      <div className="table-wrap">
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
      <footer className="bench-foot">
        {unsettled === null ? (
          <p className="note">{foot}</p>
        ) : unsettled.state === 'contested' ? (
          <>
            <p className="warn" role="alert">
              {words.bench.contested(
                unsettled.problem?.current?.by ?? '?',
                unsettled.problem?.current?.shown ?? 'nothing',
                unsettled.entry.data.text ?? '',
              )}
            </p>
            <Button onClick={() => drop(unsettled.entry.id)}>{words.bench.keep}</Button>
            <Button
              type="primary"
              onClick={() =>
                record(unsettled.entry.kind, unsettled.entry.slot, unsettled.entry.data, `${row?.name ?? ''} ${column?.name ?? ''}`)
              }
            >
              {words.bench.mine}
            </Button>
          </>
        ) : (
          <>
            <p className="warn" role="alert">
              <b className="wrong">
                {row?.name}, {column?.name}: {unsettled.problem?.reason ?? unsettled.problem?.detail}
              </b>{' '}
              {unsettled.problem?.accepted ? `Accepted: ${unsettled.problem.accepted}. ` : ''}
              {words.bench.staysInCell}
            </p>
            {unsettled.problem?.offers?.map((offer) => (
              <Button key={offer} onClick={() => row && column && commit(row, column, offer)}>
                {words.bench.take(offer)}
              </Button>
            ))}
          </>
        )}
      </footer>
    </>
  );
}
