import { useQuery, type UseQueryResult } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { answer, api, type CaseView, type LedgerView, type RankingView, type Schemas } from './api';

export const caseKey = (id: string): string[] => ['case', id];

export const fetchCase = (id: string): Promise<CaseView> => answer(api.GET('/api/cases/{id}', { params: { path: { id } } }));

export const useCase = (id: string): UseQueryResult<CaseView> => useQuery({ queryKey: caseKey(id), queryFn: () => fetchCase(id) });

export function useCatalogue(): UseQueryResult<Schemas['CatalogueView']> {
  return useQuery({ queryKey: ['catalogue'], queryFn: () => answer(api.GET('/api/catalogue')), staleTime: Infinity });
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

const SETTLED_AFTER = 700;

/** A value once it has stood still: many entries in a row are followed by one question, not by one each. */
function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), SETTLED_AFTER);
    return () => clearTimeout(timer);
  }, [value]);
  return settled;
}

/**
 * A derived view of a case that follows its revision, when that has settled. Where the newest cannot be had, the last that was
 * seen stays: a sheet never vanishes under the hand that fills it.
 */
function useOfCase<T>(name: string, id: string, revision: number, fetch: () => Promise<T>): { data: T | undefined } {
  const settled = useSettled(revision);
  const { data } = useQuery({ queryKey: [name, id, settled], queryFn: fetch, placeholderData: (previous) => previous });
  const seen = useRef<T | undefined>(undefined);
  useEffect(() => {
    if (data !== undefined) seen.current = data;
  }, [data]);
  return { data: data ?? seen.current };
}

export const useSheets = (id: string, revision: number): { data: Schemas['SheetLayoutView'][] | undefined } =>
  useOfCase('sheets', id, revision, () => answer(api.GET('/api/cases/{id}/sheets', { params: { path: { id } } })));

/** What a sheet tells: follows each entry, since the hand waits for the margin of what it typed. */
export function useSheet(id: string, revision: number, sheet: string): UseQueryResult<Schemas['SheetView']> {
  return useQuery({
    queryKey: ['sheet', id, sheet, revision],
    queryFn: () => answer(api.GET('/api/cases/{id}/sheets/{sheet}', { params: { path: { id, sheet } } })),
    placeholderData: (previous) => previous,
  });
}

/** Margins of some quantities, for a lens of the plan; or of all sheets of a step. */
export function useMargins(
  id: string,
  revision: number,
  of: { quantity?: string; step?: string } | null,
): UseQueryResult<Schemas['MarginsView']> {
  const settled = useSettled(revision);
  return useQuery({
    queryKey: ['margins', id, settled, of],
    enabled: of !== null,
    queryFn: () => answer(api.GET('/api/cases/{id}/margins', { params: { path: { id }, query: of ?? {} } })),
    placeholderData: (previous) => previous,
  });
}

export const useLashOrder = (id: string, revision: number): { data: Schemas['LashOrderView'] | undefined } =>
  useOfCase('lash-order', id, revision, () => answer(api.GET('/api/cases/{id}/lash-order', { params: { path: { id } } })));

export const useTimeline = (id: string, revision: number): { data: Schemas['TimelineView'] | undefined } =>
  useOfCase('timeline', id, revision, () => answer(api.GET('/api/cases/{id}/timeline', { params: { path: { id } } })));

export const useTeardown = (id: string, revision: number): { data: Schemas['TeardownView'] | undefined } =>
  useOfCase('teardown', id, revision, () => answer(api.GET('/api/cases/{id}/teardown', { params: { path: { id } } })));

export const useCustody = (id: string, revision: number): { data: Schemas['CustodyMoveView'][] | undefined } =>
  useOfCase('custody', id, revision, () => answer(api.GET('/api/cases/{id}/custody', { params: { path: { id } } })));

export const useMeasures = (id: string, revision: number): { data: Schemas['MeasureView'][] | undefined } =>
  useOfCase('measures', id, revision, () => answer(api.GET('/api/cases/{id}/measures', { params: { path: { id } } })));

export const useSchedule = (id: string, revision: number): { data: Schemas['ScheduleView'] | undefined } =>
  useOfCase('schedule', id, revision, () => answer(api.GET('/api/cases/{id}/schedule', { params: { path: { id } } })));

export function useAttention(id: string, revision: number, place: string): UseQueryResult<Schemas['AttentionView'][]> {
  const settled = useSettled(revision);
  return useQuery({
    queryKey: ['attention', id, settled, place],
    queryFn: () => answer(api.GET('/api/cases/{id}/attention/{place}', { params: { path: { id, place } } })),
  });
}

export function useEngines(): UseQueryResult<Schemas['SavedEngineView'][]> {
  return useQuery({ queryKey: ['engines'], queryFn: () => answer(api.GET('/api/engines')) });
}
