import { Refused, type ProblemDocument } from './api';

/** Sends bytes as they are, under their name; the server keeps them. Throws Refused, or what the line says where nobody answers. */
export async function sendBytes<T>(address: string, name: string, bytes: BodyInit): Promise<T> {
  const response = await fetch(address, {
    method: 'POST',
    headers: { 'Content-Type': 'application/octet-stream', 'X-File-Name': encodeURIComponent(name) },
    body: bytes,
  });
  if (response.ok) return (await response.json()) as T;
  const problem = (await response.json().catch(() => ({}))) as Partial<ProblemDocument>;
  throw new Refused({
    title: 'Not taken',
    detail: `${name} was not accepted: the server answered ${response.status}.`,
    ...problem,
    status: response.status,
  });
}
