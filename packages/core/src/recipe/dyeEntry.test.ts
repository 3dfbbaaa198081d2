import fc from 'fast-check';
import { BLUE, BLUE_1, BLUE_4, depth, dyeLine, formulation, recipe, STRONG_RED } from '../../test/examples';
import { figure } from '../figure/figure';
import { US_ML } from '../units/conversions';
import { convertLine } from './convertLine';
import { convertEntry, entryAmount, readEntry, SCHOOL_NAMES, SCHOOLS, type EntryContext } from './dyeEntry';
import type { DyeEntry, School } from './dyeEntrySchema';
import { planFormulation } from '../plan/plan';
import type { Pass } from './recipe';

const WEIGHED = { ...BLUE, gramsPerTeaspoon: 2.9 };
const context = (changes: Partial<EntryContext> = {}): EntryContext => ({
  wogGrams: 200,
  dye: WEIGHED,
  stock: BLUE_1,
  spoons: 'US',
  partsInPass: 5,
  partsDepthPercent: 1,
  printDepthPercent: 2,
  ...changes,
});

describe('each school as grams and depth on 200 g, worked by hand', () => {
  test.each<[string, DyeEntry, number, number]>([
    ['1 % depth', { school: 'depth', percent: 1 }, 2, 1],
    ['0.8 g', { school: 'grams', grams: 0.8 }, 0.8, 0.4],
    // 150 mL of a 1 % stock hold 1.5 g.
    ['150 mL of stock', { school: 'stock', milliliters: 150 }, 1.5, 0.75],
    // 6 US tablespoons are 18 teaspoons, 88.72 mL, 0.887 g.
    ['18 teaspoons of stock', { school: 'stock spoons', teaspoons: 18 }, 0.88721, 0.4436],
    // Half a teaspoon at 2.9 g a level teaspoon.
    ['1/2 teaspoon of powder', { school: 'powder spoons', teaspoons: 0.5 }, 1.45, 0.725],
    // 3 of 5 parts of 1 %.
    ['3 parts of 5 at 1 %', { school: 'parts', parts: 3 }, 1.2, 0.6],
    // 75 % of a full depth of 2 %.
    ['75 % ink at 2 %', { school: 'print', inkPercent: 75 }, 3, 1.5],
  ])('%s', (_, entry, grams, dos) => {
    const read = readEntry(entry, context());
    expect(read.grams).toBeCloseTo(grams, 4);
    expect(read.dosPercent).toBeCloseTo(dos, 4);
  });
  test('6 US tablespoons of 1 % stock on 2 oz of silk: 0.887 g, 1.56 % (common practice, no source)', () => {
    const read = readEntry(
      { school: 'stock spoons', teaspoons: 18 },
      context({ wogGrams: 2 * 28.349523125 }),
    );
    expect(read.grams).toBeCloseTo(0.887, 3);
    expect(read.dosPercent).toBeCloseTo(1.565, 2);
    expect(18 * US_ML.tsp).toBeCloseTo(88.7, 1);
  });
  test('0.8 g on 300 g is 0.267 % (common practice, no source)', () =>
    expect(readEntry({ school: 'grams', grams: 0.8 }, context({ wogGrams: 300 })).dosPercent).toBeCloseTo(
      0.267,
      3,
    ));
  test('a strong lot needs less powder for a depth, and gives more depth for a mass', () => {
    expect(readEntry({ school: 'depth', percent: 1 }, context({ dye: STRONG_RED })).grams).toBeCloseTo(
      1.6,
      12,
    );
    expect(readEntry({ school: 'grams', grams: 1.6 }, context({ dye: STRONG_RED })).dosPercent).toBeCloseTo(
      1,
      12,
    );
  });
  test('a spoon of powder is an estimate, and a powder never weighed says so', () => {
    const unweighed = readEntry({ school: 'powder spoons', teaspoons: 1 }, context({ dye: BLUE }));
    expect(unweighed.sureness).toBe('estimate');
    expect(figure(unweighed.grams, 'g', unweighed.because).because).toMatch(/not weighed/);
    expect(readEntry({ school: 'depth', percent: 1 }, context()).sureness).toBe('exact');
  });
  test('a metric spoon is 5 mL', () =>
    expect(
      readEntry({ school: 'stock spoons', teaspoons: 2 }, context({ spoons: 'metric' })).grams,
    ).toBeCloseTo(0.1, 12));
  test('stock without a jar, and a depth over 12 %, are refused with the field', () => {
    expect(() =>
      readEntry({ school: 'stock', milliliters: 5 }, context({ stock: null }), 'recipe.passes.0.dyes.0'),
    ).toThrow(expect.objectContaining({ field: 'recipe.passes.0.dyes.0.stockId' }));
    expect(() => readEntry({ school: 'grams', grams: 30 }, context())).toThrow(/over 12 %/);
  });
});

