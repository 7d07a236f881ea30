import { EntryField } from '../entry/EntryField';
import { reasonOf, refusedIn } from '../entry/refusal';
import { useBench } from '../entry/useBench';
import type { CaseView } from '../shared/api';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import { HowWellKnown, useStanding, type Standing } from '../sheet/HowWellKnown';
import { ClaimCell } from '../sheet/ClaimCell';

type BuildPart = CaseView['buildParts'][number];

/** What was fitted, part by part, in words: known, said by the customer, or unknown. And the oil, in figures. */
export function ClaimedParts() {
  const { view } = useBench();
  const catalogue = useCatalogue();
  const figures = (catalogue.data?.columns ?? []).filter((column) => column.sheet === 'build');
  return (
    <table className="claimed parts-claimed">
      <thead>
        <tr>
          <th>{words.story.part}</th>
          <th>{words.story.claimsOf.I}</th>
          <th>{words.story.claimsOf.E}</th>
        </tr>
      </thead>
      <tbody>
        {view.buildParts.map((part) => (
          <tr key={part.code}>
            <th scope="row">{part.label}</th>
            {part.byKind ? (
              <>
                <td>
                  <WordsCell part={part} place="kind-I" />
                </td>
                <td>
                  <WordsCell part={part} place="kind-E" />
                </td>
              </>
            ) : (
              <td colSpan={2}>
                <WordsCell part={part} place="engine" />
              </td>
            )}
          </tr>
        ))}
        {figures.map((column) => (
          <tr key={column.code}>
            <th scope="row">{column.label}</th>
            <td colSpan={2}>
              <ClaimCell column={column} place="engine" />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const KINDS: Partial<Record<string, string>> = { 'kind-I': words.story.claimsOf.I, 'kind-E': words.story.claimsOf.E };

function WordsCell({ part, place }: { part: BuildPart; place: string }) {
  const { slots, record, withdraw } = useBench();
  const slot = { place, part: part.code, item: 'claimed.words' };
  const state = slots.get(slot);
  const { entry } = state;
  const refused = refusedIn(state);
  const stands = entry?.content.words ?? '';
  const { mean, ...how } = useStanding((entry?.standing ?? refused?.entry.data.standing) as Standing | undefined);
  const name = [part.label, KINDS[place]].filter(Boolean).join(', ');
  const post = (text: string, standing: Standing): void => {
    mean(null);
    if (standing === 'unknown') record('claim', slot, { standing }, `${name}, unknown`);
    else record('claim', slot, { words: text, standing }, words.story.claimed(name));
  };
  return (
    <div className="claim">
      <EntryField
        label={words.story.claimed(name)}
        stands={stands}
        refused={refused === null ? null : { text: refused.entry.data.words ?? '', reason: reasonOf(refused) }}
        maxLength={1000}
        onRecord={(text) => (text === '' ? withdraw(slot, name) : post(text, how.standing === 'unknown' ? 'said' : how.standing))}
      />
      <HowWellKnown
        {...how}
        name={name}
        onChange={(chosen) => (chosen === 'unknown' || stands !== '' ? post(stands, chosen) : mean(chosen))}
      />
    </div>
  );
}
