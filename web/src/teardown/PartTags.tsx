import { EntryField } from '../entry/EntryField';
import { asTag, isTag, MetElsewhere } from '../entry/PartTag';
import { reasonOf, refusedIn } from '../entry/refusal';
import { placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';

/** Parts that go from build to build by themselves, and what names one of several at a station. */
const TAGGED: readonly (readonly [part: string, index: string | null])[] = [
  ['follower', null],
  ['pushrod', null],
  ['rocker', null],
  ['valve', null],
  ['spring', 'outer'],
  ['spring', 'inner'],
  ['retainer', null],
  ['locks', null],
  ['guide', null],
];

/** Which parts stand at a station, each by a tag of its own: so that the next build, and the next case, know them again. */
export function PartTags({ chosen }: { chosen: string }) {
  const { view } = useBench();
  const parts = TAGGED.flatMap(([code, index]) => {
    const part = view.parts.find((one) => one.code === code);
    return part === undefined ? [] : [{ code, index, label: index === null ? part.label : `${part.label}, ${index}` }];
  });
  return (
    <section aria-label={words.tags.stands(placeLabel(view, chosen))}>
      <h3>{words.tags.stands(placeLabel(view, chosen))}</h3>
      <p className="note">{words.tags.standsHint}</p>
      <div className="part-tags">
        {parts.map((part) => (
          <OnePart key={`${chosen} ${part.code} ${part.index ?? ''}`} place={chosen} {...part} />
        ))}
      </div>
    </section>
  );
}

function OnePart({ place, code, index, label }: { place: string; code: string; index: string | null; label: string }) {
  const { view, slots, record, withdraw } = useBench();
  const slot = { place, part: code, item: 'tag', index };
  const state = slots.get(slot);
  const refused = refusedIn(state);
  const stands = state.entry?.content.tag ?? '';
  const name = words.tags.of(label, placeLabel(view, place));
  return (
    <div>
      <label>
        <span>{label}</span>
        <EntryField
          label={name}
          stands={stands}
          refused={refused === null ? null : { text: refused.entry.data.tag ?? '', reason: reasonOf(refused) }}
          check={(text) => (isTag(asTag(text)) ? null : words.bench.tagWrong)}
          onRecord={(text) => (text === '' ? withdraw(slot, name) : record('tag', slot, { tag: asTag(text) }, `${name}, ${asTag(text)}`))}
        />
      </label>
      <MetElsewhere tag={stands === '' ? null : stands} at={(where) => `teardown/pieces?at=${where}`} />
    </div>
  );
}
