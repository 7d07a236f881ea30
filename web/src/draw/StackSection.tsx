import { useId } from 'react';
import { box, lines, type Point } from './fills';
import { stackParts, wireHeight, type CoilParts, type StackParts, type StackSizes } from './stackParts';

const [WIDTH, HEIGHT] = [660, 470];
const AXIS = 236;
const [TOP, FOOT] = [28, 458];
/** Inches of head that are drawn below the floor of the pocket, and of stem above the retainer. */
const [BELOW, ABOVE] = [0.27, 0.3];
/** Pixels an inch at most, so that a small head is not blown up. */
const MOST = 186;
/** A gap below this many pixels is drawn again, larger. */
const TIGHT = 14;
const DETAIL = { x: 506, y: 344, r: 74 };
/** So much room the name of a gap takes to its right. */
const NAMED = 96;

/** What remains at full lift, as it is written at the section. */
export interface StackGap {
  quantity: string;
  /** Of a spring, which one. */
  coil: string | null;
  name: string;
  figure: string;
  isOutside: boolean;
  isDoubtful: boolean;
}

interface Props {
  found: StackSizes;
  tried: StackSizes | null;
  gaps: readonly StackGap[];
  /** Which of the tight gaps is drawn larger. */
  detail: number;
  label: string;
  words: {
    onSeat: string;
    atLift: string;
    asClaimed: string;
    larger: (times: number) => string;
    card: string;
    names: Record<string, string>;
  };
}

/** Where a radius and a height come to stand. */
interface Frame {
  scale: number;
  x: (radius: number) => number;
  y: (height: number) => number;
}

/** The gaps that can be drawn: from where to where, at which radius. */
function gapsOf(parts: StackParts, gaps: readonly StackGap[]): { gap: StackGap; from: number; to: number; radius: number }[] {
  const underside = parts.face + parts.height - parts.lift - parts.depth;
  return gaps.flatMap((gap) => {
    const coil = parts.coils[gap.coil === 'inner' ? 1 : 0];
    if (gap.quantity === 'travel_to_bind' && coil?.bind != null)
      return [{ gap, from: parts.face + coil.bind, to: parts.face + parts.height - parts.lift - coil.step, radius: coil.mean }];
    if (gap.quantity === 'retainer_to_seal' && parts.sealTop !== null)
      return [{ gap, from: parts.sealTop, to: underside, radius: (parts.guide + parts.seal) / 2 }];
    if (gap.quantity === 'retainer_to_guide' && parts.guideTop !== null)
      return [{ gap, from: parts.guideTop, to: underside, radius: parts.guide }];
    return [];
  });
}

/** How many gaps of a stack are drawn larger, one at a time. */
export function tightGaps(found: StackSizes, gaps: readonly StackGap[]): number {
  const parts = stackParts(found);
  return parts === null ? 0 : tight(parts, gaps).length;
}

const tight = (parts: StackParts, gaps: readonly StackGap[]) =>
  gapsOf(parts, gaps)
    .filter((one) => (one.to - one.from) * scaleOf(parts) < TIGHT)
    .sort((a, b) => a.to - a.from - (b.to - b.from));

const scaleOf = (parts: StackParts): number =>
  Math.min(MOST, 173 / parts.outward, (FOOT - TOP) / (parts.face + parts.height + ABOVE + BELOW));