const amounts: Record<School, fc.Arbitrary<number>> = {
  depth: fc.double({ min: 0.001, max: 6, noNaN: true }),
  grams: fc.double({ min: 0.01, max: 12, noNaN: true }),
  stock: fc.double({ min: 0.5, max: 300, noNaN: true }),
  'stock spoons': fc.double({ min: 0.1, max: 60, noNaN: true }),
  'powder spoons': fc.double({ min: 0.05, max: 4, noNaN: true }),
  parts: fc.double({ min: 0.5, max: 20, noNaN: true }),
  print: fc.double({ min: 1, max: 100, noNaN: true }),
};

describe('converting in place', () => {
  test('any school → grams → the same school gives the entry back', () => {
    for (const school of SCHOOL_NAMES.filter((name) => name !== 'parts'))
      fc.assert(
        fc.property(amounts[school], (amount) => {
          const entry = convertEntry({ school: 'grams', grams: 1 }, school, context())!;
          const first = {
            ...entry,
            [Object.keys(entry).find((key) => key !== 'school')!]: amount,
          } as DyeEntry;
          const grams = convertEntry(first, 'grams', context())!;
          const back = convertEntry(grams, school, context())!;
          expect(entryAmount(back) / amount).toBeCloseTo(1, 9);
        }),
        { numRuns: 50 },
      );
  });
  test('a school that needs a jar cannot be had without one', () => {
    for (const school of SCHOOL_NAMES)
      expect(convertEntry({ school: 'depth', percent: 1 }, school, context({ stock: null })) === null).toBe(
        SCHOOLS[school].needsJar,
      );
  });
});

describe('a line of a pass said otherwise', () => {
  const pass = (dyes: Pass['dyes'], changes: Partial<Pass> = {}): Pass => ({
    ...recipe().passes[0]!,
    dyes,
    ...changes,
  });
  const against = (of: Pass): EntryContext =>
    context({
      partsInPass: of.dyes.reduce(
        (sum, line) => sum + (line.entry.school === 'parts' ? line.entry.parts : 0),
        0,
      ),
      partsDepthPercent: of.partsDepthPercent,
      printDepthPercent: of.printDepthPercent,
    });
  const depths = (of: Pass): number[] => of.dyes.map((line) => readEntry(line.entry, against(of)).dosPercent);

  test('joining and leaving the parts moves no depth, and gives the parts back', () => {
    const parts = (id: string, count: number): Pass['dyes'][number] =>
      dyeLine({ id, dyeId: 'blue', entry: { school: 'parts', parts: count }, stockId: 'blue-1' });
    fc.assert(
      fc.property(amounts.parts, amounts.parts, amounts.depth, (one, two, total) => {
        const first = pass([parts('a', one), parts('b', two)], { partsDepthPercent: total });
        const before = depths(first);
        const out = { ...first, ...convertLine(first, 'b', 'grams', against(first))! };
        expect(depths(out)[0]! / before[0]!).toBeCloseTo(1, 9);
        expect(depths(out)[1]! / before[1]!).toBeCloseTo(1, 9);
        const back = { ...out, ...convertLine(out, 'b', 'parts', against(out))! };
        expect(entryAmount(back.dyes[1]!.entry) / two).toBeCloseTo(1, 9);
        expect(back.partsDepthPercent / total).toBeCloseTo(1, 9);
      }),
    );
  });
  test('a depth over what 100 % ink stands for raises that, and leaves the other print lines where they are', () => {
    const print = dyeLine({
      id: 'a',
      dyeId: 'blue',
      entry: { school: 'print', inkPercent: 50 },
      stockId: 'blue-1',
    });
    const first = pass([print, depth('b', 'blue', 3, 'blue-1')], { printDepthPercent: 2 });
    const next = { ...first, ...convertLine(first, 'b', 'print', against(first))! };
    expect(next.printDepthPercent).toBe(3);
    expect(depths(next)).toEqual([expect.closeTo(1, 12), expect.closeTo(3, 12)]);
    expect(entryAmount(next.dyes[1]!.entry)).toBe(100);
  });
  test('a line without a jar stays as it is when stock is asked for', () => {
    const first = pass([depth('a', 'blue', 1)]);
    expect(convertLine(first, 'a', 'stock', context({ stock: null }))).toBeNull();
  });
});

test('one recipe said in seven schools is one plan', () => {
  const grams = SCHOOL_NAMES.map((school) => {
    const entry = convertEntry(
      { school: 'depth', percent: 1 },
      school,
      context({ dye: BLUE, partsInPass: 1 }),
    )!;
    const [pass] = recipe().passes;
    const made = formulation({
      passes: [
        {
          ...pass!,
          partsDepthPercent: 1,
          printDepthPercent: 2,
          dyes: [{ id: 'd1', dyeId: 'blue', entry, stockId: 'blue-1' }],
        },
      ],
    });
    return planFormulation(made).passes[0]!.pours[0]!.volume!.value;
  });
  for (const volume of grams) expect(volume).toBeCloseTo(200, 6);
});

test('the stronger jar gives a quarter of the volume', () =>
  expect(
    entryAmount(convertEntry({ school: 'depth', percent: 1 }, 'stock', context({ stock: BLUE_4 }))!),
  ).toBeCloseTo(50, 12));
