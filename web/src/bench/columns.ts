import type { ColumnView } from '../shared/api';

export type SheetName = 'outer' | 'inner' | 'heights';

const SPRING = ['free_height', 'load_seat', 'load_open', 'bind_height', 'outside_diameter', 'inside_diameter'];
const HEIGHTS = [
  'installed_height',
  'shims',
  'lobe_lift',
  'ratio',
  'lash',
  'net_lift',
  'pocket_diameter',
  'seal_height',
  'seal_height_from_head',
  'retainer_depth',
  'inner_step',
];

/** The columns of a sheet that this engine can fill. */
export function columnsOf(
  sheet: SheetName,
  all: readonly ColumnView[],
  engine: { drive: string; lash: string },
  hasInner: boolean,
): ColumnView[] {
  const wanted = sheet === 'heights' ? HEIGHTS : SPRING;
  return wanted
    .filter(
      (code) =>
        !(code === 'ratio' && engine.drive === 'bucket') &&
        !(code === 'lash' && engine.lash === 'hydraulic') &&
        !(code === 'inner_step' && !hasInner),
    )
    .map((code) => all.find((column) => column.code === code))
    .filter((column) => column !== undefined);
}

/** Margins shown beside a sheet: quantity and head, the first of a list that is measured anywhere. */
export const MARGINS: Record<SheetName, readonly { quantities: readonly string[]; head: string }[]> = {
  outer: [
    { quantities: ['load_from_claim', 'load_from_middle'], head: 'seat load' },
    { quantities: ['travel_to_bind'], head: 'travel to bind' },
  ],
  inner: [
    { quantities: ['load_from_claim', 'load_from_middle'], head: 'seat load' },
    { quantities: ['travel_to_bind'], head: 'travel to bind' },
  ],
  heights: [
    { quantities: ['retainer_to_seal'], head: 'retainer to seal' },
    { quantities: ['spring_in_pocket'], head: 'spring in pocket' },
  ],
};

/** Values without a limit that a sheet derives. */
export const DERIVED: Record<SheetName, readonly { name: string; head: string }[]> = {
  outer: [
    { name: 'rate', head: 'rate' },
    { name: 'seat_load', head: 'load at its height' },
  ],
  inner: [
    { name: 'rate', head: 'rate' },
    { name: 'seat_load', head: 'load at its height' },
  ],
  heights: [{ name: 'net_lift', head: 'lift, computed' }],
};
