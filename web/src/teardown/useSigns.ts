import { useMemo } from 'react';
import { useBench } from '../entry/useBench';
import type { CaseView, SignView } from '../shared/api';
import { useCatalogue } from '../shared/queries';
import { findSigns } from './findSigns';

type Part = CaseView['parts'][number];

/** Signs that this engine can show on a part and whose words were typed; where it has none, those of the other parts of the place. */
export function useSigns(parts: readonly Part[], part: Part | undefined, typed: string): readonly SignView[] {
  const { view } = useBench();
  const catalogue = useCatalogue();
  const possible = useMemo(() => new Set(view.possibleSigns), [view.possibleSigns]);
  return useMemo(() => {
    const seen = (catalogue.data?.signs ?? []).filter((one) => !one.fromBench && possible.has(one.code));
    const here = findSigns(
      seen.filter((one) => part !== undefined && one.parts.includes(part.code)),
      typed,
    );
    if (here.length > 0 || typed.trim() === '') return here;
    const codes = new Set(parts.map((one) => one.code));
    return findSigns(
      seen.filter((one) => one.parts.some((code) => codes.has(code))),
      typed,
    );
  }, [catalogue.data, possible, part, parts, typed]);
}
