import createClient from 'openapi-fetch';
import type { components, paths } from './api-types';

export type Schemas = components['schemas'];
export type CaseView = Schemas['CaseView'];
export type EntryView = Schemas['EntryView'];
export type EntryInput = Schemas['EntryInput'];
export type MarginView = Schemas['MarginView'];
export type PlanView = Schemas['HeadPlanView'];
export type PlanCell = PlanView['cells'][number];
export type SignView = Schemas['SignView'];
export type ColumnView = Schemas['ColumnView'];
export type QueueRow = Schemas['QueueRowView'];
export type RankingView = Schemas['RankingView'];
export type LedgerView = Schemas['LedgerView'];
export type EngineInput = Schemas['EngineInput'];

/** A refusal of the server, as RFC 9457 describes it. */
export interface ProblemDocument {
  title: string;
  status: number;
  detail: string;
  pointer?: string;
  reason?: string;
  typed?: string;
  accepted?: string;
  offers?: string[];
  current?: EntryView | null;
  existing?: string;
  version?: number;
}

/** The server said no. Anything else that is thrown means that it was not reached. */
export class Refused extends Error {
  constructor(readonly problem: ProblemDocument) {
    super(problem.detail);
  }
}

export const api = createClient<paths>({ baseUrl: '' });

/** The data of an answer, or Refused with the problem document. */
export async function answer<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  const { data, error, response } = await call;
  if (response.ok && data !== undefined) return data;
  const problem = error as Partial<ProblemDocument> | undefined;
  throw new Refused({
    title: problem?.title ?? 'Request not possible',
    detail: problem?.detail ?? `The server answered ${response.status}.`,
    ...problem,
    status: problem?.status ?? response.status,
  });
}
