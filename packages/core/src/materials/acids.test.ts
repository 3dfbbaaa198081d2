import { expectedPh } from '../acid/expectedPh';
import { bathPh } from '../acid/bathPh';
import { acidDoseSchema } from '../recipe/recipe';
import { ACID_MATERIALS, ACIDS, acidFacts } from './acids';

/** Standard atomic weights, IUPAC 2021 abridged. */
const [C, H, O] = [12.011, 1.008, 15.999];
const FORMULAS = { acetic: [2, 4, 2], citric: [6, 8, 7], formic: [1, 2, 2] } as const;

test.each(ACID_MATERIALS)(
  '%s: molar mass is its formula’s, and its protons are those chemistry knows',
  (material) => {
    const { substance, molarMass, protons } = acidFacts(material);
    const [c, h, o] = FORMULAS[substance as keyof typeof FORMULAS];
    expect(molarMass).toBeCloseTo(c * C + h * H + o * O, 2);
    expect(protons).toBe(substance === 'citric' ? 3 : 1);
    expect(acidFacts(ACIDS[material].besides).substance).not.toBe(substance);
  },
);

test('monohydrate is citric acid with one water in it: 91.43 %', () => {
  const citric = 6 * C + 8 * H + 7 * O;
  expect(ACIDS['citric monohydrate'].usualStrength).toBeCloseTo((100 * citric) / (citric + 2 * H + O), 1);
  const bath = (material: 'citric' | 'citric monohydrate'): number =>
    expectedPh([{ material, pureGrams: 6 }], 6, 0, { alkalinityMgPerL: 100, countFiberUptake: false }).value;
  expect(bath('citric monohydrate')).toBe(bath('citric'));
});

test('0.1 M formic acid is pH 2.38 (ideal, from its pKa 3.751, CRC Handbook)', () => {
  const k = 10 ** -3.751;
  // x² = K (0.1 − x), by hand.
  const x = (-k + Math.sqrt(k * k + 0.4 * k)) / 2;
  expect(bathPh({ acids: [{ name: 'formic', molar: 0.1 }], strongBase: 0, activities: false })).toBeCloseTo(
    -Math.log10(x),
    4,
  );
});

test('every acid of the table can be decided on, and no other', () => {
  const dose = { id: 'acid1', strengthPercent: 10, basis: 'gPerL', value: 1 };
  for (const material of ACID_MATERIALS)
    expect(acidDoseSchema.parse({ ...dose, material }).material).toBe(material);
  expect(() => acidDoseSchema.parse({ ...dose, material: 'lemon' })).toThrow(
    /must be one of vinegar, citric/,
  );
});
