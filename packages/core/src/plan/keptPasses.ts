import type { Formulation, Recipe } from '../recipe/recipe';
import type { PlannedPass } from './planTypes';
import type { ToldPass } from './story';

/** What decides how a pass is told, beside itself and the passes before it. */
type Around = Omit<Formulation, 'name' | 'recipe'> &
  Pick<Recipe, 'goods' | 'wettingMinutes'> & { passIds: string[] };

const aroundPasses = ({ name: _, recipe, ...shelf }: Formulation): Around => ({
  ...shelf,
  goods: recipe.goods,
  wettingMinutes: recipe.wettingMinutes,
  passIds: recipe.passes.map(({ id }) => id),
});

/** A story, and what was read from its passes. */
interface Kept {
  around: Around;
  passes: readonly ToldPass[];
  figures: Map<ToldPass, PlannedPass>;
}

/** What was told last, and only that: older ones would hold on to everything that was ever typed. */
let last: Kept | null = null;

/**
 * The passes of a recipe, from its first, that were told last time from the same things; so that typing in one tells anew
 * that one and those after it, and none of those before. Things are the same when they are the same objects: nothing
 * that a plan is made from is ever changed in place.
 */
export function keptPasses(formulation: Formulation): readonly ToldPass[] {
  if (!last || !alike(last.around, aroundPasses(formulation))) return [];
  const { passes } = formulation.recipe;
  const changed = last.passes.findIndex(({ pass }, i) => pass !== passes[i]);
  return changed < 0 ? last.passes : last.passes.slice(0, changed);
}

/** Keeps the passes of a recipe as they were told, with what was read from those that were kept before. */
export function keepPasses(formulation: Formulation, passes: readonly ToldPass[]): void {
  const kept: Kept = { around: aroundPasses(formulation), passes, figures: new Map() };
  for (const told of passes) {
    const planned = last?.figures.get(told);
    if (planned) kept.figures.set(told, planned);
  }
  last = kept;
}

/** The figures of a pass that something follows: read once, for nothing that comes later changes them. */
export function readOnce(told: ToldPass, read: () => PlannedPass): PlannedPass {
  const planned = last?.figures.get(told) ?? read();
  last?.figures.set(told, planned);
  return planned;
}

const same = (one: unknown, other: unknown): boolean =>
  one === other ||
  (Array.isArray(one) &&
    Array.isArray(other) &&
    one.length === other.length &&
    one.every((item, i) => item === other[i]));

const alike = (one: Around, other: Around): boolean =>
  one === other || (Object.keys(one) as (keyof Around)[]).every((key) => same(one[key], other[key]));
