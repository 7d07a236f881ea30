import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useBench } from '../entry/useBench';

/**
 * The chosen station. Kept in the address as well, so that a reload and a link come back to it; but the hand does not wait
 * for the address to change.
 */
export function useChosen(): [string, (station: string) => void] {
  const { view } = useBench();
  const [search, setSearch] = useSearchParams();
  const [picked, setPicked] = useState(() => search.get('at'));
  const known = view.stations.find((one) => one.code === picked)?.code;
  const chosen = known ?? view.story.failed[0] ?? view.stations[0]?.code ?? '';
  const choose = (station: string): void => {
    setPicked(station);
    setSearch((old) => new URLSearchParams([...[...old].filter(([key]) => key !== 'at'), ['at', station]]), { replace: true });
  };
  return [chosen, choose];
}
