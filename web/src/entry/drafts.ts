import { useCallback, useSyncExternalStore } from 'react';

const KEY = 'mute-tapper.half-typed.';

/** What is half typed in the cells of a case: no record yet, and not lost when the hand goes elsewhere or the page is loaded again. */
class Drafts {
  private readonly texts: Map<string, string>;
  private readonly listeners = new Map<string, Set<() => void>>();

  constructor(private readonly caseId: string) {
    this.texts = new Map(read(caseId));
  }

  get(slot: string): string | null {
    return this.texts.get(slot) ?? null;
  }

  set(slot: string, text: string | null): void {
    if (text === this.get(slot)) return;
    if (text === null) this.texts.delete(slot);
    else this.texts.set(slot, text);
    try {
      localStorage.setItem(KEY + this.caseId, JSON.stringify([...this.texts]));
    } catch {
      // the disk is full: it stays in this page
    }
    this.listeners.get(slot)?.forEach((listener) => listener());
  }

  subscribe(slot: string, listener: () => void): () => void {
    const listeners = this.listeners.get(slot) ?? new Set();
    this.listeners.set(slot, listeners.add(listener));
    return () => listeners.delete(listener);
  }
}

function read(caseId: string): [string, string][] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY + caseId) ?? '[]');
    return Array.isArray(kept)
      ? kept.filter((one): one is [string, string] => Array.isArray(one) && one.every((text) => typeof text === 'string'))
      : [];
  } catch {
    return [];
  }
}

const ofCases = new Map<string, Drafts>();

export function draftsOf(caseId: string): Drafts {
  const drafts = ofCases.get(caseId) ?? new Drafts(caseId);
  ofCases.set(caseId, drafts);
  return drafts;
}

/** The half-typed text of one cell, or null. Only that cell is drawn anew when it changes. */
export function useDraft(caseId: string, slot: string): string | null {
  const drafts = draftsOf(caseId);
  return useSyncExternalStore(
    useCallback((listener) => drafts.subscribe(slot, listener), [drafts, slot]),
    () => drafts.get(slot),
  );
}