/** The stack of a valve in section, to scale: on the seat left of its axis, at full lift right of it. */
export function StackSection({ found, tried, gaps, detail, label, words }: Props) {
  const id = useId();
  const parts = stackParts(found);
  if (parts === null) return null;
  const after = tried === null ? null : stackParts(tried);
  const scale = scaleOf(parts);
  const floor = FOOT - BELOW * scale;
  const frame = (side: number, s = scale, ox = AXIS, oy = floor): Frame => ({
    scale: s,
    x: (radius) => ox + side * radius * s,
    y: (height) => oy - height * s,
  });
  const right = frame(1);
  const left = frame(-1);
  const shown = gapsOf(parts, gaps);
  const small = tight(parts, gaps);
  const zoomed = small[small.length === 0 ? 0 : detail % small.length];
  const figure = (name: string): string => found[name]?.value.figure ?? '';
  const asClaimed = (name: string): string => (found[name]?.isMeasured === false ? ` ${words.asClaimed}` : '');
  const land = parts.face + parts.height;
  const open = land - parts.lift;
  const times = zoomed === undefined ? 1 : (zoomed.to - zoomed.from) * scale * 5 < 6 ? 10 : 5;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={label} className="stack-section" style={{ maxWidth: WIDTH }}>
      <Half parts={parts} frame={left} drop={0} id={`${id}l`} />
      <Half parts={parts} frame={right} drop={parts.lift} id={`${id}r`} />
      <path d={`M${AXIS} 17V${HEIGHT}`} stroke="var(--ink2)" strokeDasharray="16 4 3 4" />
      <text x={AXIS - 46} y="24" textAnchor="end" className="axis">
        {words.onSeat}
      </text>
      <text x={AXIS + 12} y="24" className="axis">
        {words.atLift}
      </text>
      {after !== null && (
        <g clipPath={`url(#${id}all)`}>
          <clipPath id={`${id}all`}>
            <rect width={WIDTH} height={FOOT} />
          </clipPath>
          <Moved before={parts} after={after} frame={left} drops={[0, 0]} />
          <Moved before={parts} after={after} frame={right} drops={[parts.lift, after.lift]} />
        </g>
      )}
      <Dimension x={58} from={left.y(parts.face)} to={left.y(land)} out={left.x(parts.retainer)} strong>
        {`${figure('installed_height')} ${words.names['installed_height'] ?? ''}${asClaimed('installed_height')}`}
      </Dimension>
      {parts.coils[1] !== undefined && (
        <Dimension x={92} from={left.y(parts.face)} to={left.y(land - parts.coils[1].step)} out={left.x(parts.coils[1].mean)}>
          {words.names['inner'] ?? ''}
        </Dimension>
      )}
      <Dimension x={520} from={right.y(open)} to={right.y(land)} out={right.x(parts.retainer)} strong>
        {`${figure('net_lift')} ${words.names['net_lift'] ?? ''}${asClaimed('net_lift')}`}
      </Dimension>
      <path d={`M${AXIS} ${right.y(land)}H520`} stroke="var(--ink2)" strokeWidth="0.8" strokeDasharray="6 3" />
      {shown
        .filter((one) => one.gap.quantity === 'travel_to_bind')
        .map((one, i) => (
          <Ledge key={one.gap.name} one={one} frame={right} x={right.x(parts.retainer) + 14} row={i} />
        ))}
      <Below found={found} parts={parts} frames={[left, right]} words={words} />
      {zoomed !== undefined && (
        <g>
          <clipPath id={`${id}z`}>
            <circle cx={DETAIL.x} cy={DETAIL.y} r={DETAIL.r} />
          </clipPath>
          <circle cx={DETAIL.x} cy={DETAIL.y} r={DETAIL.r} fill="var(--sheet)" />
          <g clipPath={`url(#${id}z)`}>
            <Half
              parts={parts}
              frame={frame(
                1,
                scale * times,
                DETAIL.x - zoomed.radius * scale * times,
                DETAIL.y + ((zoomed.from + zoomed.to) / 2) * scale * times,
              )}
              drop={parts.lift}
              id={`${id}d`}
            />
            {after !== null && (
              <Moved
                before={parts}
                after={after}
                frame={frame(
                  1,
                  scale * times,
                  DETAIL.x - zoomed.radius * scale * times,
                  DETAIL.y + ((zoomed.from + zoomed.to) / 2) * scale * times,
                )}
                drops={[parts.lift, after.lift]}
              />
            )}
            {zoomed.gap.quantity === 'travel_to_bind' && (
              <Solid
                y={DETAIL.y + ((zoomed.to - zoomed.from) / 2) * scale * times}
                from={DETAIL.x - DETAIL.r}
                to={DETAIL.x + DETAIL.r}
                isOutside={zoomed.gap.isOutside}
              />
            )}
          </g>
          <circle cx={DETAIL.x} cy={DETAIL.y} r={DETAIL.r} fill="none" stroke="var(--ink)" strokeWidth="1.4" />
          <circle
            cx={right.x(zoomed.radius)}
            cy={right.y((zoomed.from + zoomed.to) / 2)}
            r="16"
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.2"
          />
          <text x={right.x(zoomed.radius) - 22} y={right.y((zoomed.from + zoomed.to) / 2) + 5} textAnchor="end" className="strong halo">
            Z
          </text>
          <text x={DETAIL.x} y={DETAIL.y - DETAIL.r - 8} textAnchor="middle" className="axis">
            {words.larger(times)}
          </text>
          <Gap
            x={DETAIL.x + DETAIL.r - 8}
            from={DETAIL.y + ((zoomed.to - zoomed.from) / 2) * scale * times}
            to={DETAIL.y - ((zoomed.to - zoomed.from) / 2) * scale * times}
            gap={zoomed.gap}
          />
        </g>
      )}
    </svg>
  );
}

