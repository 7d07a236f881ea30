import { keepPreviousData, useQueries, useQuery, type Query, type QueryClient, type UseQueryResult } from '@tanstack/react-query';
import { answer, api, type CaseView, type LedgerView, type RankingView, type Schemas } from './api';

export const caseKey = (id: string): string[] => ['case', id];

/** Names of what is told piece by piece what changed of it. */
export const FOLLOWED = { sheet: 'sheet', margins: 'margins' } as const;

/** A case that was changed as a whole: it is shown at once, and what is derived of it is fetched anew. */
export function caseChanged(queries: QueryClient, fresh: CaseView): void {
  queries.setQueryData(caseKey(fresh.id), fresh);
  void queries.invalidateQueries({ queryKey: caseKey(fresh.id), predicate: isDerived });
}

/** Fetches a case as it stands now, and what is derived of it beside that. */
export function refetchCase(queries: QueryClient, id: string): Promise<void> {
  void queries.invalidateQueries({ queryKey: caseKey(id), predicate: isDerived });
  return queries.invalidateQueries({ queryKey: caseKey(id), exact: true });
}

export const isDerived = ({ queryKey }: Pick<Query, 'queryKey'>): boolean => queryKey.length > 2;

export const fetchCase = (id: string): Promise<CaseView> => answer(api.GET('/api/cases/{id}', { params: { path: { id } } }));

export const useCase = (id: string): UseQueryResult<CaseView> => useQuery({ queryKey: caseKey(id), queryFn: () => fetchCase(id) });

/** Another case beside the one that is open. */
export const useOtherCase = (id: string | null): UseQueryResult<CaseView> =>
  useQuery({ queryKey: ['other case', id], queryFn: () => fetchCase(id ?? ''), enabled: id !== null });

export function useCatalogue(): UseQueryResult<Schemas['CatalogueView']> {
  return useQuery({ queryKey: ['catalogue'], queryFn: () => answer(api.GET('/api/catalogue')), staleTime: Infinity });
}

/** Something derived of a case: under the case's key, so that whatever changes the case renews it. */
const ofCase = <T>(id: string, name: readonly unknown[], queryFn: () => Promise<T>) => ({ queryKey: [...caseKey(id), ...name], queryFn });

export const useRanking = (id: string): UseQueryResult<RankingView> =>
  useQuery(ofCase(id, ['ranking'], () => answer(api.GET('/api/cases/{id}/ranking', { params: { path: { id } } }))));

/** @param changes names what people changed on it: what was stored is seen at once */
export const useChain = (id: string, changes: string): UseQueryResult<Schemas['ChainView']> =>
  useQuery({
    ...ofCase(id, ['chain', changes], () => answer(api.GET('/api/cases/{id}/chain', { params: { path: { id } } }))),
    placeholderData: keepPreviousData,
  });

export type Group = Schemas['GroupView'];

/** What can be held against something else: kinds, banks, cylinders, stations. */
export const useGroups = (id: string): UseQueryResult<Group[]> =>
  useQuery(ofCase(id, ['groups'], () => answer(api.GET('/api/cases/{id}/groups', { params: { path: { id } } }))));

/** Other cases of engines of the same build: earlier failures, sister engines. */
export const useComparable = (id: string): UseQueryResult<Schemas['ComparableCaseView'][]> =>
  useQuery(ofCase(id, ['comparable'], () => answer(api.GET('/api/cases/{id}/comparable', { params: { path: { id } } }))));

/** @param of another case, of which the other side is */
export const useComparison = (
  id: string,
  one: string | null,
  other: string | null,
  of: string | null,
): UseQueryResult<Schemas['ComparisonView']> =>
  useQuery({
    ...ofCase(id, ['comparison', one, other, of], () =>
      answer(
        api.GET('/api/cases/{id}/comparison', {
          params: { path: { id }, query: { one: one ?? '', other: other ?? '', ...(of === null ? {} : { of }) } },
        }),
      ),
    ),
    enabled: one !== null && other !== null,
  });

/** What would tell most, worth most for its minutes first. */
export const useNextChecks = (id: string): UseQueryResult<Schemas['NextChecksView']> =>
  useQuery(ofCase(id, ['next-checks'], () => answer(api.GET('/api/cases/{id}/next-checks', { params: { path: { id } } }))));

/** Where the result of a check is recorded: at the first of the stations where it would tell most. */
export const recordedAt = (caseId: string, { step, stations: [first] }: Schemas['NextCheckView']): string =>
  `/case/${caseId}/${step}${first === undefined ? '' : `?at=${first}`}`;

