import { memo, type KeyboardEvent, type MouseEvent } from 'react';
import type { PlanCell, PlanView } from '../shared/api';
import { temper } from '../look/theme';
import { words } from '../shared/messages';
import { useRoving } from '../shared/useRoving';
import { disc, type Point } from './fills';
import { TemperMarks } from './Temper';

/** What one cell shows under the lens in use. */
export interface CellReading {
  /** The one figure in the cell. */
  figure?: string;
  /** Severity, where the lens shows signs. */
  severity?: number;
  outside?: boolean;
  cannotTell?: boolean;
  /** Nothing is known here under this lens. */
  unknown?: boolean;
  /** Read out after the station's name. */
  spoken: string;
}

interface Props {
  plan: PlanView;
  reading: (cell: PlanCell) => CellReading;
  failed: ReadonlySet<string>;
  chosen?: string | null;
  /** The station whose turn it is next. */
  next?: string | null;
  /** Told of the station; `walks` says that an arrow went there and the hand stays on the plan. */
  onChoose?: (station: string, walks: boolean) => void;
  /** On its side, front to the left, for the queue. */
  lying?: boolean;
  /** So small that a reported failure fills its cell, and nothing else is written. */
  small?: boolean;
  label: string;
}

/** The exhaust's eight-sided cell. */
function eight(x: number, y: number, radius: number): Point[] {
  const a = radius * 0.94;
  const b = a - radius * 0.52;
  return [
    [x - b, y - a],
    [x + b, y - a],
    [x + a, y - b],
    [x + a, y + b],
    [x + b, y + a],
    [x - b, y + a],
    [x - a, y + b],
    [x - a, y - b],
  ];
}

/** The nearest cell in the direction of an arrow; null for other keys, and at the edge. */
export function nearest(cells: readonly PlanCell[], from: PlanCell, key: string): PlanCell | null {
  if (!key.startsWith('Arrow')) return null;
  let best: PlanCell | null = null;
  let least = Infinity;
  for (const cell of cells) {
    const dx = cell.x - from.x;
    const dy = cell.y - from.y;
    const [along, across] = key === 'ArrowLeft' ? [-dx, dy] : key === 'ArrowRight' ? [dx, dy] : key === 'ArrowUp' ? [-dy, dx] : [dy, dx];
    if (along <= 1) continue;
    const cost = along + 2.5 * Math.abs(across);
    if (cost < least) {
      least = cost;
      best = cell;
    }
  }
  return best;
}

/** What the lens of severities shows at a station: the worst that was found there, null where nobody looked. */
export const severityReading = (worst: number | null): CellReading =>
  worst === null
    ? { unknown: true, spoken: words.lens.notLooked }
    : { severity: worst, figure: String(worst), spoken: temper[worst]?.word ?? '' };

/** The engine, looking down on the heads: the navigator of a case. */
export const HeadPlan = memo(function HeadPlan(props: Props) {
  return (
    <div className={props.lying === true ? 'plan lying' : 'plan'}>
      <PlanDrawing {...props} />
    </div>
  );
});

