import type { Schemas } from '../shared/api';
import { words } from '../shared/messages';
import { useMotions } from '../shared/queries';
import type { Tried } from '../tried/change';

type Motion = Schemas['MotionView'];

/** A change beside what was found: the one under the hand, or one set aside. */
export interface Alternative {
  name: string;
  /** As it is asked of the program. */
  change: string;
  tried: readonly Tried[];
  /** Motion with it; nothing while that is not told. */
  motion: Motion | undefined;
}

/** The changes that stand beside what was found, the one under the hand first. */
export function useAlternatives(
  id: string,
  place: string,
  live: { tried: readonly Tried[]; change: string; motion: Motion | undefined },
  kept: readonly (readonly Tried[])[],
): Alternative[] {
  const changes = kept.map((one) => JSON.stringify(one));
  const told = useMotions(id, place, changes);
  return [
    ...(live.change === '' ? [] : [{ name: words.motion.tried, ...live }]),
    ...kept.map((tried, i) => ({ name: words.motion.besides[i] ?? '', change: changes[i] ?? '', tried, motion: told[i] })),
  ];
}

/** What a change makes of a speed; nothing where it makes no train. */
export const triedSpeed = (of: Alternative, name: string): number | null =>
  of.motion?.thresholds.find((one) => one.name === name)?.tried ?? null;
