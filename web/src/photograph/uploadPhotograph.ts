import { Refused, type ProblemDocument, type Schemas } from '../shared/api';

/** Sends a picture as it is; the server keeps it byte for byte. */
export async function uploadPhotograph(file: File): Promise<Schemas['PhotographView']> {
  let response: Response;
  try {
    response = await fetch('/api/photographs', {
      method: 'POST',
      headers: { 'Content-Type': 'application/octet-stream', 'X-File-Name': encodeURIComponent(file.name) },
      body: file,
    });
  } catch {
    throw new Error(`${file.name}: no line to the server. The picture is still on your device.`);
  }
  if (!response.ok) {
    const problem = (await response
      .json()
      .catch(() => ({ detail: `The server answered ${response.status}.` }))) as Partial<ProblemDocument>;
    throw new Refused({
      title: 'Not taken',
      status: response.status,
      detail: problem.detail ?? `${file.name} was not accepted (${response.status}).`,
    });
  }
  return (await response.json()) as Schemas['PhotographView'];
}
