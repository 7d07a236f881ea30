import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Refused } from '../shared/api';
import { failureWords } from '../shared/failure';

/** What a person wrote and the server does not have: with what it was written on, so that nothing is replaced unseen. */
interface Kept<T> {
  draft: T;
  base: T;
  version: number;
}

interface Source<T extends object> {
  /** Where it is kept in this browser until the server has it. */
  key: string;
  stands: T;
  version: number;
  /** Whether something kept by an older page can still be read. */
  isReadable: (kept: T) => boolean;
  /** Writes it over the version that was seen; gives the version that it has then. */
  put: (draft: T, version: number) => Promise<number>;
  /** Fetches what stands on the server now. */
  refetch: () => Promise<unknown>;
}

export interface WrittenDocument<T> {
  draft: T;
  /** In conflict another hand was first: theirs is shown, and only a press of the button puts this one in its place. */
  state: 'saved' | 'changed' | 'saving' | 'conflict';
  /** What another hand wrote meanwhile. */
  theirs: T | null;
  problem: string | null;
  /** What is told by a function is told of the draft as it is by then, not as it was drawn. */
  change: (part: Partial<T> | ((now: T) => Partial<T>)) => T;
  /** Gives the version that was written, or null where it was not. */
  save: (draft?: T) => Promise<number | null>;
  takeTheirs: () => void;
}

function read<T>(key: string, isReadable: (kept: T) => boolean): Kept<T> | null {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as Kept<T> | null;
    return kept !== null && typeof kept.version === 'number' && isReadable(kept.draft) && isReadable(kept.base) ? kept : null;
  } catch {
    return null;
  }
}

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * A document of a case as it is being written. What is shown is the draft where there is one, else what stands; a draft carries the
 * version it was written on, through reloads too. What is typed while it is being saved stays a draft on top of what was saved.
 */
export function useDocument<T extends object>({ key, stands, version, isReadable, put, refetch }: Source<T>): WrittenDocument<T> {
  const [own, setOwn] = useState<Kept<T> | null>(() => read(key, isReadable));
  const latest = useRef(own);
  const standing = useRef({ stands, version });
  useEffect(() => {
    standing.current = { stands, version };
  });
  const onItsWay = useRef<Promise<number | null>>(Promise.resolve(null));
  const keep = (kept: Kept<T> | null): void => {
    latest.current = kept;
    setOwn(kept);
    if (kept === null) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(kept));
  };
  const saving = useMutation({
    mutationFn: ({ wanted, seen }: { wanted: T; seen: number }) => put(wanted, seen),
    onSuccess: (written, { wanted }) => {
      const now = latest.current;
      keep(now === null || now.draft === wanted ? null : { draft: now.draft, base: wanted, version: written });
    },
    onError: (error) => (error instanceof Refused && error.problem.status === 412 ? refetch().catch(() => undefined) : undefined),
  });
  // A version that says the same of this document, as after a change of a setting beside it, overtakes nothing.
  const isOvertaken = own !== null && !saving.isPending && own.version !== version && !isSame(own.base, stands);

  return {
    draft: own?.draft ?? stands,
    state: saving.isPending ? 'saving' : isOvertaken ? 'conflict' : own === null ? 'saved' : 'changed',
    theirs: isOvertaken ? stands : null,
    problem: saving.error === null ? null : failureWords(saving.error),
    change: (part) => {
      const now = latest.current ?? { draft: standing.current.stands, base: standing.current.stands, version: standing.current.version };
      const changed = { ...now.draft, ...(typeof part === 'function' ? part(now.draft) : part) };
      keep({ ...now, draft: changed });
      return changed;
    },
    save: (given) => {
      const begun = latest.current;
      const wanted = given ?? begun?.draft ?? stands;
      // Where theirs is shown, saving again goes over what was seen.
      const seen = begun === null || isOvertaken || isSame(begun.base, stands) ? version : begun.version;
      // One that is still on its way is waited for: it raises the version under this one, and is no other hand.
      const sent = onItsWay.current.then((before) =>
        saving.mutateAsync({ wanted, seen: before !== null && before > seen ? before : seen }).catch(() => null),
      );
      onItsWay.current = sent;
      return sent;
    },
    takeTheirs: () => {
      keep(null);
      saving.reset();
    },
  };
}