/** The drawing alone. */
export function PlanDrawing({ plan, reading, failed, chosen = null, next = null, onChoose, lying = false, small, label }: Props) {
  const roving = useRoving<SVGSVGElement>(
    (from, key) => {
      const cell = plan.cells[from];
      const to = cell === undefined ? null : key === 'Home' ? plan.cells[0] : nearest(plan.cells, cell, key);
      return to == null ? null : plan.cells.indexOf(to);
    },
    { onWalk: (i) => onChoose?.(plan.cells[i]?.station ?? '', true) },
  );
  const focusable = chosen ?? plan.cells[0]?.station;

  const chosenCell = plan.cells.find((cell) => cell.station === chosen);
  return (
    <svg
      ref={roving.ref}
      onKeyDown={onChoose && roving.onKeyDown}
      viewBox={lying ? `0 0 ${plan.height} ${plan.width}` : `0 0 ${plan.width} ${plan.height}`}
      role={onChoose ? 'grid' : 'img'}
      aria-label={label}
      fontFamily="var(--condensed)"
    >
      <g transform={lying ? `rotate(-90) translate(${-plan.width} 0)` : undefined}>
        {plan.crankLine !== null && (
          <path d={`M${plan.crankLine} 26V${plan.height - 10}`} stroke="var(--slab-line)" strokeDasharray="14 4 2 4" opacity="0.8" />
        )}
        {!lying && (
          <g fill="var(--slab-ink2)">
            <path d={plan.crankLine === null ? 'M24 6l-6 9h12z' : 'M160 6l-6 9h12z'} />
            <text x={plan.crankLine === null ? 36 : 172} y="15" fontSize="13">
              {words.planFront}
            </text>
          </g>
        )}
        {plan.castings.map((casting) => (
          <g key={casting.bank}>
            <path
              d={`M${casting.left + 10} ${casting.top}H${casting.right - 10}L${casting.right} ${casting.top + 10}V${casting.bottom - 10}L${casting.right - 10} ${casting.bottom}H${casting.left + 10}L${casting.left} ${casting.bottom - 10}V${casting.top + 10}Z`}
              fill="var(--slab-deep)"
              stroke="var(--slab-line)"
            />
            {!lying && plan.castings.length > 1 && (
              <text
                x={(casting.left + casting.right) / 2}
                y={casting.top - 7}
                fill="var(--slab-ink2)"
                fontSize="15"
                fontWeight="600"
                textAnchor="middle"
                stroke="var(--slab)"
                strokeWidth="5"
                style={{ paintOrder: 'stroke' }}
              >
                {casting.bank}
              </text>
            )}
          </g>
        ))}
        {!lying &&
          plan.columns.map((column, i) => (
            <text key={i} x={column.x} y={column.y} fill="var(--slab-ink2)" fontSize="13" textAnchor="middle">
              {column.text}
            </text>
          ))}
        {plan.bores.map((bore) => (
          <g key={bore.cylinder}>
            <circle cx={bore.x} cy={bore.y} r={bore.radius} fill="var(--slab)" stroke="var(--slab-line)" strokeWidth="1.4" />
            <path d={`M${bore.x - 4} ${bore.y}h8M${bore.x} ${bore.y - 4}v8`} stroke="var(--slab-line)" opacity="0.6" />
          </g>
        ))}
        {plan.cells.map((cell) => (
          <g key={cell.station} stroke="var(--slab-line)" opacity="0.55">
            {cell.ports.map((port, i) => (
              <path key={i} d={`M${port.x1} ${port.y1}L${port.x2} ${port.y2}`} />
            ))}
          </g>
        ))}
        {lying &&
          small !== true &&
          plan.bores.map((bore) => (
            <text
              key={bore.cylinder}
              x={bore.x}
              y={bore.y + 5}
              transform={`rotate(90 ${bore.x} ${bore.y})`}
              fontSize="15"
              fontWeight="700"
              textAnchor="middle"
              fill="var(--slab-ink2)"
              style={{ paintOrder: 'stroke' }}
              stroke="var(--slab)"
              strokeWidth="4"
            >
              {plan.cells.some((cell) => Math.hypot(cell.x - bore.x, cell.y - bore.y) < cell.radius) ? '' : bore.number}
            </text>
          ))}
        {chosenCell && (
          <path
            d={`M0 ${chosenCell.y}H${plan.width}M${chosenCell.x} 22V${plan.height}`}
            stroke="var(--slab-pick)"
            strokeDasharray="12 3 2 3"
            opacity="0.75"
          />
        )}
        {!lying &&
          plan.bores.map((bore) => (
            <g key={bore.cylinder}>
              <rect x={bore.box.x - 10} y={bore.box.y - 12} width="20" height="24" fill="var(--slab)" stroke="var(--slab-line)" />
              <text x={bore.box.x} y={bore.box.y + 5} fill="var(--slab-ink)" fontSize="15" fontWeight="600" textAnchor="middle">
                {bore.number}
              </text>
            </g>
          ))}
        {plan.bores.map((bore) => (
          <g key={bore.cylinder} {...(onChoose ? { role: 'row', 'aria-label': words.place.cylinder(bore.number) } : {})}>
            {plan.cells
              .filter((cell) => cell.station.startsWith(`${bore.cylinder}-`))
              .map((cell) => (
                <Cell
                  key={cell.station}
                  cell={cell}
                  reading={reading(cell)}
                  failed={failed.has(cell.station)}
                  chosen={cell.station === chosen}
                  next={cell.station === next}
                  tabIndex={cell.station === focusable ? 0 : -1}
                  lying={lying}
                  small={small === true}
                  onChoose={onChoose}
                  place={plan.cells.indexOf(cell)}
                />
              ))}
          </g>
        ))}
      </g>
    </svg>
  );
}

