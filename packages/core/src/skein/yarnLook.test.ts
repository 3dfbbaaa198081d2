import fc from 'fast-check';
import { drawnColor } from '../color/drawnColor';
import { strandsReached, takenBy, type Lying } from './bundle';
import { covered, type Coat, type Part, type Where } from './coat';
import { spotAt, type Ends } from './spot';
import { rgbHex } from '../color/srgb';
import { averageHex, coated, colorsOf, plainLook, type YarnLook } from './yarnLook';

const BLUE = { swatchHex: '#22449a', swatchDosPercent: 1, dosPercent: 1 };
const RED = { swatchHex: '#b0203a', swatchDosPercent: 1, dosPercent: 1 };
const OPEN: Lying = { kind: 'open', count: 1 };
const WOOL = '#efe9dc';
const part = (where: Where, dye = BLUE): Part => ({ where, dyes: [dye] });
const looking = (parts: Part[], lying = OPEN): YarnLook => coated(plainLook(WOOL), { parts, lying });

/** Share of the goods in each color, on a grid fine enough for any pattern. */
function shares(look: YarnLook, ends: Ends = 'ring', ragged = 0): Map<string, number> {
  const { lights, at } = colorsOf(look, { ends, strands: 40, steps: 400, seed: 'a', ragged });
  const counts = new Map<string, number>();
  for (const place of at) {
    const hex = rgbHex(lights[place]!);
    counts.set(hex, (counts.get(hex) ?? 0) + 1 / at.length);
  }
  return counts;
}
const blueOn = (look: YarnLook, ends?: Ends, ragged?: number): number =>
  shares(look, ends, ragged).get(drawnColor(WOOL, [BLUE])) ?? 0;

const PLACES: [string, (share: number) => Where][] = [
  ['around', (share) => ({ kind: 'around', from: 0.2, to: 0.2 + share })],
  ['along', (share) => ({ kind: 'along', from: 0, to: share })],
  ['layer', (share) => ({ kind: 'layer', from: 1 - share, to: 1 })],
  ['sides', (share) => ({ kind: 'sides', share })],
  ['zigzag', (share) => ({ kind: 'zigzag', share })],
  ['patches', (share) => ({ kind: 'patches', share })],
  ['touches', (share) => ({ kind: 'touches', share })],
  ['specks', (share) => ({ kind: 'specks', share })],
];

describe.each(PLACES)('what lies %s', (_, where) => {
  test.each(['ring', 'two ends'] as const)('covers what the recipe says, on a %s', (ends) => {
    for (const share of [0.1, 0.3, 0.5, 0.75])
      expect(Math.abs(blueOn(looking([part(where(share))]), ends) - share)).toBeLessThan(0.035);
  });
  test('leaves the rest as it was', () => {
    const found = shares(looking([part(where(0.3))]));
    expect([...found.keys()].toSorted()).toEqual([WOOL, drawnColor(WOOL, [BLUE])].toSorted());
  });
});

test('a section of 30 % of the ring is 30 % of every strand, its edge wandering from one to the next', () => {
  const grid = { ends: 'ring', strands: 30, steps: 200, seed: 'x' } as const;
  const look = looking([part({ kind: 'around', from: 0.3, to: 0.6 })]);
  const edges = [0, 0.012].map((ragged) => {
    const { at, steps } = colorsOf(look, { ...grid, ragged });
    return Array.from({ length: grid.strands }, (_, s) => {
      const row = [...at.subarray(s * steps, (s + 1) * steps)];
      expect(row.filter((place) => place > 0).length / steps).toBeCloseTo(0.3, 2);
      return row.findIndex((place) => place > 0);
    });
  });
  expect(new Set(edges[0]).size).toBe(1);
  expect(new Set(edges[1]).size).toBeGreaterThan(2);
});

test('three places of a pan lie beside each other and leave what is left white', () => {
  const found = shares(
    looking([
      part({ kind: 'along', from: 0, to: 0.3 }),
      part({ kind: 'patches', share: 0.25 }, RED),
      part({ kind: 'zigzag', share: 0.2 }, { ...RED, dosPercent: 0.1 }),
    ]),
  );
  const share = (hex: string): number => found.get(hex) ?? 0;
  expect(share(drawnColor(WOOL, [BLUE]))).toBeCloseTo(0.3, 2);
  expect(Math.abs(share(drawnColor(WOOL, [RED])) - 0.25)).toBeLessThan(0.04);
  expect(Math.abs(share(WOOL) - 0.25)).toBeLessThan(0.06);
});

test('painted across, each strand runs 1-2-3-3-2-1; around, it runs 1-2-3', () => {
  const colors = (kind: 'along' | 'around'): number[] => {
    const look = looking(
      [0, 1, 2].map((i) => part({ kind, from: i / 3, to: (i + 1) / 3 }, { ...BLUE, dosPercent: i + 1 })),
    );
    const { lights, at } = colorsOf(look, { ends: 'ring', strands: 1, steps: 120, seed: '' });
    const depth = lights
      .map(rgbHex)
      .map((hex) => [1, 2, 3].find((dos) => hex === drawnColor(WOOL, [{ ...BLUE, dosPercent: dos }])) ?? 0);
    return [...at].map((place) => depth[place] ?? 0).filter((one, i, all) => one !== all[i - 1]);
  };
  // From the top of the ring down to its foot and up again.
  expect(colors('along')).toEqual([3, 2, 1, 2, 3]);
  expect(colors('around')).toEqual([1, 2, 3]);
});

