import { useSyncExternalStore } from 'react';

let said = '';
const listeners = new Set<() => void>();

/** Says something to whoever hears the page instead of seeing it; the same words twice are heard twice. */
export function say(text: string): void {
  said = text === said ? `${text}\u00a0` : text;
  for (const listener of listeners) listener();
}

export function useSaid(): string {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => said,
  );
}
