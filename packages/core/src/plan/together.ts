import { potsOf, type Shelf } from '../recipe/materials';
import { planInFirstFree, planOrWhy, type Planned, type PlanOrWhy } from './planOrWhy';
import { withCount } from './withCount';

/** A batch that is to be begun beside others. */
export interface AskedBatch {
  colorway: Planned;
  /** Pieces of its first goods; null: as in the colorway. */
  count: number | null;
  /** Null: the first free one that is large enough. */
  potId: string | null;
}

/**
 * Batches that are to be begun together, each planned in the vessel that was chosen for it or in the first that neither
 * a batch of today nor one before it in the list stands in.
 * @param inUse names of the batches that stand in vessels, by the vessel's id
 * @returns in the order of what was asked
 */
export function planTogether<Asked extends AskedBatch>(
  asked: readonly Asked[],
  shelf: Shelf,
  inUse: ReadonlyMap<string, string>,
): (PlanOrWhy & { asked: Asked })[] {
  const taken = new Map(inUse);
  for (const { colorway, potId } of asked)
    if (potId !== null && !taken.has(potId)) taken.set(potId, colorway.name);
  return asked.map((one) => {
    const { colorway, count, potId } = one;
    const whole = planOrWhy(colorway, shelf);
    if (!whole.plan) return { ...whole, asked: one };
    const recipe = { ...withCount(colorway.recipe, count, whole), potId };
    const planned = planInFirstFree({ ...colorway, recipe }, shelf, taken);
    for (const { id } of planned.formulation ? potsOf(planned.formulation) : []) taken.set(id, colorway.name);
    return { ...planned, asked: one };
  });
}
