import { useMemo } from 'react';
import type { MarginView, Schemas } from '../shared/api';
import { indexOf, type Chosen, type SheetLayout, type SheetRow } from './cells';
import type { Told } from './SheetRow';

type SheetView = Schemas['SheetView'];

/** What a sheet tells of each of its rows, found once for what was told. */
export function useTold(layout: SheetLayout, told: SheetView | undefined, chosen: readonly Chosen[]): (row: SheetRow) => Told {
  const found = useMemo(() => {
    const values = new Map<string, SheetView['values'][number]>();
    for (const one of told?.values ?? []) values.set(key(one.place, one.name, one.index), one);
    const margins = new Map<string, MarginView>();
    for (const one of told?.margins ?? []) {
      margins.set(key(one.place, one.quantity, one.coil), one);
      // A column without an index shows the first of its place.
      const first = key(one.place, one.quantity, ANY);
      if (!margins.has(first)) margins.set(first, one);
    }
    return { values, margins };
  }, [told]);
  return useMemo(() => {
    const rows = new Map(
      layout.rows.map((row) => [
        row.key,
        {
          values: chosen.flatMap((of) =>
            layout.computed.map((one) => found.values.get(key(row.place, one.name, indexOf(one.index, row, of)))),
          ),
          margins: chosen.flatMap((of) =>
            layout.margins.map((one) =>
              found.margins.get(key(row.place, one.quantity, one.index.length === 0 ? ANY : indexOf(one.index, row, of))),
            ),
          ),
        },
      ]),
    );
    return (row) => rows.get(row.key) ?? NOTHING;
  }, [layout, chosen, found]);
}

const NOTHING: Told = { values: [], margins: [] };
const ANY = '*';
const key = (place: string, name: string, index: string | null): string => `${place} ${name} ${index ?? ''}`;
