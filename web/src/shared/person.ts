import { useSyncExternalStore } from 'react';

const KEY = 'mute-tapper.person';
const listeners = new Set<() => void>();

/** Who is at the bench: stamps every entry made in this browser. */
export function person(): string {
  return localStorage.getItem(KEY) ?? '';
}

export function setPerson(name: string): void {
  localStorage.setItem(KEY, name.trim());
  for (const listener of listeners) listener();
}

export function usePerson(): string {
  return useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, person);
}
