import { useBench } from '../entry/useBench';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import { useShelf } from '../shared/queries';

interface Figure {
  item: string;
  text: string;
}

interface Props {
  /** Whose card it becomes, and that in words. */
  place: string;
  whose: string;
}

/** Takes the card of a lobe of the library over as claims: one stroke, one undo. */
export function LobeFromLibrary({ place, whose }: Props) {
  const { recordAll } = useBench();
  const lobes = useShelf('lobes').data ?? [];
  if (lobes.length === 0) return null;
  const take = (code: string): void => {
    const lobe = lobes.find((one) => one.code === code);
    if (lobe?.content == null) return;
    recordAll(
      (lobe.content['figures'] as readonly Figure[]).map((one) => ({
        kind: 'claim' as const,
        slot: { place, part: 'lobe', item: `claimed.${one.item}`, index: null },
        data: { text: one.text, standing: 'known' as const },
      })),
      `${lobe.name}, ${whose}`,
    );
  };
  return (
    <Choice
      value={null}
      label={words.motion.fromLibrary}
      placeholder={words.motion.fromLibrary}
      width="100%"
      onChange={take}
      options={lobes.map((one) => ({ value: one.code, label: one.name, title: one.sums }))}
    />
  );
}
