import { useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useDocument, type WrittenDocument } from '../entry/useDocument';
import { answer, api, type CaseView } from '../shared/api';
import { author } from '../shared/person';
import { caseChanged, refetchCase } from '../shared/queries';

export interface Draft {
  name: string;
  answers: Record<string, string>;
  failed: string[];
  units: 'inch' | 'metric';
}

const draftOf = (view: CaseView): Draft => ({
  name: view.name,
  answers: view.story.answers,
  failed: view.story.failed,
  units: view.settings.units,
});

export type StoryDraft = WrittenDocument<Draft>;

/** The story as it is being written: kept in the browser until the server has it under the version that was seen. */
export function useStory(view: CaseView): StoryDraft {
  const queries = useQueryClient();
  return useDocument<Draft>({
    key: `mute-tapper.story.${view.id}`,
    stands: useMemo(() => draftOf(view), [view]),
    version: view.descriptionVersion,
    isReadable: (kept) => typeof kept.name === 'string' && typeof kept.answers === 'object' && Array.isArray(kept.failed),
    put: async (wanted, version) => {
      const fresh = await answer(
        api.PUT('/api/cases/{id}/description', {
          params: { path: { id: view.id }, header: { 'If-Match': `"${version}"` } },
          body: {
            name: wanted.name,
            story: { ...wanted.answers, failed: wanted.failed },
            settings: { ...view.settings, units: wanted.units },
            by: author(),
          },
        }),
      );
      caseChanged(queries, fresh);
      return fresh.descriptionVersion;
    },
    refetch: () => refetchCase(queries, view.id),
  });
}
