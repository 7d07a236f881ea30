import { useState } from 'react';
import { Link } from 'react-router';
import { draftOf, enteredOf, type EngineDraft } from '../engine/draft';
import { EngineFields } from '../engine/EngineFields';
import type { EngineInput } from '../shared/api';
import { words } from '../shared/messages';
import { useEngines } from '../shared/queries';
import type { FormProps } from './Item';
import type { Content } from './useShelf';

/** What a new engine begins as. */
export const FRESH = { layout: 'inline', drive: 'pushrod', cylinders: 4 } as const satisfies EngineInput;

/** A saved engine, described as in a case. */
export function EngineForm(props: FormProps) {
  const engines = useEngines();
  const saved = engines.data?.find((one) => one.id === props.code)?.engine;
  if (props.code !== '' && saved === undefined) return null;
  return (
    <>
      <Described {...props} stands={saved ?? FRESH} />
      {saved !== undefined && <Link to={`/new?engine=${props.code}`}>{words.library.beginWithIt}</Link>}
    </>
  );
}

function Described({ content, onChange, stands }: FormProps & { stands: EngineInput }) {
  const [draft, setDraft] = useState<EngineDraft>(() => draftOf(stands));
  return (
    <EngineFields
      draft={draft}
      entered={enteredOf(draft, stands)}
      onChange={(part) => {
        const next = { ...draft, ...part };
        setDraft(next);
        onChange({ ...content, ...inFile(enteredOf(next, stands)) });
      }}
    />
  );
}

/** As the case format writes an engine: the same members in snake case. */
const inFile = (engine: EngineInput): Content =>
  Object.fromEntries(
    Object.entries(engine).map(([name, value]) => [name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`), value]),
  );
