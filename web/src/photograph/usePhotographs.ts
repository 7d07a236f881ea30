import { useState } from 'react';
import { placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { uploadPhotograph } from './uploadPhotograph';

/** Where a picture belongs: what was in front of the person when it was taken, wherever they have walked since. */
interface Subject {
  place: string;
  part: string;
  state: 'as_found' | 'after_cleaning';
}

export interface FailedPhotograph {
  file: File;
  subject: Subject;
  message: string;
}

export interface Taking {
  take: (files: readonly File[]) => Promise<void>;
  /** Tries those again that were not taken, each for the place it was taken at. */
  again: () => Promise<void>;
  busy: number;
  failed: readonly FailedPhotograph[];
  forget: () => void;
}

/** Sends pictures one by one and records them at a part of a place; what is not taken stays here with its reason. */
export function usePhotographs(place: string, part: string, state: Subject['state']): Taking {
  const { view, record } = useBench();
  const [busy, setBusy] = useState(0);
  const [failed, setFailed] = useState<readonly FailedPhotograph[]>([]);
  const send = async (pictures: readonly { file: File; subject: Subject }[]): Promise<void> => {
    setBusy((n) => n + pictures.length);
    for (const { file, subject } of pictures) {
      const label = placeLabel(view, subject.place);
      const partLabel = view.parts.find((one) => one.code === subject.part)?.label ?? subject.part;
      try {
        const photograph = await uploadPhotograph(view.id, file);
        record(
          'photograph',
          { place: subject.place, part: subject.part, item: 'photograph', index: photograph.sha256.slice(0, 16) },
          { sha256: photograph.sha256, caption: `${label} ${partLabel}`, state: subject.state },
          `photograph of ${label} ${partLabel}`,
        );
        setFailed((old) => old.filter((one) => one.file !== file));
      } catch (error) {
        setFailed((old) => [
          ...old.filter((one) => one.file !== file),
          { file, subject, message: error instanceof Error ? error.message : String(error) },
        ]);
      } finally {
        setBusy((n) => n - 1);
      }
    }
  };
  return {
    take: (files) => send(files.map((file) => ({ file, subject: { place, part, state } }))),
    again: () => send(failed),
    busy,
    failed,
    forget: () => setFailed([]),
  };
}
