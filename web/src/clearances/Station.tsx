import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { LiftLadder } from '../draw/LiftLadder';
import { MarginRule } from '../draw/MarginRule';
import { StackSection, tightGaps, type StackGap } from '../draw/StackSection';
import { Keycap, Tag } from '../draw/Tag';
import { useChosen } from '../frame/Chosen';
import { useNeighbours } from '../frame/useNeighbours';
import { useBench } from '../entry/useBench';
import type { Schemas } from '../shared/api';
import { failureWords } from '../shared/failure';
import { isWriting, useKeysEverywhere } from '../shared/keys';
import { words } from '../shared/messages';
import { useStack } from '../shared/queries';
import { Sliders } from '../tried/Sliders';
import { useTried } from '../tried/useTried';

type Gap = Schemas['StackGapView'];

/** What is left of it is drawn in the section. */
const DRAWN = ['travel_to_bind', 'retainer_to_seal', 'retainer_to_guide'];

/** One valve: its stack in section, what remains at full lift, the lift its head takes, and what may be tried. */
export function Station() {
  const { view } = useBench();
  const [place] = useChosen();
  const { tried, change, onTry, onRest, onAsFound } = useTried(place);
  const told = useStack(view.id, place, change);
  const [detail, setDetail] = useState(0);
  useEffect(() => setDetail(0), [place]);
  useNeighbours();
  const free = (event: KeyboardEvent): boolean => !isWriting(event);
  useKeysEverywhere([{ shown: 'Z', does: words.keysDo.nextGap, on: /^z$/i, when: free, run: () => setDetail((one) => one + 1) }]);
  if (told.error !== null)
    return (
      <div className="more-or-less-note">
        <p className="wrong" role="alert">
          {failureWords(told.error)}
        </p>
        {tried.length > 0 && <Button onClick={onAsFound}>{words.stack.allAsFound}</Button>}
      </div>
    );
  const stack = told.data;
  if (stack === undefined) return null;
  const gaps = stack.gaps.filter((gap) => DRAWN.includes(gap.found.quantity)).map(drawn);
  return (
    <div className="station-stack">
      <section className="sheet section">
        <p className="section-head">
          <Tag label={stack.label} lead={stack.gaps.some((gap) => isOutside(gap.found))} />
          <span className="note">{words.stack.scale}</span>
          {tightGaps(stack.found, gaps) > 1 && (
            <span className="note">
              <Keycap>Z</Keycap> {words.stack.nextGap}
            </span>
          )}
        </p>
        {'installed_height' in stack.found && 'net_lift' in stack.found ? (
          <StackSection
            found={stack.found}
            tried={stack.tried}
            gaps={gaps}
            detail={detail}
            label={words.stack.drawing(stack.label)}
            words={{ ...words.stack, onSeat: words.stack.seat, atLift: words.stack.lift }}
          />
        ) : (
          <div className="empty">
            <b>{words.stack.missing}</b>
            <p>{stack.ladder.missing.join(', ')}</p>
            <Link to={`/case/${view.id}/bench/heights?at=${place}`}>{words.stack.measure}</Link>
          </div>
        )}
      </section>
      <aside className="left">
        <Left stack={stack} />
        <h3>
          {words.stack.highest} {stack.ladder.limits[0] !== undefined && <Lowest ladder={stack.ladder} />}
        </h3>
        {stack.ladder.limits.length > 0 ? (
          <>
            <LiftLadder ladder={stack.ladder} label={words.stack.ladder} lifts={words.stack.lifts} tried={words.stack.tried} />
            <p>{stack.ladder.sentence}</p>
          </>
        ) : (
          <p className="note">
            {words.stack.noLadder} {stack.ladder.missing.join(', ')}.
          </p>
        )}
      </aside>
      <Sliders place={stack.place} sliders={stack.sliders} parts={stack.parts} tried={tried} onTry={onTry} onRest={onRest} />
    </div>
  );
}

/** What remains, rule by rule, and what the springs press with. */
function Left({ stack }: { stack: Schemas['StackView'] }) {
  const known = stack.gaps.filter((gap) => gap.found.value !== null || (gap.tried?.value ?? null) !== null);
  const missing = stack.gaps.filter((gap) => !known.includes(gap) && gap.found.missing.length > 0);
  return (
    <>
      <table className="left-table">
        <thead>
          <tr>
            <th scope="col">{words.stack.left}</th>
            <th className="num">{words.stack.found}</th>
            <th />
            <th className="num tried">{words.stack.tried}</th>
          </tr>
        </thead>
        <tbody>
          {known.map(({ name, found, tried }) => (
            <tr key={`${found.quantity} ${found.coil ?? ''}`}>
              <th scope="row">{name}</th>
              <td className={isOutside(found) ? 'num wrong' : 'num'}>{found.value?.figure}</td>
              <td>
                <MarginRule margin={found} width={112} height={27} bare tried={tried?.at ?? null} />
              </td>
              <td className={tried !== null && isOutside(tried) ? 'num wrong' : 'num tried'}>{tried?.value?.figure}</td>
            </tr>
          ))}
          {stack.loads.map((load) => (
            <tr key={load.name}>
              <th scope="row">
                {words.stack.loads[load.name as keyof typeof words.stack.loads]}, {(load.found ?? load.tried)?.unit}
              </th>
              <td className="num">{load.found?.figure}</td>
              <td />
              <td className="num tried">{load.tried?.figure}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {missing.length > 0 && (
        <p className="note">
          {words.stack.notMeasured} {missing.map((gap) => gap.name).join(', ')}.
        </p>
      )}
    </>
  );
}

function Lowest({ ladder }: { ladder: Schemas['LiftLadderView'] }) {
  const [lowest] = ladder.limits;
  if (lowest === undefined) return null;
  return (
    <>
      <span className={ladder.at !== null && ladder.at > lowest.at ? 'wrong' : undefined}>{lowest.lift.figure}</span>,{' '}
      {words.stack.by(lowest.title)}
    </>
  );
}

const isOutside = (margin: Gap['found']): boolean => margin.verdict === 'outside' || margin.verdict === 'outside_close';

const drawn = ({ name, found }: Gap): StackGap => ({
  quantity: found.quantity,
  coil: found.coil,
  name,
  // What cannot be told is written with what makes it so.
  figure: (found.verdict === 'cannot_tell' ? found.value?.shown : found.value?.figure) ?? '',
  isOutside: isOutside(found),
  isDoubtful: found.verdict === 'cannot_tell',
});
