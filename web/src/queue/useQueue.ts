import { useInfiniteQuery } from '@tanstack/react-query';
import { answer, api, type PlanView, type QueueRow, type Schemas } from '../shared/api';
import { usePerson } from '../shared/person';
import { useLater } from '../shared/useLater';

export type ShopView = 'all' | 'mine' | 'bench' | 'waiting' | 'overdue' | 'signed' | 'aside';
export const shopViews: readonly ShopView[] = ['all', 'mine', 'bench', 'waiting', 'overdue', 'signed', 'aside'];

/** Typing is followed by one question, not by one a letter. */
const ASK_AFTER = 180;

/** A row with its head plan, which its page has beside it. */
export type ShownRow = Omit<QueueRow, 'plan'> & { plan: PlanView | null };

export interface ShownQueue {
  rows: readonly ShownRow[];
  counts: Schemas['QueueView']['counts'];
  isPending: boolean;
  error: Error | null;
  /** Words that the rows answer to; those typed last may still be asked for. */
  asked: string;
  more: (() => void) | null;
}

/** The queue, a page at a time: what the shop has in this view that answers to these words. */
export function useQueue(view: ShopView, find: string): ShownQueue {
  const person = usePerson();
  const asked = useLater(find.trim(), ASK_AFTER);
  const queue = useInfiniteQuery({
    queryKey: ['cases', view, asked, view === 'mine' ? person : ''],
    queryFn: ({ pageParam }) =>
      answer(
        api.GET('/api/cases', {
          params: { query: { view, find: asked, person, ...(pageParam === null ? {} : { before: pageParam }) } },
        }),
      ),
    initialPageParam: null as number | null,
    getNextPageParam: (last) => last.next,
    placeholderData: (previous) => previous,
  });
  const pages = queue.data?.pages ?? [];
  return {
    rows: pages.flatMap((page) => page.rows.map((row) => ({ ...row, plan: page.plans[row.plan ?? ''] ?? null }))),
    counts: pages[0]?.counts ?? {},
    isPending: queue.isPending,
    error: queue.error,
    asked,
    more: queue.hasNextPage && !queue.isFetchingNextPage ? () => void queue.fetchNextPage() : null,
  };
}
