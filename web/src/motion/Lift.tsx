import { useState } from 'react';
import { Exports } from '../draw/Exports';
import { LiftChart } from '../draw/LiftChart';
import { useBench } from '../entry/useBench';
import type { Schemas } from '../shared/api';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import { ClaimCell } from '../sheet/ClaimCell';
import { LobeFromLibrary } from './LobeFromLibrary';
import { MeasuredLift } from './MeasuredLift';
import { NoTrain } from './NoTrain';
import type { Alternative } from './tried';
import { placeOfKind, whoseWords, WhoseLobe } from './WhoseLobe';

/** Figures of the card, in the order in which a card has them. */
const CARD = [
  'lobe_lift',
  'card_high_lift',
  'card_high_duration',
  'card_low_lift',
  'card_low_duration',
  'ramp_height',
  'ramp_rate',
  'card_skew',
] as const;

interface Props {
  motion: Schemas['MotionView'];
  alternatives: readonly Alternative[];
  change: string;
}

/** The lobe: its card as typed, and lift, velocity, acceleration and jerk as they follow. */
export function Lift({ motion, alternatives, change }: Props) {
  const { view, slots } = useBench();
  const catalogue = useCatalogue();
  const [at, setAt] = useState(0);
  const kind = motion.place.includes('-I') ? 'I' : 'E';
  const lobe = motion.lobe;
  const onKeyDown = useKeys([
    { shown: '← →', does: words.keysDo.liftCursor, on: /^ArrowRight$/, run: () => setAt((one) => one + 1) },
    { shown: '← →', does: words.keysDo.liftCursor, on: /^ArrowLeft$/, run: () => setAt((one) => one - 1) },
  ]);
  const cardOf = (where: string, code: string) => ({ place: where, part: 'lobe', item: `claimed.${code}`, index: null });
  const hasOwn = CARD.some((code) => slots.get(cardOf(motion.place, code)).entry !== null);
  const [picked, pick] = useState<{ of: string; place: string } | null>(null);
  const place = picked?.of === motion.place ? picked.place : hasOwn ? motion.place : placeOfKind(kind);
  const whose = whoseWords(motion, kind, place);
  const columns = CARD.flatMap((code) => (catalogue.data?.columns ?? []).filter((one) => one.code === code));
  const csv = `/api/cases/${view.id}/motion/${motion.place}/lift.csv${change === '' ? '' : `?change=${encodeURIComponent(change)}`}`;
  return (
    <div className="lift">
      <section className="sheet pad">
        {lobe !== null ? (
          <Exports name={`lift-${motion.place}`} csv={csv} words={words.drawing}>
            <div onKeyDown={onKeyDown} tabIndex={0} role="group" aria-label={words.motion.lobe(motion.label)}>
              <LiftChart
                lobe={lobe}
                band={motion.lobeBand}
                measured={motion.measured}
                tried={alternatives.flatMap((one) => {
                  const tried = one.motion?.triedLobe ?? null;
                  return tried === null ? [] : [{ name: one.name, lobe: tried }];
                })}
                at={at}
                onAt={(degree) => setAt(Math.round(degree))}
                unit={motion.unitLength}
                words={{ ...words.motion, degrees: words.motion.camDegrees }}
                label={words.motion.lobe(motion.label)}
              />
            </div>
          </Exports>
        ) : (
          <NoTrain motion={motion} head={words.motion.noLobe} />
        )}
        {motion.lobeBand !== null && <p className="note">{words.motion.openOfCard}</p>}
      </section>
      <aside className="card-side">
        <MeasuredLift motion={motion} kind={kind} />
        {motion.worn !== null && (
          <p className={motion.worn.verdict.startsWith('outside') ? 'wrong' : undefined}>
            {words.motion.worn}: {motion.worn.value?.shown}. <small>{motion.worn.sentence}</small>
          </p>
        )}
        <h3>
          {words.motion.card}, {whose}
        </h3>
        {motion.measured !== null && <p className="note">{words.motion.cardAside}</p>}
        <p className="note">{words.motion.cardHint}</p>
        <WhoseLobe motion={motion} kind={kind} place={place} onChange={(where) => pick({ of: motion.place, place: where })} />
        <LobeFromLibrary place={place} whose={whose} />
        <table className="card-table">
          <tbody>
            {columns.map((column) => {
              const stands = motion.card.find((one) => one.name === column.code);
              return (
                <tr key={column.code}>
                  <th scope="row">{column.label.replace('card: ', '')}</th>
                  <td>
                    <ClaimCell key={place} column={column} place={place} placeName={whose} />
                    {stands !== undefined && (
                      <small className={stands.isGuess ? 'guess' : 'note'}>
                        {stands.value.shown}, {stands.origin}
                      </small>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        {motion.remarks.map((remark) => (
          <p key={remark} className="remark">
            {remark}
          </p>
        ))}
      </aside>
    </div>
  );
}
