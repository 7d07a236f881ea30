import type { Schemas } from '../shared/api';
import { sendFile } from '../shared/sendFile';

/** Sends a picture of a case. */
export const uploadPhotograph = (caseId: string, file: File): Promise<Schemas['PhotographView']> =>
  sendFile(`/api/cases/${caseId}/photographs`, file, 'no line to the server. The picture is still on your device.');

/** Where a picture of a case is. */
export const pictureAddress = (caseId: string, sha256: string | null, which: 'working' | 'original'): string =>
  `/api/cases/${caseId}/photographs/${sha256 ?? ''}/${which}`;
