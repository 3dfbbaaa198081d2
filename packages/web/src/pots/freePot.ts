import type { BatchResponse, Pot } from '@ythrion/core';

/** The first pot that nothing stands in. */
export function freePot(pots: readonly Pot[], running: readonly BatchResponse[]): Pot | undefined {
  const busy = new Set(running.map((batch) => batch.formulation.pot?.id));
  return pots.find((pot) => !busy.has(pot.id)) ?? pots[0];
}
