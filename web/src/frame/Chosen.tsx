import { createContext, use, useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useLocation, useNavigation, useSearchParams } from 'react-router';
import { useBench } from '../entry/useBench';

interface Chosen {
  station: string;
  /** `walks`: by arrow over the plan, where the hand stays. */
  choose: (station: string, walks?: boolean) => void;
}

/** Rises whenever the hand leaves the plan for what the station was chosen for, also where it was chosen before. */
const HandContext = createContext(0);
export const useHand = (): number => use(HandContext);

const ChosenContext = createContext<Chosen | null>(null);

/** The station that the hand is on, the same in every place of a case. */
export function useChosen(): [string, Chosen['choose']] {
  const chosen = use(ChosenContext);
  if (chosen === null) throw new Error('Outside of a case.');
  return [chosen.station, chosen.choose];
}

/** What an address says that the hand wrote. */
interface Written {
  byHand: true;
}

/** The address is written when the hand rests: an arrow that is held down rewrites it once. */
const REST = 200;

/**
 * The chosen station is that of the address, so that links, reloads and the way back lead to it. The hand does not wait for the
 * address to change: what was chosen last goes before it until the address has it, or says something else.
 */
export function ChosenProvider({ children }: { children: ReactNode }) {
  const { view } = useBench();
  const { pathname, state } = useLocation() as { pathname: string; state: unknown };
  const [search, setSearch] = useSearchParams();
  const isGoing = useNavigation().state !== 'idle';
  const at = search.get('at');
  const [ahead, setAhead] = useState<{ of: string | null; station: string } | null>(null);
  // An address that a link or the way back brought is newer than what the hand chose before; one that the hand wrote lags behind it.
  const isNewest = ahead !== null && (ahead.of === at || (state as Written | null)?.byHand === true);
  const [last, setLast] = useState<string | null>(null);
  const wanted = isNewest ? ahead.station : (at ?? last);
  const known = view.stations.find((one) => one.code === wanted || one.cylinder === wanted)?.code;
  const station = known ?? view.story.failed[0] ?? view.stations[0]?.code ?? '';

  useEffect(() => setLast(station), [station]); // a link that names no station stays where the hand is

  const write = useRef(setSearch);
  useEffect(() => {
    write.current = setSearch;
  });
  useEffect(() => {
    if (ahead === null) return;
    if (!isNewest) {
      setAhead(null);
      return;
    }
    // A place that is being fetched is where the hand went: writing the address of the old one would call it back.
    if (ahead.station === at || isGoing) return;
    const written: Written = { byHand: true };
    const timer = setTimeout(
      () =>
        write.current((old) => new URLSearchParams([...[...old].filter(([key]) => key !== 'at'), ['at', ahead.station]]), {
          replace: true,
          state: written,
        }),
      REST,
    );
    return () => clearTimeout(timer);
  }, [ahead, isNewest, at, pathname, isGoing]);

  const latest = useRef(at);
  useEffect(() => {
    latest.current = at;
  }, [at]);
  const [hand, setHand] = useState(0);
  const choose = useCallback((code: string, walks = false): void => {
    setAhead({ of: latest.current, station: code });
    if (!walks) setHand((turn) => turn + 1);
  }, []);
  const chosen = useMemo(() => ({ station, choose }), [station, choose]);
  return (
    <ChosenContext value={chosen}>
      <HandContext value={hand}>{children}</HandContext>
    </ChosenContext>
  );
}
