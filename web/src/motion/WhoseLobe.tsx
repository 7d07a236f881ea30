import type { Schemas } from '../shared/api';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';

export type Kind = 'I' | 'E';

interface Props {
  motion: Schemas['MotionView'];
  kind: Kind;
  /** Where a figure of a lobe is said: of its kind, or of its own station alone. */
  place: string;
  onChange: (place: string) => void;
}

export const placeOfKind = (kind: Kind): string => `kind-${kind}`;

/** Whose a figure is, in words. */
export const whoseWords = (motion: Schemas['MotionView'], kind: Kind, place: string): string =>
  place === motion.place ? motion.label : words.motion.of[kind];

/** Whether what is said of a lobe holds for all of its kind, or for this one alone. */
export function WhoseLobe({ motion, kind, place, onChange }: Props) {
  return (
    <Choice
      value={place}
      label={words.motion.table.whose}
      width="100%"
      onChange={onChange}
      options={[
        { value: placeOfKind(kind), label: words.motion.table.all(words.motion.of[kind]) },
        { value: motion.place, label: words.motion.table.one(motion.label) },
      ]}
    />
  );
}
