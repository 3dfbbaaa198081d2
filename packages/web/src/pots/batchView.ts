import {
  actualRecipe,
  batchState,
  planFormulation,
  type ActualRecipe,
  type Batch,
  type BatchState,
  type Dye,
  type Plan,
} from '@ythrion/core';

/** Everything a screen shows of one batch, computed in one place. */
export interface BatchView {
  plan: Plan;
  state: BatchState;
  actual: ActualRecipe;
  /** How full the pot is, 0 to 1. */
  level: number;
}

/** A batch's plan, where it stands and what it really was. @param dyes every dye its entries may name */
export function batchView(batch: Batch, dyes: readonly Dye[]): BatchView {
  const known = [...batch.formulation.dyes, ...dyes];
  const plan = planFormulation(batch.formulation);
  const state = batchState(plan, known, batch.entries, batch.startedAt);
  const capacity = batch.formulation.pot?.capacityMl ?? (plan.passes[0]?.bath.value ?? 1) * 1.5;
  return {
    plan,
    state,
    actual: actualRecipe(batch.formulation, plan, batch.entries, known),
    level: state.bath.volumeMl / capacity,
  };
}