test('a dip of 40 % runs to its edge at both legs of a hank, and at one end of a sock', () => {
  const look = looking([part({ kind: 'along', from: 0, to: 0.4 })]);
  const dyedAt = (ends: Ends): number[] => {
    const { at } = colorsOf(look, { ends, strands: 1, steps: 10, seed: '' });
    return [...at].flatMap((place, step) => (place > 0 ? step : []));
  };
  expect(dyedAt('ring')).toEqual([3, 4, 5, 6]);
  expect(dyedAt('two ends')).toEqual([0, 1, 2, 3]);
});

const LYING: Lying[] = [
  OPEN,
  { kind: 'twisted', count: 3 },
  { kind: 'twisted tight', count: 4 },
  { kind: 'knotted', count: 3 },
  { kind: 'knotted', count: 12 },
  { kind: 'tied sections', count: 4 },
  { kind: 'tied sections', count: 60 },
  { kind: 'laid flat', count: 1 },
];

describe.each(LYING)('goods that lie $kind, $count', (lying) => {
  const spots = Array.from({ length: 400 * 61 }, (_, i) =>
    spotAt('ring', ((i % 400) + 0.5) / 400, (Math.floor(i / 400) + 0.5) / 61),
  );
  test('take all of their dye: what the inside does not get, the outside has', () => {
    const taken = takenBy(lying);
    expect(spots.reduce((sum, spot) => sum + taken(spot), 0) / spots.length).toBeCloseTo(1, 1);
  });
  test('are reached in the share of strands that is said', () => {
    const taken = takenBy(lying);
    const most = Math.max(...spots.map(taken));
    const reached = spots.filter((spot) => taken(spot) === most).length / spots.length;
    expect(Math.abs(reached - strandsReached(lying))).toBeLessThan(0.03);
  });
});

test('a tight twist keeps its core pale all the way round; knots leave rings, ties leave white', () => {
  const levels = (lying: Lying, across: number): Set<number> => {
    const taken = takenBy(lying);
    return new Set(Array.from({ length: 300 }, (_, i) => taken(spotAt('ring', (i + 0.5) / 300, across))));
  };
  const tight: Lying = { kind: 'twisted tight', count: 4 };
  expect(levels(tight, 0.5).size).toBe(1);
  expect(Math.max(...levels(tight, 0.5))).toBeLessThan(0.2);
  expect(Math.max(...levels(tight, 0.05))).toBeGreaterThan(1.5);
  // Rings: every strand but the outermost passes through each knot once.
  const crossings = (lying: Lying, across: number): number => {
    const taken = takenBy(lying);
    const pale = Array.from({ length: 600 }, (_, i) => taken(spotAt('ring', (i + 0.5) / 600, across)) < 0.5);
    return pale.filter((one, i) => one && !pale[i - 1]).length;
  };
  expect([
    crossings({ kind: 'knotted', count: 3 }, 0.5),
    crossings({ kind: 'knotted', count: 3 }, 0.999),
  ]).toEqual([3, 0]);
  expect([
    crossings({ kind: 'tied sections', count: 5 }, 0.5),
    crossings({ kind: 'tied sections', count: 5 }, 0.999),
  ]).toEqual([5, 5]);
});

test('what goes over goods later goes over what is there', () => {
  const look = coated(looking([part({ kind: 'along', from: 0, to: 0.5 })]), {
    parts: [part({ kind: 'all' }, RED)],
    lying: OPEN,
  });
  const once = drawnColor(WOOL, [BLUE]);
  expect([...shares(look).keys()].toSorted()).toEqual(
    [drawnColor(WOOL, [RED]), drawnColor(WOOL, [BLUE, RED])].toSorted(),
  );
  expect(drawnColor(once, [RED])).toMatch(/^#[0-9a-f]{6}$/);
});

test('melting ice lays as much as it holds, here nearly nothing and there nearly twice', () => {
  const look = looking([part({ kind: 'drips' })]);
  expect(shares(look).size).toBeGreaterThan(5);
});

test('what covers what, added up, is never over the whole', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 6 }),
      (all) => {
        const coat: Coat = { parts: all.map((share) => part({ kind: 'patches', share })), lying: OPEN };
        expect(covered(coat)).toBeLessThanOrEqual(1);
        expect(blueOn(coated(plainLook(WOOL), coat))).toBeLessThanOrEqual(1);
      },
    ),
    { numRuns: 20 },
  );
});

test('half in white and half in black throws back half of the light', () => {
  const black = { swatchHex: '#000000', swatchDosPercent: 1, dosPercent: 1000 };
  const look = coated(plainLook('#ffffff'), {
    parts: [{ where: { kind: 'along', from: 0, to: 0.5 }, dyes: [black] }],
    lying: OPEN,
  });
  // Linear light of one half is #bc in sRGB (IEC 61966-2-1); black wool still throws back a four-hundredth.
  expect(averageHex(look)).toMatch(/^#b[cd]b[cd]b[cd]$/);
  expect(averageHex(plainLook('#123456'))).toBe('#123456');
});
