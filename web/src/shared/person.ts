import { useSyncExternalStore } from 'react';

const KEY = 'mute-tapper.person';
/** Stamped where nobody has said who is there. */
export const NOT_NAMED = 'not named';
const listeners = new Set<() => void>();

/** Who is at the bench: stamps every entry made in this browser. */
export function person(): string {
  return localStorage.getItem(KEY) ?? '';
}

/** Who is stamped on what is written here. */
export const author = (): string => person() || NOT_NAMED;

export function setPerson(name: string): void {
  localStorage.setItem(KEY, name.trim());
  for (const listener of listeners) listener();
}

// Another tab of this browser may have changed it: the name that is shown is the one that is stamped.
window.addEventListener('storage', (event) => {
  if (event.key === KEY || event.key === null) for (const listener of listeners) listener();
});

export function usePerson(): string {
  return useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, person);
}
