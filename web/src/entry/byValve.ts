import type { CaseView } from '../shared/api';

/** What is judged, under the valves it is of: what is judged once a cylinder, or once an engine, stands under each of its valves. */
export function byValve<T extends { place: string }>(stations: CaseView['stations'], judged: readonly T[]): [string, T][] {
  const valves = new Map<string, string[]>();
  for (const { code, cylinder } of stations)
    for (const place of [code, cylinder, 'engine']) valves.set(place, [...(valves.get(place) ?? []), code]);
  return judged.flatMap((one) => (valves.get(one.place) ?? []).map((code): [string, T] => [code, one]));
}
