import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef } from 'react';
import { answer, api, type CaseView, type Schemas } from '../shared/api';
import { caseKey, FOLLOWED, isDerived } from '../shared/queries';

type News = Schemas['NewsView'];
type Followed = News['sheets'][number];
type Shown = { content: string; margins: Schemas['MarginView'][]; values?: Schemas['ValueView'][] };

/** The first entry after a rest is followed soon, many in a row only so often: the hand waits for no margin longer than this. */
const SOON = 250;
const AT_MOST_EVERY = 2500;
/** What nobody waits for while entering is fetched when the hand rests. */
const REST = 1500;

/**
 * Tells an open case what followed from its entries: how far each step is, and what changed of the sheets and lenses that are shown.
 * Returns what is to be called when entries were stored.
 */
export function useNews(caseId: string): () => void {
  const queries = useQueryClient();
  const timers = useRef<{ news?: ReturnType<typeof setTimeout>; rest?: ReturnType<typeof setTimeout> }>({});
  const told = useRef(0);
  useEffect(() => {
    const running = timers.current;
    return () => {
      clearTimeout(running.news);
      clearTimeout(running.rest);
    };
  }, [caseId]);
  return useCallback(() => {
    const running = timers.current;
    running.news ??= setTimeout(
      () => {
        delete running.news;
        told.current = Date.now();
        void follow(queries, caseId);
      },
      Math.max(SOON, told.current + AT_MOST_EVERY - Date.now()),
    );
    clearTimeout(running.rest);
    running.rest = setTimeout(() => {
      const isAside = (query: Parameters<typeof isDerived>[0]): boolean => isDerived(query) && !isFollowed(query);
      void queries.invalidateQueries({ queryKey: caseKey(caseId), predicate: isAside });
    }, REST);
  }, [queries, caseId]);
}

const isFollowed = ({ queryKey }: Parameters<typeof isDerived>[0]): boolean =>
  queryKey[2] === FOLLOWED.sheet || queryKey[2] === FOLLOWED.margins;

async function follow(queries: QueryClient, caseId: string): Promise<void> {
  const key = caseKey(caseId);
  const asked = (of: string): string =>
    queries
      .getQueryCache()
      .findAll({ queryKey: [...key, of], type: 'active' })
      .flatMap((query) => {
        const shown = query.state.data as Shown | undefined;
        return shown === undefined ? [] : [`${String(query.queryKey[3])}@${shown.content}`];
      })
      .join(',');
  try {
    const news = await answer(
      api.GET('/api/cases/{id}/news', {
        params: { path: { id: caseId }, query: { sheets: asked(FOLLOWED.sheet), margins: asked(FOLLOWED.margins) } },
      }),
    );
    for (const one of news.sheets) patch(queries, [...key, FOLLOWED.sheet, one.name], one, news.content);
    for (const one of news.margins) patch(queries, [...key, FOLLOWED.margins, one.name], one, news.content);
    const view = queries.getQueryData<CaseView>(key);
    // Another hand was here too: its entries are not among ours.
    if (view === undefined || view.revision < news.revision) await queries.invalidateQueries({ queryKey: key, exact: true });
    else queries.setQueryData<CaseView>(key, (old) => old && { ...old, steps: news.steps, next: news.next, days: news.days });
  } catch {
    // Without a line what was told last stays; the next entry asks again.
  }
}

function patch(queries: QueryClient, key: readonly unknown[], told: Followed, content: string): void {
  queries.setQueryData<Shown>(key, (old) => old && patched(old, told, content));
}

const keyOf = (place: string, name: string, index: string | null): string => [place, name, index ?? ''].join(' ');

/** What was shown, with what is told of it. */
export function patched<T extends Shown>(shown: T, told: Followed, content: string): T {
  const gone = new Set(told.gone);
  const merged = <V>(before: readonly V[], changed: readonly V[], key: (one: V) => string): V[] => {
    if (told.whole) return [...changed];
    const fresh = new Map(changed.map((one) => [key(one), one]));
    const kept = before.filter((one) => !gone.has(key(one))).map((one) => fresh.get(key(one)) ?? one);
    const there = new Set(before.map(key));
    return [...kept, ...changed.filter((one) => !there.has(key(one)))];
  };
  return {
    ...shown,
    content,
    margins: merged(shown.margins, told.margins, (one) => keyOf(one.place, one.quantity, one.coil)),
    ...('values' in shown
      ? { values: merged(shown.values ?? [], told.values, (one) => keyOf(one.place, one.name, one.index)), remarks: told.remarks }
      : {}),
    ...('columns' in shown ? { columns: told.columns } : {}),
  };
}
