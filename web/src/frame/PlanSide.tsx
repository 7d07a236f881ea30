import { useCallback, useDeferredValue, useEffect, useMemo, useState, type ReactNode } from 'react';
import { HeadPlan, severityReading, type CellReading } from '../draw/HeadPlan';
import { byValve } from '../entry/byValve';
import { useBench } from '../entry/useBench';
import type { MarginView, PlanCell, Schemas } from '../shared/api';
import { Choice } from '../shared/Choice';
import { useKeysEverywhere } from '../shared/keys';
import { Dialog } from '../shared/Dialog';
import { words } from '../shared/messages';
import { useMargins, useSheets } from '../shared/queries';

export type Lens = 'looked' | 'signs' | 'seatLoad' | 'margin';

const LENSES: readonly Lens[] = ['looked', 'signs', 'seatLoad', 'margin'];
const LOADS = 'load_from_middle';
const PULLS = 'pull_from_middle';
const PLAN_KEYS = [
  { shown: 'Arrows', does: words.keysDo.plan },
  { shown: 'Home', does: words.keysDo.planFirst },
  { shown: 'Enter', does: words.keysDo.planTake },
  { shown: 'F2', does: words.keysDo.planLarge },
];
const USUAL = 'travel_to_bind';

interface Props {
  chosen: string | null;
  /** `walks`: by arrow, the hand stays on the plan. */
  onChoose: (station: string, walks: boolean) => void;
  first: Lens;
  /** The station whose turn it is next, marked on the plan. */
  next?: string | null;
  /** The margin that the place is about; without one the person chooses. */
  margin?: { quantity: string; index: string | null } | undefined;
  /** The quantity that is offered first; the person may choose another. */
  offered?: string | undefined;
  /** What the place itself says of each station, in the place of a margin as found. */
  says?: { line: string; readings: ReadonlyMap<string, CellReading> } | undefined;
  children?: ReactNode;
}

