import { Button } from 'antd';
import { DaysRule } from '../draw/DaysRule';
import { EntryField } from '../entry/EntryField';
import { reasonOf, refusedIn } from '../entry/refusal';
import { useBench } from '../entry/useBench';
import { useChosen } from '../frame/Chosen';
import { PlanSide } from '../frame/PlanSide';
import type { EntryInput } from '../shared/api';
import { today } from '../shared/days';
import { words } from '../shared/messages';
import { useSchedule } from '../shared/queries';
import { AskLaboratory } from './AskLaboratory';
import { NewTask } from './NewTask';
import { Reports } from './Reports';
import { taskSlot, type Task } from './taskSlot';
import './days.css';

const PROMISE = { place: 'engine', part: 'schedule', item: 'promise' };

/** The days ahead of a case: what can be done now, what waits for what, and when it can be finished. */
export default function Days() {
  const { view, record, withdraw, slots } = useBench();
  const [chosen, choose] = useChosen();
  const schedule = useSchedule(view.id);
  const data = schedule.data;
  const promiseState = slots.get(PROMISE);
  const refused = refusedIn(promiseState);
  const change = (task: Task, part: EntryInput['data'], what: string): void => {
    const now = slots.get(taskSlot(task.id)).entry?.content ?? {};
    record('task', taskSlot(task.id), { ...now, ...part }, `${task.label}, ${what}`);
  };
  const groups = (['now', 'away', 'waits', 'done'] as const)
    .map((readiness) => ({ readiness, tasks: (data?.tasks ?? []).filter((task) => task.readiness === readiness) }))
    .filter((group) => group.tasks.length > 0);
  return (
    <div className="room in-days">
      <PlanSide chosen={chosen} onChoose={choose} first="looked" />
      <div className="sheet pad days-place">
        <header className="days-head">
          <h2>{words.days.title}</h2>
          <label>
            {words.days.promised}{' '}
            <EntryField
              label={words.days.promised}
              stands={promiseState.entry?.content.date ?? ''}
              refused={refused === null ? null : { text: refused.entry.data.date ?? '', reason: reasonOf(refused) }}
              placeholder="2026-12-01"
              width={130}
              onRecord={(date) =>
                date === ''
                  ? withdraw(PROMISE, words.days.promised)
                  : record('promise', PROMISE, { date }, `${words.days.promised} ${date}`)
              }
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
