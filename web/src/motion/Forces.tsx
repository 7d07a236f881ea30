import type { Schemas } from '../shared/api';
import { words } from '../shared/messages';
import { useMotionLog } from '../shared/queries';
import { useBench } from '../entry/useBench';
import { NoTrain } from './NoTrain';
import { secondsBetween } from './logged';

type Motion = Schemas['MotionView'];

/** What moves, weighed or guessed; what holds it standing still; and the harmonics that set the spring swinging. */
export function Forces({ motion }: { motion: Motion }) {
  const { view } = useBench();
  const log = useMotionLog(view.id, motion.place);
  return (
    <div className="forces" tabIndex={0} role="region" aria-label={words.motion.fields.forces}>
      <section className="sheet pad">
        <h3>{words.motion.whatMoves}</h3>
        <Figures figures={motion.figures} />
        {motion.sweep === null && <NoTrain motion={motion} />}
        {motion.remarks.map((remark) => (
          <p key={remark} className="remark">
            {remark}
          </p>
        ))}
      </section>
      <section className="sheet pad">
        <h3>{words.motion.still}</h3>
        <Figures figures={motion.statics} />
        <p className="note">{words.motion.boundNote}</p>
        <h3>{words.motion.harmonics}</h3>
        {motion.harmonics.length === 0 ? (
          <p className="note">{words.motion.noHarmonics}</p>
        ) : (
          <table className="figures-table">
            <thead>
              <tr>
                <th>{words.motion.harmonic}</th>
                <th className="num">{words.motion.at}</th>
                <th className="num">{words.motion.share}</th>
                <th className="num">{words.motion.logged}</th>
              </tr>
            </thead>
            <tbody>
              {motion.harmonics.map((one) => (
                <tr key={one.number}>
                  <th scope="row">{one.number}</th>
                  <td className="num">{one.speed}</td>
                  <td className="num">{one.share.toFixed(2)}</td>
                  <td className="num">{secondsBetween(log.data?.bins ?? [], one.speed - 50, one.speed + 50).toFixed(1)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
    </div>
  );
}

function Figures({ figures }: { figures: Motion['figures'] }) {
  return (
    <table className="figures-table">
      <tbody>
        {figures.map((one) => (
          <tr key={one.name} className={one.isGuess ? 'is-guess' : undefined}>
            <th scope="row">{one.label}</th>
            <td className="num">{one.value.shown}</td>
            <td className="note">
              {one.isGuess && !one.origin.startsWith('a guess') ? `${words.motion.guess}, ${one.origin}` : one.origin}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
