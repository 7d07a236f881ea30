import { placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { Picture } from '../photograph/Picture';
import type { EntryView, Schemas } from '../shared/api';
import { words } from '../shared/messages';

type Group = Schemas['GroupView'];

/** Photographs of the same part and state in pairs; one without its partner is listed, never shown alone. */
export function Pairs({ one, other }: { one: Group; other: Group }) {
  const { view } = useBench();
  const of = (group: Group): EntryView[] =>
    view.entries.filter((entry) => entry.kind === 'photograph' && group.stations.includes(entry.place));
  const partner = (entry: EntryView): EntryView | undefined =>
    of(other).find((two) => two.part === entry.part && two.state === entry.state && two.place !== entry.place);
  const named = (entry: EntryView): string => `${placeLabel(view, entry.place)} ${entry.part.replace('_', ' ')}`;
  const pairs = of(one).flatMap((entry) => {
    const two = partner(entry);
    return two === undefined ? [] : [[entry, two] as const];
  });
  const alone = [...of(one), ...of(other)].filter((entry) => !pairs.some((pair) => pair.includes(entry)));
  if (pairs.length + alone.length === 0) return null;
  return (
    <>
      <h3>{words.compare.pictures}</h3>
      <div className="pairs">
        {pairs.map(([first, second]) => (
          <figure key={first.id}>
            <Picture entry={first} alt={named(first)} />
            <Picture entry={second} alt={named(second)} />
            <figcaption>{`${named(first)}, ${named(second)}`}</figcaption>
          </figure>
        ))}
      </div>
      {alone.length > 0 && <p className="note">{words.compare.alone([...new Set(alone.map(named))])}</p>}
    </>
  );
}
