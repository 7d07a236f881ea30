import { useMemo } from 'react';
import type { CaseView } from '../shared/api';
import { useLashOrder } from '../shared/queries';
import type { SheetLayout } from '../sheet/cells';

export const ORDERS = ['station', 'firing', 'lash'] as const;
export type RowOrder = (typeof ORDERS)[number];

/** The orders in which the rows of a sheet can be walked: those of stations alone, by firing order where it is known. */
export const ordersOf = (view: CaseView, layout: SheetLayout): readonly RowOrder[] =>
  layout.rows.some((row) => row.isStation)
    ? ORDERS.filter((order) => order !== 'firing' || view.engine.firingOrder.length > 0)
    : ['station'];

/** A sheet with its rows as they are walked: from the front, as the cylinders fire, or as lash is set with the crank turned on. */
export function useInOrder(view: CaseView, layout: SheetLayout | undefined, order: RowOrder): SheetLayout | undefined {
  const lash = useLashOrder(view.id, order === 'lash').data;
  return useMemo(() => {
    if (layout === undefined || order === 'station') return layout;
    const bores = new Map(view.plan.bores.map((bore) => [bore.cylinder, bore.number]));
    const turn = new Map((lash?.order ?? []).flatMap((stop) => stop.stations).map((station, i) => [station, i]));
    const rankOf = (place: string): number =>
      order === 'lash' ? (turn.get(place) ?? turn.size) : view.engine.firingOrder.indexOf(bores.get(place.split('-')[0] ?? '') ?? 0);
    return { ...layout, rows: [...layout.rows].sort((a, b) => rankOf(a.place) - rankOf(b.place)) };
  }, [view.engine.firingOrder, view.plan.bores, layout, order, lash]);
}
