import { Dyehouse, type Put } from '../../../test/dyehouse/dyehouse';
import { ciede2000 } from '../difference/ciede2000';
import { predict } from '../predict';
import { smoothestReflectance } from '../reconstruct';
import { weightsOf, DAYLIGHT } from '../cie/tristimulus';
import { xyzOfLab } from '../lab';
import { screenOf } from '../screen';
import { buildUp } from '../dye/dyeModel';
import {
  affinitiesOn,
  affinityOf,
  calibrate,
  learnedBy,
  modelsOn,
  onlyOf,
  residuals,
  withMixtures,
  type MeasuredSample,
  type MeasuredShelf,
} from './calibrate';
import { factorOf, solvedWith, whitened, whitenedFew } from './matrix';

const LADDER = [0.05, 0.12, 0.3, 0.6, 1.2, 2.4];

/** A ladder of every dye of a house on some of its bases, read as Lab. */
function shelfOf(house: Dyehouse, depths = LADDER, bases = house.bases): MeasuredShelf {
  return {
    bases: bases.map(({ id, white }) => ({ id, reflectance: white })),
    dyes: house.dyes.map(({ id }) => id),
    samples: house.dyes.flatMap(({ id }) =>
      bases.flatMap((base) =>
        depths.map((dosPercent): MeasuredSample => ({
          dyeId: id,
          baseId: base.id,
          dosPercent,
          color: { kind: 'lab', lab: house.dye(base.id, [{ id, dosPercent }]).lab },
        })),
      ),
    ),
    mixtures: [],
  };
}

const median = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[values.length >> 1] ?? Number.NaN;

/** How far recipes that nobody dyed yet come out from what is expected, ΔE00. */
function unseen(
  house: Dyehouse,
  shelf: ReturnType<typeof calibrate>,
  baseId = 'base0',
  count = 40,
): number[] {
  return Array.from({ length: count }, () => {
    const recipe: Put[] = house.secret();
    return ciede2000(predict(shelf, baseId, recipe).lab, house.dye(baseId, recipe, true).lab);
  });
}

describe('Cholesky', () => {
  test('a factor solves what it was made of, and whitens what is spread by it', () => {
    const matrix = Float64Array.from([4, 2, 0.6, 2, 5, 1, 0.6, 1, 3]);
    const factor = factorOf(matrix, 3)!;
    const few = Float64Array.from([0, 2, 0]);
    expect([...whitenedFew(factor, few)]).toEqual([...whitened(factor, few)]);
    const x = solvedWith(factor, Float64Array.from([1, 2, 3]));
    const back = [0, 1, 2].map((i) => [0, 1, 2].reduce((sum, j) => sum + matrix[3 * i + j]! * x[j]!, 0));
    expect(back).toEqual([expect.closeTo(1, 12), expect.closeTo(2, 12), expect.closeTo(3, 12)]);
    const white = whitened(factor, Float64Array.from([1, 2, 3]));
    expect(white.reduce((sum, value) => sum + value * value, 0)).toBeCloseTo(
      x[0]! + 2 * x[1]! + 3 * x[2]!,
      12,
    );
  });
  test('what is not positive has none', () =>
    expect(factorOf(Float64Array.from([1, 2, 2, 1]), 2)).toBeNull());
});

describe('dyes fitted to ladders that were only read as Lab', () => {
  const house = new Dyehouse({ seed: 11 });
  const found = calibrate(shelfOf(house));
  test('come back to their own samples', () => expect(median(residuals(found))).toBeLessThan(0.6));
  test('foretell mixtures that nobody has dyed', () =>
    expect(median(unseen(house, found))).toBeLessThan(1.2));
  test('say how sure that is: most results lie inside the spread, not all', () => {
    const inside = Array.from({ length: 100 }, () => {
      const recipe = house.secret();
      const { lab, spreadDE00 } = predict(found, 'base0', recipe);
      return ciede2000(lab, house.dye('base0', recipe).lab) <= spreadDE00;
    }).filter(Boolean).length;
    expect(inside).toBeGreaterThan(60);
    expect(inside).toBeLessThan(100);
  });
  test('are surer with more samples, and of less when a dose falls worse', () => {
    const two = calibrate(shelfOf(new Dyehouse({ seed: 11 }), [0.3, 1.2]));
    const recipe = [
      { id: 'dye1', dosPercent: 0.3 },
      { id: 'dye7', dosPercent: 0.5 },
    ];
    const spread = (of: typeof found, pouring?: number): number =>
      predict(of, 'base0', recipe, pouring).spreadDE00;
    expect(spread(two)).toBeGreaterThan(spread(found));
    expect(spread(found, 0.1)).toBeGreaterThan(spread(found, 0.01));
    expect([predict(found, 'base0', recipe).samples, predict(two, 'base0', recipe).samples]).toEqual([12, 4]);
  });
});

