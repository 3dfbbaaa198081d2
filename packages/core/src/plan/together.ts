import { potsOf, type Shelf } from '../recipe/materials';
import { onBase } from './onBase';
import { planInFirstFree, planOrWhy, type Planned, type PlanOrWhy } from './planOrWhy';
import { atDepth } from './resize';
import { withCount } from './withCount';

/** A batch that is to be begun beside others. */
export interface AskedBatch {
  colorway: Planned;
  /** What its first goods are of; null: as in the colorway. */
  baseId: string | null;
  /** Pieces of its first goods; null: as in the colorway. */
  count: number | null;
  /** Depth of shade in all, %, each dye keeping its part of it; null: as in the colorway. */
  dosPercent: number | null;
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
    const { colorway, baseId, count, dosPercent, potId } = one;
    const whole = planOrWhy(colorway, shelf);
    if (!whole.plan) return { ...whole, asked: one };
    const deep = dosPercent === null ? colorway.recipe : atDepth(colorway.recipe, dosPercent, whole.plan);
    const own = onBase(deep, baseId, shelf.bases, whole.plan);
    const recipe = { ...withCount(own, count, whole), potId };
    const planned = planInFirstFree({ ...colorway, recipe }, shelf, taken);
    for (const { id } of planned.formulation ? potsOf(planned.formulation) : []) taken.set(id, colorway.name);
    return { ...planned, asked: one };
  });
}
