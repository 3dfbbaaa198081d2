import fc from 'fast-check';
import { FieldError } from '../figure/fieldError';
import { weightsOf, xyzOf, DAYLIGHT } from './cie/tristimulus';
import type { Xyz } from './cie/weights';
import { colorName } from './colorNames';
import { differenceWords } from './differenceWords';
import { kOverS, reflectanceOf, withoutSurface, withSurface } from './kubelkaMunk';
import { labOf } from './lab';
import { metamerism } from './metamerism';
import { smoothestReflectance } from './reconstruct';
import { bandedSpectrum, WAVELENGTHS } from './spectrum';
import { BANDS } from '../units/bands';

/** A surface of a few bumps, as dyed things are. */
const surface = fc
  .array(
    fc.record({
      at: fc.double({ min: 380, max: 720, noNaN: true }),
      wide: fc.double({ min: 25, max: 120, noNaN: true }),
      deep: fc.double({ min: 0, max: 0.9, noNaN: true }),
    }),
    { minLength: 1, maxLength: 4 },
  )
  .map((bumps) =>
    WAVELENGTHS.map((nm) =>
      bumps.reduce((r, { at, wide, deep }) => r * (1 - deep * Math.exp(-(((nm - at) / wide) ** 2))), 0.85),
    ),
  );

describe('Kubelka-Munk', () => {
  const r = fc.double({ min: 1e-4, max: 1, noNaN: true });
  test('K/S and reflectance are each other’s inverse', () =>
    fc.assert(
      fc.property(r, (one) => {
        expect(reflectanceOf(kOverS(one))).toBeCloseTo(one, 9);
      }),
    ));
  test.each([
    [1, 0],
    [0.5, 0.25],
    [0.1, 4.05],
  ])('a layer that reflects %d has a K/S of %d', (reflects, q) =>
    expect(kOverS(reflects)).toBeCloseTo(q, 12),
  );
  test('the surface is put on and taken off, and a reading below it is no light at all', () => {
    fc.assert(fc.property(r, (one) => expect(withoutSurface(withSurface(one))).toBeCloseTo(one, 9)));
    expect(withSurface(0)).toBe(0.01);
    expect(withoutSurface(0.002)).toBeGreaterThan(0);
  });
});

describe('the smoothest reflectance of a color', () => {
  test('has the tristimulus values it was made from, to a millionth, and lies between 0 and 1', () =>
    fc.assert(
      fc.property(surface, (made) => {
        const xyz = xyzOf(made);
        const smooth = smoothestReflectance(xyz);
        expect(smooth).not.toBeNull();
        xyzOf(smooth!).forEach((value, i) => expect(Math.abs(value - xyz[i]!)).toBeLessThan(1e-6));
        expect(Math.min(...smooth!)).toBeGreaterThan(0);
        expect(Math.max(...smooth!)).toBeLessThan(1);
      }),
      { numRuns: 200 },
    ));
  test('of a gray is flat', () => {
    const { white } = weightsOf(DAYLIGHT);
    const flat = smoothestReflectance(white.map((value) => 0.4 * value) as unknown as Xyz)!;
    for (const value of flat) expect(value).toBeCloseTo(0.4, 6);
  });
  test('of a color that no surface can have is none', () => {
    expect(smoothestReflectance([10, 80, 10])).toBeNull();
    expect(smoothestReflectance([120, 130, 110])).toBeNull();
  });
});

describe('a reflectance as it comes', () => {
  const flat = (n: number, value = 0.5): number[] => Array.from({ length: n }, () => value);
  test('in bands it stays as it is; in steps of 20 nm it is drawn between, and that is told', () => {
    expect(bandedSpectrum(flat(31), 'r')).toEqual({ spectrum: flat(31), resampledFrom: null });
    const sloped = Array.from({ length: 16 }, (_, i) => i / 20);
    const { spectrum, resampledFrom } = bandedSpectrum(sloped, 'r');
    expect([spectrum.length, resampledFrom]).toEqual([BANDS, 20]);
    expect([spectrum[0], spectrum[1], spectrum.at(-1)]).toEqual([0, 0.025, 0.75]);
  });
  test('steps of 5 nm are every second one', () =>
    expect(
      bandedSpectrum(
        Array.from({ length: 61 }, (_, i) => i / 100),
        'r',
      ).spectrum[1],
    ).toBeCloseTo(0.02, 12));
  test.each([
    ['too few', flat(3), 'r', /31 values/],
    ['a step that does not fit', flat(30), 'r', /400 to 700 nm in steps of 10/],
    ['percent', [...flat(30), 55], 'r.30', /divided by 100/],
    ['no number', [...flat(30), Number.NaN], 'r.30', /number from 0 to 1/],
    ['below nothing', [-0.2, ...flat(30)], 'r.0', /from 0 to 1/],
  ])('%s is refused, by its field', (_, readings, field, said) => {
    const read = (): unknown => bandedSpectrum(readings, 'r');
    expect(read).toThrow(FieldError);
    expect(read).toThrow(expect.objectContaining({ field, message: expect.stringMatching(said) as string }));
  });
  test('noise of an instrument on black and white is cut off', () =>
    expect(bandedSpectrum([-0.01, 1.01, ...flat(29)], 'r').spectrum.slice(0, 2)).toEqual([0, 1]));
});

describe('under another light', () => {
  test('equal spectra match under every light; a metamer of the same color does not', () => {
    const made = WAVELENGTHS.map((nm) => 0.2 + 0.5 * Math.exp(-(((nm - 560) / 22) ** 2)));
    const smooth = smoothestReflectance(xyzOf(made))!;
    expect(metamerism(made, made, 'A')).toBe(0);
    expect(metamerism(made, smooth, 'D65')).toBeLessThan(1e-4);
    expect(metamerism(made, smooth, 'F11')).toBeGreaterThan(0.5);
  });
});

describe('in words', () => {
  const flat = (value: number): readonly number[] => Array.from({ length: BANDS }, () => value);
  test.each([
    [labOf(flat(0.9)), 'white'],
    [labOf(flat(0.2)), 'gray'],
    [labOf(flat(0.01)), 'black'],
    [[30, 10, -45], 'dark blue'],
    [[45, 60, 35], 'red'],
    [[40, 20, 30], 'brown'],
    [[85, 2, 70], 'pale yellow'],
    [[50, -40, 30], 'green'],
    [[40, -12, 22], 'olive green'],
    [[80, -12, 22], 'pale yellow-green'],
    [[76, 25, 3], 'pale pink'],
  ] as const)('%j is %s', (lab, name) => expect(colorName([...lab] as never)).toBe(name));
  test.each([
    [[50, 20, 0], [50, 20, 0.1], 'no difference to be seen'],
    [[50, 20, 10], [46, 21, 10], 'clearly deeper, a trace brighter'],
    [[50, -30, 10], [51, -26, 10], 'clearly duller, a little yellower, a trace paler'],
    [[60, 40, 20], [60, 42, 14], 'much bluer'],
  ] as const)('%j beside %j: %s', (target, got, words) =>
    expect(differenceWords([...target] as never, [...got] as never)).toBe(words),
  );
});
