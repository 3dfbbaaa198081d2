import { useMemo, useState } from 'react';
import {
  FieldError,
  FIRST_POUR,
  planFormulation,
  quickFormulation,
  type Formulation,
  type Plan,
  type QuickPour,
  type Studio,
} from '@ythrion/core';

interface QuickPlan {
  plan: Plan;
  formulation: Formulation;
}

/** The plan of a quick pour; while it cannot be planned, the last one that could, and why. */
export function useQuickPlan(quick: QuickPour, studio: Studio): QuickPlan & { problem: string | null } {
  const now = useMemo(() => planOrWhy(quick, studio), [quick, studio]);
  const [good, setGood] = useState<QuickPlan>(() =>
    typeof now === 'string' ? planned(FIRST_POUR, studio) : now,
  );
  if (typeof now === 'string') return { ...good, problem: now };
  if (now !== good) setGood(now);
  return { ...now, problem: null };
}

function planned(quick: QuickPour, studio: Studio): QuickPlan {
  const formulation = quickFormulation(quick, (what) => what, studio);
  return { formulation, plan: planFormulation(formulation) };
}

function planOrWhy(quick: QuickPour, studio: Studio): QuickPlan | string {
  try {
    return planned(quick, studio);
  } catch (error) {
    if (error instanceof FieldError) return error.message;
    throw error;
  }
}
