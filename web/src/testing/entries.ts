import type { EntryInput } from '../shared/api';

export interface Answer {
  status: number;
  body: unknown;
}

/** What `api.POST` gives for an answer of the server. */
export const replied = ({ status, body }: Answer): object => {
  const response = new Response(null, { status });
  return status < 400 ? { data: body, response } : { error: body, response };
};

/**
 * How a server answers entries that are sent alone or together, of which it takes all or none; null for any other request. What was sent
 * is put into `sent`, once; the case has a revision more with each.
 */
export function answerEntries(
  path: string,
  body: unknown,
  sent: EntryInput[],
  answer: (entry: EntryInput, revision: number) => Answer,
): Answer | null {
  const isAlone = path === '/api/cases/{id}/entries';
  if (!isAlone && path !== '/api/cases/{id}/entries/together') return null;
  const list = isAlone ? [body as EntryInput] : (body as { entries: EntryInput[] }).entries;
  const answers = list.map((entry, i) => answer(entry, sent.length + i + 1));
  const refused = answers.find((one) => one.status >= 400);
  if (isAlone || refused === undefined) sent.push(...list);
  return refused ?? (isAlone ? (answers[0] ?? null) : { status: 200, body: { recorded: answers.map((one) => one.body) } });
}
