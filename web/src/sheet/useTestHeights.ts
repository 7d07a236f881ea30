import { useMemo, useState } from 'react';
import { useBench } from '../entry/useBench';
import type { SheetColumn, SheetLayout } from './cells';

/**
 * The height at which each column is measured: as it stands in the head of the column, else that of the last reading, of the claim, or
 * the usual one as claimed.
 */
export function useTestHeights(
  layout: SheetLayout,
  face: string,
): { of: readonly string[]; set: (column: SheetColumn, height: string) => void } {
  const { slots } = useBench();
  const [typed, setTyped] = useState<Record<string, string>>({});
  const of = useMemo(() => {
    if (!layout.columns.some((one) => one.atHeight)) return layout.columns.map(() => '');
    // What was read off the engine has heights of its own.
    const places = new Set(layout.rows.map((row) => row.place));
    const readings = slots.standing('reading').filter((entry) => places.has(entry.place));
    const claims = slots.standing('claim');
    return layout.columns.map((one) => {
      if (!one.atHeight) return '';
      const last = readings.findLast((entry) => entry.item === one.code && entry.index === face && entry.atText !== null);
      const claimed = claims.find((entry) => entry.item === `claimed.${one.code}` && entry.atText !== null)?.atText;
      const usual = claims.find((entry) => entry.item === `claimed.${one.usualHeight ?? ''}`)?.text;
      return typed[`${face}.${one.code}`] ?? last?.atText ?? claimed ?? usual ?? '';
    });
  }, [layout, face, slots, typed]);
  return { of, set: (column, height) => setTyped((old) => ({ ...old, [`${face}.${column.code}`]: height })) };
}
