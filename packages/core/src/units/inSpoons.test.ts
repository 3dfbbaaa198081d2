import fc from 'fast-check';
import type { SpoonSystem } from './conversions';
import { parseQuantity } from './parseQuantity';
import { inSpoons, SPOON_NAMES, USUAL_SPOONS, type Spoon, type SpoonSet } from './inSpoons';

const US: SpoonSet = { system: 'US', spoons: USUAL_SPOONS };

// US customary measures as in NIST Handbook 44, Appendix C.
test.each([
  [180, '12 tbsp + 1/2 tsp', 0.04],
  [8690, '36 3/4 cups', 0.05],
  [83.8, '5 tbsp + 2 tsp', 0],
  [88.7, '6 tbsp', 0],
  [29.57, '2 tbsp', 0],
  [236.6, '1 cup', 0],
  [355, '1 1/2 cups', 0],
  [4.93, '1 tsp', 0],
  [3.7, '3/4 tsp', 0],
  [0.62, '1/8 tsp', -0.6],
])('%d mL are %s', (ml, words, off) => {
  const said = inSpoons(ml, US)!;
  expect(said.words).toBe(words);
  expect(Math.abs(said.offPercent - off)).toBeLessThan(0.1);
});

test('without an eighth, 45 mL are 3 tbsp + 1/4 tsp, 1.3 % over', () => {
  const said = inSpoons(45, { system: 'US', spoons: USUAL_SPOONS.filter((spoon) => spoon !== '1/8 tsp') })!;
  expect(said.words).toBe('3 tbsp + 1/4 tsp');
  expect(said.offPercent).toBeCloseTo(1.3, 1);
});

test.each([0, -1, NaN, Infinity, 0.2])('%d mL are no spoons', (ml) => expect(inSpoons(ml, US)).toBeNull());

test('an amount said in any set of spoons reads back as what those spoons hold', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 0.02, max: 20_000, noNaN: true }),
      fc.constantFrom<SpoonSystem>('US', 'metric', 'AU'),
      fc.subarray(SPOON_NAMES.filter((spoon) => spoon !== 'tsp')),
      (ml, system, others) => {
        const said = inSpoons(ml, { system, spoons: [...others, 'tsp'] as Spoon[] });
        if (said === null) return;
        const read = parseQuantity(said.words, 'volume', { spoons: system });
        expect(read).toMatchObject({ ok: true });
        if (!read.ok) return;
        expect(read.value).toBeCloseTo(said.ml, 6);
        expect((said.ml / ml - 1) * 100).toBeCloseTo(said.offPercent, 6);
        // Never farther off than the smallest spoon allows.
        expect(Math.abs(said.offPercent)).toBeLessThanOrEqual(25);
      },
    ),
  ));
