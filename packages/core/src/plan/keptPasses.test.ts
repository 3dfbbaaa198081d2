import fc from 'fast-check';
import { BENCH_TOOLS, POT, SHELF } from '../../test/examples';
import { anyRecipe } from '../../test/wholeRange';
import { written } from '../../test/written';
import { formulate } from '../recipe/materials';
import type { Formulation, Recipe } from '../recipe/recipe';
import { printedPlan } from '../words/printedPlan';
import { planFormulation } from './plan';

const formulationOf = (recipe: Recipe): Formulation =>
  formulate('x', recipe, { ...SHELF, tools: BENCH_TOOLS }, POT);

/** A plan as it is printed, or why there is none. */
function planned(formulation: Formulation): unknown {
  try {
    return written(printedPlan(formulation, planFormulation(formulation)));
  } catch (error) {
    return String(error);
  }
}

/** Things a dyer changes in a recipe, taken from another one; all that is not changed stays the same object. */
const CHANGES: Record<string, (recipe: Recipe, other: Recipe, at: number) => Recipe> = {
  'a pass': (recipe, other, at) => ({
    ...recipe,
    passes: recipe.passes.map((pass, i) =>
      i === at % recipe.passes.length ? { ...(other.passes[0] ?? pass), id: pass.id } : pass,
    ),
  }),
  'the order of passes': (recipe) => ({ ...recipe, passes: recipe.passes.toReversed() }),
  'one pass less': (recipe) => ({
    ...recipe,
    passes: recipe.passes.length > 1 ? recipe.passes.slice(0, -1) : recipe.passes,
  }),
  'a pass more': (recipe, other) => ({
    ...recipe,
    passes: [...recipe.passes, ...other.passes.slice(0, 1).map((pass) => ({ ...pass, id: 'one-more' }))],
  }),
  goods: (recipe, other) => ({ ...recipe, goods: other.goods }),
  soak: (recipe, other) => ({ ...recipe, wettingMinutes: other.wettingMinutes }),
  set: (recipe, other) => ({ ...recipe, set: other.set }),
};

const STUDIOS: Record<string, Partial<Formulation>> = {
  water: { water: { alkalinityMgPerL: 7, countFiberUptake: false } },
  place: { place: { altitudeM: 900, tapC: 9, roomC: 14 } },
  pot: { pot: null },
  tools: { tools: [] },
  spoons: { spoons: 'metric' },
};

test.each([...Object.keys(CHANGES), ...Object.keys(STUDIOS)])(
  'a plan in which some passes are kept is the plan told anew: %s changed',
  (name) => {
    fc.assert(
      fc.property(anyRecipe, anyRecipe, fc.nat(11), (recipe, other, at) => {
        planned(formulationOf(recipe));
        const changed = { ...formulationOf(CHANGES[name]?.(recipe, other, at) ?? recipe), ...STUDIOS[name] };
        expect(planned(changed)).toEqual(planned(structuredClone(changed)));
      }),
      { numRuns: 25 },
    );
  },
);

test('typing in one pass leaves those before it as they were told', () => {
  const [pass] = fc.sample(anyRecipe, { numRuns: 1, seed: 4 }).map(({ passes }) => passes[0]);
  const recipe: Recipe = {
    ...fc.sample(anyRecipe, { numRuns: 1, seed: 4 })[0]!,
    passes: [0, 1, 2].map((n) => ({ ...pass!, id: `p${n}` })),
  };
  const before = planFormulation(formulationOf(recipe));
  const [first, second, third] = recipe.passes;
  const typed = { ...recipe, passes: [first!, { ...second!, topUpMl: 321 }, third!] };
  const after = planFormulation(formulationOf(typed));
  expect(after.passes.map((one, i) => one === before.passes[i])).toEqual([true, false, false]);
});
