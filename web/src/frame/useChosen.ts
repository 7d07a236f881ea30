import { useSearchParams } from 'react-router';
import { useBench } from '../entry/useBench';

/** The chosen station, kept in the address so that a reload and a link come back to it. */
export function useChosen(): [string, (station: string) => void] {
  const { view } = useBench();
  const [search, setSearch] = useSearchParams();
  const wanted = search.get('at');
  const known = view.stations.find((one) => one.code === wanted)?.code;
  const chosen = known ?? view.story.failed[0] ?? view.stations[0]?.code ?? '';
  return [chosen, (station) => setSearch((old) => new URLSearchParams([...[...old].filter(([key]) => key !== 'at'), ['at', station]]), { replace: true })];
}
