import { useLocation, useNavigate, useParams, useSearchParams } from 'react-router';

/**
 * What is open within a place, by the address: a reload comes back to it, and the way back goes through it. Where the address says
 * nothing, or something that is not there, the first is open.
 */
export function useSection<T extends string>(sections: readonly T[], fallback = sections[0]): [T, (section: T) => void] {
  const { section } = useParams();
  const { pathname, search } = useLocation();
  const navigate = useNavigate();
  const open = sections.find((one) => one === section) ?? fallback;
  if (open === undefined) throw new Error('A place without sections.');
  const step = section === undefined ? pathname : pathname.slice(0, pathname.lastIndexOf('/'));
  return [open, (next) => void navigate({ pathname: `${step.replace(/\/$/, '')}/${next}`, search })];
}

/** What is opened beside the section, under a name of its own in the address. */
export function useOpened(name: string): [string | null, (what: string | null) => void] {
  const [search, setSearch] = useSearchParams();
  return [
    search.get(name),
    (what) =>
      setSearch((old) => new URLSearchParams([...[...old].filter(([key]) => key !== name), ...(what === null ? [] : [[name, what]])])),
  ];
}
