import { useQuery, type UseQueryResult } from '@tanstack/react-query';
import { answer, api, type CaseView, type LedgerView, type RankingView, type Schemas } from './api';

export const caseKey = (id: string): string[] => ['case', id];

export function useCase(id: string): UseQueryResult<CaseView> {
  return useQuery({ queryKey: caseKey(id), queryFn: () => answer(api.GET('/api/cases/{id}', { params: { path: { id } } })) });
}

export function useCatalogue(): UseQueryResult<Schemas['CatalogueView']> {
  return useQuery({ queryKey: ['catalogue'], queryFn: () => answer(api.GET('/api/catalogue')), staleTime: Infinity });
}

/** Follows the revision: a new one is fetched when an entry was stored, and the old one stays on screen meanwhile. */
export function useSprings(id: string, revision: number): UseQueryResult<Schemas['SpringSheetView']> {
  return useQuery({
    queryKey: ['springs', id, revision],
    queryFn: () => answer(api.GET('/api/cases/{id}/springs', { params: { path: { id } } })),
    placeholderData: (previous) => previous,
  });
}

export function useRanking(id: string, revision: number): UseQueryResult<RankingView> {
  return useQuery({
    queryKey: ['ranking', id, revision],
    queryFn: () => answer(api.GET('/api/cases/{id}/ranking', { params: { path: { id } } })),
    placeholderData: (previous) => previous,
  });
}

export function useLedger(id: string, revision: number, cause: string | null): UseQueryResult<LedgerView> {
  return useQuery({
    queryKey: ['ledger', id, revision, cause],
    enabled: cause !== null,
    queryFn: () => answer(api.GET('/api/cases/{id}/ledger/{cause}', { params: { path: { id, cause: cause ?? '' } } })),
  });
}
