import { useMemo, useState } from 'react';
import {
  FieldError,
  firstFree,
  formulateColorway,
  planFormulation,
  potNeedsMl,
  type Colorway,
  type Formulation,
  type Plan,
  type PlanContext,
  type Shelf,
  type ShelfResponse,
  vesselChoices,
} from '@ythrion/core';

/** A colorway's plan; while it cannot be planned, the last one that could, and why. */
export interface DraftPlan {
  plan: Plan | null;
  formulation: Formulation | null;
  problem: string | null;
}

/**
 * The plan of a draft, renewed with every change. Where no pot was chosen its heat is that of the first that is free and
 * large enough. @param inUse batches by the vessel they stand in
 */
export function usePlan(
  { name, recipe, asWritten }: Colorway,
  shelf: ShelfResponse,
  inUse: ReadonlyMap<string, string>,
): DraftPlan {
  const now = useMemo(() => {
    const context = { left: shelf.stockLeft, today: new Date().toISOString() };
    const first = planOrWhy({ name, recipe, asWritten }, shelf, context);
    if (recipe.potId !== null || !first.plan) return first;
    const pot = firstFree(vesselChoices(shelf.pots, inUse, potNeedsMl(recipe, first.plan)));
    return pot ? planOrWhy({ name, asWritten, recipe: { ...recipe, potId: pot.id } }, shelf, context) : first;
  }, [name, recipe, asWritten, shelf, inUse]);
  const [good, setGood] = useState(now);
  if (now.problem === null && now !== good) setGood(now);
  return now.problem === null ? now : { ...good, problem: now.problem };
}

/** The plan of a recipe, or why there is none: what was saved once may not be possible with the shelf of today. */
export function planOrWhy(
  colorway: Pick<Colorway, 'name' | 'recipe' | 'asWritten'>,
  shelf: Shelf,
  context: PlanContext = {},
): DraftPlan {
  try {
    const formulation = formulateColorway(colorway, shelf);
    return { formulation, plan: planFormulation(formulation, context), problem: null };
  } catch (error) {
    if (!(error instanceof FieldError)) throw error;
    return { plan: null, formulation: null, problem: error.message };
  }
}
