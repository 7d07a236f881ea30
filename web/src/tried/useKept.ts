import { useOpened } from '../frame/useSection';
import { readKept, type Tried } from './change';

/** With what is tried at the moment, three changes stand beside what was found. */
export const MOST_KEPT = 2;

interface Kept {
  kept: readonly (readonly Tried[])[];
  onKeep: (tried: readonly Tried[]) => void;
  onDrop: (which: number) => void;
}

/** Changes set aside at a place, to be seen beside the one that is tried: they stand in the address. */
export function useKept(place: string): Kept {
  const [written, write] = useOpened('beside');
  const kept = readKept(written, place);
  const store = (next: readonly (readonly Tried[])[]): void => write(next.length === 0 ? null : JSON.stringify(next));
  return {
    kept,
    onKeep: (tried) => store([...kept, tried].slice(-MOST_KEPT)),
    onDrop: (which) => store(kept.filter((_, i) => i !== which)),
  };
}
