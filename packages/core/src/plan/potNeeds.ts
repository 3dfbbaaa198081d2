import { methodFacts } from '../method';
import type { Pass, Recipe } from '../recipe/recipe';
import type { Plan, PlannedPass } from './planTypes';

/** Liquid, goods and water topped up that a pass has in its pot at once, mL; null where it needs a pan or none. Goods of 1 g/mL. */
export function fullMl(pass: Pass, planned: PlannedPass, wogGrams: number): number | null {
  const { liquid } = methodFacts(pass.method.kind);
  return liquid === 'pan' || liquid === 'paint' ? null : planned.bath.value + wogGrams + pass.topUpMl;
}

/** What the pot of a plan must hold, mL: its fullest pass; 0 where no pass needs one, or each has its own. */
export const potNeedsMl = ({ passes }: Recipe, plan: Pick<Plan, 'passes' | 'wog'>): number =>
  Math.max(
    0,
    ...passes.flatMap((pass, i) => {
      const planned = plan.passes[i];
      return (pass.potId === null && planned && fullMl(pass, planned, plan.wog.value)) || [];
    }),
  );