export const ledgerOf = (id: string, cause: string, against: string | null) =>
  ofCase(id, ['ledger', cause, against], () =>
    answer(api.GET('/api/cases/{id}/ledger/{cause}', { params: { path: { id, cause }, query: against === null ? {} : { against } } })),
  );

/** Evidence for and against a cause: against nothing wrong, or against another cause. */
export const useLedger = (id: string, cause: string | null, against: string | null = null): UseQueryResult<LedgerView> =>
  useQuery({ ...ledgerOf(id, cause ?? '', against), enabled: cause !== null });

/** Signed cases of the shop that are like this one. */
export const usePastCases = (id: string): UseQueryResult<Schemas['PastCaseView'][]> =>
  useQuery(ofCase(id, ['past cases'], () => answer(api.GET('/api/cases/{id}/past-cases', { params: { path: { id } } }))));

/** Signed calls, the last first. */
export const useCalls = (id: string): UseQueryResult<Schemas['SignedCallView'][]> =>
  useQuery(ofCase(id, ['calls'], () => answer(api.GET('/api/cases/{id}/calls', { params: { path: { id } } }))));

/** Remedies side by side; at a valve, or each where it ends worst. */
export const useRemedies = (id: string, place: string | null): UseQueryResult<Schemas['RemediesView']> =>
  useQuery({
    ...ofCase(id, ['remedies', place], () =>
      answer(api.GET('/api/cases/{id}/remedies', { params: { path: { id }, query: place === null ? {} : { place } } })),
    ),
    placeholderData: keepPreviousData,
  });

/** What becomes of each part. */
export const useReuse = (id: string): UseQueryResult<Schemas['ReuseView']> =>
  useQuery({
    ...ofCase(id, ['reuse'], () => answer(api.GET('/api/cases/{id}/reuse', { params: { path: { id } } }))),
    placeholderData: keepPreviousData,
  });

/** The plan of the reassembly. */
export const useReassembly = (id: string): UseQueryResult<Schemas['PlanView']> =>
  useQuery({
    ...ofCase(id, ['reassembly'], () => answer(api.GET('/api/cases/{id}/reassembly', { params: { path: { id } } }))),
    placeholderData: keepPreviousData,
  });

/** How the engine came back, and how the shop's calls held. */
export const useAfterwards = (id: string): UseQueryResult<Schemas['AfterwardsView']> =>
  useQuery({
    ...ofCase(id, ['afterwards'], () => answer(api.GET('/api/cases/{id}/afterwards', { params: { path: { id } } }))),
    placeholderData: keepPreviousData,
  });

export const useSheets = (id: string): UseQueryResult<Schemas['SheetLayoutView'][]> =>
  useQuery(ofCase(id, ['sheets'], () => answer(api.GET('/api/cases/{id}/sheets', { params: { path: { id } } }))));

/** What a sheet tells; while it is shown, it is told what changed (useNews). */
export const useSheet = (id: string, sheet: string | undefined): UseQueryResult<Schemas['SheetView']> =>
  useQuery({
    ...ofCase(id, [FOLLOWED.sheet, sheet], () =>
      answer(api.GET('/api/cases/{id}/sheets/{sheet}', { params: { path: { id, sheet: sheet ?? '' } } })),
    ),
    enabled: sheet !== undefined,
  });

/** Margins of some quantities, for a lens of the plan; told what changed too. */
export const useMargins = (id: string, quantities: readonly string[]): UseQueryResult<Schemas['MarginsView']> =>
  useQuery({
    ...ofCase(id, [FOLLOWED.margins, quantities.join('+')], () =>
      answer(api.GET('/api/cases/{id}/margins', { params: { path: { id }, query: { quantity: quantities.join(',') } } })),
    ),
    enabled: quantities.length > 0,
    placeholderData: (previous) => previous,
  });

/** Margins of all sheets of a step. */
export const useMarginsOfStep = (id: string, step: string): UseQueryResult<Schemas['MarginsView']> =>
  useQuery(
    ofCase(id, ['margins-of-step', step], () => answer(api.GET('/api/cases/{id}/margins', { params: { path: { id }, query: { step } } }))),
  );

export type MarginColumn = Schemas['MarginColumnView'];
export type MoreOrLessRow = Schemas['MoreOrLessRowView'];

export const useMoreOrLess = (id: string): UseQueryResult<Schemas['MoreOrLessView']> =>
  useQuery(ofCase(id, ['more-or-less'], () => answer(api.GET('/api/cases/{id}/more-or-less', { params: { path: { id } } }))));

/** The stack of a valve, with what is tried in it. */
export const useStack = (id: string, place: string, change: string): UseQueryResult<Schemas['StackView']> =>
  useQuery({
    ...ofCase(id, ['stack', place, change], () =>
      answer(api.GET('/api/cases/{id}/stack/{place}', { params: { path: { id, place }, query: change === '' ? {} : { change } } })),
    ),
    placeholderData: (previous) => (previous?.place === place ? previous : undefined),
  });

