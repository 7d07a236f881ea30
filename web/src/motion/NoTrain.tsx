import type { Schemas } from '../shared/api';
import { words } from '../shared/messages';

/** Why nothing can be drawn of a train yet, and what it takes. */
export function NoTrain({ motion, head = words.motion.noTrain }: { motion: Schemas['MotionView']; head?: string }) {
  return (
    <div className="empty pad">
      <b>{motion.because === null ? head : words.motion.notThis}</b>
      <p>{motion.because ?? `${motion.missing.join(', ')}.`}</p>
    </div>
  );
}
