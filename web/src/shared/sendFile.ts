import { Refused, type ProblemDocument } from './api';

/** Sends a file as it is, under its name; the server keeps it byte for byte. */
export async function sendFile<T>(address: string, file: File, noLine: string): Promise<T> {
  let response: Response;
  try {
    response = await fetch(address, {
      method: 'POST',
      headers: { 'Content-Type': 'application/octet-stream', 'X-File-Name': encodeURIComponent(file.name) },
      body: file,
    });
  } catch {
    throw new Error(`${file.name}: ${noLine}`);
  }
  if (response.ok) return (await response.json()) as T;
  const problem = (await response.json().catch(() => ({}))) as Partial<ProblemDocument>;
  throw new Refused({
    title: 'Not taken',
    detail: `${file.name} was not accepted: the server answered ${response.status}.`,
    ...problem,
    status: response.status,
  });
}
