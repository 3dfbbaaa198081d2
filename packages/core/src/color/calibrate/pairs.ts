import type { Problem } from './problem';

/**
 * Dyes on bases that are not the measure of others, as far as such a dyeing was measured: there each shows a little more
 * or less than the base says of all. The place of each pair among them.
 */
export type Pairs = ReadonlyMap<number, number>;

export const NO_PAIRS: Pairs = new Map();

const keyOf = ({ bases }: Pick<Problem, 'bases'>, dye: number, base: number): number =>
  dye * bases.length + base;

/** The place of a dye on a base among the pairs; null where it was not measured there. */
export const pairOf = (problem: Pick<Problem, 'bases' | 'pairs'>, dye: number, base: number): number | null =>
  problem.pairs.get(keyOf(problem, dye, base)) ?? null;

/** The dye and the base of each pair, in their order. */
export const pairsIn = ({
  bases,
  pairs,
}: Pick<Problem, 'bases' | 'pairs'>): { dye: number; base: number }[] =>
  [...pairs.keys()].map((key) => ({ dye: Math.floor(key / bases.length), base: key % bases.length }));

/** Those that are there and some more. */
export function pairsWith(
  problem: Pick<Problem, 'bases' | 'measure' | 'pairs'>,
  more: Iterable<{ dye: number; base: number }>,
): Pairs {
  const pairs = new Map(problem.pairs);
  for (const { dye, base } of more) {
    const key = keyOf(problem, dye, base);
    if (base !== problem.measure && !pairs.has(key)) pairs.set(key, pairs.size);
  }
  return pairs;
}

/** The pairs of some dyeings. */
export const pairsDyed = (observations: Problem['observations']): { dye: number; base: number }[] =>
  observations.flatMap(({ base, doses }) => doses.map(({ dye }) => ({ dye, base })));
