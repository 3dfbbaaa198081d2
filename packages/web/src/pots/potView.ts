import { batchState, planFormulation, type Batch, type BatchState, type Dye, type Plan } from '@ythrion/core';

/** What a pot shows of its batch. */
export interface PotView {
  plan: Plan;
  state: BatchState;
  /** How full the pot is, 0 to 1. */
  level: number;
}

/** A batch's plan and where it stands. @param dyes the dyes on the shelf, for the color of what was added unplanned */
export function potView(batch: Batch, dyes: readonly Dye[]): PotView {
  const plan = planFormulation(batch.formulation);
  const state = batchState(plan, [...batch.formulation.dyes, ...dyes], batch.entries, batch.startedAt);
  const capacity = batch.formulation.pot?.capacityMl ?? (plan.passes[0]?.bath.value ?? 1) * 1.5;
  return { plan, state, level: state.bath.volumeMl / capacity };
}
