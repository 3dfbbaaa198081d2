import fc from 'fast-check';
import { BENCH_TOOLS, POT, SHELF } from '../../test/examples';
import { anyRecipe } from '../../test/wholeRange';
import { FieldError } from '../figure/fieldError';
import { cardOf } from '../record/cardOf';
import { formulate } from '../recipe/materials';
import { spoken } from '../words/noticeWords';
import { planFormulation } from './plan';
import { recipeSchema } from '../recipe/recipe';

const shelf = { ...SHELF, tools: BENCH_TOOLS };

test('whatever a field lets through is planned, or refused with the field named', () => {
  let [planned, refused] = [0, 0];
  fc.assert(
    fc.property(anyRecipe, (recipe) => {
      const formulation = formulate('x', recipe, shelf, POT);
      try {
        cardOf(formulation, planFormulation(formulation));
        planned += 1;
      } catch (error) {
        if (!(error instanceof FieldError)) throw error;
        expect(error.field).toMatch(/^recipe\./);
        refused += 1;
      }
    }),
    { numRuns: 500, seed: 20_261_125 },
  );
  expect(planned).toBeGreaterThan(2 * refused);
});

test('“2” on the way to “2 L” is a bath that cannot hold its acid: said, and every other figure stands', () => {
  const recipe = recipeSchema.parse({
    goods: [{ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 }],
    wettingMinutes: 30,
    passes: [
      {
        id: 'p1',
        method: { kind: 'immersion' },
        dyes: [{ id: 'd1', dyeId: 'blue', entry: { school: 'depth', percent: 1 }, stockId: null }],
        water: { basis: 'volume', value: 2 },
        acids: [{ material: 'citric', strengthPercent: 100, basis: 'amount', value: 20 }],
      },
    ],
    set: { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 60 },
  });
  const plan = planFormulation(formulate('x', recipe, shelf, POT));
  expect(plan.notices.map(spoken)).toContainEqual({
    code: 'acid does not dissolve',
    about: 'acid',
    passId: 'p1',
    text: '2 mL of water cannot hold 20 g of citric acid crystals. Take more water or less acid.',
    blocks: true,
  });
  expect(plan.passes[0]?.pours[0]?.grams.value).toBe(2);
  expect(plan.passes[0]?.acids[0]?.pH.value).toBeGreaterThan(0);
});
