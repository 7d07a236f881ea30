import type { Schemas } from '../shared/api';

type Bin = Schemas['LoggedBinView'];

const WIDTH = 100;

/** Seconds of a log between two speeds: of a bin that is cut, its share. */
export const secondsBetween = (bins: readonly Bin[], from: number, to: number): number =>
  bins.reduce((sum, bin) => {
    const share = (Math.min(to, bin.from + WIDTH) - Math.max(from, bin.from)) / WIDTH;
    return share > 0 ? sum + bin.seconds * share : sum;
  }, 0);

/** Seconds above a speed. */
export const secondsAbove = (bins: readonly Bin[], from: number): number => secondsBetween(bins, from, Infinity);
