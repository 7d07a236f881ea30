import { useBench } from '../entry/useBench';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { useHealth } from '../shared/queries';
import type { SheetLayout } from '../sheet/cells';
import { ToldSheet } from './ToldSheet';

/** Whether an engine that has not failed is ready to run, and how long its parts have run. */
export function Health({ clocks }: { clocks: SheetLayout | undefined }) {
  const { view } = useBench();
  const told = useHealth(view.id);
  if (told.error !== null)
    return (
      <p className="wrong" role="alert">
        {failureWords(told.error)}
      </p>
    );
  if (told.data === undefined) return null;
  return (
    <>
      <section className="health">
        <p className={told.data.isReady === false ? 'health-said wrong' : 'health-said'} role="status">
          {told.data.sentence}
        </p>
        <table className="health-checks">
          <tbody>
            {told.data.checks.map((check) => (
              <tr key={check.name}>
                <th scope="row">{check.name}</th>
                <td className={check.isGood === false ? 'wrong' : undefined}>
                  {
                    words.health.states[
                      check.measured === 0 ? 'missing' : check.isGood === null ? 'doubtful' : check.isGood ? 'good' : 'bad'
                    ]
                  }
                </td>
                <td>
                  <List said={words.health.bad} labels={check.bad} isWrong />
                  <List said={words.health.doubtful} labels={check.doubtful} />
                  <List said={words.health.near} labels={check.near} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="note">{words.health.note}</p>
      </section>
      <ToldSheet layout={clocks} />
    </>
  );
}

const List = ({ said, labels, isWrong = false }: { said: string; labels: readonly string[]; isWrong?: boolean }) =>
  labels.length > 0 && (
    <span className={isWrong ? 'wrong' : undefined}>
      {said} {labels.join('; ')}.{' '}
    </span>
  );