test('some dyes by themselves foretell what they foretold among the others', () => {
  const found = calibrate(shelfOf(new Dyehouse({ seed: 6, dyes: 6 })));
  const two = onlyOf(found, ['dye4', 'dye1']);
  const recipe = [
    { id: 'dye1', dosPercent: 0.3 },
    { id: 'dye4', dosPercent: 0.6 },
  ];
  expect([two.dyeIds, two.problem.observations.length]).toEqual([['dye1', 'dye4'], 12]);
  const [all, own] = [predict(found, 'base0', recipe), predict(two, 'base0', recipe)];
  own.lab.forEach((value, i) => expect(value).toBeCloseTo(all.lab[i]!, 9));
  expect(own.spreadDE00).toBeCloseTo(all.spreadDE00, 6);
});

test('one bad sample of six does no harm', () => {
  const house = new Dyehouse({ seed: 5 });
  const shelf = shelfOf(house);
  const bad = shelf.samples.map((sample, i) =>
    i % 6 === 3 ? { ...sample, color: { kind: 'lab' as const, lab: [50, 60, -60] as const } } : sample,
  );
  const before = median(unseen(new Dyehouse({ seed: 5 }), calibrate(shelf)));
  const after = median(unseen(new Dyehouse({ seed: 5 }), calibrate({ ...shelf, samples: bad })));
  expect(after).toBeLessThan(before + 0.8);
});

test('instruments tell more than Lab, and a picked color of a screen less', () => {
  const house = new Dyehouse({ seed: 8 });
  const shelf = shelfOf(house);
  const read = (as: (id: string, dosPercent: number) => MeasuredSample['color']): number =>
    median(
      unseen(
        new Dyehouse({ seed: 8 }),
        calibrate({
          ...shelf,
          samples: shelf.samples.map((one) => ({ ...one, color: as(one.dyeId, one.dosPercent) })),
        }),
      ),
    );
  const read0 = (id: string, dosPercent: number) => house.dye('base0', [{ id, dosPercent }]);
  const bySpectrum = read((id, dos) => ({ kind: 'reflectance', reflectance: read0(id, dos).reflectance }));
  const byLab = read((id, dos) => ({ kind: 'lab', lab: read0(id, dos).lab }));
  const byScreen = read((id, dos) => {
    const smooth = smoothestReflectance(xyzOfLab(read0(id, dos).lab, weightsOf(DAYLIGHT).white));
    return { kind: 'srgb', srgb: screenOf(smooth ?? []).srgb };
  });
  expect(bySpectrum).toBeLessThan(byLab + 0.05);
  expect(byScreen).toBeLessThan(6);
});

test('a dye that was measured on one base is foretold on another, once others tell what that takes', () => {
  const house = new Dyehouse({ seed: 21, bases: 2, loss: 0 });
  for (const dye of house.dyes) dye.onBase[1] = 1.3;
  const shelf = shelfOf(house);
  const onlyFirst = shelf.samples.filter(({ baseId, dyeId }) => baseId === 'base0' || dyeId !== 'dye4');
  const found = calibrate({ ...shelf, samples: onlyFirst });
  const expected = predict(found, 'base1', [{ id: 'dye4', dosPercent: 0.5 }]).lab;
  expect(ciede2000(expected, house.dye('base1', [{ id: 'dye4', dosPercent: 0.5 }], true).lab)).toBeLessThan(
    2.5,
  );
});

test('closed batches teach how dyes keep each other away', () => {
  const house = new Dyehouse({ seed: 3, loss: 0.2 });
  const before = calibrate(shelfOf(house));
  const after = withMixtures(
    before,
    Array.from({ length: 30 }, () => {
      const dyes = house.secret();
      return { baseId: 'base0', dyes, color: { kind: 'lab' as const, lab: house.dye('base0', dyes).lab } };
    }),
  );
  const tried = Array.from({ length: 60 }, () => house.secret());
  const off = (of: typeof before): number =>
    median(
      tried.map((recipe) =>
        ciede2000(predict(of, 'base0', recipe).lab, house.dye('base0', recipe, true).lab),
      ),
    );
  expect(off(after)).toBeLessThan(off(before));
});

