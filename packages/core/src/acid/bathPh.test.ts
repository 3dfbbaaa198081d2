import { FieldError } from '../figure/fieldError';
import fc from 'fast-check';
import { acidForPh, bathPh, type BathContents } from './bathPh';
import { activityCoefficient } from './davies';
import { AIR_CO2_MOLAR } from './expectedPh';
import { acidHeldMmol, mostHeldMmol, shareHeld, shareSpread } from './fiberUptake';
import type { WeakAcidName } from '../materials/weakAcidNames';

const WOOL = [{ fiber: 'wool' as const, percent: 100 }];

const ideal = (name: WeakAcidName, molar: number): number =>
  bathPh({ acids: [{ name, molar }], strongBase: 0, activities: false });

describe('standard buffers at 25 °C (Buck et al., Pure Appl. Chem. 74, 2169, 2002), given to 0.001', () => {
  // Phosphate carries two charges, which Davies does not quite follow at this strength: 0.012 is what it leaves.
  test.each<[string, BathContents, number, number?]>([
    [
      '0.05 mol/kg potassium hydrogen phthalate',
      { acids: [{ name: 'phthalic', molar: 0.05 }], strongBase: 0.05 },
      4.005,
    ],
    [
      '0.05 mol/kg potassium dihydrogen citrate',
      { acids: [{ name: 'citric', molar: 0.05 }], strongBase: 0.05 },
      3.776,
    ],
    [
      'equimolal phosphate, 0.025 + 0.025 mol/kg',
      { acids: [{ name: 'phosphoric', molar: 0.05 }], strongBase: 0.075 },
      6.865,
      0.013,
    ],
  ])('%s', (_, buffer, pH, within = 0.01) => expect(Math.abs(bathPh(buffer) - pH)).toBeLessThan(within));
});

describe('textbook solutions, ideal', () => {
  test('0.1 M acetic acid is pH 2.88 and 0.1 M citric acid 2.08', () => {
    expect(ideal('acetic', 0.1)).toBeCloseTo(2.88, 2);
    expect(ideal('citric', 0.1)).toBeCloseTo(2.08, 2);
  });
  test('0.1 M acetic against the quadratic worked by hand', () => {
    // [H+]² + Ka [H+] − Ka C = 0 with Ka = 10^−4.756 and C = 0.1.
    const ka = 10 ** -4.756;
    const hydrogen = (-ka + Math.sqrt(ka * ka + 0.4 * ka)) / 2;
    expect(ideal('acetic', 0.1)).toBeCloseTo(-Math.log10(hydrogen), 5);
  });
  test('pure water is half of pKw', () => expect(ideal('acetic', 0)).toBeCloseTo(13.995 / 2, 5));
  test('acetic acid half neutralized stands at its pKa', () => {
    expect(
      bathPh({ acids: [{ name: 'acetic', molar: 0.2 }], strongBase: 0.1, activities: false }),
    ).toBeCloseTo(4.756, 3);
  });
});

test('Davies: no effect at zero strength, a few percent at 0.001, and charge counts squared', () => {
  expect(activityCoefficient(1, 0)).toBe(1);
  // By hand: 10^−0.509 (√0.001 / (1 + √0.001) − 0.3 × 0.001), and the same at 0.1.
  expect(activityCoefficient(1, 0.001)).toBeCloseTo(0.96505, 5);
  expect(activityCoefficient(1, 0.1)).toBeCloseTo(0.7816, 4);
  expect(Math.log(activityCoefficient(2, 0.01)) / Math.log(activityCoefficient(1, 0.01))).toBeCloseTo(4, 9);
});

test('water of 100 mg/L alkalinity open to the air stands near pH 8.4; pure water near 5.6 (textbook, from memory)', () => {
  // [H+]² = 10^−6.352 × 0.034 × 420e-6: 2.52e-6 mol/L, pH 5.598.
  expect(bathPh({ acids: [], strongBase: 0, airCo2: AIR_CO2_MOLAR })).toBeCloseTo(5.598, 2);
  // [H+] = K1 K_H p / [HCO3−] = 3.18e-9 with 2 meq/L, ideal 8.50; γ of bicarbonate and what stands as carbonate take 0.04.
  expect(bathPh({ acids: [], strongBase: 0.002, airCo2: AIR_CO2_MOLAR })).toBeCloseTo(8.46, 2);
});

