import { formatHex, parse, converter } from 'culori';
import fc from 'fast-check';
import { drawnBathColor, drawnColor, SWATCH_GROUND } from './drawnColor';
import { linearRgb, rgbHex } from './srgb';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const light = (color: string): number => linearRgb(color).reduce((sum, channel) => sum + channel, 0);

test('sRGB to linear light agrees with culori', () => {
  const toLinearRgb = converter('lrgb');
  fc.assert(
    fc.property(hex, (color) => {
      const theirs = toLinearRgb(parse(color)!);
      const ours = linearRgb(color);
      expect(ours[0]).toBeCloseTo(theirs.r, 6);
      expect(ours[1]).toBeCloseTo(theirs.g, 6);
      expect(ours[2]).toBeCloseTo(theirs.b, 6);
      expect(rgbHex(ours)).toBe(formatHex(parse(color)!));
    }),
  );
});

describe('drawn color', () => {
  const blue = { swatchHex: '#22449a', swatchDosPercent: 1 };
  test('no dye leaves the ground as it is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 250 }), (gray) => {
        const ground = rgbHex([gray / 255, gray / 255, gray / 255]);
        expect(drawnColor(ground, [])).toBe(ground);
      }),
    );
  });
  test('a dye at its swatch depth on swatch wool is its swatch', () => {
    expect(drawnColor(SWATCH_GROUND, [{ ...blue, dosPercent: 1 }])).toBe('#22449a');
  });
  test('more dye is never lighter', () => {
    fc.assert(
      fc.property(
        hex,
        fc.double({ min: 0.01, max: 6, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (swatchHex, dosPercent, more) => {
          const dye = { swatchHex, swatchDosPercent: 1 };
          expect(
            light(drawnColor(SWATCH_GROUND, [{ ...dye, dosPercent: dosPercent * more }])),
          ).toBeLessThanOrEqual(light(drawnColor(SWATCH_GROUND, [{ ...dye, dosPercent }])) + 0.01);
        },
      ),
    );
  });
  test('a naturally gray base comes out darker than white wool', () => {
    expect(light(drawnColor('#8b8680', [{ ...blue, dosPercent: 0.5 }]))).toBeLessThan(
      light(drawnColor(SWATCH_GROUND, [{ ...blue, dosPercent: 0.5 }])),
    );
  });
  test('a stronger bath is darker, and plain water is neutral', () => {
    const [red, green, waterBlue] = linearRgb(drawnBathColor([]));
    expect(red).toBe(green);
    expect(green).toBe(waterBlue);
    expect(light(drawnBathColor([{ ...blue, gramsPerLiter: 0.4 }]))).toBeLessThan(
      light(drawnBathColor([{ ...blue, gramsPerLiter: 0.1 }])),
    );
  });
});
