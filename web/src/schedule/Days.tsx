import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Input, InputNumber, Select } from 'antd';
import { useEffect, useState } from 'react';
import { DaysRule } from '../draw/DaysRule';
import { useBench } from '../entry/useBench';
import { PlanSide } from '../frame/PlanSide';
import { useChosen } from '../frame/Chosen';
import { answer, api, type EntryInput, type Schemas } from '../shared/api';
import { failureWords } from '../shared/failure';
import { today } from '../shared/days';
import { words } from '../shared/messages';
import { author } from '../shared/person';
import { caseKey, useSchedule } from '../shared/queries';
import { uuidv7 } from '../shared/uuid';
import './days.css';

type Task = Schemas['ScheduledTaskView'];
type Kind = NonNullable<EntryInput['data']['kind']>;

const taskSlot = (id: string) => ({ place: 'engine', part: 'schedule', item: 'task', index: id });

/** The days ahead of a case: what can be done now, what waits for what, and when it can be finished. */
export default function Days() {
  const { view, record, withdraw, slots } = useBench();
  const [chosen, choose] = useChosen();
  const schedule = useSchedule(view.id, view.revision);
  const data = schedule.data;
  const [promised, setPromised] = useState<string | null>(null);
  const promise = slots.get({ place: 'engine', part: 'schedule', item: 'promise' }).entry?.content.date ?? '';
  const keepPromise = (): void => {
    if (promised === null || promised === promise) return;
    const slot = { place: 'engine', part: 'schedule', item: 'promise' };
    if (promised === '') withdraw(slot, words.days.promised);
    else record('promise', slot, { date: promised }, `${words.days.promised} ${promised}`);
    setPromised(null);
  };
  const change = (task: Task, part: EntryInput['data'], what: string): void => {
    const now = slots.get(taskSlot(task.id)).entry?.content ?? {};
    record('task', taskSlot(task.id), { ...now, ...part }, `${task.label}, ${what}`);
  };
  const groups = (['now', 'away', 'waits', 'done'] as const)
    .map((readiness) => ({ readiness, tasks: (data?.tasks ?? []).filter((task) => task.readiness === readiness) }))
    .filter((group) => group.tasks.length > 0);
  return (
    <div className="room">
      <PlanSide chosen={chosen} onChoose={choose} first="looked" />
      <div className="sheet pad days-place">
        <header className="days-head">
          <h2>{words.days.title}</h2>
          <label>
            {words.days.promised}{' '}
            <Input
              value={promised ?? promise}
              data-committed={promise}
              placeholder="2026-12-01"
              style={{ width: 130 }}
              aria-label={words.days.promised}
              onChange={(event) => setPromised(event.target.value.trim())}
              onBlur={keepPromise}
              onPressEnter={keepPromise}
            />
          </label>
          {data && data.daysPromised !== null && (
            <DaysRule
              promised={data.daysPromised}
              least={data.leastDays}
              most={data.mostDays}
              late={data.late}
              width={220}
              label={data.sentence}
            />
          )}
          <span className={data?.late ? 'wrong' : 'quiet'}>{data?.sentence}</span>
        </header>
        {data && data.loop !== '' && (
          <p className="warn" role="alert">
            {words.days.loop(data.loop)}
          </p>
        )}
        {data?.tasks.length === 0 && (
          <div className="empty">
            <b>{words.days.empty}</b>
            {words.days.emptyWhat}
          </div>
        )}
        {groups.map(({ readiness, tasks }) => (
          <section key={readiness} aria-label={words.days.groups[readiness]}>
            <h3>{words.days.groups[readiness]}</h3>
            <table className="days">
              <tbody>
                {tasks.map((task) => (
                  <tr key={task.id}>
                    <th scope="row">
                      {task.label}
                      <small className={task.overdue || task.late ? 'wrong' : ''}>{words.days.when(task)}</small>
                    </th>
                    <td>{task.waitsFor.length > 0 ? words.days.waitsFor(task.waitsFor.join(', ')) : task.kindWords}</td>
                    <td className="days-acts">
                      {task.readiness === 'now' && task.begun === null && task.kind !== 'work' && (
                        <Button onClick={() => change(task, { taskState: 'begun', begun: today() }, words.days.begun)}>
                          {words.days.begin}
                        </Button>
                      )}
                      {task.readiness !== 'done' && task.readiness !== 'waits' && (
                        <Button type="primary" onClick={() => change(task, { taskState: 'done', done: today() }, words.days.done)}>
                          {words.days.markDone}
                        </Button>
                      )}
                      <button type="button" className="take-back" onClick={() => withdraw(taskSlot(task.id), task.label)}>
                        {words.teardown.takeBack}
                      </button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        ))}
        <NewTask tasks={data?.tasks ?? []} />
        <AskLaboratory />
        <Reports />
      </div>
    </div>
  );
}

function NewTask({ tasks }: { tasks: readonly Task[] }) {
  const { record } = useBench();
  const [label, setLabel] = useState('');
  const [kind, setKind] = useState<Kind>('work');
  const [least, setLeast] = useState<number | null>(1);
  const [most, setMost] = useState<number | null>(null);
  const [due, setDue] = useState('');
  const [after, setAfter] = useState<string[]>([]);
  const add = (): void => {
    if (label.trim() === '') return;
    record(
      'task',
      taskSlot(uuidv7()),
      {
        label: label.trim(),
        kind,
        leastDays: least ?? 0,
        mostDays: most ?? least ?? 0,
        ...(due === '' ? {} : { due }),
        ...(after.length === 0 ? {} : { after }),
      },
      label.trim(),
    );
    setLabel('');
    setDue('');
    setAfter([]);
  };
  return (
    <form
      className="new-task"
      aria-label={words.days.add}
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <h3>{words.days.add}</h3>
      <Input
        value={label}
        placeholder={words.days.what}
        aria-label={words.days.what}
        onChange={(event) => setLabel(event.target.value)}
        maxLength={200}
      />
      <Select<Kind>
        value={kind}
        onChange={setKind}
        aria-label={words.days.kind}
        options={(['work', 'parts', 'customer', 'laboratory'] as const).map((value) => ({ value, label: words.days.kinds[value] }))}
      />
      <label>
        <InputNumber value={least} min={0} aria-label={words.days.leastDays} onChange={setLeast} /> {words.days.to}{' '}
        <InputNumber value={most} min={0} aria-label={words.days.mostDays} onChange={setMost} /> {words.days.unit}
      </label>
      <Input value={due} placeholder={words.days.due} aria-label={words.days.due} onChange={(event) => setDue(event.target.value.trim())} />
      <Select
        mode="multiple"
        value={after}
        onChange={setAfter}
        placeholder={words.days.after}
        aria-label={words.days.after}
        options={tasks.filter((task) => task.readiness !== 'done').map((task) => ({ value: task.id, label: task.label }))}
      />
      <Button htmlType="submit" disabled={label.trim() === ''}>
        {words.days.addIt}
      </Button>
    </form>
  );
}

/** Sends a request to one of the laboratories; the report comes back to this case. */
function AskLaboratory() {
  const { view } = useBench();
  const queries = useQueryClient();
  const laboratories = useQuery({ queryKey: ['laboratories'], queryFn: () => answer(api.GET('/api/laboratories')), staleTime: Infinity });
  const [code, setCode] = useState<string | null>(null);
  const [request, setRequest] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const ask = async (): Promise<void> => {
    try {
      await answer(
        api.POST('/api/cases/{id}/laboratory-requests', {
          params: { path: { id: view.id } },
          body: { id: uuidv7(), task: uuidv7(), laboratory: code ?? '', request: request.trim(), by: author() },
        }),
      );
      setRequest('');
      setProblem(null);
      await queries.invalidateQueries({ queryKey: caseKey(view.id) });
    } catch (error) {
      setProblem(failureWords(error));
    }
  };
  return (
    <form
      className="new-task"
      aria-label={words.days.ask}
      onSubmit={(event) => {
        event.preventDefault();
        void ask();
      }}
    >
      <h3>{words.days.ask}</h3>
      <Input
        value={request}
        maxLength={400}
        placeholder={words.days.question}
        aria-label={words.days.question}
        onChange={(event) => setRequest(event.target.value)}
      />
      <Select
        value={code}
        placeholder={words.days.whom}
        aria-label={words.days.whom}
        onChange={setCode}
        options={(laboratories.data ?? []).map((one) => ({ value: one.code, label: one.label }))}
      />
      <Button htmlType="submit" disabled={code === null || request.trim() === ''}>
        {words.days.send}
      </Button>
      {problem !== null && (
        <p className="wrong" role="alert">
          {problem}
        </p>
      )}
    </form>
  );
}

const LOOK_AGAIN = 5000;

/** What laboratories answered. Looked for now and then while something is out. */
function Reports() {
  const { view, slots } = useBench();
  const queries = useQueryClient();
  const reports = slots.standing('report');
  const out = slots.standing('task').some((task) => task.content.kind === 'laboratory' && task.content.taskState === 'begun');
  useEffect(() => {
    if (!out) return;
    const timer = setInterval(() => void queries.invalidateQueries({ queryKey: caseKey(view.id) }), LOOK_AGAIN);
    return () => clearInterval(timer);
  }, [out, queries, view.id]);
  if (reports.length === 0) return null;
  return (
    <section aria-label={words.days.reports}>
      <h3>{words.days.reports}</h3>
      {reports.map((report) => (
        <article key={report.id} className="lab-report">
          <b>{report.content.laboratory}</b> {report.content.simulated && <span className="wrong">{words.days.simulated}</span>}
          <p className="note">{report.content.words}</p>
          <table>
            <tbody>
              {(report.content.results ?? []).map((one) => (
                <tr key={one.name}>
                  <td>{one.name}</td>
                  <td className="figure">
                    {one.value} {one.unit}
                  </td>
                  <td className="quiet">{one.remark}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </article>
      ))}
    </section>
  );
}
