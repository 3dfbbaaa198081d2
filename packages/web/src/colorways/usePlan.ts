import { useMemo, useState } from 'react';
import {
  FieldError,
  formulate,
  planFormulation,
  type Colorway,
  type Formulation,
  type Plan,
  type PlanContext,
  type Shelf,
  type ShelfResponse,
} from '@ythrion/core';

/** A colorway's plan; while it cannot be planned, the last one that could, and why. */
export interface DraftPlan {
  plan: Plan | null;
  formulation: Formulation | null;
  problem: string | null;
}

/** The plan of a draft, renewed with every change. */
export function usePlan({ name, recipe }: Colorway, shelf: ShelfResponse): DraftPlan {
  const now = useMemo(
    () => planOrWhy(name, recipe, shelf, { left: shelf.stockLeft, today: new Date().toISOString() }),
    [name, recipe, shelf],
  );
  const [good, setGood] = useState(now);
  if (now.problem === null && now !== good) setGood(now);
  return now.problem === null ? now : { ...good, problem: now.problem };
}

/** The plan of a recipe, or why there is none: what was saved once may not be possible with the shelf of today. */
export function planOrWhy(
  name: string,
  recipe: Colorway['recipe'],
  shelf: Shelf,
  context: PlanContext = {},
): DraftPlan {
  try {
    const formulation = formulate(name, recipe, shelf);
    return { formulation, plan: planFormulation(formulation, context), problem: null };
  } catch (error) {
    if (!(error instanceof FieldError)) throw error;
    return { plan: null, formulation: null, problem: error.message };
  }
}
