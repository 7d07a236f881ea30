import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import { readOf, stagesOf, stateOf, type Plan } from './lines';

const SHOWN = { ticked: '✓', kept: '✓!', left_out: '–', open: '' };

/** The whole plan as it hangs on the wall: on paper alone. */
export function Wall({ plan }: { plan: Plan }) {
  const bench = useBench();
  return (
    <div className="wall">
      <h1>{bench.view.name}</h1>
      <p>{words.reassembly.of(plan.taken.join(', '))}</p>
      {stagesOf(plan).map(({ stage, lines }) => (
        <section key={stage}>
          <h2>{stage}</h2>
          {lines.map((line) => (
            <div key={line.code} className="wall-line">
              <p>
                <b>
                  {line.number} {line.label}
                </b>{' '}
                {line.caution}
              </p>
              <ul>
                {line.places.map((at) => (
                  <li key={`${at.place} ${at.code}`}>
                    <span className="wall-box">{SHOWN[stateOf(bench, at) ?? 'open']}</span>
                    {at.label} {readOf(bench, line, at) || (at.planned === null ? '' : words.reassembly.planned(at.planned))}
                    {at.note !== '' && ` (${at.note})`}
                  </li>
                ))}
              </ul>
            </div>
          ))}
        </section>
      ))}
      <p>{words.reassembly.caution}</p>
    </div>
  );
}
