import { canBeHeated, keepsBath, methodFacts } from '../method';
import type { HeatSet, Pass, Recipe } from './recipe';
import { USUAL_PASS_HEAT } from './usualSet';

/**
 * Whether goods come out of a pass before its dye had any heat to strike by. Ways that stand cold have their own wait;
 * powder that is strewn lies on the goods and comes along; a bath that the next pass goes on in keeps its dye for it, and a
 * last pass is heated by a set in the same bath.
 * @param next the pass after it; null for the set
 */
export function isLeftInBath(pass: Pass, next: Pass | null, set: Pick<HeatSet, 'method'>): boolean {
  const inLiquid = canBeHeated(pass.method) && !methodFacts(pass.method.kind).dry;
  if (pass.heat !== null || !inLiquid) return false;
  return next === null ? set.method === 'steam' : !keepsBath(next);
}

/** Passes with one more at the end: the one that had the set for its heat until now gets heat of its own. */
export function withPassAfter({ passes, set }: Pick<Recipe, 'passes' | 'set'>, pass: Pass): Pass[] {
  const last = passes.at(-1);
  return last && isLeftInBath(last, pass, set)
    ? [...passes.slice(0, -1), { ...last, heat: USUAL_PASS_HEAT }, pass]
    : [...passes, pass];
}
