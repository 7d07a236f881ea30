import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useBench } from '../entry/useBench';
import { answer, api, Refused, type CaseView, type Schemas } from '../shared/api';
import { failureWords } from '../shared/failure';
import { author } from '../shared/person';
import { caseChanged, fetchCase } from '../shared/queries';

type Settings = Schemas['SettingsView'];

/** Changes how a case is judged and shown. A story that was written meanwhile stays: the change is made on top of it. */
export function useSettings(): { change: (settings: Settings) => void; problem: string | null } {
  const { view } = useBench();
  const queries = useQueryClient();
  const put = (on: CaseView, settings: Settings): Promise<CaseView> =>
    answer(
      api.PUT('/api/cases/{id}/description', {
        params: { path: { id: on.id }, header: { 'If-Match': `"${on.descriptionVersion}"` } },
        body: { name: on.name, story: { ...on.story.answers, failed: on.story.failed }, settings, by: author() },
      }),
    );
  const changing = useMutation({
    mutationFn: (settings: Settings) =>
      put(view, settings).catch(async (error: unknown) => {
        if (!(error instanceof Refused) || error.problem.status !== 412) throw error;
        return put(await fetchCase(view.id), settings);
      }),
    onSuccess: (fresh) => caseChanged(queries, fresh),
  });
  return { change: (settings) => changing.mutate(settings), problem: changing.error === null ? null : failureWords(changing.error) };
}
