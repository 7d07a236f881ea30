import { Asked } from '../entry/Asked';
import { useBench } from '../entry/useBench';
import type { Schemas } from '../shared/api';
import { words } from '../shared/messages';
import { useCatalogue, useSheet } from '../shared/queries';
import type { SheetLayout } from '../sheet/cells';
import { Remarks } from '../sheet/Remarks';
import { Sheet } from '../sheet/Sheet';

export interface ValvesProps {
  order: Schemas['LashOrderView'];
  layout: SheetLayout;
  chosen: string;
  choose: (station: string) => void;
  /** Empty for the tests of this case, else the date of an earlier sheet. */
  date: string;
}

/** Lash and seat-load pulls, in the order in which lash is set; the next valve named large. */
export function Valves({ order, layout, chosen, choose, date }: ValvesProps) {
  const { view, slots } = useBench();
  const catalogue = useCatalogue();
  const told = useSheet(view.id, layout.code);
  const label = (code: string): string => view.stations.find((one) => one.code === code)?.label ?? code;
  const third = date === '' ? '3' : `${date}.3`;
  const wantsThird = (code: string): boolean =>
    order.wantThird.includes(code) || slots.get({ place: code, part: 'valve', item: 'pull', index: third }).entry !== null;
  const next = date === '' ? order.nextPull : null;
  const stop = order.order.find((one) => one.stations.includes(next ?? chosen));
  const state = catalogue.data?.asked.find((one) => one.code === 'lash_state');
  return (
    <>
      {date === '' && (
        <div className="next-pull" aria-live="polite">
          {next === null ? (
            <p className="quiet">{words.before.allPulled}</p>
          ) : (
            <>
              <span className="quiet">{words.before.next}</span>
              <button type="button" className="next-valve" onClick={() => choose(next)}>
                {label(next)}
              </button>
            </>
          )}
          <p>
            {stop?.words} {order.fromFiringOrder ? '' : words.before.noFiringOrder}
          </p>
          {state && (
            <label className="quiet">
              {state.ask} <Asked question={state} place="engine" narrow />
            </label>
          )}
        </div>
      )}
      <Remarks list={date === '' ? (told.data?.remarks ?? []) : []} />
      <Sheet
        layout={date === '' ? layout : { ...layout, margins: [] }}
        date={date}
        across
        at={chosen}
        onRow={choose}
        leavesOut={(row, column) => column.index.at(-1) === '3' && !wantsThird(row.key)}
        note={(row) => (order.wantThird.includes(row.key) ? <span className="wrong">{words.before.third}</span> : null)}
        foot={words.before.pullFoot}
      />
    </>
  );
}
