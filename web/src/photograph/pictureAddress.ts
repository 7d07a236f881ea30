/** Where a picture of a case is. */
export const pictureAddress = (caseId: string, sha256: string | null, which: 'working' | 'original'): string =>
  `/api/cases/${caseId}/photographs/${sha256 ?? ''}/${which}`;
