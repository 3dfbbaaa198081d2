import fc from 'fast-check';
import { US_ML } from '../units/conversions';
import { acidAmounts, equalEquivalents, pureAcidGrams, type AcidBasis } from './acidDose';
import { ACIDS, type AcidMaterial } from '../materials/acids';

describe('doses of the trade (common practice, no source)', () => {
  test('3 US tbsp of 5 % vinegar in 12 US cups for 200 g: 0.78 g/L and 1.1 % of goods', () => {
    const dose = acidAmounts('vinegar', 5, 'amount', 3 * US_ML.tbsp, (12 * US_ML.cup) / 1000, 200);
    expect(dose.pureGrams).toBeCloseTo(2.218, 3);
    expect(dose.gPerL).toBeCloseTo(0.781, 3);
    expect(dose.percentOfGoods).toBeCloseTo(1.109, 3);
  });
  test('1 cup of vinegar per 32 cups is twice as fast a pace per liter as 3 tbsp in 12 cups', () => {
    const fast = acidAmounts('vinegar', 5, 'amount', US_ML.cup, (32 * US_ML.cup) / 1000, 200);
    expect(fast.gPerL).toBeCloseTo(50 / 32, 9);
    expect(fast.gPerL / 0.78125).toBeCloseTo(2, 9);
  });
  test('19 to 20 g of citric in a 6 L pot is 3.2 to 3.3 g/L', () => {
    expect(acidAmounts('citric', 100, 'amount', 19.5, 6, 300).gPerL).toBeCloseTo(3.25, 9);
  });
});

describe('equal equivalents', () => {
  // Worked by hand from CRC molar masses: 60.052 g acetic and 192.124 / 3 = 64.041 g citric each give one mole of protons.
  test('100 mL of 5 % vinegar is 83.3 meq, or 5.33 g of citric acid', () => {
    const vinegar = acidAmounts('vinegar', 5, 'amount', 100, 3, 100);
    expect(vinegar.milliequivalents).toBeCloseTo(83.26, 2);
    expect(equalEquivalents(vinegar.milliequivalents, 'citric', 100)).toBeCloseTo(5.332, 3);
  });
  test('there and back is the same bottle', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 2000, noNaN: true }), (milliliters) => {
        const meq = acidAmounts('vinegar', 5, 'amount', milliliters, 5, 200).milliequivalents;
        const citric = equalEquivalents(meq, 'citric', 100);
        const back = equalEquivalents(
          acidAmounts('citric', 100, 'amount', citric, 5, 200).milliequivalents,
          'vinegar',
          5,
        );
        expect(back / milliliters).toBeCloseTo(1, 10);
      }),
    );
  });
});

test('every basis restated in another basis is the same dose', () => {
  const materials: AcidMaterial[] = ['vinegar', 'citric', 'citric solution'];
  const bases: AcidBasis[] = ['gPerL', 'percentOfGoods', 'amount'];
  fc.assert(
    fc.property(
      fc.constantFrom(...materials),
      fc.constantFrom(...bases),
      fc.double({ min: 0.1, max: 40, noNaN: true }),
      fc.double({ min: 0.5, max: 40, noNaN: true }),
      fc.double({ min: 5, max: 5000, noNaN: true }),
      (material, basis, value, liters, goods) => {
        const strength = ACIDS[material].usualStrength;
        const first = acidAmounts(material, strength, basis, value, liters, goods);
        for (const [other, restated] of [
          ['gPerL', first.gPerL],
          ['percentOfGoods', first.percentOfGoods],
          ['amount', first.amount],
        ] as const)
          expect(
            acidAmounts(material, strength, other, restated, liters, goods).pureGrams / first.pureGrams,
          ).toBeCloseTo(1, 10);
      },
    ),
  );
});

test('a liquid is poured, crystals are weighed', () => {
  expect(acidAmounts('vinegar', 5, 'gPerL', 1, 6, 200)).toMatchObject({ unit: 'mL', amount: 120 });
  expect(acidAmounts('citric', 91.4, 'gPerL', 1, 6, 200).unit).toBe('g');
  expect(acidAmounts('citric solution', 10, 'gPerL', 1, 6, 200)).toMatchObject({ unit: 'mL', amount: 60 });
  expect(pureAcidGrams(45, 5)).toBeCloseTo(2.25, 12);
});

test.each([
  [() => acidAmounts('vinegar', 0, 'gPerL', 1, 6, 200), 'acid.strengthPercent'],
  [() => acidAmounts('citric', 101, 'gPerL', 1, 6, 200), 'acid.strengthPercent'],
  [() => acidAmounts('vinegar', 5, 'gPerL', 1, 0, 200), 'water'],
  [() => acidAmounts('vinegar', 5, 'gPerL', 1, 6, 0), 'goods'],
])('an impossible bath is refused (%#)', (work, field) =>
  expect(work).toThrow(expect.objectContaining({ field })),
);