/** One half of the section, with the valve so far off its seat. */
function Half({ parts, frame, drop, id }: { parts: StackParts; frame: Frame; drop: number; id: string }) {
  const { x, y } = frame;
  const outline = (...points: Point[]): string => `M${points.map(([r, h]) => `${x(r)} ${y(h)}`).join('L')}Z`;
  const block = (inner: number, outer: number, low: number, high: number): Point[] =>
    box(Math.min(x(inner), x(outer)), y(high), Math.abs(x(outer) - x(inner)), y(low) - y(high));
  const { face, height, depth, stem, guide, seal, guideTop, sealTop } = parts;
  const land = face + height - drop;
  const bore = stem + 0.03;
  const hub = Math.min(parts.register, ...parts.coils.map((coil) => coil.inside / 2 - 0.01));
  const shelf = parts.coils[1]?.step ?? Math.min(0.06, depth);
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth="1.4">
      <Cut blocks={[block(guide, parts.pocket, -BELOW, 0), block(parts.pocket, parts.outward, -BELOW, parts.rim)]} turn={-45} pitch={7} />
      <path
        d={`M${x(guide)} ${y(0)}H${x(parts.pocket)}V${y(parts.rim)}H${x(parts.outward)}M${x(guide)} ${y(-BELOW)}H${x(parts.outward)}`}
      />
      {parts.shims > 0 && (
        <path
          d={outline(
            [parts.locatorInside, 0],
            [parts.pocket - 0.03, 0],
            [parts.pocket - 0.03, parts.shims],
            [parts.locatorInside, parts.shims],
          )}
          fill="var(--sheet)"
          strokeWidth="1.2"
          strokeDasharray={dashed(parts.isRead.shims)}
        />
      )}
      {parts.locator > 0 && (
        <>
          <path
            d={outline(
              [parts.locatorInside, parts.shims],
              [parts.flange, parts.shims],
              [parts.flange, face],
              [parts.locatorOutside, face],
              [parts.locatorOutside, face + 0.1],
              [parts.locatorOutside - 0.047, face + 0.1],
              [parts.locatorOutside - 0.047, face],
              [parts.locatorInside, face],
            )}
            fill="var(--sheet)"
            strokeWidth="1.2"
            strokeDasharray={dashed(parts.isRead.locator)}
          />
          <Cut
            blocks={[
              block(parts.locatorInside, parts.flange, parts.shims, face),
              block(parts.locatorOutside - 0.047, parts.locatorOutside, face, face + 0.1),
            ]}
            turn={45}
            pitch={4}
          />
        </>
      )}
      {guideTop !== null && (
        <>
          <path
            d={outline([stem, -BELOW], [guide, -BELOW], [guide, guideTop], [stem, guideTop])}
            fill="var(--sheet)"
            strokeWidth="1.3"
            strokeDasharray={dashed(parts.isRead.guide)}
          />
          <Cut blocks={[block(stem, guide, -BELOW, guideTop)]} turn={45} pitch={7} />
        </>
      )}
      {sealTop !== null && guideTop !== null && (
        <path
          d={outline(
            [stem, sealTop],
            [seal, sealTop],
            [seal, guideTop - parts.seated],
            [guide, guideTop - parts.seated],
            [guide, guideTop],
            [stem, guideTop],
          )}
          fill={parts.isRead.seal ? 'var(--ink2)' : 'none'}
          strokeWidth="1"
          strokeDasharray={dashed(parts.isRead.seal)}
        />
      )}
      {parts.coils.map((coil, i) => (
        <Coil
          key={i}
          coil={coil}
          frame={frame}
          from={face}
          height={land - face - coil.step}
          isLate={(i === 0) !== (drop === 0)}
          id={`${id}${i}`}
        />
      ))}
      <path
        d={outline(
          [parts.retainer, land],
          [parts.register, land],
          [parts.register, land - shelf],
          [hub, land - shelf],
          [hub, land - depth],
          [bore, land - depth],
          [bore + 0.05, land + 0.15],
          [parts.retainer * 0.72, land + 0.15],
          [parts.retainer, land + 0.08],
        )}
        fill="var(--sheet)"
        strokeWidth="1.5"
        strokeDasharray={dashed(parts.isRead.retainer)}
      />
      <Cut
        blocks={[block(parts.register, parts.retainer, land, land + 0.08), block(bore + 0.05, parts.register, land - shelf, land + 0.15)]}
        turn={-45}
        pitch={7}
      />
      <path d={`M${x(stem)} ${y(-BELOW)}V${y(land + ABOVE - 0.04)}L${x(stem - 0.02)} ${y(land + ABOVE - 0.02)}H${x(0)}`} />
      <path
        d={outline(
          [stem, land - depth + 0.03],
          [bore + 0.02, land - depth + 0.03],
          [bore + 0.02 + Math.tan((parts.taper * Math.PI) / 180) * (depth + 0.11), land + 0.14],
          [stem, land + 0.14],
        )}
        fill="var(--ink3)"
        strokeWidth="1"
      />
    </g>
  );
}

