import { converter, type Lab65, type Lch65, type Xyz65 } from 'culori';
import Color from 'colorjs.io';
import fc from 'fast-check';
import { ILLUMINANTS, OBSERVERS } from './cie/tables';
import { CIE_WHITES, DAYLIGHT, weightsOf, xyzOf, type Viewing } from './cie/tristimulus';
import type { Xyz } from './cie/weights';
import { labOf, labOfLch, labOfXyz, lchOf, xyzOfLab, type Lab } from './lab';
import { labOfScreen, screenOf, screenOfLab, screenOfXyz, xyzOfScreen } from './screen';
import { WAVELENGTHS } from './spectrum';
import { BANDS } from '../units/bands';

const VIEWINGS: Viewing[] = (['D65', 'A', 'F11'] as const).flatMap((illuminant) =>
  (['2°', '10°'] as const).map((observer) => ({ illuminant, observer })),
);
const D65_2 = CIE_WHITES['D65 2°'] as Xyz;
const lab: fc.Arbitrary<Lab> = fc.tuple(
  fc.double({ min: 0, max: 100, noNaN: true }),
  fc.double({ min: -100, max: 100, noNaN: true }),
  fc.double({ min: -100, max: 100, noNaN: true }),
);
const byte = fc.double({ min: 0, max: 255, noNaN: true });
const spectrum = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), {
  minLength: BANDS,
  maxLength: BANDS,
});

test('31 bands from 400 to 700 nm, and as many values of every observer and illuminant', () => {
  expect([BANDS, WAVELENGTHS[0], WAVELENGTHS.at(-1)]).toEqual([31, 400, 700]);
  for (const { x, y, z } of Object.values(OBSERVERS))
    expect([x.length, y.length, z.length]).toEqual([31, 31, 31]);
  for (const power of Object.values(ILLUMINANTS)) expect(power).toHaveLength(31);
});

test.each(VIEWINGS)('a reflectance of 1 is exactly white under $illuminant, $observer', (viewing) => {
  const [l, a, b] = labOf(
    Array.from({ length: BANDS }, () => 1),
    viewing,
  );
  expect(l).toBeCloseTo(100, 12);
  expect(a).toBeCloseTo(0, 12);
  expect(b).toBeCloseTo(0, 12);
});

test('the sum reaches CIE’s own white points within 0.25, and they are kept to 0.001', () => {
  const kept: [Viewing, Xyz][] = [
    [{ illuminant: 'D65', observer: '10°' }, [94.811, 100, 107.304]],
    [{ illuminant: 'D65', observer: '2°' }, [95.047, 100, 108.883]],
    [{ illuminant: 'A', observer: '2°' }, [109.85, 100, 35.585]],
  ];
  for (const [viewing, point] of kept) {
    const { white } = weightsOf(viewing);
    point.forEach((value, i) => {
      expect(Math.abs((white[i] ?? 0) - value)).toBeLessThan(0.25);
      expect(CIE_WHITES[`${viewing.illuminant} ${viewing.observer}`]?.[i]).toBeCloseTo(value, 3);
    });
  }
});

test('XYZ of 100 random spectra is what the plain sum over the tables says', () => {
  // A second implementation: straight from the definition, band by band, no weights kept.
  const plain = (r: readonly number[], { illuminant, observer }: Viewing): Xyz => {
    const of = (matching: readonly number[]): number =>
      ILLUMINANTS[illuminant].map((s, i) => s * matching[i]! * r[i]!).reduce((a, b) => a + b, 0);
    const n = ILLUMINANTS[illuminant].map((s, i) => s * OBSERVERS[observer].y[i]!).reduce((a, b) => a + b, 0);
    const { x, y, z } = OBSERVERS[observer];
    return [(100 * of(x)) / n, (100 * of(y)) / n, (100 * of(z)) / n];
  };
  fc.assert(
    fc.property(spectrum, fc.constantFrom(...VIEWINGS), (r, viewing) => {
      plain(r, viewing).forEach((value, i) => expect(xyzOf(r, viewing)[i]).toBeCloseTo(value, 9));
    }),
    { numRuns: 100 },
  );
});

