import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, type RefObject } from 'react';
import { Link } from 'react-router';
import { DaysRule } from '../draw/DaysRule';
import { HeadPlan, type CellReading } from '../draw/HeadPlan';
import { words } from '../shared/messages';
import { addressOf, numberOf } from './row';
import type { ShownRow } from './useQueue';
import { WouldTell } from './WouldTell';

const ROW_HEIGHT = 62;
const ROWS_AHEAD = 8;
const COLUMNS = 8;

const small = (): CellReading => ({ spoken: '' });

interface Props {
  rows: readonly ShownRow[];
  /** What scrolls. */
  scroll: RefObject<HTMLElement | null>;
  more: (() => void) | null;
  empty: string;
  onAside: (row: ShownRow) => void;
}

/** The rows of the queue: only those that can be seen are drawn, and the next page is asked for before its rows are. */
export function QueueTable({ rows, scroll, more, empty, onAside }: Props) {
  const columns = words.queue.columns;
  const table = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: ROWS_AHEAD,
    // A row that is not laid out yet has no height to measure.
    measureElement: (row) => row.getBoundingClientRect().height || ROW_HEIGHT,
    getItemKey: (i) => rows[i]?.id ?? i,
  });
  const drawn = table.getVirtualItems();
  const first = drawn[0];
  const last = drawn.at(-1);
  const isNearEnd = (last?.index ?? 0) >= rows.length - ROWS_AHEAD;
  useEffect(() => {
    if (isNearEnd) more?.();
  }, [isNearEnd, more]);
  return (
    <table className="queue-table" aria-rowcount={more === null ? rows.length + 1 : -1}>
      <thead>
        <tr>
          <th>{columns.number}</th>
          <th colSpan={2}>{columns.label}</th>
          <th>{columns.event}</th>
          <th>{columns.now}</th>
          <th>{columns.waits}</th>
          <th>{columns.days}</th>
          <th aria-label={words.queue.setAside} />
        </tr>
      </thead>
      <tbody>
        {first !== undefined && first.start > 0 && <Gap height={first.start} />}
        {drawn.map((item) => {
          const row = rows[item.index];
          if (row === undefined) return null;
          const Row = row.unreadable === null ? Readable : Unreadable;
          return (
            <tr key={item.key} ref={table.measureElement} data-index={item.index} aria-rowindex={item.index + 2}>
              <Row row={row} />
              <td className="aside">
                <button type="button" className="take-back" onClick={() => onAside(row)} aria-label={`${row.name}: ${asideWords(row)}`}>
                  {asideWords(row)}
                </button>
              </td>
            </tr>
          );
        })}
        {last !== undefined && last.end < table.getTotalSize() && <Gap height={table.getTotalSize() - last.end} />}
        {rows.length === 0 && (
          <tr>
            <td colSpan={COLUMNS} className="quiet">
              {empty}
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

const asideWords = (row: ShownRow): string => (row.setAside ? words.queue.takeUp : words.queue.setAside);

/** Whether a further check can be proposed: the story is told or something was looked at, and nothing is called. */
const isOpenTo = (row: ShownRow): boolean => row.firstEvent === null && !row.setAside && (row.lookedAt > 0 || row.next.step !== 'story');

/** Rows above or below that are not drawn. */
const Gap = ({ height }: { height: number }) => (
  <tr aria-hidden="true">
    <td colSpan={COLUMNS} style={{ height, padding: 0 }} />
  </tr>
);

function Readable({ row }: { row: ShownRow }) {
  return (
    <>
      <td className="figures">{numberOf(row)}</td>
      <td className="small-plan">
        {row.plan !== null && <HeadPlan plan={row.plan} reading={small} failed={new Set(row.failed)} lying small label={row.engine} />}
      </td>
      <td>
        <Link to={`/case/${row.id}/story`} className="case-name">
          {row.name}
        </Link>
        <small title={row.found}>{row.found || row.customer || row.engine}</small>
      </td>
      <td className={row.firstEvent === null ? 'quiet' : ''}>{row.firstEvent ?? words.queue.open}</td>
      <td>
        <Link to={addressOf(row)} className="act">
          {row.next.words}
        </Link>
        {isOpenTo(row) && <WouldTell caseId={row.id} brief />}
      </td>
      <td className={row.schedule.overdue === '' ? 'quiet' : 'wrong'}>
        {row.schedule.overdue === '' ? row.schedule.waitsFor || words.queue.nobody : `${words.days.overdue}: ${row.schedule.overdue}`}
      </td>
      <td className="queue-days">
        {row.schedule.daysPromised !== null && (
          <DaysRule
            promised={row.schedule.daysPromised}
            least={row.schedule.leastDays}
            most={row.schedule.mostDays}
            late={row.schedule.late}
            width={130}
            label={row.schedule.sentence}
          />
        )}
        <Link to={`/case/${row.id}/schedule`} className={row.schedule.late ? 'wrong' : 'quiet'}>
          {row.schedule.sentence || words.days.title.toLowerCase()}
        </Link>
      </td>
    </>
  );
}

/** A case that cannot be read harms no other: it says what is wrong, and all of it can be saved. */
function Unreadable({ row }: { row: ShownRow }) {
  return (
    <>
      <td className="figures">{numberOf(row)}</td>
      <td colSpan={2}>
        <b>{row.name}</b>
        <small className="wrong">{words.queue.unreadable}</small>
      </td>
      <td colSpan={3} className="wrong">
        {row.unreadable}
      </td>
      <td>
        <a href={`/api/cases/${row.id}/raw.json`} download>
          {words.queue.raw}
        </a>
      </td>
    </>
  );
}
