import fc from 'fast-check';
import { chance, Dyehouse } from '../../../test/dyehouse/dyehouse';
import { calibrate, type Calibration, onlyOf, withMixtures } from '../calibrate/calibrate';
import { ciede2000 } from '../difference/ciede2000';
import { fade } from '../fade';
import { ladderDepth } from '../ladderDepth';
import type { Lab } from '../lab';
import { predict } from '../predict';
import { correct } from './correct';
import { DyesFor } from './dyesFor';
import { FirstDoses } from './firstDoses';
import { countOf, joinShares, groundOf, match, matches, matching, type MatchWish } from './match';
import { metricAt, squaredIn } from '../difference/metric';
import { absorptionOf } from '../dye/layer';

function houseOf(seed: number, dyes: number): { house: Dyehouse; found: Calibration } {
  const house = new Dyehouse({ seed, dyes });
  const found = calibrate({
    bases: [{ id: 'base0', reflectance: house.bases[0]!.white }],
    dyes: house.dyes.map(({ id }) => id),
    samples: house.dyes.flatMap(({ id }) =>
      [0.1, 0.5, 2].map((dosPercent) => ({
        dyeId: id,
        baseId: 'base0',
        dosPercent,
        color: {
          kind: 'reflectance' as const,
          reflectance: house.dye('base0', [{ id, dosPercent }]).reflectance,
        },
      })),
    ),
    mixtures: [],
  });
  return { house, found };
}
const { house, found } = houseOf(7, 10);
const wish = (target: Lab, changes: Partial<MatchWish> = {}): MatchWish => ({
  baseId: 'base0',
  target: { kind: 'lab', lab: target },
  maxDyes: 3,
  mustUse: [],
  mustNotUse: [],
  maxDosPercent: 4,
  top: 5,
  ...changes,
});
const RECIPE = [
  { id: 'dye1', dosPercent: 0.3 },
  { id: 'dye4', dosPercent: 0.15 },
  { id: 'dye8', dosPercent: 0.5 },
];

test('the metric around a color is the square of small differences', () => {
  const lab = fc.tuple(
    fc.double({ min: 15, max: 85, noNaN: true }),
    fc.double({ min: -50, max: 50, noNaN: true }),
    fc.double({ min: -50, max: 50, noNaN: true }),
  );
  fc.assert(
    fc.property(lab, (around) => {
      const metric = metricAt(around);
      const square = squaredIn(metric, 0.2, -0.1, 0.15);
      const other: Lab = [around[0] + 0.2, around[1] - 0.1, around[2] + 0.15];
      expect(Math.abs(Math.sqrt(Math.max(0, square)) - ciede2000(around, other))).toBeLessThan(0.03);
    }),
    { numRuns: 300 },
  );
});

test('10,000 recipes of three dyes in twenty are found again without noise: ΔE00 of 0.1 in the middle, and nearly all', () => {
  const many = houseOf(19, 20).found;
  const ground = groundOf(many, 'base0');
  const next = chance(20_261_127);
  const off = Array.from({ length: 10_000 }, () => {
    const which = [0, 0, 0].map(() => Math.floor(20 * next()));
    if (new Set(which).size < 3) return 0;
    const dyes = which.map((dye) => ({
      id: many.dyeIds[dye]!,
      dosPercent: 0.05 * 24 ** next(),
    }));
    const { lab, dyeing } = predict(many, 'base0', dyes);
    const models = which.map((dye) => many.models[dye]!);
    const start = new FirstDoses(models, absorptionOf(dyeing.reading), ground.absorption, 1).of([0, 1, 2]);
    return ciede2000(lab, new DyesFor(ground, lab, { least: 0.002, most: 8 }).nearest(models, start).lab);
  }).toSorted((a, b) => a - b);
  expect(off[5000]).toBeLessThan(0.1);
  expect(off[9800]).toBeLessThan(0.1);
});

