import fc from 'fast-check';
import { topUpAcid } from '../acid/topUp';
import { SET_METHODS } from '../heat/setMethods';
import { US_ML } from '../units/conversions';
import { parseQuantity } from '../units/parseQuantity';
import { quantityKind } from '../units/quantityKinds';
import { CAUTIONS } from '../words/cautions';
import { readEntry } from './dyeEntry';
import { METHODS } from '../method';
import { newColorway } from './newColorway';
import { USUAL_SPOONS } from '../units/inSpoons';
import { inkInSpoons, jarForInk, primariesOf } from './fromPrint';
import { BLUE, BLUE_1, SHELF } from '../../test/examples';

describe('rules of thumb of the trade (common practice, no source)', () => {
  const context = {
    wogGrams: 200,
    dye: BLUE,
    stock: BLUE_1,
    spoons: 'US' as const,
    partsInPass: 1,
    partsDepthPercent: 1,
    printDepthPercent: 1,
  };
  test('200 mL of 1 % stock on 200 g is 2 g and 1 %', () =>
    expect(readEntry({ school: 'stock', milliliters: 200 }, context)).toMatchObject({
      grams: 2,
      dosPercent: 1,
    }));
  test('4 tbsp + 1 tbsp + 1 tsp + 1 tsp is 5 tbsp 2 tsp, 83.8 mL', () => {
    const read = parseQuantity('4 tbsp + 1 tbsp + 1 tsp + 1 tsp', 'volume');
    expect(read).toMatchObject({ ok: true, value: expect.closeTo(83.79, 2) as number });
    expect(5 * US_ML.tbsp + 2 * US_ML.tsp).toBeCloseTo(83.79, 2);
  });
  test('77 % of a 4-spoon full primary is 3 spoons, rounded coarsely: 3.08', () => {
    // A full print value of 4 spoons of powder on these goods, said as the depth that 4 spoons give.
    const full = readEntry(
      { school: 'powder spoons', teaspoons: 4 },
      { ...context, wogGrams: 2000 },
    ).dosPercent;
    const part = readEntry(
      { school: 'print', inkPercent: 77 },
      { ...context, wogGrams: 2000, printDepthPercent: full },
    );
    const spoon = readEntry({ school: 'powder spoons', teaspoons: 1 }, { ...context, wogGrams: 2000 });
    expect(part.grams / spoon.grams).toBeCloseTo(3.08, 9);
    expect(Math.round(part.grams / spoon.grams)).toBe(3);
  });
  test('pale, medium, deep and black depths are all rungs of the ladder', () => {
    for (const depth of [0.025, 0.1, 0.5, 1, 2, 3, 4]) expect(quantityKind('dos').ladder).toContain(depth);
  });
  test('sets: steam 15 to 30 min, oven 93 °C for 30 min, microwave 4 min a side, simmer 20 to 30 min', () => {
    const within = (value: number, low: number, high: number): boolean => value >= low && value <= high;
    expect(within(SET_METHODS.steam.usualMinutes, 15, 30)).toBe(true);
    expect([SET_METHODS.oven.usualC, SET_METHODS.oven.usualMinutes]).toEqual([93, 30]);
    expect(SET_METHODS.microwave.usualMinutes).toBe(2 * 4);
    expect(within(SET_METHODS.simmer.usualMinutes, 20, 30)).toBe(true);
    expect(SET_METHODS['warm rest'].usualC).toBe(30);
  });
  test('a sprinkle settles 5 to 10 min, a glaze stands about 30, ice melts in 3 to 20 h, twists repeat 3 to 5 times', () => {
    expect(METHODS.sprinkle.usual.settleMinutes).toBeGreaterThanOrEqual(5);
    expect(METHODS.sprinkle.usual.settleMinutes).toBeLessThanOrEqual(10);
    expect(METHODS.glaze.usual.minutes).toBe(30);
    expect(METHODS.ice.usual.meltMinutes / 60).toBeGreaterThanOrEqual(3);
    expect(METHODS.ice.usual.meltMinutes / 60).toBeLessThanOrEqual(20);
    expect(METHODS.ice.usual).toMatchObject({ acidMinutes: 20 });
    expect([3, 4, 5]).toContain(METHODS.repeated.usual.repeats);
  });
  test('wetting is 20 to 30 min at least, and a bundle steams over 5 cm of water', () => {
    let n = 0;
    expect(newColorway('c', SHELF, () => `n${(n += 1)}`).recipe.wettingMinutes).toBeGreaterThanOrEqual(20);
    expect(CAUTIONS.steam).toContain('5 cm of water');
  });
});

