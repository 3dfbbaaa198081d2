const SEED = 20_261_126;

/**
 * A seeded sample, in the order in which things stood; all of them where there are not so many.
 * @template T @param {readonly T[]} all @param {number} size @returns {T[]}
 */
export function sampleOf(all, size) {
  if (all.length <= size) return [...all];
  let seed = SEED;
  // Park and Miller's minimal standard generator.
  const random = () => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647;
  return all
    .map((one, i) => ({ one, i, by: random() }))
    .toSorted((a, b) => a.by - b.by)
    .slice(0, size)
    .toSorted((a, b) => a.i - b.i)
    .map(({ one }) => one);
}