/** What rests on no reading is drawn by its claim, or as such heads are, in dashes. */
const dashed = (isRead: boolean): string | undefined => (isRead ? undefined : '4 3');

/** Hatch of what is cut through. */
const Cut = ({ blocks, turn, pitch }: { blocks: readonly Point[][]; turn: number; pitch: number }) => (
  <path d={blocks.map((block) => lines(block, turn, pitch)).join('')} stroke="var(--edge)" strokeWidth="1" />
);

/** The wire of a spring where the section cuts it: whole turns on one side, half turns on the other. */
function Coil(props: { coil: CoilParts; frame: Frame; from: number; height: number; isLate: boolean; id: string }) {
  const { coil, frame, from, height, isLate, id } = props;
  const { x, y, scale } = frame;
  const radius = (coil.wire / 2) * scale;
  const turns: number[] = [];
  for (let turn = isLate ? 0.5 : 0; turn <= coil.turns; turn += 1) turns.push(turn);
  const cx = x(coil.mean);
  return (
    <g strokeWidth="1.4">
      <clipPath id={id}>
        <rect x={cx - radius - 2} y={y(from + height)} width={2 * radius + 4} height={Math.max(0, height * scale)} />
      </clipPath>
      <g clipPath={`url(#${id})`}>
        {turns.map((turn) => {
          const cy = y(from + wireHeight(turn, coil, height));
          const half = radius * 0.7;
          return (
            <g key={turn}>
              <circle cx={cx} cy={cy} r={radius} fill="var(--sheet)" strokeDasharray={dashed(coil.isMeasured)} />
              <path d={`M${cx - half} ${cy + half}L${cx + half} ${cy - half}`} stroke="var(--edge)" strokeWidth="1" />
            </g>
          );
        })}
      </g>
      <path d={`M${cx - radius} ${y(from)}h${2 * radius}M${cx - radius} ${y(from + height)}h${2 * radius}`} />
    </g>
  );
}

/** What would stand elsewhere with what is tried, as dashed lines. */
function Moved(props: { before: StackParts; after: StackParts; frame: Frame; drops: readonly [number, number] }) {
  const { before, after, frame, drops } = props;
  const { x, y } = frame;
  const lands: [number, number] = [before.face + before.height - drops[0], after.face + after.height - drops[1]];
  const pairs: [number | null, number | null, number, number][] = [
    [before.sealTop, after.sealTop, before.stem, before.seal + 0.04],
    [before.guideTop, after.guideTop, before.stem, before.guide + 0.04],
    [before.face, after.face, before.locatorInside, before.flange],
    [lands[0], lands[1], before.register, before.retainer + 0.03],
    [lands[0] - before.depth, lands[1] - after.depth, before.stem, before.register],
  ];
  const moved = pairs.filter(([from, to]) => from !== null && to !== null && Math.abs(from - to) > 1e-6);
  return (
    <path
      d={moved.map(([, to, inner, outer]) => `M${x(inner)} ${y(to ?? 0)}H${x(outer)}`).join('')}
      stroke="var(--enamel)"
      strokeWidth="2"
      strokeDasharray="5 3"
      fill="none"
    />
  );
}

/** A dimension with its arrows, written along its line and read from the right. */
function Dimension(props: { x: number; from: number; to: number; out: number; strong?: boolean; children: string }) {
  const { x, from, to, out, strong = false, children } = props;
  const gap = x < out ? -3 : 3;
  const middle = (from + to) / 2;
  return (
    <g stroke="var(--ink)" strokeWidth="0.9" fill="none">
      <path d={`M${out + gap} ${to}H${x + (x < out ? -5 : 5)}`} strokeWidth="0.8" />
      <path d={`M${out + gap} ${from}H${x + (x < out ? -5 : 5)}`} strokeWidth="0.8" />
      <path d={`M${x} ${from}V${to}`} />
      <path d={`M${x} ${to}l-2.2 8h4.4ZM${x} ${from}l-2.2 -8h4.4Z`} fill="var(--ink)" stroke="none" />
      <text
        x={x}
        y={middle}
        dy="-4"
        textAnchor="middle"
        transform={`rotate(-90 ${x} ${middle})`}
        className={strong ? 'strong halo' : 'halo'}
      >
        {children}
      </text>
    </g>
  );
}

