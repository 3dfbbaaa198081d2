import {
  house,
  ladder,
  base,
  BASE,
  hexOf,
  apart,
  sample,
  undyed,
  shelf,
  DYES,
  A,
  B,
  colors,
  laid,
  GROUND,
  evenly,
  pass,
} from '../../test/sampledHouse';
import { predict } from '../color/predict';
import { linearOf } from '../color/screen';
import { rgbHex } from '../color/srgb';
import { findColors } from '../recipe/colorsOfShelf';
import { bySamples } from './bySamples';
import type { Part } from './coat';
import { averageHex, coated, colorsOf, plainLook } from './yarnLook';

test('what is painted is what the color core predicts: on a base that takes more, of dyes that hinder each other, at half the dye', () => {
  const other = house.bases[1]!.id;
  const mixtures = [0.2, 0.5, 0.9].flatMap((a, i) =>
    [BASE, other].map((baseId) => {
      const dyes = [
        { id: A, dosPercent: a },
        { id: B, dosPercent: 1.1 - a },
      ];
      const put = dyes.map(({ id, dosPercent }) => ({ dyeId: id, dosPercent }));
      return sample(`mix-${baseId}-${i}`, put, house.dye(baseId, dyes).reflectance, baseId);
    }),
  );
  const ladders = [BASE, other].flatMap((id) => [undyed(id), ...ladder(A, id), ...ladder(B, id)]);
  const { colors: by, calibration } = findColors(shelf([...ladders, ...mixtures]))!;
  expect(Math.abs(by.bases[other]!.affinity)).toBeGreaterThan(0.03);
  expect(Math.abs(by.loss)).toBeGreaterThan(0.003);
  const part: Part = { where: { kind: 'all' }, dyes: [laid(A, 0.6), laid(B, 0.4)] };
  const painter = bySamples(by)(
    coated(plainLook('#ffffff', 'skein', other), { parts: [part], lying: { kind: 'open', count: 0 } }),
  );
  for (const times of [0.5, 1, 2]) {
    const { reflectance } = predict(calibration, other, [
      { id: A, dosPercent: 0.6 * times },
      { id: B, dosPercent: 0.4 * times },
    ]);
    const light = painter.lights[painter.over(0, part, times)]!;
    linearOf(reflectance).forEach((channel, i) => expect(light[i]).toBeCloseTo(channel, 4));
  }
});

describe('goods painted by what was measured', () => {
  test('undyed goods of a measured base show its measured color; of another, the picked one', () => {
    expect(averageHex(plainLook('#123456', 'skein', BASE), bySamples(colors))).toBe(hexOf(base.white));
    expect(averageHex(plainLook('#123456'), bySamples(colors))).toBe('#123456');
    const [, other] = house.bases;
    expect(averageHex(plainLook('#123456', 'skein', other!.id), bySamples(colors))).toBe('#123456');
  });
  test('dyes of a later pass lie over those of an earlier one', () => {
    const once = pass(GROUND, [laid(A, 0.5)]);
    const twice = pass(once, [laid(B, 0.3)]);
    const [, first, second] = colorsOf(
      twice,
      { ends: 'ring', strands: 1, steps: 1, seed: '' },
      bySamples(colors),
    ).lights;
    expect(rgbHex(first!)).toBe(evenly([laid(A, 0.5)]));
    expect(apart(rgbHex(second!), evenly([laid(A, 0.5), laid(B, 0.3)]))).toBeLessThan(3);
    expect(rgbHex(second!)).not.toBe(rgbHex(first!));
  });
  test('goods that had a color before are dyed over that color', () => {
    const pink = plainLook('#e8b8c0');
    const drawn = evenly([laid(A, 1e-9)], pink);
    expect(apart(drawn, '#e8b8c0')).toBeLessThan(1);
    expect(evenly([laid(A, 0.5)], pink)).not.toBe(evenly([laid(A, 0.5)]));
  });
  test('where no dye of the goods was measured, or one is not on the shelf, picked colors do', () => {
    const [, , , , , unmeasured, another] = DYES;
    const look = pass(GROUND, [laid(unmeasured!, 0.4), laid(another!, 0.2)]);
    expect(averageHex(look, bySamples(colors))).toBe(averageHex(look));
    const gone = pass(GROUND, [laid(A, 0.4), { ...laid(A, 0.2), dyeId: 'gone' }]);
    expect(averageHex(gone, bySamples(colors))).toBe(averageHex(gone));
    const { dyeId: _, ...nameless } = laid(A, 0.4);
    const quick = pass(GROUND, [nameless]);
    expect(averageHex(quick, bySamples(colors))).toBe(averageHex(quick));
  });
});
