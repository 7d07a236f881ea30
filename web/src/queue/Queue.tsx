import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Input, Modal, Spin } from 'antd';
import { useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { DaysRule } from '../draw/DaysRule';
import { HeadPlan, type CellReading } from '../draw/HeadPlan';
import { PersonButton } from '../frame/Person';
import { Wordmark } from '../frame/Wordmark';
import { temper } from '../look/theme';
import { answer, api, Refused, type PlanCell, type QueueRow } from '../shared/api';
import { words } from '../shared/messages';
import { person } from '../shared/person';
import './queue.css';

const numberOf = (row: QueueRow): string => String(row.number).padStart(4, '0');
const addressOf = (row: QueueRow): string => `/case/${row.id}/${row.next.step}${row.next.place === null ? '' : `?at=${row.next.place}`}`;

function reading(row: QueueRow): (cell: PlanCell) => CellReading {
  return (cell) => {
    const worst = row.worst[cell.station];
    return worst === undefined
      ? { unknown: true, spoken: 'not looked' }
      : { severity: worst, figure: String(worst), spoken: temper[worst]?.word ?? '' };
  };
}

const small = (): CellReading => ({ spoken: '' });

/** All cases, the one on the bench first, each with what can be done now. */
export function Queue() {
  const cases = useQuery({ queryKey: ['cases'], queryFn: () => answer(api.GET('/api/cases')) });
  const [find, setFind] = useState('');
  const rows = useMemo(() => {
    const wanted = find.trim().toLowerCase();
    return (cases.data ?? []).filter((row) =>
      `${numberOf(row)} ${row.name} ${row.customer} ${row.words} ${row.engine} ${row.firstEvent ?? ''}`.toLowerCase().includes(wanted),
    );
  }, [cases.data, find]);
  const onBench = rows.find((row) => row.firstEvent === null && row.lookedAt > 0) ?? rows.find((row) => row.firstEvent === null) ?? rows[0];

  return (
    <div className="place">
      <header className="head-row">
        <Wordmark />
        <span className="spring" />
        <PersonButton />
      </header>
      <main className="queue">
        <div className="doors">
          <Input
            value={find}
            onChange={(event) => setFind(event.target.value)}
            placeholder={words.queue.find}
            aria-label={words.queue.find}
            allowClear
            style={{ maxWidth: 560 }}
          />
          <ImportButton />
          <span className="spring" />
          <Link to="/new" className="ant-btn-like">
            {words.queue.newCase}
          </Link>
        </div>
        {cases.isPending && <Spin />}
        {cases.error !== null && (
          <p className="wrong">{cases.error instanceof Refused ? cases.error.message : 'The server does not answer.'}</p>
        )}
        {cases.data?.length === 0 && (
          <div className="empty">
            <b>{words.queue.empty}</b>
            <p>{words.queue.emptyWhat}</p>
            <Link to="/new" className="ant-btn-like" style={{ marginTop: 12 }}>
              {words.queue.newCase}
            </Link>
          </div>
        )}
        {onBench && <OnBench row={onBench} />}
        {cases.data && cases.data.length > 0 && <Table rows={rows} />}
      </main>
    </div>
  );
}

function OnBench({ row }: { row: QueueRow }) {
  return (
    <section className="on-bench" aria-label={words.queue.onTheBench(numberOf(row))}>
      <div className="on-bench-plan">
        <HeadPlan plan={row.plan} reading={reading(row)} failed={new Set(row.failed)} lying label={`Head plan of ${row.name}`} />
      </div>
      <div className="on-bench-words">
        <span className="quiet">{words.queue.onTheBench(numberOf(row))}</span>
        <h1>{row.name}</h1>
        <p className="said">{row.words === '' ? words.queue.noStory : `“${row.words}”`}</p>
        <p className="quiet">{words.queue.counts(row.lookedAt, row.stations, row.springsMeasured, row.photographs)}</p>
        <p className="acts">
          <Link to={addressOf(row)} className="ant-btn-like big">
            {words.queue.goOn(row.next.words)}
          </Link>
          <Link to={`/case/${row.id}/cause`} className="ant-btn-like plain big">
            {words.queue.openCause}
          </Link>
        </p>
      </div>
    </section>
  );
}

function Table({ rows }: { rows: readonly QueueRow[] }) {
  const columns = words.queue.columns;
  return (
    <table className="queue-table">
      <thead>
        <tr>
          <th>{columns.number}</th>
          <th colSpan={2}>{columns.label}</th>
          <th>{columns.event}</th>
          <th>{columns.now}</th>
          <th>{columns.waits}</th>
          <th>{columns.days}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.id}>
            <td className="figures">{numberOf(row)}</td>
            <td className="small-plan">
              <HeadPlan plan={row.plan} reading={small} failed={new Set(row.failed)} lying small label={row.engine} />
            </td>
            <td>
              <Link to={`/case/${row.id}/story`} className="case-name">
                {row.name}
              </Link>
              <small>{row.customer || row.engine}</small>
            </td>
            <td className={row.firstEvent === null ? 'quiet' : ''}>{row.firstEvent ?? words.queue.open}</td>
            <td>
              <Link to={addressOf(row)} className="act">
                {row.next.words}
              </Link>
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
          </tr>
        ))}
        {rows.length === 0 && (
          <tr>
            <td colSpan={7} className="quiet">
              {words.queue.nothingFound}
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

function ImportButton() {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<{ message: string; file: File; isHere: boolean } | null>(null);
  const [busy, setBusy] = useState(false);

  const take = async (file: File, copy: boolean): Promise<void> => {
    setBusy(true);
    try {
      const body = await file.text();
      const view = await answer(
        api.POST('/api/cases/import', {
          params: { query: { by: person() || 'not named', copy, file: file.name } },
          body: {},
          bodySerializer: () => body,
          headers: { 'Content-Type': 'application/json' },
        }),
      );
      setRefusal(null);
      await queries.invalidateQueries({ queryKey: ['cases'] });
      void navigate(`/case/${view.id}/story`);
    } catch (error) {
      setRefusal({
        message: error instanceof Error ? error.message : String(error),
        file,
        isHere: error instanceof Refused && error.problem.existing !== undefined,
      });
    } finally {
      setBusy(false);
    }
  };

  return (
    <>
      <Button loading={busy} onClick={() => input.current?.click()}>
        {words.queue.importCase}
      </Button>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        hidden
        aria-label={words.queue.importCase}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void take(file, false);
        }}
      />
      <Modal
        open={refusal !== null}
        title="Not imported"
        footer={null}
        onCancel={() => setRefusal(null)}
        transitionName=""
        maskTransitionName=""
      >
        <p role="alert">{refusal?.message}</p>
        {refusal?.isHere && (
          <Button type="primary" style={{ marginTop: 12 }} onClick={() => void take(refusal.file, true)}>
            {words.queue.copy}
          </Button>
        )}
      </Modal>
    </>
  );
}
