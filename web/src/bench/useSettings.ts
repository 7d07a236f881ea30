import { useMutation, useMutationState, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import { answer, api, Refused, type CaseView, type Schemas } from '../shared/api';
import { failureWords } from '../shared/failure';
import { author } from '../shared/person';
import { caseChanged, caseKey, fetchCase } from '../shared/queries';

type Settings = Schemas['SettingsView'];

/** What is to be set, told of the settings as they stand by then. */
type Change = (now: Settings) => Partial<Settings>;

const changed = (now: Settings, change: Change): Settings => ({ ...now, ...change(now) });

/**
 * Changes how a case is judged and shown. A story that was written meanwhile stays, and so does another setting: the change is made on
 * top of them. What was chosen is shown before the server has it.
 */
export function useSettings(): { settings: Settings; change: (change: Change) => void; problem: string | null } {
  const { view } = useBench();
  const queries = useQueryClient();
  const put = (on: CaseView, change: Change): Promise<CaseView> =>
    answer(
      api.PUT('/api/cases/{id}/description', {
        params: { path: { id: on.id }, header: { 'If-Match': `"${on.descriptionVersion}"` } },
        body: {
          name: on.name,
          story: { ...on.story.answers, failed: on.story.failed },
          settings: changed(on.settings, change),
          by: author(),
        },
      }),
    );
  const [problem, setProblem] = useState<string | null>(null); // of any of several that are on their way
  const key = ['settings', view.id];
  const changing = useMutation({
    mutationKey: key,
    // One after the other: the next goes on what this one left.
    scope: { id: key.join(' ') },
    mutationFn: (change: Change) =>
      put(queries.getQueryData<CaseView>(caseKey(view.id)) ?? view, change).catch(async (error: unknown) => {
        if (!(error instanceof Refused) || error.problem.status !== 412) throw error;
        return put(await fetchCase(view.id), change);
      }),
    onSuccess: (fresh) => caseChanged(queries, fresh),
    onError: (error) => setProblem(failureWords(error)),
  });
  const chosen = useMutationState({
    filters: { mutationKey: key, status: 'pending' },
    select: (one) => one.state.variables as Change,
  });
  return {
    settings: chosen.reduce(changed, view.settings),
    change: (change) => {
      setProblem(null);
      changing.mutate(change);
    },
    problem,
  };
}