interface CellProps {
  cell: PlanCell;
  reading: CellReading;
  failed: boolean;
  chosen: boolean;
  next: boolean;
  tabIndex: number;
  lying: boolean;
  small: boolean;
  onChoose: ((station: string, walks: boolean) => void) | undefined;
  /** Its number among all cells. */
  place: number;
}

const Cell = memo(function Cell({ cell, reading, failed, chosen, next, tabIndex, lying, small, onChoose, place }: CellProps) {
  const { x, y, radius } = cell;
  const step = reading.severity === undefined ? undefined : temper[reading.severity];
  const painted = step !== undefined && step.step > 0;
  const stroke = reading.outside ? 'var(--slab-lead)' : 'var(--slab-ink)';
  const outline = {
    fill: small && failed ? 'var(--slab-lead)' : painted ? step.fill : 'var(--slab-deep)',
    stroke,
    strokeWidth: reading.outside ? 2.4 : 1.5,
    strokeDasharray: reading.unknown ? '2.5 2.5' : reading.cannotTell ? '5 2.5' : undefined,
  };
  const shape = (r: number, props: object) =>
    cell.kind === 'E' ? (
      <path
        d={`M${eight(x, y, r)
          .map((point) => point.join(' '))
          .join('L')}Z`}
        {...props}
      />
    ) : (
      <circle cx={x} cy={y} r={r} {...props} />
    );
  const figure = reading.figure ?? (reading.unknown && !lying && cell.letter === null ? cell.name : '');
  const spoken = `${cell.label}, ${cell.kind === 'E' ? 'exhaust' : 'intake'}, ${reading.spoken}${chosen ? ', chosen' : ''}${next ? ', next' : ''}${failed ? ', reported failed' : ''}`;
  const size = Math.min(lying ? 17 : 16, radius * 0.95) * (figure.length > 3 ? 0.85 : 1);
  const pressable =
    onChoose === undefined
      ? { 'aria-hidden': true }
      : {
          role: 'gridcell',
          tabIndex,
          'aria-label': spoken,
          'aria-selected': chosen,
          'data-roving': place,
          onClick: (event: MouseEvent<SVGElement>) => {
            event.currentTarget.blur(); // the hand goes on to what the station is chosen for
            onChoose(cell.station, false);
          },
          onKeyDown: (event: KeyboardEvent<SVGElement>) => {
            if (event.key !== 'Enter' && event.key !== ' ') return;
            event.preventDefault();
            event.currentTarget.blur();
            onChoose(cell.station, false);
          },
        };
  return (
    <g className="cell" data-station={cell.station} {...pressable}>
      {onChoose && <circle cx={x} cy={y} r={radius + 5} fill="transparent" />}
      {next && shape(radius + 10, { fill: 'none', stroke: 'var(--slab-pick)', strokeWidth: 2, strokeDasharray: '4 3' })}
      {chosen && shape(radius + 6, { fill: 'none', stroke: 'var(--slab-pick)', strokeWidth: 3 })}
      {shape(radius, outline)}
      {painted && <TemperMarks step={step} outline={cell.kind === 'E' ? eight(x, y, radius - 0.8) : disc(x, y, radius - 0.8)} />}
      {painted && <circle cx={x} cy={y} r={radius * 0.55} fill={step.fill} />}
      <text
        x={x}
        y={y + size * 0.35}
        transform={lying ? `rotate(90 ${x} ${y})` : undefined}
        fontSize={size}
        fontWeight={reading.outside || painted ? 700 : 500}
        textAnchor="middle"
        fill={painted ? step.text : reading.outside ? 'var(--slab-lead)' : reading.unknown ? 'var(--slab-ink2)' : 'var(--slab-ink)'}
        style={{ fontFeatureSettings: '"tnum"' }}
      >
        {figure}
      </text>
      {cell.letter && !lying && (
        <text x={cell.letter.x} y={cell.letter.y + 4} fontSize="12" textAnchor="middle" fill="var(--slab-ink2)">
          {cell.kind}
        </text>
      )}
      {failed && !small && <path d={`M${x + radius - 4} ${y - radius - 5}h13v13z`} fill="var(--slab-lead)" />}
    </g>
  );
});
