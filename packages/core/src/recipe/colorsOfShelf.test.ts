import {
  house,
  base,
  BASE,
  hexOf,
  apart,
  clean,
  sample,
  ladder,
  undyed,
  shelf,
  DYES,
  A,
  B,
  C,
  measured,
  colors,
  laid,
  GROUND,
  evenly,
} from '../../test/sampledHouse';
import { colorsOfShelf } from './colorsOfShelf';
import { byBands, evenHex } from '../skein/painting';
import { plainLook } from '../skein/yarnLook';
import { samplesWords } from '../words/colorWords';

describe('the colors of a shelf', () => {
  test('a shelf without measured dyes has none; its base alone gives none', () => {
    expect(colorsOfShelf(shelf([]))).toBeNull();
    expect(colorsOfShelf(shelf([undyed(BASE)]))).toBeNull();
    expect(colorsOfShelf(shelf(ladder(A).map((one) => ({ ...one, retired: true }))))).toBeNull();
  });
  test.each([0.08, 0.4, 1, 2])('a measured dye at %s %% is drawn as the dyehouse dyes it', (dos) => {
    expect(apart(evenly([laid(A, dos)]), clean([{ id: A, dosPercent: dos }]))).toBeLessThan(1.5);
  });
  test('two measured dyes together come nearer to the dyehouse than their picked colors', () => {
    const recipe = [
      { id: A, dosPercent: 0.5 },
      { id: B, dosPercent: 0.3 },
    ];
    const drawn = recipe.map(({ id, dosPercent }) => laid(id, dosPercent));
    const true_ = clean(recipe);
    expect(apart(evenly(drawn), true_)).toBeLessThan(3);
    expect(apart(evenly(drawn), true_)).toBeLessThan(apart(evenHex(GROUND, drawn, byBands), true_));
  });
  test('a dye that was never measured goes by its swatch, and is counted as that', () => {
    const unmeasured = DYES[5]!;
    expect(colors.dyes[unmeasured]).toMatchObject({ samples: 0, invented: 0 });
    const drawn = evenly([laid(unmeasured, 1), laid(A, 1e-6)]);
    expect(apart(drawn, clean([{ id: unmeasured, dosPercent: 1 }]))).toBeLessThan(6);
  });
  test('how many samples a dye has, and how many of them were made up', () => {
    const some = ladder(A).map((one, i) => ({ ...one, invented: i < 2 }));
    const found = colorsOfShelf(shelf([undyed(BASE), ...some]))!;
    expect(found.dyes[A]).toMatchObject({ samples: 6, invented: 2 });
  });
  test('a base is as it was measured; the mean of several readings; else as it was picked', () => {
    const other = house.bases[1]!;
    expect(colors.bases[BASE]).toMatchObject({ measured: true });
    base.white.forEach((r, band) => expect(colors.bases[BASE]!.reflectance[band]).toBeCloseTo(r, 4));
    expect(colors.bases[other.id]!.measured).toBe(false);
    expect(apart(hexOf(colors.bases[other.id]!.reflectance), hexOf(other.white))).toBeLessThan(0.5);
    const brighter = { ...undyed(BASE), id: 'again' };
    brighter.color = { kind: 'reflectance', reflectance: base.white.map((r) => r + 0.02) };
    const mean = colorsOfShelf({ ...measured, samples: [...measured.samples, brighter] })!;
    base.white.forEach((r, band) => expect(mean.bases[BASE]!.reflectance[band]).toBeCloseTo(r + 0.01, 4));
  });
  test('black and the purest white are bases like others', () => {
    const found = colorsOfShelf({
      ...measured,
      bases: [
        { id: BASE, hex: '#ffffff' },
        { id: 'coal', hex: '#000000' },
        { id: 'snow', hex: '#ffffff' },
      ],
    })!;
    for (const id of ['coal', 'snow'])
      found.bases[id]!.reflectance.forEach((r) => {
        expect(r).toBeGreaterThan(0);
        expect(r).toBeLessThan(1);
      });
    expect(found.bases.coal!.reflectance[10]).toBeLessThan(0.02);
    expect(found.bases.snow!.reflectance[10]).toBeGreaterThan(0.98);
  });
  test('a base that takes dyes otherwise is told by the samples on it', () => {
    const other = house.bases[1]!.id;
    const two = colorsOfShelf(
      shelf([
        undyed(BASE),
        undyed(other),
        ...ladder(A),
        ...ladder(B),
        ...ladder(A, other),
        ...ladder(B, other),
      ]),
    )!;
    expect(two.bases[BASE]!.affinity).toBeCloseTo(0, 2);
    const ground = plainLook('#ffffff', 'skein', other);
    const drawn = evenly([laid(A, 0.7)], ground, two);
    expect(apart(drawn, clean([{ id: A, dosPercent: 0.7 }], other))).toBeLessThan(2);
  });
  test('a dye that is in mixtures alone begins at its swatch and is found from them', () => {
    const mixture = (dos: number) =>
      sample(
        `mix-${dos}`,
        [
          { dyeId: A, dosPercent: 0.2 },
          { dyeId: C, dosPercent: dos },
        ],
        house.dye(BASE, [
          { id: A, dosPercent: 0.2 },
          { id: C, dosPercent: dos },
        ]).reflectance,
      );
    const found = colorsOfShelf(shelf([undyed(BASE), ...ladder(A), mixture(0.2), mixture(0.8)]))!;
    expect(found.dyes[C]!.samples).toBe(0);
    const drawn = evenly([laid(A, 0.2), laid(C, 0.5)], GROUND, found);
    expect(
      apart(
        drawn,
        clean([
          { id: A, dosPercent: 0.2 },
          { id: C, dosPercent: 0.5 },
        ]),
      ),
    ).toBeLessThan(3);
  });
  test('a premix is its powders, unless it was measured itself', () => {
    const mix = {
      id: 'mix',
      name: 'Mix',
      swatchHex: '#808080',
      swatchDosPercent: 1,
      madeOf: [
        { dyeId: A, parts: 3 },
        { dyeId: B, parts: 1 },
      ],
    };
    const found = colorsOfShelf({ ...measured, dyes: [...measured.dyes, mix] })!;
    expect(found.premixes.mix).toEqual([
      { dyeId: A, share: 0.75 },
      { dyeId: B, share: 0.25 },
    ]);
    const drawn = [{ dyeId: 'mix', swatchHex: '#808080', swatchDosPercent: 1, dosPercent: 1 }];
    expect(evenly(drawn, GROUND, found)).toBe(evenly([laid(A, 0.75), laid(B, 0.25)], GROUND, found));
    expect(samplesWords(found, 'mix')).toBe('12 measured samples of its powders');
    const own = sample('mix-1', [{ dyeId: 'mix', dosPercent: 1 }], base.white);
    expect(
      colorsOfShelf({ ...measured, dyes: [...measured.dyes, mix], samples: [...measured.samples, own] })!
        .premixes,
    ).toEqual({});
  });
});
