import type { BatchResponse, Pot } from '@ythrion/core';

/**
 * A pot that nothing stands in: the one that is wished, or the first that is no smaller, or the first of all.
 * @param wished as it stood in a record, say; null for any
 */
export function freePot(
  pots: readonly Pot[],
  running: readonly BatchResponse[],
  wished: Pot | null = null,
): Pot | undefined {
  const busy = new Set(running.map((batch) => batch.formulation.pot?.id));
  const free = pots.filter((pot) => !busy.has(pot.id));
  return (
    free.find((pot) => pot.id === wished?.id) ??
    free.find((pot) => pot.capacityMl >= (wished?.capacityMl ?? 0)) ??
    free[0] ??
    pots[0]
  );
}
