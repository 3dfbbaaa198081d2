import { useMemo, useState } from 'react';
import {
  FieldError,
  formulate,
  planFormulation,
  type Colorway,
  type Formulation,
  type Plan,
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
  const now = useMemo(() => attempt(name, recipe, shelf), [name, recipe, shelf]);
  const [good, setGood] = useState(now);
  if (now.problem === null && now !== good) setGood(now);
  return now.problem === null ? now : { ...good, problem: now.problem };
}

function attempt(name: string, recipe: Colorway['recipe'], shelf: ShelfResponse): DraftPlan {
  try {
    const formulation = formulate(name, recipe, shelf);
    const today = new Date().toISOString();
    return {
      formulation,
      plan: planFormulation(formulation, { left: shelf.stockLeft, today }),
      problem: null,
    };
  } catch (error) {
    if (!(error instanceof FieldError)) throw error;
    return { plan: null, formulation: null, problem: error.message };
  }
}