/** The plan at the side of a place: lenses above, the engine, and what its marks mean. */
export function PlanSide({ chosen, onChoose, first, next = null, margin, offered = USUAL, says, children }: Props) {
  const bench = useBench();
  const { view } = bench;
  // The plan follows the hand, it does not hold it up.
  const slots = useDeferredValue(bench.slots);
  const [lens, setLens] = useState<Lens>(first);
  const [large, setLarge] = useState(false);
  useKeysEverywhere([{ shown: 'F2', does: words.keysDo.planLarge, on: /^F2$/, run: () => setLarge((open) => !open) }], PLAN_KEYS);
  const [picked, pick] = useState(offered);
  useEffect(() => pick(offered), [offered]);
  const layouts = useSheets(view.id);
  const quantity = margin?.quantity ?? picked;
  const known = useMargins(view.id, lens === 'seatLoad' ? [LOADS, PULLS] : lens === 'margin' ? [quantity] : []);
  const failed = useMemo(() => new Set(view.story.failed), [view.story.failed]);

  const margins = useMemo(() => {
    const of = (wanted: string, index: string | null): Map<string, MarginView> =>
      new Map(
        byValve(
          view.stations,
          (known.data?.margins ?? []).filter(
            (one) => one.quantity === wanted && (index === null ? one.coil !== 'inner' : one.coil === index),
          ),
        ),
      );
    if (lens === 'margin') return of(quantity, margin?.index ?? null);
    // Bench and pulls are never mixed: where nothing was measured on the bench, the pulls are shown, and the line says so.
    const loads = of(LOADS, null);
    return [...loads.values()].some((one) => one.value !== null) ? loads : of(PULLS, null);
  }, [known.data, lens, quantity, margin?.index, view.stations]);
  const pulled = lens === 'seatLoad' && [...margins.values()].some((one) => one.quantity === PULLS && one.value !== null);

  const byMargin = lens === 'seatLoad' || lens === 'margin';
  const seen = byMargin ? null : slots;
  const readings = useMemo(
    () =>
      new Map(
        view.plan.cells.map((cell) => [
          cell.station,
          says !== undefined && lens === 'margin'
            ? (says.readings.get(cell.station) ?? UNKNOWN)
            : seen === null
              ? marginReading(margins.get(cell.station), lens)
              : signReading(seen.worst(cell.station), cell, lens),
        ]),
      ),
    [view.plan, seen, margins, lens, says],
  );
  const reading = useCallback((cell: PlanCell): CellReading => readings.get(cell.station) ?? UNKNOWN, [readings]);

  const count = [...readings.values()].filter((one) => one.unknown !== true).length;
  const line = {
    looked: words.lens.lookedLine,
    signs: words.lens.signsLine,
    seatLoad: pulled ? words.lens.pullLine : words.lens.seatLoadLine,
    margin: says?.line ?? capital([...margins.values()][0]?.title ?? words.lens.travelLine),
  }[lens];
  const limit =
    lens === 'margin' && says === undefined ? known.data?.columns.find((one) => one.quantity === quantity)?.limitWords : undefined;
  return (
    <aside className="plan-side" aria-label={words.headPlan}>
      <div className="lenses" role="group" aria-label={words.lens.choose}>
        {LENSES.map((one) => (
          <button key={one} type="button" aria-pressed={one === lens} onClick={() => setLens(one)}>
            {words.lens[one]}
          </button>
        ))}
      </div>
      {lens === 'margin' && margin === undefined && says === undefined && (
        <Choice className="lens-margin" value={picked} label={words.lens.which} onChange={pick} options={lensMargins(layouts.data ?? [])} />
      )}
      <button type="button" className="lens-line" onClick={() => setLarge(true)} title={words.lens.large}>
        <span>
          {line}
          {limit === undefined ? '' : `, ${limit}`}
        </span>
        <span>{words.lens.known(count, view.plan.cells.length)}</span>
      </button>
      <HeadPlan
        plan={view.plan}
        reading={reading}
        failed={failed}
        chosen={chosen}
        next={next}
        onChoose={onChoose}
        label={`${line}, ${view.engine.summary}`}
      />
      {children}
      <Dialog open={large} onClose={() => setLarge(false)} width={620} title={line}>
        <div className="plan-large">
          <HeadPlan plan={view.plan} reading={reading} failed={failed} chosen={chosen} onChoose={onChoose} label={`${line}, full size`} />
        </div>
      </Dialog>
      <div className="plan-foot">
        <span>
          <svg width="14" height="14" aria-hidden="true">
            <circle cx="7" cy="7" r="6" fill="none" stroke="currentColor" />
          </svg>
          {words.lens.legend.intake}
        </span>
        <span>
          <svg width="14" height="14" aria-hidden="true">
            <path d="M4 1h6l3 3v6l-3 3H4l-3-3V4z" fill="none" stroke="currentColor" />
          </svg>
          {words.lens.legend.exhaust}
        </span>
        <span>
          <svg width="14" height="14" aria-hidden="true">
            <circle cx="7" cy="7" r="6" fill="none" stroke="currentColor" strokeDasharray="2.5 2.5" />
          </svg>
          {words.lens.legend.notLooked}
        </span>
        <span style={{ color: 'var(--slab-lead)' }}>
          <svg width="12" height="12" aria-hidden="true">
            <path d="M0 0h12v12z" fill="currentColor" />
          </svg>
          {words.lens.legend.failed}
        </span>
      </div>
    </aside>
  );
}

/** Every clearance that the sheets of this engine judge at a station. */
function lensMargins(layouts: readonly Schemas['SheetLayoutView'][]): { value: string; label: string }[] {
  const found = new Map<string, string>();
  for (const layout of layouts) {
    if (layout.rows[0]?.isStation !== true) continue;
    for (const one of layout.margins) found.set(one.quantity, one.title);
  }
  return [...found].map(([value, label]) => ({ value, label }));
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const UNKNOWN = severityReading(null);

function signReading(worst: number | null, cell: PlanCell, lens: Lens): CellReading {
  return lens === 'looked' && worst !== null ? { figure: cell.name, spoken: words.lens.looked } : severityReading(worst);
}

function marginReading(margin: MarginView | undefined, lens: Lens): CellReading {
  if (margin?.value == null) return { unknown: true, spoken: 'not measured' };
  const figure =
    lens === 'seatLoad'
      ? `${Number(margin.value.figure) > 0 ? '+' : ''}${Math.round(Number(margin.value.figure))}`
      : margin.value.unit === 'in'
        ? String(Math.round(Number(margin.value.figure) * 1000))
        : margin.value.figure;
  return {
    figure,
    outside: margin.verdict === 'outside' || margin.verdict === 'outside_close',
    cannotTell: margin.verdict === 'cannot_tell',
    spoken: `${margin.value.shown}, ${margin.verdictWords}`,
  };
}
