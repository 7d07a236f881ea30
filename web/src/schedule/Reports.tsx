import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import { refetchCase } from '../shared/queries';

const LOOK_AGAIN = 5000;

/** What laboratories answered. Looked for now and then while something is out. */
export function Reports() {
  const { view, slots } = useBench();
  const queries = useQueryClient();
  const reports = slots.standing('report');
  const out = slots.standing('task').some((task) => task.content.kind === 'laboratory' && task.content.taskState === 'begun');
  useEffect(() => {
    if (!out) return;
    const timer = setInterval(() => void refetchCase(queries, view.id), LOOK_AGAIN);
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
