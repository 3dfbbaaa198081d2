import { threeFigures } from '../units/threeFigures';

/** Shares of a cup that have a word of their own. */
const SHARE_WORDS: readonly [number, string][] = [
  [1, 'All of the cup'],
  [3 / 4, 'Three quarters of the cup'],
  [2 / 3, 'Two thirds of the cup'],
  [1 / 2, 'Half of the cup'],
  [1 / 3, 'A third of the cup'],
  [1 / 4, 'A quarter of the cup'],
];

/** Shares that are offered, the whole first. */
export const CUP_SHARES = SHARE_WORDS.map(([share, words]) => ({ share, words }));

/** How much of a cup, in words: `Half of the cup`. */
export const partOfCup = (share: number): string =>
  SHARE_WORDS.find(([one]) => Math.abs(one - share) < 1e-6)?.[1] ??
  `${threeFigures(100 * share)} % of the cup`;