test('what goes over what is there already adds to it, pass by pass; dyes of two passes keep each other nowhere', () => {
  const house = new Dyehouse({ seed: 2 });
  const found = calibrate(shelfOf(house));
  const once = predict(found, 'base0', [{ id: 'dye3', dosPercent: 0.4 }]).lab;
  const over = predict(found, 'base0', [
    { id: 'dye3', dosPercent: 0.4, bath: 0 },
    { id: 'dye9', dosPercent: 0.4, bath: 1 },
  ]).lab;
  expect(over[0]).toBeLessThan(once[0]);
  const learned = withMixtures(found, [
    { baseId: 'base0', dyes: house.secret(), color: { kind: 'lab', lab: [20, 0, 0] } },
  ]);
  expect(learned.problem.observations).toHaveLength(found.problem.observations.length + 1);
});

test('a dye that was never measured is something, and its spread says that nobody knows what', () => {
  const house = new Dyehouse({ seed: 4 });
  const shelf = shelfOf(house);
  const found = calibrate({ ...shelf, samples: shelf.samples.filter(({ dyeId }) => dyeId !== 'dye5') });
  const { lab, spreadDE00 } = predict(found, 'base0', [{ id: 'dye5', dosPercent: 0.5 }]);
  expect(lab.every(Number.isFinite)).toBe(true);
  expect(spreadDE00).toBeGreaterThan(10);
});

describe('dyes of which another base shows more or less, each by itself', () => {
  const house = new Dyehouse({ seed: 902, bases: 2 });
  const all = shelfOf(house);
  const on = (baseId: string, depths: readonly number[], but?: string): MeasuredSample[] =>
    all.samples.filter(
      (one) => one.baseId === baseId && depths.includes(one.dosPercent) && one.dyeId !== but,
    );
  const known = calibrate({ ...all, samples: [...on('base0', LADDER), ...on('base1', [0.3, 1.2], 'dye4')] });

  test('two samples tell of each what the base shows of it, beside what it shows of all', () => {
    const takes = affinitiesOn(known, 'base1');
    expect(Object.keys(takes)).toHaveLength(house.dyes.length - 1);
    expect(affinitiesOn(known, 'base0')).toEqual({});
    const common = affinityOf(known, 'base1');
    for (const { id, onBase } of house.dyes)
      if (id in takes) expect(Math.abs(common + takes[id]! - Math.log(onBase[1]!))).toBeLessThan(0.08);
  });

  test('what comes out there is told as surely as it can be, of a dye that was not dyed there less so', () => {
    const off = unseen(house, known, 'base1');
    expect(median(off)).toBeLessThan(1.2);
    const spread = (id: string): number =>
      predict(known, 'base1', [{ id, dosPercent: 0.6 }]).spreadDE00 /
      predict(known, 'base0', [{ id, dosPercent: 0.6 }]).spreadDE00;
    expect(spread('dye4')).toBeGreaterThan(1.5);
    for (const id of ['dye1', 'dye7']) expect(spread(id)).toBeLessThan(1.5);
  });

  test('a dye as it shows on the base is matched with as it is predicted', () => {
    const dye = known.dyeIds.indexOf('dye7');
    const [plain, shown] = [known.models[dye]!, modelsOn(known, 'base1')[dye]!];
    const more = Math.exp(affinitiesOn(known, 'base1').dye7!);
    for (const depth of [0.05, 0.5, 3]) {
      const built = buildUp(plain, depth * more).value;
      plain.k.forEach((k, band) =>
        expect(shown.k[band]! * buildUp(shown, depth).value).toBeCloseTo(k * built, 9),
      );
    }
    expect(modelsOn(known, 'base0')).toEqual(known.models);
  });

  test('an attempt teaches what a base shows of a dye that was never dyed there', () => {
    const recipe = [
      { id: 'dye4', dosPercent: 0.5 },
      { id: 'dye7', dosPercent: 0.3 },
    ];
    const lab = house.dye('base1', recipe, true).lab;
    const own = withMixtures(onlyOf(known, ['dye4', 'dye7']), [
      { baseId: 'base1', dyes: recipe, color: { kind: 'lab', lab } },
    ]);
    expect(Object.keys(affinitiesOn(own, 'base1')).toSorted()).toEqual(['dye4', 'dye7']);
    const learned = learnedBy(known, own);
    const [before, after] = [predict(known, 'base1', recipe), predict(learned, 'base1', recipe)];
    expect(ciede2000(after.lab, lab)).toBeLessThan(ciede2000(before.lab, lab));
    expect(after.lab.map((value, i) => value - predict(own, 'base1', recipe).lab[i]!)).toEqual(
      [0, 0, 0].map((zero) => expect.closeTo(zero, 9)),
    );
    expect(learned.factor.n).toBe(known.factor.n + 1);
    // How sure it is stays about as it was: what was added without knowing is a number that is not known yet.
    expect(after.spreadDE00).toBeGreaterThan(0.8 * before.spreadDE00);
    expect(after.spreadDE00).toBeLessThan(2 * before.spreadDE00);
  });
});
