import { depth, SHELF } from '../../test/examples';
import { asPlanned, begunBatch, withEvents } from '../../test/records';
import { METHODS, type MethodKind } from '../method';
import { formulate } from '../recipe/materials';
import { planFormulation } from '../plan/plan';
import { recipeSchema } from '../recipe/recipe';
import { actualRecipe } from './actualRecipe';
import { besideMeasured } from './besideMeasured';

/** 200 g of wool in one way, vinegar at the start, all ticked as planned. */
function dyed(kind: MethodKind) {
  const { usual, dry } = METHODS[kind];
  const recipe = recipeSchema.parse({
    goods: [{ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 }],
    wettingMinutes: 30,
    passes: [
      {
        id: 'p1',
        method: usual,
        dyes: [depth('d1', 'blue', 0.5, dry ? null : 'blue-1')],
        water: { basis: 'ratio', value: 30 },
        acids: [{ material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1 }],
      },
    ],
    set: { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 60 },
  });
  const begun = begunBatch(formulate(kind, recipe, SHELF));
  return withEvents(begun, asPlanned(begun));
}

test('ice that melts, and what wet goods bring to a pan, belong to the bath; nothing else goes unmeasured', () => {
  const beside = (kind: MethodKind): number => {
    const { card } = dyed(kind);
    return besideMeasured(card, card.passes[0]!);
  };
  expect(beside('ice')).toBeCloseTo(1500, 6);
  // 200 g at 1.2 mL/g, dripping from the soak.
  expect(beside('low immersion')).toBeCloseTo(240, 6);
  expect([beside('immersion'), beside('painting'), beside('sprinkle')]).toEqual([0, 0, 0]);
});

// Of the painting only one section has dye.
test.each(['ice', 'low immersion', 'immersion', 'painting', 'painted stack'] as const)(
  '%s poured as planned and dyed again takes the same acid and water',
  (kind) => {
    const batch = dyed(kind);
    const { version, bath } = actualRecipe(batch, SHELF.dyes);
    const [planned] = planFormulation(batch.formulation).passes;
    const [again] = planFormulation({ ...batch.formulation, recipe: version!.recipe }).passes;
    expect(bath.value).toBeCloseTo(planned!.bath.value, 6);
    expect(planned!.acids[0]!.amount.value).toBeGreaterThan(1);
    expect(again!.acids[0]!.amount.value).toBeCloseTo(planned!.acids[0]!.amount.value, 6);
    expect(again!.water.value).toBeCloseTo(planned!.water.value, 6);
  },
);