describe('the bath', () => {
  const molar = fc.double({ min: 0, max: 0.2, noNaN: true });
  const acid = fc.constantFrom<WeakAcidName>('acetic', 'citric', 'formic');
  test('adding acid never raises the pH, with or without fiber', () => {
    fc.assert(
      fc.property(
        acid,
        molar,
        molar,
        fc.double({ min: 0, max: 0.006, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        (name, some, more, strongBase, gramsPerLiter) => {
          const at = (amount: number): number =>
            bathPh({
              acids: [{ name, molar: amount }],
              strongBase,
              fiberHolds: mostHeldMmol(gramsPerLiter, WOOL) / 1000,
            });
          expect(at(some + more)).toBeLessThanOrEqual(at(some) + 1e-4);
        },
      ),
      { numRuns: 200 },
    );
  });
  test('alkaline water and wool both take acid up', () => {
    const vinegar = [{ name: 'acetic' as const, molar: 0.0167 }];
    const soft = bathPh({ acids: vinegar, strongBase: 0 });
    const hard = bathPh({ acids: vinegar, strongBase: 0.004 });
    const wool = bathPh({ acids: vinegar, strongBase: 0, fiberHolds: mostHeldMmol(33, WOOL) / 1000 });
    expect(hard).toBeGreaterThan(soft + 0.3);
    expect(wool).toBeGreaterThan(soft + 0.1);
  });
  test('the acid for a pH gives back that pH', () => {
    fc.assert(
      fc.property(
        acid,
        fc.double({ min: 0.002, max: 0.1, noNaN: true }),
        fc.double({ min: 0, max: 0.004, noNaN: true }),
        (name, amount, strongBase) => {
          const fiberHolds = mostHeldMmol(33, WOOL) / 1000;
          const pH = bathPh({ acids: [{ name, molar: amount }], strongBase, fiberHolds });
          expect(acidForPh(name, pH, { acids: [], strongBase, fiberHolds }) / amount).toBeCloseTo(1, 3);
        },
      ),
      { numRuns: 100 },
    );
  });
  test('acid that fiber took along counts as base without being an ion, and no amount of it breaks the balance', () => {
    const acids = [{ name: 'acetic' as const, molar: 0.0167 }];
    const [base, taken] = [0.002, 0.002];
    const asBase = bathPh({ acids, strongBase: base });
    const asTaken = bathPh({ acids, strongBase: 0, taken });
    // Without the cations of the base the ionic strength is less, and the pH a little more.
    expect(asTaken).toBeGreaterThan(asBase);
    expect(asTaken).toBeCloseTo(asBase, 1);
    expect(bathPh({ acids, strongBase: 0, taken: -0.002 })).toBeLessThan(bathPh({ acids, strongBase: 0 }));
    expect(bathPh({ acids, strongBase: 0, taken: -80 })).toBe(-1);
    expect(bathPh({ acids, strongBase: 0, taken: 80 })).toBe(15);
  });
  test('far from where it looks first, and at either end, it finds the balance all the same', () => {
    // 0.1 mol/L of a strong base: [OH−] = 0.1, γ 0.78, pH 13.995 − 1 − 0.107; of a strong acid: 1 + 0.107.
    expect(bathPh({ acids: [], strongBase: 0.1 })).toBeCloseTo(12.888, 2);
    expect(bathPh({ acids: [], strongBase: -0.1 })).toBeCloseTo(1.107, 2);
    expect(bathPh({ acids: [{ name: 'citric', molar: 2 }], strongBase: 5.9 })).toBeGreaterThan(5);
  });
  test('a base of 0.05 mol/L open to the air: half of it stands as carbonate, which counts twice', () => {
    // Ideal: 6.35e-12 / h + 2 × 2.977e-22 / h² = 0.05, a quadratic in 1 / h: 5.270e9, pH 9.722.
    expect(bathPh({ acids: [], strongBase: 0.05, airCo2: AIR_CO2_MOLAR, activities: false })).toBeCloseTo(
      9.722,
      2,
    );
  });
  test('the same with activities: pH 9.582, γ 0.811 at 0.060 mol/L, worked apart', () => {
    // [HCO3−] 0.02989, [CO3 2−] 0.01003, whose coefficient is γ to the fourth; and 4.8e-5 of OH−.
    expect(bathPh({ acids: [], strongBase: 0.05, airCo2: AIR_CO2_MOLAR })).toBeCloseTo(9.582, 3);
  });
  test.each<[WeakAcidName, number, number, string]>([
    ['citric', 6.396, 0.24828, '2.4828 of three protons gone, as the second is not quite'],
    ['phosphoric', 2.148, 0.05 - 0.007112, 'half gone, less the 7.1 mmol/L of H+ that stand free'],
    ['phosphoric', 12.35, 0.25 + 0.022646, 'two and a half gone, and 22.6 mmol/L of OH− besides'],
    ['ammonium', 9.25, -0.05 + 0.000018, 'half of its charge is left'],
  ])('0.1 M %s stands at its pKa of %f with %f mol/L of strong base: %s', (name, pKa, strongBase) => {
    expect(bathPh({ acids: [{ name, molar: 0.1 }], strongBase, activities: false })).toBeCloseTo(pKa, 3);
  });
  test('impossible contents are refused', () => {
    expect(() => bathPh({ acids: [{ name: 'acetic', molar: 51 }], strongBase: 0 })).toThrow(FieldError);
    expect(() => bathPh({ acids: [{ name: 'acetic', molar: 49 }], strongBase: 0 })).not.toThrow();
    expect(() => bathPh({ acids: [{ name: 'acetic', molar: -1 }], strongBase: 0 })).toThrow(FieldError);
    expect(() => bathPh({ acids: [], strongBase: Number.NaN })).toThrow(FieldError);
  });
});

describe('what fiber holds (from memory)', () => {
  test('wool holds 0.82 mmol/g at most, half of it near pH 2.3 to 2.6, only a little above pH 5', () => {
    expect(acidHeldMmol('wool', 1, -5)).toBeCloseTo(0.82, 2);
    expect(acidHeldMmol('wool', 1, 2.45)).toBeCloseTo(0.41, 2);
    expect(acidHeldMmol('wool', 1, 5.2)).toBeLessThan(0.03);
    // One unit up: 1 / (1 + 10^0.6).
    expect(shareHeld(3.45)).toBeCloseTo(0.20076, 5);
    expect(shareSpread(0.5)).toBeCloseTo(0.15, 12);
  });
  test('100 g of wool hold 82 mmol, of silk 20, of nylon 4; of 80 wool and 20 nylon 66.4', () => {
    expect(mostHeldMmol(100, WOOL)).toBeCloseTo(82, 9);
    expect(mostHeldMmol(100, [{ fiber: 'silk', percent: 100 }])).toBeCloseTo(20, 9);
    expect(mostHeldMmol(100, [{ fiber: 'nylon', percent: 100 }])).toBeCloseTo(4, 9);
    expect(
      mostHeldMmol(100, [...[{ fiber: 'wool' as const, percent: 80 }], { fiber: 'nylon', percent: 20 }]),
    ).toBeCloseTo(66.4, 9);
  });
  test('nylon and silk hold less, cotton none', () => {
    expect(acidHeldMmol('nylon', 100, 3)).toBeLessThan(acidHeldMmol('silk', 100, 3));
    expect(acidHeldMmol('silk', 100, 3)).toBeLessThan(acidHeldMmol('merino', 100, 3));
    expect(acidHeldMmol('cotton', 100, 3)).toBe(0);
  });
});
