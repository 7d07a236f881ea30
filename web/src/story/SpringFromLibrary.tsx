import { useState } from 'react';
import { Link } from 'react-router';
import { useBench } from '../entry/useBench';
import { Choice } from '../shared/Choice';
import { LineForm } from '../shared/LineForm';
import { words } from '../shared/messages';
import { useShelf } from '../shared/queries';

interface Figure {
  item: string;
  index: string;
  text: string;
  at?: string;
}

/** Takes the figures of a spring of the library over as claims: one stroke, one undo. */
export function SpringFromLibrary({ places }: { places: readonly { place: string; label: string }[] }) {
  const { recordAll } = useBench();
  const springs = useShelf('springs').data ?? [];
  const [code, setCode] = useState<string | null>(null);
  const [place, setPlace] = useState<string | null>(null);
  const spring = springs.find((one) => one.code === code);
  const at = places.find((one) => one.place === place) ?? places[0];
  if (springs.length === 0)
    return (
      <p className="note">
        {words.story.noSpring} <Link to="/library/springs">{words.library.title}</Link>
      </p>
    );
  const take = (): void => {
    if (spring?.content == null || at === undefined) return;
    recordAll(
      (spring.content['figures'] as readonly Figure[]).map((one) => ({
        kind: 'claim' as const,
        slot: { place: at.place, part: 'spring', item: `claimed.${one.item}`, index: one.index },
        data: { text: one.text, standing: 'known' as const, ...(one.at === undefined ? {} : { atText: one.at }) },
      })),
      `${spring.name}, ${at.label}`,
    );
  };
  return (
    <LineForm label={words.story.springTaken} send={words.story.takeSpring} isReady={spring !== undefined} onSend={take}>
      <Choice
        value={code}
        label={words.story.springTaken}
        placeholder={words.story.springTaken}
        width={280}
        onChange={setCode}
        options={springs.map((one) => ({ value: one.code, label: one.name, title: one.sums }))}
      />
      <Choice
        value={at?.place ?? null}
        label={words.story.makersWhere}
        onChange={setPlace}
        options={places.map((one) => ({ value: one.place, label: one.label }))}
      />
    </LineForm>
  );
}
