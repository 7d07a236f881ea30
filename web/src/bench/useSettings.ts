import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useBench } from '../entry/useBench';
import { answer, api, Refused, type CaseView, type Schemas } from '../shared/api';
import { failureWords } from '../shared/failure';
import { author } from '../shared/person';
import { caseChanged, caseKey, fetchCase } from '../shared/queries';

type Settings = Schemas['SettingsView'];

/** What is to be set, told of the settings as they stand by then. */
type Change = (now: Settings) => Partial<Settings>;

/**
 * Changes how a case is judged and shown. A story that was written meanwhile stays, and so does another setting: the change is made on
 * top of them.
 */
export function useSettings(): { change: (change: Change) => void; problem: string | null } {
  const { view } = useBench();
  const queries = useQueryClient();
  const put = (on: CaseView, change: Change): Promise<CaseView> =>
    answer(
      api.PUT('/api/cases/{id}/description', {
        params: { path: { id: on.id }, header: { 'If-Match': `"${on.descriptionVersion}"` } },
        body: {
          name: on.name,
          story: { ...on.story.answers, failed: on.story.failed },
          settings: { ...on.settings, ...change(on.settings) },
          by: author(),
        },
      }),
    );
  const changing = useMutation({
    // One after the other: the next goes on what this one left.
    scope: { id: `settings of ${view.id}` },
    mutationFn: (change: Change) =>
      put(queries.getQueryData<CaseView>(caseKey(view.id)) ?? view, change).catch(async (error: unknown) => {
        if (!(error instanceof Refused) || error.problem.status !== 412) throw error;
        return put(await fetchCase(view.id), change);
      }),
    onSuccess: (fresh) => caseChanged(queries, fresh),
  });
  return { change: (change) => changing.mutate(change), problem: changing.error === null ? null : failureWords(changing.error) };
}
