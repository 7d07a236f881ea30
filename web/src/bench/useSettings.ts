import { useQueryClient } from '@tanstack/react-query';
import { useBench } from '../entry/useBench';
import { answer, api, type Schemas } from '../shared/api';
import { author } from '../shared/person';
import { caseKey } from '../shared/queries';

/** Changes how a case is judged and shown, under the version that was seen. */
export function useSettings(): { change: (settings: Schemas['SettingsView']) => Promise<void> } {
  const { view } = useBench();
  const queries = useQueryClient();
  return {
    change: async (settings) => {
      try {
        const fresh = await answer(
          api.PUT('/api/cases/{id}/description', {
            params: { path: { id: view.id }, header: { 'If-Match': `"${view.descriptionVersion}"` } },
            body: { name: view.name, story: { ...view.story.answers, failed: view.story.failed }, settings, by: author() },
          }),
        );
        queries.setQueryData(caseKey(view.id), fresh);
      } catch {
        await queries.invalidateQueries({ queryKey: caseKey(view.id) });
      }
    },
  };
}
