import { useEffect, useState } from 'react';
import { useBench } from '../entry/useBench';
import type { CaseView, EntryView } from '../shared/api';
import { words } from '../shared/messages';
import { pictureAddress } from './pictureAddress';

/** A photograph as it is to be seen now: the server's copy, the one that still waits here, or why there is none. `of` another case. */
export function Picture({ entry, alt, of }: { entry: EntryView; alt: string; of?: Pick<CaseView, 'id' | 'photographs'> | undefined }) {
  const bench = useBench();
  const view = of ?? bench.view;
  const [missing, setMissing] = useState(false);
  const waiting = useWaiting(entry);
  if (entry.sha256 === null) return waiting === null ? <span className="missing" /> : <img src={waiting} alt={alt} />;
  const copy = view.photographs.find((one) => one.sha256 === entry.sha256)?.workingCopy;
  if (missing || copy === 'missing' || copy === 'failed')
    return <span className="missing">{copy === 'failed' ? words.teardown.broken : words.teardown.notSupplied}</span>;
  return <img src={pictureAddress(view.id, entry.sha256, 'working')} alt={alt} loading="lazy" onError={() => setMissing(true)} />;
}

/** Address of a picture that the server does not have yet. */
function useWaiting({ id, sha256 }: EntryView): string | null {
  const { waitingPicture } = useBench();
  const [address, setAddress] = useState<string | null>(null);
  useEffect(() => {
    if (sha256 !== null) return;
    let made: string | null = null;
    let left = false;
    void waitingPicture(id).then((picture) => {
      if (picture === null || left) return;
      made = URL.createObjectURL(new Blob([picture.bytes], { type: picture.type }));
      setAddress(made);
    });
    return () => {
      left = true;
      if (made !== null) URL.revokeObjectURL(made);
    };
    // the picture of an entry never changes
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id, sha256]);
  return address;
}
