import { ciede2000 } from './difference/ciede2000';
import { fiveDyeings } from './fiveDyeings';
import type { Lab } from './lab';

const GRAY: Lab = [50, 0, 0];

describe('five dyeings of one recipe', () => {
  test('lie along the widest way of a spread, pale to deep, the expected one in the middle', () => {
    const five = fiveDyeings(GRAY, Float64Array.of(4, 0, 0, 0, 0.01, 0, 0, 0, 0.01));
    // The middle of the lowest fifth of a normal distribution is its 10 % point: 1.2816 standard deviations (handbook table).
    expect(five.map(([l]) => l)).toEqual(
      [52.5632, 51.0488, 50, 48.9512, 47.4368].map((l) => expect.closeTo(l, 3)),
    );
    five.forEach(([, a, b]) => {
      expect(a).toBeCloseTo(0, 3);
      expect(b).toBeCloseTo(0, 3);
    });
  });

  test('the widest way is that to the eye, not that of the numbers: in a strong color hue counts for more than chroma', () => {
    // The same spread in chroma and in hue.
    const strong: Lab = [60, 70, 0];
    const [first] = fiveDyeings(strong, Float64Array.of(0.01, 0, 0, 0, 4, 0, 0, 0, 4));
    expect(Math.abs(first![2])).toBeGreaterThan(2);
    expect(Math.abs(first![1] - 70)).toBeLessThan(0.5);
  });

  test('a slanted spread is followed along its slant', () => {
    const five = fiveDyeings(GRAY, Float64Array.of(2, 0, 1.9, 0, 0.05, 0, 1.9, 0, 2));
    const [pale, , , , deep] = five as [Lab, Lab, Lab, Lab, Lab];
    expect(pale[0]).toBeGreaterThan(deep[0]);
    expect((pale[2] - deep[2]) / (pale[0] - deep[0])).toBeCloseTo(1, 0);
    expect(ciede2000(pale, GRAY)).toBeCloseTo(ciede2000(GRAY, deep), 0);
  });

  test('of a color that is known exactly all five are the same', () => {
    expect(fiveDyeings(GRAY, new Float64Array(9))).toEqual(Array.from({ length: 5 }, () => GRAY));
  });
});
