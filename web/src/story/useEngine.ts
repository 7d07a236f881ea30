import { useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useDocument, type WrittenDocument } from '../entry/useDocument';
import { draftOf, enteredOf, type EngineDraft } from '../engine/draft';
import { answer, api, type CaseView } from '../shared/api';
import { author } from '../shared/person';
import { caseChanged, refetchCase } from '../shared/queries';

/** The engine as it is being described, kept in the browser until the server has it under the version that was seen. */
export function useEngine(view: CaseView): WrittenDocument<EngineDraft> {
  const queries = useQueryClient();
  return useDocument<EngineDraft>({
    key: `mute-tapper.engine.${view.id}`,
    stands: useMemo(() => draftOf(view.engine), [view.engine]),
    version: view.engineVersion,
    isReadable: (kept) => typeof kept.engine === 'object' && typeof kept.firing === 'string' && typeof kept.numbering === 'object',
    put: async (wanted, version) => {
      const fresh = await answer(
        api.PUT('/api/cases/{id}/engine', {
          params: { path: { id: view.id }, header: { 'If-Match': `"${version}"` }, query: { by: author() } },
          body: enteredOf(wanted, view.engine),
        }),
      );
      caseChanged(queries, fresh);
      return fresh.engineVersion;
    },
    refetch: () => refetchCase(queries, view.id),
  });
}
