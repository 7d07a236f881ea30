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
export type UnreadEntry = Schemas['UnreadEntryView'];
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
  /** Id under which a fault of the program stands in the log. */
  fault?: string;
}

/** The server said no. Anything else that is thrown means that it was not reached. */
export class Refused extends Error {
  constructor(readonly problem: ProblemDocument) {
    super(problem.fault === undefined ? problem.detail : `${problem.detail} (${problem.fault})`);
  }
}

export const api = createClient<paths>({ baseUrl: '' });

const DEVICE_NOT_KNOWN = 401;
const closed = new EventTarget();

/** Tells when the shop does not know this device any more; returns how to stop being told. */
export function onClosedDoor(tell: () => void): () => void {
  closed.addEventListener('closed', tell);
  return () => closed.removeEventListener('closed', tell);
}

api.use({
  onResponse({ response }) {
    if (response.status === DEVICE_NOT_KNOWN) closed.dispatchEvent(new Event('closed'));
  },
});

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
