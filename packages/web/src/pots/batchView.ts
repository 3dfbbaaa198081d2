import { actualRecipe, type ActualRecipe, type Batch, type Dye } from '@ythrion/core';
import { potView, type PotView } from './potView';

/** Everything a screen shows of one batch, computed in one place. */
export interface BatchView extends PotView {
  actual: ActualRecipe;
}

/** `potView` with what the batch really was. @param dyes every dye its entries may name */
export function batchView(batch: Batch, dyes: readonly Dye[]): BatchView {
  const pot = potView(batch, dyes);
  return {
    ...pot,
    actual: actualRecipe(batch.formulation, pot.plan, batch.entries, [...batch.formulation.dyes, ...dyes]),
  };
}
