import { useState } from 'react';
import { placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { uploadPhotograph } from './uploadPhotograph';

export interface FailedPhotograph {
  file: File;
  message: string;
}

export interface Taking {
  take: (files: readonly File[]) => Promise<void>;
  busy: number;
  failed: readonly FailedPhotograph[];
  forget: () => void;
}

/** Sends pictures one by one and records them at a part of a place; what is not taken stays here with its reason. */
export function usePhotographs(place: string, part: string, state: 'as_found' | 'after_cleaning'): Taking {
  const { view, record } = useBench();
  const [busy, setBusy] = useState(0);
  const [failed, setFailed] = useState<readonly FailedPhotograph[]>([]);
  const label = placeLabel(view, place);
  const partLabel = view.parts.find((one) => one.code === part)?.label ?? part;
  const take = async (files: readonly File[]): Promise<void> => {
    setBusy((n) => n + files.length);
    for (const file of files) {
      try {
        const photograph = await uploadPhotograph(view.id, file);
        record(
          'photograph',
          { place, part, item: 'photograph', index: photograph.sha256.slice(0, 16) },
          { sha256: photograph.sha256, caption: `${label} ${partLabel}`, state },
          `photograph of ${label} ${partLabel}`,
        );
        setFailed((old) => old.filter((one) => one.file !== file));
      } catch (error) {
        setFailed((old) => [
          ...old.filter((one) => one.file !== file),
          { file, message: error instanceof Error ? error.message : String(error) },
        ]);
      } finally {
        setBusy((n) => n - 1);
      }
    }
  };
  return { take, busy, failed, forget: () => setFailed([]) };
}