/** What the valve of a station did at speed, as found and as tried. */
export const useMotion = (id: string, place: string, change: string): UseQueryResult<Schemas['MotionView']> =>
  useQuery({
    ...motionOf(id, place, change),
    placeholderData: (previous) => (previous?.place === place ? previous : undefined),
  });

const motionOf = (id: string, place: string, change: string) =>
  ofCase(id, ['motion', place, change], () =>
    answer(api.GET('/api/cases/{id}/motion/{place}', { params: { path: { id, place }, query: change === '' ? {} : { change } } })),
  );

/** The same for several changes, each by itself; of one that is not told yet, nothing. */
export const useMotions = (id: string, place: string, changes: readonly string[]): (Schemas['MotionView'] | undefined)[] =>
  useQueries({ queries: changes.map((change) => motionOf(id, place, change)) }).map((one) => one.data);

/** One turn of it at one speed. */
export const useTurn = (id: string, place: string, speed: number | null): UseQueryResult<Schemas['TurnView']> =>
  useQuery({ ...turnOf(id, place, speed, ''), placeholderData: (previous) => previous });

/** The same turn with each of several changes; of one that is not told yet, nothing. */
export const useTurns = (
  id: string,
  place: string,
  speed: number | null,
  changes: readonly string[],
): (Schemas['TurnView'] | undefined)[] =>
  useQueries({ queries: changes.map((change) => turnOf(id, place, speed, change)) }).map((one) => one.data);

const turnOf = (id: string, place: string, speed: number | null, change: string) => ({
  ...ofCase(id, ['turn', place, speed, change], () =>
    answer(
      api.GET('/api/cases/{id}/motion/{place}/turn', {
        params: { path: { id, place }, query: { speed: speed ?? 0, ...(change === '' ? {} : { change }) } },
      }),
    ),
  ),
  enabled: speed !== null,
});

/** What is tried under the valves, as it is asked for. */
export const pistonQuery = ({ change, ...of }: { phase: number; deeper: number; change: string }) => ({
  ...of,
  ...(change === '' ? {} : { change }),
});

/** The valves of a cylinder over its piston. */
export const usePiston = (
  id: string,
  place: string,
  tried: { phase: number; deeper: number; change: string },
): UseQueryResult<Schemas['PistonView']> =>
  useQuery({
    ...pistonOf(id, place, tried),
    placeholderData: (previous) => (previous?.valves[0]?.place === place ? previous : undefined),
  });

const pistonOf = (id: string, place: string, tried: { phase: number; deeper: number; change: string }) =>
  ofCase(id, ['piston', place, tried], () =>
    answer(api.GET('/api/cases/{id}/motion/{place}/piston', { params: { path: { id, place }, query: pistonQuery(tried) } })),
  );

/** The same for several changes, each by itself; of one that is not told yet, nothing. */
export const usePistons = (
  id: string,
  place: string,
  tried: readonly { phase: number; deeper: number; change: string }[],
): (Schemas['PistonView'] | undefined)[] => useQueries({ queries: tried.map((one) => pistonOf(id, place, one)) }).map((one) => one.data);

/** What the logs of the case asked of the valves. */
export const useMotionLog = (id: string, place: string): UseQueryResult<Schemas['MotionLogView']> =>
  useQuery(
    ofCase(id, ['motion log', place], () => answer(api.GET('/api/cases/{id}/motion/{place}/log', { params: { path: { id, place } } }))),
  );

/** How far the solving of what takes long is; looked at again while it goes on. */
export const useSolving = (id: string): UseQueryResult<Schemas['SolvingView']> =>
  useQuery({
    queryKey: ['solving', id],
    queryFn: () => answer(api.GET('/api/cases/{id}/solving', { params: { path: { id } } })),
    refetchInterval: (query) => (isMoving(query.state.data) ? 700 : false),
  });

export const isMoving = (solving: Schemas['SolvingView'] | undefined): boolean =>
  solving?.state === 'waiting' || solving?.state === 'solving';

/** Swept springs, each against one of them. */
export const useSweeps = (id: string, coil: string, against: string | null): UseQueryResult<Schemas['SweptSpringsView']> =>
  useQuery({
    ...ofCase(id, ['sweeps', coil, against], () =>
      answer(
        api.GET('/api/cases/{id}/sweeps', {
          params: { path: { id }, query: { coil: coil as 'outer', ...(against === null ? {} : { against }) } },
        }),
      ),
    ),
    placeholderData: (previous) => previous,
  });

