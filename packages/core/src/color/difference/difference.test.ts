import { differenceCmc, type Lab65 } from 'culori';
import fc from 'fast-check';
import type { Lab } from '../lab';
import { cmc } from './cmc';
import { cielabDifference, grayScaleGrade } from './grayScale';

const lab: fc.Arbitrary<Lab> = fc.tuple(
  fc.double({ min: 1, max: 99, noNaN: true }),
  fc.double({ min: -90, max: 90, noNaN: true }),
  fc.double({ min: -90, max: 90, noNaN: true }),
);

test('CMC of 10,000 random pairs is what culori says, for 2:1 and 1:1', () => {
  const culori = ([l, a, b]: Lab): Lab65 => ({ mode: 'lab65', l, a, b });
  const [two, one] = [differenceCmc(2, 1), differenceCmc(1, 1)];
  fc.assert(
    fc.property(lab, lab, (standard, sample) => {
      const [a, b] = [culori(standard), culori(sample)];
      expect(Math.abs(cmc(standard, sample) - two(a, b))).toBeLessThan(1e-6);
      expect(Math.abs(cmc(standard, sample, 1, 1) - one(a, b))).toBeLessThan(1e-6);
    }),
    { numRuns: 10_000, seed: 20_261_127 },
  );
});

test.each([
  [0, '5', '5'],
  [0.3, '5', '5'],
  [0.8, '4-5', '5'],
  [1.7, '4', '4-5'],
  [2.5, '3-4', '4-5'],
  [3.4, '3', '4'],
  [4.8, '2-3', '4'],
  [6.8, '2', '3-4'],
  [13.6, '1', '2-3'],
  [34.1, '1', '1'],
  [80, '1', '1'],
])(
  'a CIELAB difference of %d is grade %s as a change, %s as a stain (ISO 105-A02, -A03; from memory)',
  (difference, change, stain) => {
    expect(grayScaleGrade(difference)).toBe(change);
    expect(grayScaleGrade(difference, 'staining')).toBe(stain);
  },
);

test('the straight distance of 3, 4 and 12 is 13', () =>
  expect(cielabDifference([50, 0, 0], [53, 4, 12])).toBe(13));
