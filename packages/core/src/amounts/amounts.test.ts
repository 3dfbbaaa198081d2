import fc from 'fast-check';
import { FieldError } from '../figure/fieldError';
import { OUNCE_G, US_ML } from '../units/conversions';
import { depthOfShade, dyeGrams } from './dyeMass';
import { dyeableShare } from './dyeableShare';
import { gramsInStock, makeUpMl, stockMl, stockStrength, takeForDilution } from './stock';
import { additionGrams, tallyGrams } from './tally';

describe('depths and stocks as dyers reckon them (common practice, no source)', () => {
  test('2 g in 200 mL is a 1 % stock; 4 g per 100 mL is 4 %', () => {
    expect(stockStrength(2, 200)).toBe(1);
    expect(stockStrength(4, 100)).toBe(4);
  });
  test('200 mL of 1 % stock on 200 g of yarn is 2 g of dye and 1 % DOS', () => {
    expect(gramsInStock(200, 1)).toBe(2);
    expect(depthOfShade(2, 200)).toBe(1);
  });
  test('0.8 g on 300 g is 0.267 % DOS', () => expect(depthOfShade(0.8, 300)).toBeCloseTo(0.267, 3));
  test('6 US tablespoons of 1 % stock on 2 oz of silk: 88.7 mL, 0.887 g, 1.56 % DOS', () => {
    const milliliters = 6 * US_ML.tbsp;
    expect(milliliters).toBeCloseTo(88.7, 1);
    expect(gramsInStock(milliliters, 1)).toBeCloseTo(0.887, 3);
    expect(depthOfShade(gramsInStock(milliliters, 1), 2 * OUNCE_G)).toBeCloseTo(1.56, 2);
  });
  test('15 mL of 1 % stock in 200 mL of water is 0.070 % w/v', () => {
    expect(stockStrength(gramsInStock(15, 1), 215)).toBeCloseTo(0.07, 3);
  });
  test('2.13 g weighed for a 1 % stock is made up to 213 mL', () =>
    expect(makeUpMl(2.13, 1)).toBeCloseTo(213, 9));
});

describe('round trips', () => {
  const wog = fc.double({ min: 1, max: 20_000, noNaN: true });
  const dos = fc.double({ min: 0.001, max: 12, noNaN: true });
  const strength = fc.double({ min: 0.01, max: 10, noNaN: true });
  const lot = fc.double({ min: 0.2, max: 5, noNaN: true });
  test('depth → grams → depth', () => {
    fc.assert(
      fc.property(wog, dos, lot, (w, d, l) =>
        expect(depthOfShade(dyeGrams(w, d, l), w, l) / d).toBeCloseTo(1, 10),
      ),
    );
  });
  test('grams → stock → grams', () => {
    fc.assert(
      fc.property(dos, strength, (g, c) => expect(gramsInStock(stockMl(g, c), c) / g).toBeCloseTo(1, 10)),
    );
  });
  test('dye grows in proportion to goods', () => {
    fc.assert(
      fc.property(wog, dos, (w, d) => expect(dyeGrams(w * 3, d) / dyeGrams(w, d)).toBeCloseTo(3, 10)),
    );
  });
  test('a dilution holds as much dye as the stock taken for it', () => {
    fc.assert(
      fc.property(strength, fc.double({ min: 0.01, max: 1, noNaN: true }), (c, share) => {
        expect(gramsInStock(takeForDilution(c, c * share, 100), c)).toBeCloseTo((100 * c * share) / 100, 9);
      }),
    );
  });
});

test('a stronger lot needs less powder', () => expect(dyeGrams(100, 1, 1.25)).toBeCloseTo(0.8, 12));

test('the tally adds stock and powder in their own units', () => {
  expect(additionGrams({ unit: 'mL', amount: 15, strengthPercent: 1 })).toBeCloseTo(0.15, 12);
  expect(
    tallyGrams([
      { unit: 'mL', amount: 15, strengthPercent: 1 },
      { unit: 'g', amount: 0.5 },
      { unit: 'mL', amount: 2.5, strengthPercent: 4 },
    ]),
  ).toBeCloseTo(0.75, 12);
  expect(tallyGrams([])).toBe(0);
});

test('plant fiber, polyester and metal take no acid dye', () => {
  expect(
    dyeableShare([
      { fiber: 'wool', percent: 75 },
      { fiber: 'nylon', percent: 20 },
      { fiber: 'metallic', percent: 5 },
    ]),
  ).toBeCloseTo(0.95, 12);
  expect(dyeableShare([{ fiber: 'cotton', percent: 100 }])).toBe(0);
});

test.each([
  ['no goods', () => dyeGrams(0, 1), 'goods'],
  ['negative goods', () => depthOfShade(1, -3), 'goods'],
  ['depth over 12 %', () => dyeGrams(100, 12.5), 'dosPercent'],
  ['lot strength zero', () => dyeGrams(100, 1, 0), 'lotStrength'],
  ['stock over 10 %', () => stockMl(1, 11), 'strengthPercent'],
  ['stock of nothing', () => gramsInStock(1, 0), 'strengthPercent'],
  ['jar without volume', () => stockStrength(1, 0), 'volumeMl'],
  ['dilution stronger than its stock', () => takeForDilution(1, 2, 100), 'strengthPercent'],
])('%s is refused with the field named', (_, work, field) => {
  expect(work).toThrow(FieldError);
  expect(work).toThrow(expect.objectContaining({ field }));
});

test('depths from none to 12 % and stocks up to 10 % are reckoned with, beyond them nothing', () => {
  expect([dyeGrams(100, 0), dyeGrams(100, 12)]).toEqual([0, 12]);
  expect(() => dyeGrams(100, 12.1)).toThrow(FieldError);
  expect(() => dyeGrams(100, -0.1)).toThrow(FieldError);
  expect(stockMl(1, 10)).toBe(10);
  expect(() => stockMl(1, 10.1)).toThrow(FieldError);
  expect(() => stockMl(1, 0)).toThrow(FieldError);
  expect(takeForDilution(2, 2, 100)).toBe(100);
  expect(() => depthOfShade(1, 0)).toThrow(FieldError);
});