/** The height at which a spring is solid: a ledge that it does not go below. */
const Solid = ({ y, from, to, isOutside }: { y: number; from: number; to: number; isOutside: boolean }) => (
  <g fill="none" stroke={isOutside ? 'var(--lead)' : 'var(--ink)'}>
    <path d={`M${from} ${y}H${to}`} strokeWidth="1.4" />
    <path d={lines(box(from, y, to - from, 12), 45, 5)} stroke={isOutside ? 'var(--lead)' : 'var(--ink3)'} opacity="0.75" />
  </g>
);

/** Where a spring goes solid, and what is left above it. */
function Ledge({ one, frame, x, row }: { one: ReturnType<typeof gapsOf>[number]; frame: Frame; x: number; row: number }) {
  const at = frame.y(one.from);
  const open = frame.y(one.to);
  const end = x + 76 + row * NAMED;
  return (
    <g>
      <Solid y={at} from={row === 0 ? x : end - 20} to={end} isOutside={one.gap.isOutside} />
      <path
        d={`M${frame.x(one.radius)} ${at}H${row === 0 ? x : end}M${frame.x(one.radius)} ${open}H${end}`}
        fill="none"
        stroke={one.gap.isOutside ? 'var(--lead)' : 'var(--ink)'}
        strokeWidth="0.8"
      />
      <Gap x={end - 8} from={at} to={open} gap={one.gap} />
    </g>
  );
}

/** What remains, between two arrows; in a doubtful one its figure stands behind a ring. */
function Gap({ x, from, to, gap }: { x: number; from: number; to: number; gap: StackGap }) {
  const colour = gap.isOutside ? 'var(--lead)' : 'var(--ink)';
  const inside = from - to >= TIGHT;
  const [tail, head] = inside ? [-8, 8] : [8, -8];
  const y = (from + to) / 2;
  return (
    <g stroke={colour} fill="none" strokeWidth="0.9">
      <path d={inside ? `M${x} ${from}V${to}` : `M${x} ${to - 18}V${to}M${x} ${from}V${from + 18}`} />
      <path d={`M${x} ${to}l-2.2 ${head}h4.4ZM${x} ${from}l-2.2 ${tail}h4.4Z`} fill={colour} stroke="none" />
      <text x={x + 10} y={y + 2} className={gap.isOutside ? 'strong halo is-outside' : 'strong halo'}>
        {gap.figure === '' ? '?' : gap.figure}
        {gap.isDoubtful ? ' ?' : ''}
      </text>
      <text x={x + 10} y={y + 18} className={gap.isOutside ? 'halo is-outside' : 'halo'}>
        {gap.name}
      </text>
    </g>
  );
}

/** What lies under the spring, with what the card says where that is another figure. */
function Below(props: { found: StackSizes; parts: StackParts; frames: readonly [Frame, Frame]; words: Props['words'] }) {
  const { found, parts, frames, words } = props;
  const [left, right] = frames;
  const note = (name: string): string => `${words.names[name] ?? name} ${found[name]?.value.figure ?? ''}`;
  const card = (name: string): string => {
    const claimed = found[name]?.claimed;
    return claimed == null || claimed === found[name]?.value.figure ? '' : `${words.card} ${claimed}`;
  };
  const item = (name: string, frame: Frame, radius: number, height: number, x: number, end: number, anchor: 'start' | 'end') => (
    <g key={name}>
      <path d={`M${frame.x(radius)} ${frame.y(height)}L${x} 424H${end}`} fill="none" stroke="var(--ink)" strokeWidth="0.9" />
      <circle cx={frame.x(radius)} cy={frame.y(height)} r="2" fill="var(--ink)" />
      <text x={end} y="440" textAnchor={anchor} className="strong halo">
        {note(name)}
      </text>
      <text x={end} y="455" textAnchor={anchor} className="axis halo">
        {card(name)}
      </text>
    </g>
  );
  return (
    <>
      {parts.locator > 0 && item('locator_thickness', left, parts.flange - 0.06, parts.shims + parts.locator / 2, 62, 8, 'start')}
      {parts.shims > 0 &&
        item('shim_stack' in found ? 'shim_stack' : 'shims', right, parts.pocket - 0.08, parts.shims / 2, 424, 520, 'end')}
    </>
  );
}
