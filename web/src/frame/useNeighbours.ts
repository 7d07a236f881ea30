import { useBench } from '../entry/useBench';
import { isWriting, useKeysEverywhere } from '../shared/keys';
import { words } from '../shared/messages';
import { useChosen } from './Chosen';

/** `[` and `]` go to the station before and after, in a place that shows one station at a time. */
export function useNeighbours(): void {
  const { view } = useBench();
  const [place, choose] = useChosen();
  const go = (by: number): void => {
    const next = view.stations[view.stations.findIndex((one) => one.code === place) + by];
    if (next !== undefined) choose(next.code);
  };
  const when = (event: KeyboardEvent): boolean => !isWriting(event);
  useKeysEverywhere([
    { shown: '[', does: words.keysDo.stationBefore, on: /^\[$/, when, run: () => go(-1) },
    { shown: ']', does: words.keysDo.stationAfter, on: /^\]$/, when, run: () => go(1) },
  ]);
}
