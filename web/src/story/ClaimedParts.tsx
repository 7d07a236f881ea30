import { useState } from 'react';
import { useBench } from '../entry/useBench';
import type { CaseView } from '../shared/api';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import { HowWellKnown, type Standing } from './HowWellKnown';
import { ClaimCell } from './Claimed';

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
          <th>all intakes</th>
          <th>all exhausts</th>
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

function WordsCell({ part, place }: { part: BuildPart; place: string }) {
  const { slots, record, withdraw } = useBench();
  const slot = { place, part: part.code, item: 'claimed.words' };
  const { entry } = slots.get(slot);
  const stands = entry?.content.words ?? '';
  const standing = (entry?.standing ?? 'said') as Standing;
  const [typed, setTyped] = useState<string | null>(null);
  const name = `${part.label}${place === 'engine' ? '' : place === 'kind-I' ? ', all intakes' : ', all exhausts'}`;
  const commit = (): void => {
    if (typed === null) return;
    setTyped(null);
    const text = typed.trim();
    if (text === stands) return;
    if (text === '') withdraw(slot, name);
    else record('claim', slot, { words: text, standing: standing === 'unknown' ? 'said' : standing }, `claimed ${name}`);
  };
  return (
    <div className="claim">
      <input
        className="cell-input words"
        value={typed ?? stands}
        data-committed={stands}
        aria-label={`claimed ${name}`}
        maxLength={1000}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') setTyped(null);
        }}
      />
      <HowWellKnown
        value={standing}
        name={name}
        onChange={(how) => {
          if (how === 'unknown') record('claim', slot, { standing: how }, `${name}, unknown`);
          else if (stands !== '') record('claim', slot, { words: stands, standing: how }, `${name}, ${how}`);
        }}
      />
    </div>
  );
}
