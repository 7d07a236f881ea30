import { placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { Picture } from '../photograph/Picture';
import type { EntryView, Schemas } from '../shared/api';
import { words } from '../shared/messages';
import { useOtherCase } from '../shared/queries';

type Group = Schemas['GroupView'];

/** Photographs of the same part and state in pairs; one without its partner is listed, never shown alone. */
export function Pairs({ one, other, of: otherCase }: { one: Group; other: Group; of: string | null }) {
  const { view } = useBench();
  const theirs = useOtherCase(otherCase).data;
  if (otherCase !== null && theirs === undefined) return null;
  const of = (group: Group, entries: readonly EntryView[]): EntryView[] =>
    entries.filter((entry) => entry.kind === 'photograph' && group.places.includes(entry.place));
  const first = of(one, view.entries);
  const second = of(other, theirs?.entries ?? view.entries);
  const partner = (entry: EntryView): EntryView | undefined =>
    second.find((two) => two.part === entry.part && two.state === entry.state && two.id !== entry.id);
  const named = (entry: EntryView): string =>
    `${placeLabel(view, entry.place)} ${entry.part.replace('_', ' ')}${theirs !== undefined && second.includes(entry) ? ` (${theirs.name})` : ''}`;
  const pairs = first.flatMap((entry) => {
    const two = partner(entry);
    return two === undefined ? [] : [[entry, two] as const];
  });
  const alone = [...first, ...second].filter((entry) => !pairs.some((pair) => pair.includes(entry)));
  if (pairs.length + alone.length === 0) return null;
  return (
    <>
      <h3>{words.compare.pictures}</h3>
      <div className="pairs">
        {pairs.map(([mine, partnered]) => (
          <figure key={mine.id}>
            <Picture entry={mine} alt={named(mine)} />
            <Picture entry={partnered} alt={named(partnered)} of={theirs} />
            <figcaption>{`${named(mine)}, ${named(partnered)}`}</figcaption>
          </figure>
        ))}
      </div>
      {alone.length > 0 && <p className="note">{words.compare.alone([...new Set(alone.map(named))])}</p>}
    </>
  );
}
