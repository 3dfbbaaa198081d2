import { BLUE_1, dyeLine, recipe, SHELF } from '../../test/examples';
import { formulateColorway } from './materials';
import type { Colorway } from './recipe';
import { planFormulation } from '../plan/plan';
import { replaceDye, usesDye } from './replaceDye';

/** 100 g of wool with one blue line, as it is typed. */
const colorway = (
  line: Parameters<typeof dyeLine>[0],
  asWritten: Record<string, string> = {},
): Pick<Colorway, 'name' | 'recipe' | 'asWritten'> => {
  const base = recipe();
  return {
    name: 'Test',
    asWritten,
    recipe: {
      ...base,
      goods: base.goods.map((goods) => ({ ...goods, count: 1, gramsEach: 100, weighedGrams: null })),
      passes: base.passes.slice(0, 1).map((pass) => ({ ...pass, dyes: [dyeLine(line)] })),
    },
  };
};
const inDepth = {
  id: 'd',
  dyeId: 'blue',
  entry: { school: 'depth', percent: 0.8 },
  stockId: BLUE_1.id,
} as const;
const lineOf = ({ recipe: { passes } }: Pick<Colorway, 'recipe'>) => passes[0]!.dyes[0]!;

test('a depth stays, and the dye comes from a jar of its own', () => {
  const next = replaceDye(colorway(inDepth), 'blue', 'red', 100, SHELF);
  expect(lineOf(next)).toMatchObject({
    dyeId: 'red',
    stockId: 'red-1',
    entry: { school: 'depth', percent: 0.8 },
  });
  expect(usesDye(next, 'blue')).toBe(false);
  expect(usesDye(next, 'red')).toBe(true);
});

test('at another share of the depth', () =>
  expect(lineOf(replaceDye(colorway(inDepth), 'blue', 'red', 75, SHELF)).entry).toEqual({
    school: 'depth',
    percent: 0.6,
  }));

test('spoons of a stock become the depth that they were; what was typed for them goes', () => {
  // 6 US tablespoons of 1 % on 100 g: 88.72 mL, 0.887 %.
  const spooned = colorway(
    { ...inDepth, entry: { school: 'stock spoons', teaspoons: 18 } },
    { 'dyes.d.stock spoons': '6 tbsp', wettingMinutes: 'an hour' },
  );
  const next = replaceDye(spooned, 'blue', 'red', 100, SHELF);
  expect(lineOf(next).entry).toEqual({ school: 'depth', percent: 0.8872 });
  expect(next.asWritten).toEqual({ wettingMinutes: 'an hour' });
});

test('what is replaced plans as it did, of the other dye', () => {
  const next = replaceDye(colorway(inDepth), 'blue', 'red', 100, SHELF);
  const plan = planFormulation(formulateColorway(next, SHELF));
  expect(plan.passes[0]!.pours[0]).toMatchObject({ dyeId: 'red' });
  expect(plan.passes[0]!.pours[0]!.volume!.value).toBeCloseTo(80, 9);
});

test('other dyes stay as they are', () => {
  const before = colorway({ ...inDepth, dyeId: 'red', stockId: 'red-1' });
  expect(replaceDye(before, 'blue', 'red', 50, SHELF).recipe).toEqual(before.recipe);
});
