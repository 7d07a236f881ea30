import type { Schemas } from '../shared/api';

export type StackSizes = Readonly<Record<string, Schemas['StackSizeView']>>;

/** What the default sizes of a drawing are told for: a spring of this outside diameter. */
const DRAWN_FOR = 1.41;
const MILLIMETRES = 25.4;

export interface CoilParts {
  mean: number;
  wire: number;
  turns: number;
  /** Down from the outer spring's land of the retainer to that of this one. */
  step: number;
  inside: number;
  bind: number | null;
  isMeasured: boolean;
}

/** A stack in inches; heights are above the floor of the pocket, those of the retainer from the face of its spring. */
export interface StackParts {
  pocket: number;
  rim: number;
  outward: number;
  shims: number;
  locator: number;
  locatorInside: number;
  locatorOutside: number;
  flange: number;
  face: number;
  height: number;
  lift: number;
  depth: number;
  stem: number;
  guide: number;
  guideTop: number | null;
  seal: number;
  sealTop: number | null;
  seated: number;
  retainer: number;
  register: number;
  taper: number;
  coils: readonly CoilParts[];
  /** Whether the retainer, and what it meets, rest on readings. */
  isRead: Record<'retainer' | 'seal' | 'guide' | 'locator' | 'shims', boolean>;
}

/** Sizes come from what is known; what is not comes from the proportions of such heads. Nothing without a height and a lift. */
export function stackParts(sizes: StackSizes): StackParts | null {
  const known = (name: string): number | undefined => {
    const size = sizes[name];
    return size === undefined ? undefined : size.at / MILLIMETRES;
  };
  const isRead = (...names: string[]): boolean => names.some((name) => sizes[name]?.isMeasured === true);
  const height = known('installed_height');
  const lift = known('net_lift');
  if (height === undefined || lift === undefined) return null;
  const outside = known('outside_diameter.outer') ?? DRAWN_FOR;
  const k = outside / DRAWN_FOR;
  const coil = (name: 'outer' | 'inner', outer: number, wireOf: number, step: number): CoilParts => {
    const across = known(`outside_diameter.${name}`) ?? outer;
    const inside = known(`inside_diameter.${name}`);
    const wire = known(`wire_diameter.${name}`) ?? (inside === undefined ? wireOf * k : (across - inside) / 2);
    const bind = known(`bind_height.${name}`);
    return {
      mean: (across - wire) / 2,
      wire,
      turns: bind === undefined ? 6 : bind / wire,
      step,
      inside: inside ?? across - 2 * wire,
      bind: bind ?? null,
      isMeasured: isRead(`bind_height.${name}`),
    };
  };
  const first = coil('outer', outside, 0.187, 0);
  const isDual = ['outside_diameter', 'inside_diameter', 'wire_diameter', 'bind_height'].some((name) => `${name}.inner` in sizes);
  const second = isDual ? coil('inner', first.inside - 0.06 * k, 0.128, known('inner_step') ?? 0.06) : null;
  const locator = known('locator_thickness') ?? 0;
  const shims = known('shim_stack') ?? Math.max(0, (known('shims') ?? locator) - locator);
  const face = locator + shims;
  const pocket = (known('pocket_diameter') ?? outside + 0.03) / 2;
  const sealHeight = known('seal_height');
  const guideHeight = known('guide_height');
  const guide = (known('guide_outside') ?? 0.5 * k) / 2;
  const register = (known('register_diameter') ?? first.inside - 0.02) / 2;
  return {
    pocket,
    rim: known('pocket_depth') ?? 0.06,
    outward: pocket + 0.155 * k,
    shims,
    locator,
    locatorInside: (known('locator_inside') ?? 0.57 * k) / 2,
    locatorOutside: (known('locator_outside') ?? (second ?? first).inside - 0.02) / 2,
    flange: (known('locator_flange') ?? outside + 0.02) / 2,
    face,
    height,
    lift,
    depth: known('retainer_depth') ?? 0.16 * k,
    stem: (known('stem_diameter.middle.along') ?? 0.342 * k) / 2,
    guide,
    guideTop: guideHeight === undefined ? (sealHeight === undefined ? null : face + sealHeight - 0.03) : face + guideHeight,
    seal: (known('seal_outside') ?? 2 * guide + 0.054 * k) / 2,
    sealTop: sealHeight === undefined ? null : face + sealHeight,
    seated: known('seal_depth') ?? 0.3,
    retainer: outside / 2,
    register,
    taper: sizes['lock_angle']?.at ?? 7,
    coils: second === null ? [first] : [first, second],
    isRead: {
      retainer: isRead('retainer_depth'),
      seal: isRead('seal_height'),
      guide: isRead('guide_height', 'seal_height'),
      locator: isRead('locator_thickness'),
      shims: isRead('shim_stack', 'shims'),
    },
  };
}

/** Height of the middle of the wire after so many turns, in a spring pressed to a height: its end turns lie on their neighbours. */
export function wireHeight(turn: number, coil: CoilParts, height: number): number {
  const { wire, turns } = coil;
  const end = (from: number): number => wire * (0.275 + 0.725 * Math.min(from, 1));
  if (turn <= 1) return end(turn);
  if (turn >= turns - 1) return height - end(turns - turn);
  return wire + ((turn - 1) / (turns - 2)) * (height - 2 * wire);
}