test('Lab, LCh and sRGB of 10,000 random colors are what culori and colorjs.io say', () => {
  const [toXyz, toLch, toRgb] = [converter('xyz65'), converter('lch65'), converter('rgb')];
  fc.assert(
    fc.property(lab, (one) => {
      const culori: Lab65 = { mode: 'lab65', l: one[0], a: one[1], b: one[2] };
      const js = new Color('lab-d65', [...one]);
      const xyz = toXyz(culori) as Xyz65;
      const [x, y, z] = xyzOfLab(one, D65_2);
      // Their white is that of 0.3127, 0.3290: 95.0456, 100, 108.9058.
      const [wx, wy, wz] = js.to('xyz-d65').coords as Xyz;
      for (const [ours, first, second] of [
        [x / D65_2[0], xyz.x / 0.9504559270516716, wx / 0.9504559270516716],
        [y / 100, xyz.y, wy],
        [z / D65_2[2], xyz.z / 1.0890577507598784, wz / 1.0890577507598784],
      ] as const) {
        expect(Math.abs(ours - first)).toBeLessThan(1e-6);
        expect(Math.abs(ours - second)).toBeLessThan(1e-6);
      }
      const lch = toLch(culori) as Lch65;
      const [l, c, h] = lchOf(one);
      expect([l, c]).toEqual([expect.closeTo(lch.l, 9), expect.closeTo(lch.c, 9)]);
      if (c > 1e-6) expect(Math.cos(((h - (lch.h ?? 0)) * Math.PI) / 180)).toBeCloseTo(1, 9);
      labOfLch([l, c, h]).forEach((value, i) => expect(value).toBeCloseTo(one[i]!, 9));
      // The screen they make of it, where it has the color.
      const rgb = toRgb(culori);
      const ours = screenOfLab(one);
      if ([rgb.r, rgb.g, rgb.b].every((channel) => channel > 0.002 && channel < 0.998)) {
        expect(ours.inGamut).toBe(true);
        [rgb.r, rgb.g, rgb.b].forEach((channel, i) =>
          expect(Math.abs(ours.srgb[i]! - 255 * channel)).toBeLessThan(0.02),
        );
      }
      if ([rgb.r, rgb.g, rgb.b].some((channel) => channel < -0.01 || channel > 1.01))
        expect(ours.inGamut).toBe(false);
    }),
    { numRuns: 10_000, seed: 20_261_127 },
  );
});

test('a color of a screen comes back from its tristimulus values and from its Lab', () => {
  fc.assert(
    fc.property(fc.tuple(byte, byte, byte), (srgb) => {
      screenOfXyz(xyzOfScreen(srgb)).srgb.forEach((value, i) => expect(value).toBeCloseTo(srgb[i]!, 6));
      screenOfLab(labOfScreen(srgb)).srgb.forEach((value, i) => expect(value).toBeCloseTo(srgb[i]!, 6));
    }),
  );
});

test('what reflects all light is the white of a screen, and half of it a gray without a cast', () => {
  const [r, g, b] = screenOf(Array.from({ length: BANDS }, () => 1)).srgb;
  expect([r, g, b].map((value) => value.toFixed(2))).toEqual(['255.00', '255.00', '255.00']);
  const gray = screenOf(Array.from({ length: BANDS }, () => 0.5)).srgb;
  expect(Math.max(...gray) - Math.min(...gray)).toBeLessThan(0.05);
});

test('Lab comes back from its own tristimulus values, dark colors too', () => {
  fc.assert(
    fc.property(lab, (one) => {
      const { white } = weightsOf(DAYLIGHT);
      labOfXyz(xyzOfLab(one, white), white).forEach((value, i) => expect(value).toBeCloseTo(one[i]!, 8));
    }),
  );
});
