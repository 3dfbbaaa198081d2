import {
  BASE,
  hexOf,
  apart,
  DYES,
  A,
  B,
  measured,
  colors,
  laid,
  GROUND,
  pass,
} from '../../test/sampledHouse';
import { ciede2000 } from '../color/difference/ciede2000';
import { predict } from '../color/predict';
import { findColors } from './colorsOfShelf';
import { expectedColor } from './expectedColor';
import { bySamples } from '../skein/bySamples';
import type { Part } from '../skein/coat';
import { evenRecipe, expectedAddress } from '../skein/evenRecipe';
import { averageHex, coated, plainLook, type YarnLook } from '../skein/yarnLook';

describe('what goods of one color are expected to come out as', () => {
  const even = (...dyes: Part['dyes']): YarnLook => pass(GROUND, dyes);
  test('an even look is its dyes by passes; sections, twists and unknown goods are none', () => {
    const look = pass(even(laid(A, 0.5), laid(B, 0.2)), [laid(A, 0.1)]);
    expect(evenRecipe(look)).toEqual({
      baseId: BASE,
      dyes: [
        { dyeId: A, dosPercent: 0.5, pass: 0 },
        { dyeId: B, dosPercent: 0.2, pass: 0 },
        { dyeId: A, dosPercent: 0.1, pass: 1 },
      ],
    });
    expect(evenRecipe(GROUND)).toBeNull();
    expect(evenRecipe(pass(plainLook('#ffffff'), [laid(A, 0.5)]))).toBeNull();
    const { dyeId: _, ...nameless } = laid(A, 0.5);
    expect(evenRecipe(even(nameless))).toBeNull();
    const half: Part = { where: { kind: 'along', from: 0, to: 0.5 }, dyes: [laid(A, 0.5)] };
    expect(evenRecipe(coated(GROUND, { parts: [half], lying: { kind: 'open', count: 0 } }))).toBeNull();
    const [only] = look.coats;
    expect(evenRecipe(coated(GROUND, { ...only!, lying: { kind: 'knotted', count: 2 } }))).toBeNull();
    expect(expectedAddress({ baseId: BASE, dyes: [] })).toBe(
      'recipe=%7B%22baseId%22%3A%22base0%22%2C%22dyes%22%3A%5B%5D%7D',
    );
  });
  const known = findColors(measured)!;
  test('it is the prediction of the color core, and what is drawn', () => {
    const dyes = [
      { dyeId: A, dosPercent: 0.5, pass: 0 },
      { dyeId: B, dosPercent: 0.3, pass: 1 },
    ];
    const expected = expectedColor(known, BASE, dyes)!;
    const direct = predict(known.calibration, BASE, [
      { id: A, dosPercent: 0.5, bath: 0 },
      { id: B, dosPercent: 0.3, bath: 1 },
    ]);
    expect(expected).toMatchObject({ lab: direct.lab, spreadDE00: direct.spreadDE00, samples: 12 });
    const drawn = pass(pass(GROUND, [laid(A, 0.5)]), [laid(B, 0.3)]);
    expect(apart(averageHex(drawn, bySamples(colors)), hexOf([...direct.reflectance]))).toBeLessThan(0.6);
  });
  test('five dyeings of it run from pale to deep, the likeliest drawn as it is, the outer ones about as far as its spread', () => {
    const expected = expectedColor(known, BASE, [{ dyeId: A, dosPercent: 0.5, pass: 0 }])!;
    const direct = predict(known.calibration, BASE, [{ id: A, dosPercent: 0.5 }]);
    const { five, lab, spreadDE00 } = expected;
    expect(five).toHaveLength(5);
    expect(five[2]).toEqual({ lab, hex: hexOf([...direct.reflectance]) });
    const depths = five.map((one) => one.lab[0]);
    expect(depths).toEqual(depths.toSorted((one, other) => other - one));
    for (const outer of [five[0]!, five[4]!]) {
      expect(ciede2000(outer.lab, lab)).toBeGreaterThan(0.6 * spreadDE00);
      expect(ciede2000(outer.lab, lab)).toBeLessThan(1.3 * spreadDE00);
      expect(apart(outer.hex, five[2]!.hex)).toBeGreaterThan(0.4 * spreadDE00);
      expect(apart(outer.hex, five[2]!.hex)).toBeLessThan(1.7 * spreadDE00);
    }
  });
  test('a premix is its powders; one dye twice in a pass is its sum', () => {
    const mix = {
      ...measured.dyes[0]!,
      id: 'mix',
      name: 'Mix',
      madeOf: [
        { dyeId: A, parts: 1 },
        { dyeId: B, parts: 1 },
      ],
    };
    const mixed = findColors({ ...measured, dyes: [...measured.dyes, mix] })!;
    const lab = (dyes: { dyeId: string; dosPercent: number }[]) =>
      expectedColor(
        mixed,
        BASE,
        dyes.map((dye) => ({ ...dye, pass: 0 })),
      )!.lab;
    expect(
      lab([
        { dyeId: 'mix', dosPercent: 0.4 },
        { dyeId: A, dosPercent: 0.1 },
      ]),
    ).toEqual(
      lab([
        { dyeId: A, dosPercent: 0.2 + 0.1 },
        { dyeId: B, dosPercent: 0.2 },
      ]),
    );
  });
  test('nothing is expected of dyes that were never measured, of no dye, or on a base that is not there', () => {
    const of = (dyeId: string, dosPercent: number, base_ = BASE) =>
      expectedColor(known, base_, [{ dyeId, dosPercent, pass: 0 }]);
    expect(of(A, 0.5)).not.toBeNull();
    expect(of(DYES[5]!, 0.5)).toBeNull();
    expect(of(A, 0)).toBeNull();
    expect(of(A, 0.5, 'nowhere')).toBeNull();
    expect(expectedColor(known, BASE, [])).toBeNull();
  });
});
