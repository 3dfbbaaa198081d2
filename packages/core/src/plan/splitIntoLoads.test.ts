import { dyeLine, goodsLine, recipe, SHELF, WOOL } from '../../test/examples';
import { refusal } from '../../test/refusal';
import type { Recipe } from '../recipe/recipe';
import { potSchema, type Pot } from '../shelf/pot';
import { needTotal } from '../words/needWords';
import { needsOf } from './needs';
import { splitIntoLoads } from './splitIntoLoads';

const pot = (id: string, liters: number): Pot =>
  potSchema.parse({ id, name: `Pot ${id}`, capacityMl: 1000 * liters, powerWatts: 2000 });
const POTS = [pot('a', 10), pot('b', 10), pot('c', 7), pot('d', 13.5)];
/** 100 g skeins in 30:1 take 3.1 L each, goods and all: three in 10 L, two in 7 L, four in 13.5 L. */
const COLORWAY = {
  name: 'Curfew',
  asWritten: {},
  recipe: recipe({ goods: [goodsLine({ id: 'g', baseId: 'wool', count: 3, gramsEach: 100 })] }),
};
const shelf = { ...SHELF, bases: [...SHELF.bases, { ...WOOL, id: 'grams' }], pots: POTS };
const split = (pieces: number, pots = POTS, colorway = COLORWAY) =>
  splitIntoLoads(colorway, [{ baseId: null, pieces }], pots, shelf);
const counts = (...asked: Parameters<typeof split>): number[] =>
  split(...asked).loads.map(({ count }) => count);

test('a vessel takes as many as its bath and goods leave room for', () =>
  expect([...split(66).holds.values()]).toEqual(
    [3, 3, 2, 4].map((most) => ({ fewest: most, most, all: false })),
  ));

test('66 skeins over four pots that hold twelve: six rounds of eleven, eleven of them now', () => {
  const { loads, left, rounds } = split(66);
  expect([loads.reduce((sum, { count }) => sum + count, 0), left, rounds]).toEqual([11, 55, 5]);
  // None over what it holds, the fullness as even as it can be.
  expect(loads.map(({ count }) => count)).toEqual([3, 3, 2, 3]);
});

test('what fits at once is spread evenly, and nothing is left', () => {
  expect(counts(12)).toEqual([3, 3, 2, 4]);
  expect([counts(6).reduce((sum, count) => sum + count, 0), split(6).left, split(6).rounds]).toEqual([
    6, 0, 0,
  ]);
  expect(counts(4, [POTS[0]!, POTS[1]!])).toEqual([2, 2]);
  expect(counts(1)).toEqual([1]);
});

describe('on several bases', () => {
  const on = (due: [baseId: string, pieces: number][], pots = POTS) =>
    splitIntoLoads(
      COLORWAY,
      due.map(([baseId, pieces]) => ({ baseId, pieces })),
      pots,
      shelf,
    );
  const loadsOf = (...asked: Parameters<typeof on>) =>
    on(...asked).loads.map(({ pot, baseId, count }) => `${count} ${baseId} in ${pot.id}`);

  test('a base takes as few vessels as hold it, so that the next goes into the others; none shares one', () =>
    // The 13.5 L pot holds all four.
    expect(
      loadsOf([
        ['wool', 4],
        ['sock', 5],
      ]),
    ).toEqual(['4 wool in d', '2 sock in a', '2 sock in b', '1 sock in c']));

  test('twelve of each of three: all pots for one base after the other, in as many rounds as bases', () => {
    const { left, rounds } = on([
      ['wool', 12],
      ['sock', 12],
      ['grams', 12],
    ]);
    expect([left, rounds]).toEqual([24, 2]);
    expect(
      loadsOf([
        ['wool', 12],
        ['sock', 12],
      ]),
    ).toEqual(['3 wool in a', '3 wool in b', '2 wool in c', '4 wool in d']);
  });

  test('what is begun already is due no more, and a base that finds no pot free waits for the next round', () => {
    expect(
      loadsOf([
        ['wool', 0],
        ['sock', 3],
      ]),
    ).toEqual(expect.arrayContaining(['1 sock in a']));
    // 14 in two rounds of seven; the second time they take two pots, and leave the others to the socks.
    const { loads, left, rounds } = on([
      ['wool', 14],
      ['sock', 2],
    ]);
    expect([loads.map(({ count }) => count), left, rounds]).toEqual([[2, 2, 1, 2], 9, 1]);
  });

  test('what a vessel holds: all there is, or of one base fewer than of another', () => {
    expect(split(2).holds.get('d')).toEqual({ fewest: 2, most: 2, all: true });
    const { holds } = on([
      ['wool', 2],
      ['sock', 12],
    ]);
    expect(holds.get('d')).toEqual({ fewest: 2, most: 4, all: false });
  });

  test('each load is planned on its base, at the depth of the colorway', () => {
    const [wool, sock] = on([
      ['wool', 4],
      ['sock', 2],
    ]).loads;
    expect(sock?.formulation.recipe.goods[0]).toMatchObject({ baseId: 'sock', count: 1 });
    expect(sock?.plan.totals.dos.value).toBeCloseTo(wool!.plan.totals.dos.value, 9);
  });

  test('what all of it takes is said too: 1 % on 1,200 g of each base', () => {
    const { whole } = on([
      ['wool', 12],
      ['sock', 12],
    ]);
    const [jar] = needsOf(whole);
    // 1 % of 2,400 g is 24 g: 2.4 L of a 1 % jar.
    expect(jar).toMatchObject({ what: 'jar', stockId: 'blue-1' });
    expect(jar!.needs).toBeCloseTo(2400, 6);
    expect(needTotal(jar!, SHELF.dyes, SHELF.stocks)).toBe('2.4 L Vault Blue 1 %');
    expect(needTotal({ what: 'water', needs: 5 }, SHELF.dyes, SHELF.stocks)).toBeNull();
  });
});

test('each load has its own amounts, at the same depth', () => {
  const [first, , third] = split(66).loads;
  const dose = (load: typeof first): number => load!.plan.passes[0]!.pours[0]!.grams.value;
  expect(dose(first) / dose(third)).toBeCloseTo(3 / 2, 9);
  expect(first!.plan.totals.dos.value).toBeCloseTo(third!.plan.totals.dos.value, 9);
  expect(first!.formulation.pot?.id).toBe('a');
  expect(first!.plan.passes[0]!.bath.value).toBeCloseTo(9000, 6);
});

test('dye that was said in mL is divided as the goods are', () => {
  const inMl: Recipe = {
    ...COLORWAY.recipe,
    passes: COLORWAY.recipe.passes.map((pass) => ({
      ...pass,
      dyes: [
        dyeLine({ id: 'd', dyeId: 'blue', stockId: 'blue-1', entry: { school: 'stock', milliliters: 300 } }),
      ],
    })),
  };
  // 300 mL were for 300 g: a load of 200 g gets 200 mL.
  const third = split(66, POTS, { ...COLORWAY, recipe: inMl }).loads[2];
  expect(third!.plan.passes[0]!.pours[0]!.volume!.value).toBeCloseTo(200, 9);
});

test('a load larger than every vessel, and none chosen: each says what to do', () => {
  expect(refusal(() => split(3, [pot('tiny', 2), pot('small', 3)]))).toBe(
    'Pot small, the largest of them, holds 3 L; a single piece in its bath needs 3.1 L. Take less water to the gram, or a larger vessel.',
  );
  expect(refusal(() => split(3, []))).toBe('Choose at least one vessel to dye in.');
});