/** What fits into what, as the parts stand or with one spring at every valve. */
export const useFit = (id: string, spring: string): UseQueryResult<Schemas['FitView']> =>
  useQuery({
    ...ofCase(id, ['fit', spring], () =>
      answer(api.GET('/api/cases/{id}/fit', { params: { path: { id }, query: spring === '' ? {} : { spring } } })),
    ),
    placeholderData: (previous) => previous,
  });

export const useMismatches = (id: string): UseQueryResult<Schemas['MismatchView'][]> =>
  useQuery(ofCase(id, ['mismatches'], () => answer(api.GET('/api/cases/{id}/mismatches', { params: { path: { id } } }))));

export const useHealth = (id: string): UseQueryResult<Schemas['HealthView']> =>
  useQuery(ofCase(id, ['health'], () => answer(api.GET('/api/cases/{id}/health', { params: { path: { id } } }))));

/** @param more lift than now that they are cut for, as typed */
export const useGuidesToCut = (id: string, more: string): UseQueryResult<Schemas['CutTargetView'][]> =>
  useQuery({
    ...ofCase(id, ['guides-to-cut', more], () =>
      answer(api.GET('/api/cases/{id}/guides-to-cut', { params: { path: { id }, query: more === '' ? {} : { more } } })),
    ),
    placeholderData: (previous) => previous,
  });

export const useLashOrder = (id: string, isWanted = true): UseQueryResult<Schemas['LashOrderView']> =>
  useQuery({
    ...ofCase(id, ['lash-order'], () => answer(api.GET('/api/cases/{id}/lash-order', { params: { path: { id } } }))),
    enabled: isWanted,
  });

/** Where the part of a tag stands, over all cases. */
export const usePart = (tag: string | null): UseQueryResult<Schemas['PartPlaceView'][]> =>
  useQuery({
    queryKey: ['part', tag],
    queryFn: () => answer(api.GET('/api/parts/{tag}', { params: { path: { tag: tag ?? '' } } })),
    enabled: tag !== null,
  });

export const useTimeline = (id: string): UseQueryResult<Schemas['TimelineView']> =>
  useQuery(ofCase(id, ['timeline'], () => answer(api.GET('/api/cases/{id}/timeline', { params: { path: { id } } }))));

export const useTeardown = (id: string): UseQueryResult<Schemas['TeardownView']> =>
  useQuery(ofCase(id, ['teardown'], () => answer(api.GET('/api/cases/{id}/teardown', { params: { path: { id } } }))));

export const useCustody = (id: string): UseQueryResult<Schemas['CustodyMoveView'][]> =>
  useQuery(ofCase(id, ['custody'], () => answer(api.GET('/api/cases/{id}/custody', { params: { path: { id } } }))));

export const useMeasures = (id: string): UseQueryResult<Schemas['MeasureView'][]> =>
  useQuery(ofCase(id, ['measures'], () => answer(api.GET('/api/cases/{id}/measures', { params: { path: { id } } }))));

export const useSchedule = (id: string): UseQueryResult<Schemas['ScheduleView']> =>
  useQuery(ofCase(id, ['schedule'], () => answer(api.GET('/api/cases/{id}/schedule', { params: { path: { id } } }))));

/** @param isAsked whether it is asked for where it is not known yet */
export const useAttention = (id: string, place: string, isAsked: boolean): UseQueryResult<Schemas['AttentionView'][]> =>
  useQuery({
    ...ofCase(id, ['attention', place], () => answer(api.GET('/api/cases/{id}/attention/{place}', { params: { path: { id, place } } }))),
    enabled: isAsked,
  });

export type Limit = Schemas['LimitView'];

export const useLimits = (): UseQueryResult<Limit[]> => useQuery({ queryKey: ['limits'], queryFn: () => answer(api.GET('/api/limits')) });

export type Network = Schemas['NetworkView'];

export const useNetwork = (): UseQueryResult<Network> =>
  useQuery({ queryKey: ['network'], queryFn: () => answer(api.GET('/api/network')) });

export const useShelf = (shelf: Schemas['ShelvedItemView']['shelf']): UseQueryResult<Schemas['ShelvedItemView'][]> =>
  useQuery({ queryKey: ['library', shelf], queryFn: () => answer(api.GET('/api/library/{shelf}', { params: { path: { shelf } } })) });

export type Stock = Schemas['StockView'];

/** What the shop keeps in stock, as it stands and as it is shipped. */
export const useStock = (): UseQueryResult<Stock[]> => useQuery({ queryKey: ['stock'], queryFn: () => answer(api.GET('/api/stock')) });

export function useEngines(): UseQueryResult<Schemas['SavedEngineView'][]> {
  return useQuery({ queryKey: ['engines'], queryFn: () => answer(api.GET('/api/engines')) });
}
