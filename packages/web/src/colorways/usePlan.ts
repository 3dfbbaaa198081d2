import { useMemo, useState } from 'react';
import {
  planInFirstFree,
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

/**
 * The plan of a draft, renewed with every change. Where no pot was chosen its heat is that of the first that is free and
 * large enough. @param inUse batches by the vessel they stand in
 */
export function usePlan(
  { name, recipe, asWritten }: Colorway,
  shelf: ShelfResponse,
  inUse: ReadonlyMap<string, string>,
): DraftPlan {
  const now = useMemo<DraftPlan>(
    () =>
      planInFirstFree({ name, recipe, asWritten }, shelf, inUse, {
        left: shelf.stockLeft,
        today: new Date().toISOString(),
      }),
    [name, recipe, asWritten, shelf, inUse],
  );
  const [good, setGood] = useState(now);
  if (now.problem === null && now !== good) setGood(now);
  return now.problem === null ? now : { ...good, problem: now.problem };
}
