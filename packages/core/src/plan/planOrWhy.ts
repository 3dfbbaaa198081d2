import { orWhy } from '../figure/orWhy';
import { formulateColorway, type Shelf } from '../recipe/materials';
import { notOwn } from '../recipe/passIn';
import type { Colorway, Formulation } from '../recipe/recipe';
import { firstFree, vesselChoices } from '../shelf/vesselChoices';
import type { PlanContext } from './notices';
import { planFormulation } from './plan';
import type { Plan } from './planTypes';
import { potNeedsMl } from './potNeeds';

/** What a plan is made from: a colorway, saved or still being written. */
export type Planned = Pick<Colorway, 'name' | 'recipe' | 'asWritten'>;

/** A plan, or why there is none. */
export type PlanOrWhy =
  | { plan: Plan; formulation: Formulation; problem: null }
  | { plan: null; formulation: null; problem: string };

/** The plan of a colorway, or why there is none: what was saved once may not be possible with the shelf of today. */
export function planOrWhy(colorway: Planned, shelf: Shelf, context: PlanContext = {}): PlanOrWhy {
  const { value, problem } = orWhy(() => {
    const formulation = formulateColorway(colorway, shelf);
    return { formulation, plan: planFormulation(formulation, context) };
  });
  return value ? { ...value, problem: null } : { plan: null, formulation: null, problem };
}

/**
 * The plan of a colorway in the vessel that it names or, where it names none, in the first that is free and large enough.
 * @param inUse names of the batches that stand in vessels, by the vessel's id
 */
export function planInFirstFree(
  colorway: Planned,
  shelf: Shelf,
  inUse: ReadonlyMap<string, string>,
  context: PlanContext = {},
): PlanOrWhy {
  const { recipe } = colorway;
  const first = planOrWhy(colorway, shelf, context);
  if (recipe.potId !== null || !first.plan) return first;
  const choices = vesselChoices(shelf.pots ?? [], inUse, potNeedsMl(recipe, first.plan));
  const pot = firstFree(notOwn(choices, recipe));
  return pot ? planOrWhy({ ...colorway, recipe: { ...recipe, potId: pot.id } }, shelf, context) : first;
}