describe('a search', () => {
  const target = predict(found, 'base0', RECIPE).lab;
  const { candidates, combinations, done } = match(found, wish(target));
  test('tries every choice of one to three dyes in ten, and says how many', () => {
    expect([combinations, done]).toEqual([10 + 45 + 120, 175]);
    expect(countOf(found.dyeIds, { maxDyes: 4, mustUse: ['dye1'], mustNotUse: ['dye2'] })).toBe(
      1 + 8 + 28 + 56,
    );
  });
  test('gets there, the best first, each with what goes wrong with it', () => {
    expect(candidates).toHaveLength(5);
    expect(candidates[0]!.deltaE00).toBeLessThan(0.3);
    for (const one of candidates) {
      expect(one.deltaE00).toBeCloseTo(ciede2000(target, one.lab), 9);
      expect(one.pouringDeltaE00).toBeGreaterThan(0);
      expect(one.metamerism.A).toBeGreaterThanOrEqual(0);
      expect(one.dyes.every(({ dosPercent }) => dosPercent >= 0.002)).toBe(true);
    }
  });
  test('keeps to what must be, must not be, and the most of all', () => {
    const kept = match(found, wish(target, { mustUse: ['dye8'], mustNotUse: ['dye4'], maxDosPercent: 0.7 }));
    for (const { dyes } of kept.candidates) {
      expect(dyes.map(({ id }) => id)).toContain('dye8');
      expect(dyes.map(({ id }) => id)).not.toContain('dye4');
      expect(dyes.reduce((sum, { dosPercent }) => sum + dosPercent, 0)).toBeLessThan(0.75);
    }
  });
  test('shared among several, every choice is tried once, and the best of all is the best', () => {
    const shares = [0, 1, 2].map((part) => match(found, wish(target, { share: { part, of: 3 } })));
    expect(shares.map((share) => [share.done, share.combinations])).toEqual([
      [59, 59],
      [58, 58],
      [58, 58],
    ]);
    const joined = joinShares(shares, 5);
    expect([joined.done, joined.combinations]).toEqual([175, 175]);
    expect(joined.candidates[0]).toEqual(candidates[0]);
    expect(joined.candidates).toHaveLength(5);
  });
  test('a color that no dye here makes has the nearest', () => {
    const { candidates: near } = match(found, wish([95, -80, 90]));
    expect(near[0]!.deltaE00).toBeGreaterThan(3);
  });
  test('tells how far it is as it goes, and stops when nobody asks on', async () => {
    const seen: number[] = [];
    for await (const progress of matches(found, wish(target, { maxDyes: 4 }))) {
      seen.push(progress.done);
      if (seen.length === 1) break;
    }
    expect(seen).toEqual([200]);
    const steps = [...matching(houseOf(7, 30).found, wish(target))];
    expect(steps.length).toBeGreaterThan(1);
    expect(steps.at(-1)!.done).toBe(steps.at(-1)!.combinations);
  });
});

describe('a correction', () => {
  const target = house.dye('base0', RECIPE, true).lab;
  const first = match(found, wish(target, { top: 1 })).candidates[0]!;
  test('after an attempt that came out wrong comes nearer', () => {
    // A pot in which one dye was weak by a quarter.
    const really = first.dyes.map((dye, i) => ({
      ...dye,
      dosPercent: dye.dosPercent * (i === 0 ? 0.75 : 1),
    }));
    const out = house.dye('base0', really, true).lab;
    const next = correct(found, {
      baseId: 'base0',
      target: { kind: 'lab', lab: target },
      tried: [{ dyes: first.dyes, lab: out }],
      addOnly: false,
    });
    const again = next.dyes.map((dye, i) => ({ ...dye, dosPercent: dye.dosPercent * (i === 0 ? 0.75 : 1) }));
    const then = house.dye('base0', again, true).lab;
    expect(ciede2000(target, then)).toBeLessThan(ciede2000(target, out));
    expect(next.words).toMatch(/^Beside the target it came out: /);
    expect(next.reachable).toBe(true);
  });
  test('for a hot pot only adds: what is missing, and never less than nothing', () => {
    const half = first.dyes.map((dye) => ({ ...dye, dosPercent: dye.dosPercent / 2 }));
    const next = correct(found, {
      baseId: 'base0',
      target: { kind: 'lab', lab: target },
      tried: [{ dyes: half, lab: house.dye('base0', half, true).lab }],
      addOnly: true,
    });
    expect(next.reachable).toBe(true);
    next.dyes.forEach(({ dosPercent }, i) => {
      expect(dosPercent).toBeGreaterThanOrEqual(0);
      expect(Math.abs(dosPercent / half[i]!.dosPercent - 1)).toBeLessThan(0.35);
    });
  });
  test('that adding cannot make says so, and how near it gets', () => {
    const twice = first.dyes.map((dye) => ({ ...dye, dosPercent: dye.dosPercent * 2 }));
    const next = correct(found, {
      baseId: 'base0',
      target: { kind: 'lab', lab: target },
      tried: [{ dyes: twice, lab: house.dye('base0', twice, true).lab }],
      addOnly: true,
    });
    expect(next.reachable).toBe(false);
    expect(next.words).toMatch(/Adding dye alone cannot get there: the nearest is ΔE00 \d+\.\d, .*deeper/);
    expect(next.dyes.every(({ dosPercent }) => dosPercent < 0.05)).toBe(true);
  });
});

