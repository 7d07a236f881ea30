import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../shared/api';
import { author } from '../shared/person';

export type Item = Schemas['ShelvedItemView'];
export type Shelf = Item['shelf'];
export type Content = Record<string, unknown>;

/** Links are browsed both ways in place of a list of forms. */
export type ShelfOfForms = Exclude<Shelf, 'links'>;

export const SHELVES = ['gauges', 'springs', 'lobes', 'limits', 'links', 'engines', 'studies', 'stock'] as const satisfies readonly Shelf[];

export const useVersions = (item: Item | undefined) =>
  useQuery({
    queryKey: ['library', item?.shelf, item?.code, 'versions'],
    enabled: item !== undefined,
    queryFn: () =>
      answer(
        api.GET('/api/library/{shelf}/{code}/versions', { params: { path: { shelf: item?.shelf ?? 'gauges', code: item?.code ?? '' } } }),
      ),
  });

interface Kept {
  code: string;
  name: string;
  content: Content | null;
  /** That was seen; 0 for something new. */
  version: number;
}

/** Puts something on its shelf or takes it off, and has everything that is made of the library fetched anew. */
export function useKeep(shelf: Shelf) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ code, name, content, version }: Kept) =>
      answer(
        api.PUT('/api/library/{shelf}/{code}', {
          params: { path: { shelf, code } },
          body: { name, content: content as Record<string, never> | null, version, by: author() },
        }),
      ),
    onSuccess: () => libraryChanged(queries),
  });
}

/** Limits and gauges stand in the catalogue and in every case; what is shown of them is fetched when it is next looked at. */
export function libraryChanged(queries: ReturnType<typeof useQueryClient>): Promise<void> {
  void queries.invalidateQueries({ queryKey: ['case'] });
  void queries.invalidateQueries({ queryKey: ['catalogue'] });
  void queries.invalidateQueries({ queryKey: ['limits'] });
  void queries.invalidateQueries({ queryKey: ['network'] });
  void queries.invalidateQueries({ queryKey: ['stock'] });
  void queries.invalidateQueries({ queryKey: ['engines'] });
  return queries.invalidateQueries({ queryKey: ['library'] });
}

/** A code made of a name: small letters and digits, strokes between. */
export const codeOf = (name: string): string =>
  name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 80);

/** Whether what stands there is shipped, and a shop sets it otherwise: nothing is added, and what is taken off is as shipped again. */
export const isShipped = (shelf: Shelf): shelf is 'limits' | 'stock' => shelf === 'limits' || shelf === 'stock';
