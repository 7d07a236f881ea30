import { useState } from 'react';
import { useOpened } from '../frame/useSection';
import { readTried, type Tried } from './change';

interface OnTrial {
  tried: readonly Tried[];
  /** As it is asked of the program; empty where nothing is tried. */
  change: string;
  onTry: (tried: Tried[]) => void;
  /** The hand rests: what is tried is worth keeping in the address. */
  onRest: () => void;
  onAsFound: () => void;
}

/** What is tried at a place: that of the address, or what the hand is at before it rests. */
export function useTried(place: string): OnTrial {
  const [written, write] = useOpened('try');
  const [held, hold] = useState<{ place: string; tried: Tried[] } | null>(null);
  const tried = held?.place === place ? held.tried : readTried(written, place);
  const change = tried.length === 0 ? '' : JSON.stringify(tried);
  return {
    tried,
    change,
    onTry: (next) => hold({ place, tried: next }),
    onRest: () => {
      if (held !== null && change !== (written ?? '')) write(change === '' ? null : change);
    },
    onAsFound: () => {
      hold({ place, tried: [] });
      write(null);
    },
  };
}