describe('a correction when the dyes of an attempt cannot get there', () => {
  // A green that nobody makes of a red and a black.
  const target = house.dye('base0', RECIPE, true).lab;
  const wrong = found.dyeIds.filter((id) => !RECIPE.some((dye) => dye.id === id)).slice(0, 2);
  const dyes = wrong.map((id) => ({ id, dosPercent: 0.2 }));
  const lab = house.dye('base0', dyes, true).lab;
  const ask = (addOnly: boolean) =>
    correct(found, {
      baseId: 'base0',
      target: { kind: 'lab', lab: target },
      tried: [{ dyes, lab }],
      addOnly,
    });
  test('other dyes are taken for the next recipe, and said to be others', () => {
    const next = ask(false);
    expect(next.dyes.map(({ id }) => id)).not.toEqual(wrong);
    expect(next.reachable).toBe(true);
    expect(ciede2000(target, house.dye('base0', next.dyes, true).lab)).toBeLessThan(3);
    expect(next.words).toMatch(
      /These dyes alone cannot get there: the nearest is ΔE00 \d+\.\d, .*\. Others can\.$/,
    );
  });
  test('into a hot pot goes one dye more, at most, and what is there is never less', () => {
    const pale = dyes.map((dye) => ({ ...dye, dosPercent: 0.02 }));
    const next = correct(found, {
      baseId: 'base0',
      target: { kind: 'lab', lab: house.dye('base0', [...pale, { id: 'dye4', dosPercent: 0.5 }], true).lab },
      tried: [{ dyes: pale, lab: house.dye('base0', pale, true).lab }],
      addOnly: true,
    });
    expect(next.dyes.map(({ id }) => id)).toEqual([...wrong, next.dyes.at(-1)!.id]);
    expect(next.dyes.every(({ dosPercent }) => dosPercent >= 0)).toBe(true);
    expect(next.dyes.find(({ id }) => id === 'dye4')?.dosPercent).toBeGreaterThan(0.35);
    expect(next.reachable).toBe(true);
    expect(next.words).toMatch(/One dye more can\.$/);
  });
});

test('an attempt that lies far from what its samples say is believed all the same', () => {
  // A pot that somebody filled with three times the first dye.
  const meant = [
    { id: 'dye1', dosPercent: 0.2 },
    { id: 'dye5', dosPercent: 0.3 },
    { id: 'dye8', dosPercent: 0.1 },
  ];
  const really = meant.map((dye, i) => ({ ...dye, dosPercent: dye.dosPercent * (i === 0 ? 3 : 1) }));
  const came = house.dye('base0', really, true).lab;
  const mixture = { baseId: 'base0', dyes: meant, color: { kind: 'lab' as const, lab: came } };
  const off = (trust: number): number =>
    ciede2000(
      came,
      predict(withMixtures(onlyOf(found, ['dye1', 'dye5', 'dye8']), [mixture], trust), 'base0', meant).lab,
    );
  expect(off(10)).toBeLessThan(0.6 * off(1));
});

test('a dye that is four times as strong as its samples say is found out by one attempt, nearly', () => {
  const meant = [
    { id: 'dye2', dosPercent: 0.2 },
    { id: 'dye4', dosPercent: 0.3 },
    { id: 'dye7', dosPercent: 0.1 },
  ];
  const dyed = (dyes: readonly { id: string; dosPercent: number }[]): Lab =>
    house.dye(
      'base0',
      dyes.map((dye) => ({ ...dye, dosPercent: dye.dosPercent * (dye.id === 'dye2' ? 4 : 1) })),
      true,
    ).lab;
  const target = house.dye('base0', meant, true).lab;
  const { dyes } = correct(found, {
    baseId: 'base0',
    target: { kind: 'lab', lab: target },
    tried: [{ dyes: meant, lab: dyed(meant) }],
    addOnly: false,
  });
  expect(ciede2000(target, dyed(meant))).toBeGreaterThan(8);
  expect(ciede2000(target, dyed(dyes))).toBeLessThan(4);
});

test('the depth of a patch is read off its ladder, with an interval that holds it', () => {
  let held = 0;
  for (let i = 0; i < 40; i += 1) {
    const dosPercent = 0.05 * 30 ** (i / 39);
    const { lab } = house.dye('base0', [{ id: 'dye2', dosPercent }]);
    const depth = ladderDepth(found, 'base0', 'dye2', { kind: 'lab', lab });
    expect(Math.abs(Math.log(depth.dosPercent / dosPercent))).toBeLessThan(0.25);
    expect(depth.low).toBeLessThan(depth.dosPercent);
    expect(depth.high).toBeGreaterThan(depth.dosPercent);
    if (depth.low <= dosPercent && dosPercent <= depth.high) held += 1;
  }
  expect(held).toBeGreaterThan(25);
});

test('a fade has both ends, and steps that look alike', () => {
  const to = [{ id: 'dye2', dosPercent: 1 }];
  const steps = fade(found, 'base0', RECIPE, to, 6);
  expect(steps).toHaveLength(6);
  expect(steps[0]!.dyes).toEqual(RECIPE);
  expect(steps.at(-1)!.dyes).toEqual(to);
  const apart = steps.slice(1).map(({ lab }, i) => ciede2000(steps[i]!.lab, lab));
  expect(Math.max(...apart) / Math.min(...apart)).toBeLessThan(1.25);
});
