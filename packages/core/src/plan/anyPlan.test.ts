import fc from 'fast-check';
import { BENCH_TOOLS, POT, SHELF, dyeLine } from '../../test/examples';
import { written } from '../../test/written';
import type { Figure } from '../figure/figure';
import { SET_METHOD_NAMES } from '../heat/setMethods';
import { usualSet } from '../recipe/usualSet';
import type { DyeEntry } from '../recipe/dyeEntrySchema';
import { formulate } from '../recipe/materials';
import { METHOD_KINDS, METHODS, sectionsOf } from '../method';
import { planFormulation } from './plan';
import { ACID_TIMES } from '../method/acidTimes';
import { LIES } from '../process/terms';
import { recipeSchema, type Recipe } from '../recipe/recipe';
import { lineWords } from '../words/lineWords';
import { planReading, runSheet } from '../words/runSheet';
import { linesOf } from '../../test/plans';

/** Every figure anywhere in a plan. */
function figures(value: unknown): Figure[] {
  if (value === null || typeof value !== 'object') return [];
  if ('sureness' in value && 'because' in value) return [value as Figure];
  return Object.values(value).flatMap(figures);
}

const number = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });

/** The same recipes every time: what these find is looked into, not met by chance. */
const SEED = 20_261_124;

/** None at all, or an amount that can be measured. */
const orNone = (min: number, max: number): fc.Arbitrary<number> => fc.oneof(fc.constant(0), number(min, max));

const entry: fc.Arbitrary<DyeEntry> = fc.oneof(
  number(0.001, 3).map((percent): DyeEntry => ({ school: 'depth', percent })),
  number(0.001, 2).map((grams): DyeEntry => ({ school: 'grams', grams })),
  number(0.1, 100).map((milliliters): DyeEntry => ({ school: 'stock', milliliters })),
  number(0.05, 20).map((teaspoons): DyeEntry => ({ school: 'stock spoons', teaspoons })),
  number(0.05, 0.6).map((teaspoons): DyeEntry => ({ school: 'powder spoons', teaspoons })),
  number(0.1, 20).map((parts): DyeEntry => ({ school: 'parts', parts })),
  number(0, 100).map((inkPercent): DyeEntry => ({ school: 'print', inkPercent })),
);

const pass = fc
  .record({
    kind: fc.constantFrom(...METHOD_KINDS),
    entries: fc.array(entry, { minLength: 1, maxLength: 3 }),
    lies: fc.constantFrom(...LIES),
    dry: fc.boolean(),
    kept: fc.boolean(),
    ratio: number(4, 60),
    acids: fc.array(
      fc.record({ value: orNone(0.05, 4), when: fc.constantFrom(...ACID_TIMES), vinegar: fc.boolean() }),
      {
        maxLength: 3,
      },
    ),
    topUpMl: orNone(10, 1500),
    hot: fc.boolean(),
  })
  .map((draw) => ({
    method: METHODS[draw.kind].usual,
    goodsGoIn: draw.dry ? 'dry' : 'wet',
    arrangement: { kind: draw.lies, count: 3 },
    dyes: draw.entries.map((one, i) =>
      dyeLine({
        id: `d${i}`,
        dyeId: i === 1 ? 'red' : 'blue',
        // Powder goes on dry: there is no stock to say it in.
        entry:
          METHODS[draw.kind].dry && one.school.startsWith('stock') ? { school: 'depth', percent: 0.5 } : one,
        stockId: i === 1 ? 'red-1' : 'blue-1',
        sectionId: sectionsOf(METHODS[draw.kind].usual)[i]?.id ?? null,
      }),
    ),
    kept: draw.kept,
    ratio: draw.ratio,
    acids: draw.acids.map(({ value, when, vinegar }) => ({
      material: vinegar ? 'vinegar' : 'citric',
      strengthPercent: vinegar ? 5 : 100,
      basis: 'gPerL',
      value,
      when,
    })),
    topUpMl: draw.topUpMl,
    heat: draw.hot && METHODS[draw.kind].hot ? { temperatureC: 82, minutes: 12 } : null,
  }));

const anyRecipe: fc.Arbitrary<Recipe> = fc
  .record({
    passes: fc.array(pass, { minLength: 1, maxLength: 5 }),
    set: fc.constantFrom(...SET_METHOD_NAMES),
    base: fc.constantFrom('wool', 'sock', 'silk', 'blend'),
    count: fc.integer({ min: 1, max: 12 }),
  })
  .map(({ passes, set, base, count }) =>
    recipeSchema.parse({
      goods: [
        { id: 'g1', baseId: base, count, gramsEach: 100 },
        { id: 'g2', baseId: 'wool', count: 1, gramsEach: 50, catchUp: true },
      ],
      wettingMinutes: 30,
      passes: passes.map(({ kept, ratio, ...one }, i) => ({
        ...one,
        id: `p${i}`,
        water: kept && i > 0 ? { basis: 'kept' } : { basis: 'ratio', value: ratio },
      })),
      set: usualSet(set),
    }),
  );

describe('whatever is formulated', () => {
  const formulationOf = (recipe: Recipe) => formulate('x', recipe, { ...SHELF, tools: BENCH_TOOLS }, POT);
  const planOf = (recipe: Recipe) => planFormulation(formulationOf(recipe), { today: '2026-11-24' });
  test('every figure is finite, not negative, and says why', () => {
    fc.assert(
      fc.property(anyRecipe, (recipe) => {
        for (const each of figures(planOf(recipe))) {
          expect(Number.isFinite(each.value) && each.value >= 0).toBe(true);
          expect(each.because).not.toMatch(/^$|NaN|Infinity|undefined/);
        }
      }),
      { numRuns: 150, seed: SEED },
    );
  });
  test('every step has an id of its own, words, and an amount above zero where one is measured', () => {
    fc.assert(
      fc.property(anyRecipe, (recipe) => {
        const plan = planOf(recipe);
        const reading = planReading(formulationOf(recipe), plan);
        expect(new Set(plan.lines.map(({ id }) => id)).size).toBe(plan.lines.length);
        for (const line of linesOf(plan)) {
          const { title, measure } = lineWords(line, reading);
          expect(title).not.toMatch(/^$|undefined|NaN/);
          if (measure) expect(measure.amount.value).toBeGreaterThan(0);
        }
        expect(plan.lines.at(-1)?.act.kind).toBe('dry');
      }),
      { numRuns: 150, seed: SEED },
    );
  });
  test('the sheet has every step, and the same plan comes out twice', () => {
    fc.assert(
      fc.property(anyRecipe, (recipe) => {
        const plan = planOf(recipe);
        expect(runSheet(formulationOf(recipe), plan).parts.flatMap((part) => part.lines)).toHaveLength(
          linesOf(plan).length,
        );
        expect(written(planOf(recipe))).toEqual(written(plan));
      }),
      { numRuns: 40, seed: SEED },
    );
  });
});
