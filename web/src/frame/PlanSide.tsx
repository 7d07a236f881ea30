import { Modal } from 'antd';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { HeadPlan, type CellReading } from '../draw/HeadPlan';
import { useBench } from '../entry/useBench';
import { temper } from '../look/theme';
import type { MarginView, PlanCell } from '../shared/api';
import { words } from '../shared/messages';
import { useBefore, useSprings } from '../shared/queries';

export type Lens = 'looked' | 'signs' | 'seatLoad' | 'travel';

const LENSES: readonly Lens[] = ['looked', 'signs', 'seatLoad', 'travel'];
const PULLS = 'pull_from_middle';
const QUANTITY: Partial<Record<Lens, string>> = { seatLoad: 'load_from_middle', travel: 'travel_to_bind' };

interface Props {
  chosen: string | null;
  onChoose: (station: string) => void;
  first: Lens;
  /** The station whose turn it is next, marked on the plan. */
  next?: string | null;
  children?: ReactNode;
}

/** The plan at the side of a place: lenses above, the engine, and what its marks mean. */
export function PlanSide({ chosen, onChoose, first, next = null, children }: Props) {
  const { view, slots } = useBench();
  const [lens, setLens] = useState<Lens>(first);
  const [large, setLarge] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key === 'F2') {
        event.preventDefault();
        setLarge((open) => !open);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  const springs = useSprings(view.id, view.revision);
  const before = useBefore(view.id, view.revision);
  const failed = useMemo(() => new Set(view.story.failed), [view.story.failed]);

  const margins = useMemo(() => {
    const found = new Map<string, MarginView>();
    for (const margin of springs.data?.margins ?? []) {
      if (margin.quantity === QUANTITY[lens] && margin.coil !== 'inner') found.set(margin.place, margin);
    }
    // Bench and pulls are never mixed: where nothing was measured on the bench, the pulls are shown, and the line says so.
    if (lens !== 'seatLoad' || [...found.values()].some((margin) => margin.value !== null)) return found;
    for (const margin of before.data?.margins ?? []) if (margin.quantity === PULLS) found.set(margin.place, margin);
    return found;
  }, [springs.data, before.data, lens]);
  const pulled = lens === 'seatLoad' && [...margins.values()].some((margin) => margin.quantity === PULLS && margin.value !== null);

  const reading = (cell: PlanCell): CellReading => {
    const quantity = QUANTITY[lens];
    if (quantity !== undefined) return marginReading(margins.get(cell.station), lens);
    const worst = slots.worst(cell.station);
    if (worst === null) return { unknown: true, spoken: 'not looked' };
    if (lens === 'looked') return { figure: cell.name, spoken: 'looked at' };
    return { severity: worst, figure: String(worst), spoken: temper[worst]?.word ?? '' };
  };

  const known = view.plan.cells.filter((cell) => !reading(cell).unknown).length;
  const line = {
    looked: words.lens.lookedLine,
    signs: words.lens.signsLine,
    seatLoad: pulled ? words.lens.pullLine : words.lens.seatLoadLine,
    travel: words.lens.travelLine,
  }[lens];
  const limit = lens === 'travel' ? [...margins.values()][0]?.limitWords : undefined;
  return (
    <aside className="plan-side" aria-label="Head plan">
      <div className="lenses" role="group" aria-label="Lens">
        {LENSES.map((one) => (
          <button key={one} type="button" aria-pressed={one === lens} onClick={() => setLens(one)}>
            {words.lens[one]}
          </button>
        ))}
      </div>
      <button type="button" className="lens-line" onClick={() => setLarge(true)} title={words.lens.large}>
        <span>
          {line}
          {limit === undefined ? '' : `, ${limit}`}
        </span>
        <span>{words.lens.known(known, view.plan.cells.length)}</span>
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
      <Modal
        open={large}
        onCancel={() => setLarge(false)}
        footer={null}
        width={620}
        title={line}
        transitionName=""
        maskTransitionName=""
        centered
      >
        <div className="plan-large">
          <HeadPlan plan={view.plan} reading={reading} failed={failed} chosen={chosen} onChoose={onChoose} label={`${line}, full size`} />
        </div>
      </Modal>
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
