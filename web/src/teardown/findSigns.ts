import type { SignView } from '../shared/api';

/**
 * Signs that hold every typed word as the beginning of one of theirs, in the name first, then in what else people call it.
 */
export function findSigns<T extends Pick<SignView, 'name' | 'words' | 'lookFor'>>(signs: readonly T[], typed: string): T[] {
  const wanted = typed
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const score = (sign: T): number => {
    let total = 0;
    for (const word of wanted) {
      const inWords = (text: string): boolean =>
        text
          .toLowerCase()
          .split(/[^\p{L}\p{N}]+/u)
          .some((one) => one.startsWith(word));
      if (inWords(sign.name)) total += 3;
      else if (inWords(sign.words.join(' '))) total += 2;
      else if (inWords(sign.lookFor)) total += 1;
      else return -1;
    }
    return total;
  };
  return signs
    .map((sign) => [sign, score(sign)] as const)
    .filter(([, points]) => points >= 0)
    .sort((a, b) => b[1] - a[1])
    .map(([sign]) => sign);
}