test('adding water and then the stated acid keeps the acid per liter', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.05, max: 20, noNaN: true }),
      fc.double({ min: 200, max: 30_000, noNaN: true }),
      fc.double({ min: 1, max: 10_000, noNaN: true }),
      fc.constantFrom<['mL' | 'g', number]>(['mL', 5], ['mL', 10], ['g', 100], ['g', 91.4]),
      (gPerL, bathMl, waterMl, [unit, strength]) => {
        const due = topUpAcid(gPerL, waterMl, strength, unit);
        const grams = (gPerL * bathMl) / 1000 + (due.amount * strength) / 100;
        const liquid = bathMl + due.waterMl + (unit === 'mL' ? due.amount : 0);
        // A weak liquid acid may be more than the water it goes with; then it is all there is to pour.
        if (due.waterMl > 0) expect((1000 * grams) / liquid / gPerL).toBeCloseTo(1, 9);
      },
    ),
  );
});

describe('print values in spoons (common practice, no source)', () => {
  const set = { system: 'US' as const, spoons: USUAL_SPOONS };
  test('77 % of 4 tbsp is 3.08, said as 3', () => {
    const { tablespoons, said } = inkInSpoons(77, 12, set);
    expect(tablespoons).toBeCloseTo(3.08, 9);
    expect(said?.words).toBe('3 tbsp');
  });
  test('100 % is what it is; 5 % of 4 tbsp is a fifth of a tablespoon', () => {
    expect(inkInSpoons(100, 12, set).said?.words).toBe('4 tbsp');
    expect(inkInSpoons(5, 12, set).said?.words).toBe('5/8 tsp');
    expect(inkInSpoons(0, 12, set).said).toBeNull();
  });
  test('an ink comes from the jar nearest to 1 %, as the others do', () => {
    const stocks = [
      { ...BLUE_1, id: 'weak', strengthPercent: 0.1 },
      { ...BLUE_1, id: 'one', strengthPercent: 1 },
      { ...BLUE_1, id: 'old', strengthPercent: 1, retired: true },
      { ...BLUE_1, id: 'strong', strengthPercent: 4 },
    ];
    expect(jarForInk({ stocks }, 'blue')?.id).toBe('one');
    expect(jarForInk({ stocks: stocks.toSpliced(1, 1) }, 'blue')?.id).toBe('strong');
    expect(jarForInk({ stocks }, 'red')).toBeNull();
  });
  test('the studio’s own primaries stand, as long as they are on the shelf', () => {
    const kept = { cyan: 'red', magenta: 'gone', yellow: null, black: null };
    const found = primariesOf(SHELF.dyes, kept);
    expect(found.cyan).toBe('red');
    expect(found.magenta).not.toBe('gone');
  });
});

test.each([
  ['4 tbsp + 1 1/3 tbsp + 2 tbsp + 1/4 tsp', 1.097],
  ['7 tbsp + 1/2 tbsp + 1 tsp + 1/2 tsp', 1.183],
  ['3 tbsp + 4 tbsp + 2 tsp', 1.134],
  ['4 tbsp + 1 tbsp + 1 tsp + 1 tsp', 0.838],
])('“%s” of 1 %% stock on 100 g is %d %% (common practice, no source)', (said, percent) => {
  const read = parseQuantity(said, 'volume', { spoons: 'US' });
  // A gram to every 100 mL, on 100 g of goods.
  expect(read.ok && read.value / 100).toBeCloseTo(percent, 3);
});
