import { correctPh } from './correctPh';
import { activityCoefficient } from './davies';
import { bathPh } from './bathPh';
import {
  acidGramsForPh,
  AIR_CO2_MOLAR,
  alkalinityMolar,
  expectedPh,
  molarAcids,
  phBeforeGoods,
  phWindow,
} from './expectedPh';
import type { DyeClass } from '../shelf/dyeClasses';
import { phCurve } from './phCurve';
import { topUpAcid } from './topUp';

const HARD = { alkalinityMgPerL: 100, countFiberUptake: false };
const SOFT = { alkalinityMgPerL: 0, countFiberUptake: false };

test('water of 100 mg/L as calcium carbonate holds 2.00 meq/L of base', () => {
  // Two equivalents in 100.09 g of CaCO3 (CRC molar mass): 50.04 mg a milliequivalent.
  expect(1000 * alkalinityMolar(100)).toBeCloseTo(2 * (100 / 100.09), 3);
});

test('fresh from the tap it stands where its carbonate says: pH 7.5 less what the ions do', () => {
  // [HCO3−] / [CO2] = 10^(7.5 − 6.352) by the carbonate it is given; two γ of an ion lower K1.
  const gamma = activityCoefficient(1, alkalinityMolar(100));
  expect(phBeforeGoods([], 1, HARD).value).toBeCloseTo(7.5 + Math.log10(gamma), 1);
  expect(phBeforeGoods([], 1, HARD).value).toBeCloseTo(7.467, 3);
});

test('1 g/L of acetic acid in pure water: pH 3.27; 2 meq/L of base in the water lift it to 3.90', () => {
  const acids = [{ material: 'vinegar' as const, pureGrams: 6 }];
  expect(molarAcids(acids, 6)[0]?.molar).toBeCloseTo(1 / 60.052, 6);
  // γ = 0.9738 at 0.00054 mol/L; x² + (Ka/γ²) x − (Ka/γ²) C = 0 with C = 0.016652 gives 5.459e-4, pH −log(γ x).
  expect(expectedPh(acids, 6, 0, SOFT).value).toBeCloseTo(3.2745, 3);
  // γ = 0.9506 at 0.0021 mol/L; (0.001998 + h) h = (Ka/γ²) (0.016652 − 0.001998 − h) gives 1.323e-4.
  expect(expectedPh(acids, 6, 0, HARD).value).toBeCloseTo(3.9, 2);
});

test('what fiber took along is said in meq, what is next to nothing is not', () => {
  const said = (takenMeq: number): string => expectedPh([], 6, 0, SOFT, takenMeq).because;
  // 6 g in 6 L are 1 / 60.052 mol/L.
  expect(expectedPh([{ material: 'vinegar', pureGrams: 6 }], 6, 0, SOFT).because).toMatch(
    /^16\.7 mmol\/L acetic acid in water/,
  );
  expect(said(9.5)).toMatch(/less 9.5 meq of acid that fiber took along/);
  expect(said(-9.5)).toMatch(/with 9.5 meq of acid that fiber brought/);
  expect(said(0.0055)).toMatch(/0.0055 meq/);
  expect(said(0.0049)).not.toMatch(/meq of acid/);
});

test('acid for a pH, in grams, gives that pH when it is put in', () => {
  const wished = { ...expectedPh([], 6, 0, HARD), value: 4.5 };
  const grams = acidGramsForPh('citric', wished, 6, 0, HARD).value;
  expect(expectedPh([{ material: 'citric', pureGrams: grams }], 6, 0, HARD).value).toBeCloseTo(4.5, 4);
});

test('a measured pH that is too high: the acid that is missing brings it there, by the balance the measurement tells', () => {
  const acids = [{ material: 'vinegar' as const, pureGrams: 6 }];
  const { add, after } = correctPh(5, 4.5, acids, 6, 'vinegar', 5);
  expect(after.value).toBeCloseTo(4.5, 4);
  // Worked apart: γ 0.898. At 5 0.66134 of 0.016652 mol/L stand as acetate, so the base is 0.0110017. At 4.5 only
  // 0.38180 do: 0.0289075 mol/L are needed, 0.0122553 more, 4.4157 g in 6 L, 88.315 mL of 5 %.
  expect(add.value).toBeCloseTo(88.315, 2);
  expect(correctPh(4, 4.5, acids, 6, 'vinegar', 5).add.value).toBe(0);
  expect(add.because).toBe(
    'pH 5.00 measured means 11.0 meq/L taken up by water and goods; 12.3 mmol/L more acetic acid brings it to pH 4.50',
  );
});

