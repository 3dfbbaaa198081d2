import { absorptionOf } from './dye/layer';
import { inventedBase, inventedDyeing } from './inventedDye';
import { WAVELENGTHS } from './spectrum';

describe('invented dyes and bases', () => {
  test('a band of absorption is a bell: all of it at its middle, 0.607 of it one width away, the rest everywhere', () => {
    const flat = WAVELENGTHS.map(() => 0.5);
    const dye = { bands: [{ nm: 550, width: 40, strength: 2 }], everywhere: 0.1, power: 1, saturation: 0.25 };
    const read = inventedDyeing(dye, flat, Math.log(2), 0.5);
    const added = absorptionOf(read).map((q, i) => q - absorptionOf(flat)[i]!);
    // 0.5 % shows as 1 % on this base, and builds up to 1 / (1 + 0.25).
    const built = 1 / 1.25;
    expect(added[15]).toBeCloseTo(built * (2 + 0.1), 9);
    expect(added[19]).toBeCloseTo(built * (2 * Math.exp(-0.5) + 0.1), 9);
  });
  test('undyed yarn lacks most at 400 nm, a third of that so many nm on', () => {
    const read = inventedBase({ top: 0.9, drop: 0.3, over: 100 });
    expect(read[0]).toBeCloseTo(0.9 * 0.7, 9);
    expect(read[10]).toBeCloseTo(0.9 * (1 - 0.3 / Math.E), 9);
  });
});
