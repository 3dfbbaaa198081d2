import { dyeLine, goodsLine, recipe, SHELF } from '../../test/examples';
import { refusal } from '../../test/refusal';
import type { Recipe } from '../recipe/recipe';
import { potSchema, type Pot } from '../shelf/pot';
import { splitIntoLoads } from './splitIntoLoads';

const pot = (id: string, liters: number): Pot =>
  potSchema.parse({ id, name: `Pot ${id}`, capacityMl: 1000 * liters, powerWatts: 2000 });
const POTS = [pot('a', 10), pot('b', 10), pot('c', 7), pot('d', 13.5)];
/** 100 g skeins in 30:1 take 3.1 L each, goods and all: three in 10 L, two in 7 L, four in 13.5 L. */
const COLORWAY = {
  name: 'Curfew',
  asWritten: {},
  recipe: recipe({ goods: [goodsLine({ id: 'g', baseId: 'wool', count: 3, gramsEach: 100 })] }),
};
const shelf = { ...SHELF, pots: POTS };
const split = (pieces: number, pots = POTS, colorway = COLORWAY) =>
  splitIntoLoads(colorway, pieces, pots, shelf);
const counts = (...asked: Parameters<typeof split>): number[] =>
  split(...asked).loads.map(({ count }) => count);

test('a vessel takes as many as its bath and goods leave room for', () =>
  expect([...split(66).most.values()]).toEqual([3, 3, 2, 4]));

test('66 skeins over four pots that hold twelve: six rounds of eleven, eleven of them now', () => {
  const { loads, left, rounds } = split(66);
  expect([loads.reduce((sum, { count }) => sum + count, 0), left, rounds]).toEqual([11, 55, 5]);
  // None over what it holds, the fullness as even as it can be.
  expect(loads.map(({ count }) => count)).toEqual([3, 3, 2, 3]);
});

test('what fits at once is spread evenly, and nothing is left', () => {
  expect(counts(12)).toEqual([3, 3, 2, 4]);
  expect([counts(6).reduce((sum, count) => sum + count, 0), split(6).left, split(6).rounds]).toEqual([
    6, 0, 0,
  ]);
  expect(counts(4, [POTS[0]!, POTS[1]!])).toEqual([2, 2]);
  expect(counts(1)).toEqual([1]);
});

test('each load has its own amounts, at the same depth', () => {
  const [first, , third] = split(66).loads;
  const dose = (load: typeof first): number => load!.plan.passes[0]!.pours[0]!.grams.value;
  expect(dose(first) / dose(third)).toBeCloseTo(3 / 2, 9);
  expect(first!.plan.totals.dos.value).toBeCloseTo(third!.plan.totals.dos.value, 9);
  expect(first!.formulation.pot?.id).toBe('a');
  expect(first!.plan.passes[0]!.bath.value).toBeCloseTo(9000, 6);
});

test('dye that was said in mL is divided as the goods are', () => {
  const inMl: Recipe = {
    ...COLORWAY.recipe,
    passes: COLORWAY.recipe.passes.map((pass) => ({
      ...pass,
      dyes: [
        dyeLine({ id: 'd', dyeId: 'blue', stockId: 'blue-1', entry: { school: 'stock', milliliters: 300 } }),
      ],
    })),
  };
  // 300 mL were for 300 g: a load of 200 g gets 200 mL.
  const third = split(66, POTS, { ...COLORWAY, recipe: inMl }).loads[2];
  expect(third!.plan.passes[0]!.pours[0]!.volume!.value).toBeCloseTo(200, 9);
});

test('a load larger than every vessel, and none chosen: each says what to do', () => {
  expect(refusal(() => split(3, [pot('tiny', 2), pot('small', 3)]))).toBe(
    'Pot small, the largest of them, holds 3 L; a single piece in its bath needs 3.1 L. Take less water to the gram, or a larger vessel.',
  );
  expect(refusal(() => split(3, []))).toBe('Choose at least one vessel to dye in.');
});