test('acid for a pH counts what fiber took along by the liter: 12 meq in 6 L are 2 meq/L more to bring', () => {
  const wished = { ...expectedPh([], 6, 0, SOFT), value: 4.5 };
  const grams = (takenMeq: number): number => acidGramsForPh('vinegar', wished, 6, 0, SOFT, takenMeq).value;
  // At 4.5 0.3817 of acetic acid stands as acetate (γ 0.95): 0.002 / 0.38 mol/L in 6 L are near 1.9 g.
  const acetate = (gamma: number): number => 1 / (1 + 10 ** (4.756 - 4.5) * gamma * 1);
  expect((grams(12) - grams(0)) / ((0.002 * 6 * 60.052) / acetate(0.95))).toBeCloseTo(1, 1);
});

test('top-up: half a liter keeps 1 g/L with 10 mL of 5 % and 490 mL of water, or with 0.5 g of crystals', () => {
  expect(topUpAcid(1, 500, 5, 'mL')).toEqual({ amount: 10, waterMl: 490 });
  expect(topUpAcid(1, 500, 100, 'g')).toEqual({ amount: 0.5, waterMl: 500 });
});

test('the curve goes from no acid to twice the dose, today’s in its middle, and falls', () => {
  const points = phCurve('vinegar', 5, 120, [], 6, 0, HARD);
  expect([points[0]?.amount, points[16]?.amount, points[32]?.amount, points.length]).toEqual([
    0, 120, 240, 33,
  ]);
  expect(points[16]?.pH).toBeCloseTo(
    expectedPh([{ material: 'vinegar', pureGrams: 6 }], 6, 0, HARD).value,
    9,
  );
  expect(points.every(({ pH }, i) => i === 0 || pH < (points[i - 1]?.pH ?? 15))).toBe(true);
});

// Textbook ranges, from memory.
test.each<[DyeClass, [number, number]]>([
  ['unknown', [3.5, 5]],
  ['leveling', [2.5, 4]],
  ['half-milling', [4, 5]],
  ['milling', [4.5, 6]],
  ['super-milling', [5.5, 7]],
  ['metal complex', [5, 6.5]],
])('%s dyes suit a bath of pH %p', (dyeClass, window) => expect(phWindow([dyeClass])).toEqual(window));

test('of several dyes the window is where theirs overlap; where they hardly do, half a unit about the middle', () => {
  expect(phWindow(['milling', 'metal complex'])).toEqual([5, 6]);
  // 4.5 to 5 is half a unit, just wide enough; 4 to 4 is not, nor is the gap from 4 to 5.5.
  expect(phWindow(['half-milling', 'milling'])).toEqual([4.5, 5]);
  expect(phWindow(['leveling', 'half-milling'])).toEqual([3.5, 4.5]);
  expect(phWindow(['leveling', 'super-milling'])).toEqual([4.25, 5.25]);
});

test('fiber and what it took along are counted by the liter', () => {
  const acids = [{ material: 'vinegar' as const, pureGrams: 6 }];
  const counted = { alkalinityMgPerL: 0, countFiberUptake: true };
  // 2 meq/L taken along is a base of 2 mmol/L; 82 mmol of wool in 6 L are 13.7 mmol/L that can be held.
  expect(expectedPh(acids, 6, 0, SOFT, 12).value).toBeCloseTo(
    bathPh({
      acids: [{ name: 'acetic', molar: 0.016652 }],
      strongBase: 0,
      taken: 0.002,
      airCo2: AIR_CO2_MOLAR,
    }),
    4,
  );
  expect(expectedPh(acids, 6, 82, counted).value).toBeCloseTo(
    bathPh({
      ...{ acids: [{ name: 'acetic', molar: 0.016652 }], strongBase: 0, airCo2: AIR_CO2_MOLAR },
      fiberHolds: 0.0136667,
    }),
    4,
  );
  expect(phBeforeGoods(acids, 6, SOFT, 12).value).toBeCloseTo(
    bathPh({ acids: [{ name: 'acetic', molar: 0.016652 }], strongBase: 0, taken: 0.002 }),
    4,
  );
});
