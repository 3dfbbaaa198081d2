import {
  acid,
  done,
  goods,
  hold,
  ice,
  lift,
  listed,
  move,
  on,
  place,
  powder,
  run,
  split,
  stand,
  stock,
  stretch,
  vessel,
} from '../../test/acts';
import type { Act } from './act';
import { apply } from './apply';
import { depthAt, depths, receivedBy } from './depths';
import { fold } from './fold';
import { gotBy } from './received';
import { emptyState, type State } from './state';

/** Standard grams a piece or line has got once all is given. */
const gramsOn = (state: State, line: string): number =>
  receivedBy(state, line === undefined ? {} : { line }).reduce(
    (sum, { standardGrams }) => sum + standardGrams,
    0,
  );
const pot = (state: State, id = 'pot') => state.vessels.get(id)!;
const waitingIn = (state: State, id: string): number =>
  pot(state, id).liquid.parcels.reduce((sum, { standardGrams }) => sum + standardGrams, 0);

test('2 g on 200 g is 1 %', () => {
  const state = done([
    goods('g1', 200),
    vessel('pot'),
    powder('pot', 'blue', 2),
    place('pot'),
    hold('pot', 30, 0),
  ]);
  expect(depths(state).get('blue')).toBeCloseTo(1, 12);
});

test('2 g on 200 g that nobody saw clear, rinsed: 1 % all the same, and no dye down the drain', () => {
  const rinse: Act = { kind: 'rinse', pass: null, line: null, purpose: null, goods: [], soap: false };
  const state = done([
    goods('g1', 200),
    vessel('pot'),
    run('pot', 6000),
    powder('pot', 'blue', 2),
    place('pot'),
    hold('pot', 30, null),
    rinse,
  ]);
  expect(depths(state).get('blue')).toBeCloseTo(1, 12);
  expect(state.drained.parcels).toEqual([]);
});

test('200 g out of a bath of 6 L keep 1.2 mL a gram, wrung 0.5 mL a gram, and dry nothing (from memory)', () => {
  const common = { pass: null, line: null, purpose: null, goods: [] };
  const heldBy = (...acts: Act[]): number =>
    done([goods('g1', 200), vessel('pot'), run('pot', 6000), place('pot'), ...acts]).pieces.get('g1')!.held
      .ml;
  const wring: Act = { kind: 'wring', ...common };
  expect(heldBy({ kind: 'lift', ...common, keepsMlPerGram: null })).toBeCloseTo(240, 9);
  expect(heldBy(wring)).toBeCloseTo(100, 9);
  expect(heldBy(wring, { kind: 'dry', ...common })).toBe(0);
});

test('a stock of 1 % and a lot of 125 %: 160 mL are 2 standard grams', () => {
  const state = done([
    goods('g1', 200),
    vessel('pot'),
    stock('pot', 'blue', 160, 1, 1.25),
    place('pot'),
    hold('pot', 30, 0),
  ]);
  expect(depths(state).get('blue')).toBeCloseTo(1, 12);
  expect(pot(state).liquid.ml).toBe(160);
});

test('an acid soak gives the bath what the goods carry over, and no more', () => {
  // 1893 mL in all hold 1.48 g; 100 g lifted keep 120 mL of it: 1.48 × 120 ÷ 1893 = 0.0938 g in 3000 + 120 mL.
  const state = done([
    goods('g1', 100),
    vessel('soak', 'soak'),
    vessel('pot'),
    run('soak', 1893 - 29.6),
    acid('soak', 'vinegar', 29.6),
    place('soak'),
    stand('soak', 30),
    lift(1.2),
    run('pot', 3000),
    place('pot'),
  ]);
  expect(pot(state).liquid.ml).toBeCloseTo(3120, 9);
  expect(pot(state).liquid.acids.acetic).toBeCloseTo(0.0938, 4);
  expect(pot(state, 'soak').liquid.acids.acetic).toBeCloseTo(1.48 - 0.0938, 4);
});

describe('0.8 g on 300 g, and 40 % of the liquid to a pan', () => {
  const start = [
    goods('g1', 300),
    vessel('pot'),
    vessel('pan', 'pan'),
    run('pot', 3000),
    powder('pot', 'blue', 0.8),
    place('pot'),
  ];
  const toThePan = move('pot', 'pan', { share: 0.4 });
  test.each([
    ['before the stand', [toThePan, stand('pot', 60, 0)], 0.48, 0.32],
    ['after it, clear', [stand('pot', 60, 0), toThePan], 0.8, 0],
    ['after it, a quarter left', [stand('pot', 60, 0.25), toThePan], 0.72, 0.08],
  ])('%s', (_, acts, goodsGet, panHolds) => {
    const state = done([...start, ...acts]);
    expect(gramsOn(state, 'g1')).toBeCloseTo(goodsGet, 12);
    expect(waitingIn(state, 'pan')).toBeCloseTo(panHolds, 12);
    expect(pot(state, 'pan').liquid.ml).toBeCloseTo(1200, 9);
  });
});

test('1 g on 100 g dipped 5 min each to 20, 40 and 60 %: 2.5, 1.667, 0.833 and 0 %', () => {
  const to = (share: number) => place('pot', [], stretch('along', 0, share));
  const state = done([
    goods('g1', 100),
    vessel('pot'),
    run('pot', 3000),
    powder('pot', 'blue', 1),
    to(0.2),
    hold('pot', 5),
    to(0.4),
    hold('pot', 5),
    to(0.6),
    hold('pot', 5, 0),
  ]);
  const depth = (along: number): number => depthAt(state, 'g1', { along });
  expect([depth(0.1), depth(0.3), depth(0.5), depth(0.7)].map((one) => Number(one.toFixed(3)))).toEqual([
    2.5, 1.667, 0.833, 0,
  ]);
  expect(depths(state).get('blue')).toBeCloseTo(1, 12);
});

describe('3 g, and a second equal skein put in halfway', () => {
  const first = [
    goods('a', 100),
    goods('b', 100),
    vessel('pot'),
    run('pot', 3000),
    powder('pot', 'blue', 3),
    place('pot', ['a']),
  ];
  test('while the dye still waits: 2 and 1 g', () => {
    const state = done([...first, hold('pot', 20), place('pot', ['b']), hold('pot', 20, 0)]);
    expect([gramsOn(state, 'a'), gramsOn(state, 'b')].map((g) => Number(g.toFixed(9)))).toEqual([2, 1]);
  });
  test('after the bath was clear: 3 and 0 g', () => {
    const state = done([...first, hold('pot', 20, 0), place('pot', ['b']), hold('pot', 20, 0)]);
    expect([gramsOn(state, 'a'), gramsOn(state, 'b')]).toEqual([3, 0]);
  });
});

test('two doses of 1 g, the second at half time with the second skein: 1.167 and 0.833 g', () => {
  const state = done([
    goods('a', 100),
    goods('b', 100),
    vessel('pot'),
    run('pot', 3000),
    powder('pot', 'blue', 1),
    place('pot', ['a']),
    hold('pot', 20),
    powder('pot', 'blue', 1),
    place('pot', ['b']),
    hold('pot', 20, 0),
  ]);
  expect([gramsOn(state, 'a'), gramsOn(state, 'b')].map((g) => Number(g.toFixed(3)))).toEqual([1.167, 0.833]);
});

test('a fade of three skeins, 10 mL of 1 % and a hold until clear before each is lifted: 0.033, 0.083, 0.183 g', () => {
  const round = [stock('pot', 'blue', 10), hold('pot', 10, 0)];
  const state = done([
    goods('a', 100),
    goods('b', 100),
    goods('c', 100),
    vessel('pot'),
    run('pot', 3000),
    place('pot'),
    ...round,
    lift(1, ['a']),
    ...round,
    lift(1, ['b']),
    ...round,
  ]);
  expect(['a', 'b', 'c'].map((line) => Number(gramsOn(state, line).toFixed(3)))).toEqual([
    0.033, 0.083, 0.183,
  ]);
});

test('three layers with 1 g each, draining 20 %: 0.8, 0.96, 1.24 g', () => {
  const layer = (i: number) => on('layer', i / 3, (i + 1) / 3);
  const state = done([
    goods('g1', 300),
    vessel('pan', 'pan'),
    place('pan', [], 'none'),
    ...[0, 1, 2].flatMap((i) => [
      stock(layer(i), 'blue', 100),
      ...(i < 2 ? [move(layer(i), layer(i + 1), { share: 0.2 })] : []),
    ]),
  ]);
  const at = (i: number): number => depthAt(state, 'g1', { layer: (i + 0.5) / 3 });
  // Depth on a layer of 100 g is its grams.
  expect([at(0), at(1), at(2)].map((g) => Number(g.toFixed(9)))).toEqual([0.8, 0.96, 1.24]);
});

test('2268 g of ice on 200 g of goods that hold 1 and can hold 1.2 mL a gram: 40 mL to the goods, 2228 to the tray', () => {
  const state = done([
    goods('g1', 200),
    vessel('soak', 'soak'),
    vessel('tray', 'tray'),
    run('soak', 2000),
    place('soak'),
    lift(1),
    place('tray', [], 'none'),
    ice(on('around', 0, 1), 2268),
    powder(on('around', 0, 1), 'blue', 2),
    stand('tray', 480),
  ]);
  expect(state.pieces.get('g1')!.held.ml).toBeCloseTo(240, 9);
  expect(pot(state, 'tray').liquid.ml).toBeCloseTo(2228, 9);
  expect(gramsOn(state, 'g1')).toBe(2);
});

test('ice in a vessel of its own lies on the goods all the same, and powder strewn on it is theirs', () => {
  const state = done([
    goods('g1', 200),
    vessel('ice', 'melting ice'),
    vessel('pot'),
    run('pot', 1000),
    place('pot'),
    ice('ice', 500),
    powder('ice', 'blue', 2),
    stand('ice', 480),
  ]);
  expect(pot(state).liquid.ml).toBeCloseTo(1500, 9);
  expect(gramsOn(state, 'g1')).toBe(2);
});

test('a liter of vinegar at 20 °C into a kept bath of 2.8 L at 85 °C: 3.8 L at 67.9 °C', () => {
  const state = done([vessel('pot'), run('pot', 2800, 85), acid('pot', 'vinegar', 1000)]);
  expect(pot(state).liquid.ml).toBe(3800);
  expect(pot(state).liquid.celsius).toBeCloseTo(67.9, 1);
  expect(pot(state).liquid.acids.acetic).toBe(50);
});

test('wet goods bring their heat: 200 g at 20 °C into 3 L at 80 °C', () => {
  // (3000 × 4.186 × 80 + 200 × 1.36 × 20) ÷ (3000 × 4.186 + 200 × 1.36) = 78.73 °C.
  const state = done([goods('g1', 200), vessel('pot'), run('pot', 3000, 80), place('pot')]);
  expect(pot(state).liquid.celsius).toBeCloseTo(78.73, 2);
});

test('painted on half around, then dipped to half the length: 2 % painted only, 3 % both, 1 % dipped only, 0 % neither', () => {
  const state = done([
    goods('g1', 100),
    vessel('cup', 'paint cup'),
    vessel('pot'),
    powder('cup', 'blue', 1),
    run('cup', 50),
    move('cup', on('around', 0, 0.5), { share: 1 }),
    run('pot', 2000, null, { pass: 'p2' }),
    powder('pot', 'red', 0.5, { pass: 'p2' }),
    place('pot', [], stretch('along', 0, 0.5), { pass: 'p2' }),
    hold('pot', 20, 0, { pass: 'p2' }),
  ]);
  const depth = (around: number, along: number): number => depthAt(state, 'g1', { around, along });
  expect([depth(0.2, 0.8), depth(0.2, 0.2), depth(0.8, 0.2), depth(0.8, 0.8)]).toEqual([2, 3, 1, 0]);
  expect(waitingIn(state, 'cup')).toBe(0);
});

describe('when a pass is over', () => {
  const kept = [
    goods('a', 100),
    goods('b', 100),
    vessel('pot'),
    run('pot', 3000),
    powder('pot', 'blue', 2),
    place('pot', ['a']),
    hold('pot', 20),
  ];
  test('the first act of a later pass in its vessel gives its dye to those that were in it', () => {
    const p2 = { pass: 'p2' };
    const state = done([
      ...kept,
      powder('pot', 'red', 1, p2),
      place('pot', ['b'], null, p2),
      hold('pot', 20, 0, p2),
    ]);
    expect([gramsOn(state, 'a'), gramsOn(state, 'b')].map((g) => Number(g.toFixed(9)))).toEqual([2.5, 0.5]);
  });
  test('an act of the same pass does not end it', () => {
    const state = done([...kept, powder('pot', 'red', 1), place('pot', ['b']), hold('pot', 20, 0)]);
    expect(
      receivedBy(state, { line: 'b' }).map(({ dyeId, standardGrams }) => [
        dyeId,
        Number(standardGrams.toFixed(9)),
      ]),
    ).toEqual([
      ['blue', Number((2 / 3).toFixed(9))],
      ['red', 0.5],
    ]);
  });
  test('emptying the vessel gives it too; nothing goes down the drain that goods have a claim on', () => {
    const state = done([...kept, move('pot', null, { share: 1 })]);
    expect(gramsOn(state, 'a')).toBe(2);
    expect(state.drained.parcels).toEqual([]);
  });
  test('pouring off a part takes its share of what waits', () => {
    const state = done([...kept, move('pot', null, { share: 0.25 })]);
    expect(gramsOn(state, 'a')).toBe(1.5);
    expect(state.drained.parcels).toMatchObject([{ dyeId: 'blue', standardGrams: 0.5 }]);
  });
});

test('dye that met no goods waits on: a cup loses nothing', () => {
  const state = done([
    vessel('cup', 'paint cup'),
    powder('cup', 'blue', 1),
    run('cup', 100),
    stand('cup', 600, 0),
  ]);
  expect(waitingIn(state, 'cup')).toBe(1);
});

test('spare goods take what a wait has left, and count in no depth', () => {
  const state = done([
    goods('g1', 100),
    goods('spare', 50, { catchUp: true }),
    vessel('pot'),
    run('pot', 3000),
    powder('pot', 'blue', 1),
    place('pot'),
    hold('pot', 20, 0.1),
    place('pot', ['spare']),
    hold('pot', 20, 0),
  ]);
  expect(depths(state).get('blue')).toBeCloseTo(0.9, 12);
  expect(gramsOn(state, 'spare')).toBe(0);
  expect(depthAt(state, 'spare', {})).toBe(0);
  expect(gotBy(state, 'spare')).toMatchObject([
    { dyeId: 'blue', standardGrams: expect.closeTo(0.1, 12), counts: false },
  ]);
});

test('fiber that takes no dye claims none: equal skeins, one of them half cotton, get 2 to 1', () => {
  const state = done([
    goods('a', 100),
    goods('b', 100, { dyeableShare: 0.5 }),
    vessel('pot'),
    run('pot', 3000),
    powder('pot', 'blue', 3),
    place('pot'),
    hold('pot', 20, 0),
  ]);
  expect([gramsOn(state, 'a'), gramsOn(state, 'b')].map((g) => Number(g.toFixed(9)))).toEqual([2, 1]);
});

test('part of a line parts with its share of everything, and goes its own way', () => {
  const state = done([
    goods('g1', 300, { count: 3 }),
    vessel('pot'),
    run('pot', 3000),
    powder('pot', 'blue', 3),
    place('pot'),
    hold('pot', 10, 0),
    split('g1', { count: 1 }, 'g1.b'),
    lift(1, ['g1.b']),
    powder('pot', 'red', 1),
    hold('pot', 10, 0),
  ]);
  const parted = state.pieces.get('g1.b')!;
  expect([parted.count, parted.grams, parted.held.ml]).toEqual(
    [1, 100, 100].map((n) => expect.closeTo(n, 9)),
  );
  expect(gramsOn(state, 'g1.b')).toBeCloseTo(1, 12);
  // The line as a whole got all four grams.
  expect(gramsOn(state, 'g1')).toBeCloseTo(4, 12);
  expect(state.pieces.get('g1')!.count).toBe(2);
});

test('time in the bath before a line parts counts for both parts', () => {
  const state = done([
    goods('g1', 200, { count: 2 }),
    vessel('pot'),
    run('pot', 3000),
    powder('pot', 'blue', 3),
    place('pot'),
    hold('pot', 10),
    split('g1', { count: 1 }, 'g1.b'),
    lift(1, ['g1.b']),
    hold('pot', 10, 0),
  ]);
  // Each was in for 10 minutes, one of them for 10 more; the 100 g lifted took 100 of 3000 mL with them.
  const taken = (3 * 100) / 3000;
  expect(gramsOn(state, 'g1.b')).toBeCloseTo((3 - taken) / 3 + taken, 12);
});

test('a line that parts while dye waits keeps the time since that dye came', () => {
  const state = done([
    goods('b', 100, { count: 2 }),
    goods('a', 100),
    vessel('pot'),
    run('pot', 3000),
    place('pot', ['b']),
    hold('pot', 10),
    powder('pot', 'blue', 3),
    place('pot', ['a']),
    hold('pot', 10),
    split('b', { count: 1 }, 'b.2'),
    hold('pot', 10, 0),
  ]);
  // Everything was in for 20 minutes with this dye: 1.5 g to a, 0.75 to each half of b.
  expect(['a', 'b.2'].map((id) => Number(gramsOn(state, id).toFixed(9)))).toEqual([1.5, 0.75]);
});

test('dye carried to and fro by many pieces stays as many parcels as there were additions', () => {
  const lines = Array.from({ length: 12 }, (_, i) => `g${i}`);
  const state = done([
    ...lines.map((line) => goods(line, 100)),
    vessel('pot'),
    run('pot', 9000),
    powder('pot', 'blue', 1),
    ...Array.from({ length: 12 }, () => [place('pot'), lift(1)]).flat(),
    ...Array.from({ length: 8 }, (_, i) =>
      move(on('layer', i / 9, (i + 1) / 9), on('layer', (i + 1) / 9, (i + 2) / 9), { share: 0.2 }),
    ),
  ]);
  expect(pot(state).liquid.parcels).toHaveLength(1);
  expect(state.pieces.get('g3')!.held.parcels.length).toBeLessThan(4);
});

test('both ends of a hank hang in two jars; in a third vessel it has left both', () => {
  const ends = [
    goods('g1', 100),
    vessel('one', 'jar'),
    vessel('two', 'jar'),
    vessel('pot'),
    run('one', 500),
    run('two', 500),
    powder('one', 'blue', 1),
    powder('two', 'red', 1),
    place('one', [], stretch('along', 0, 0.3)),
    place('two', [], stretch('along', 0.7, 1)),
  ];
  expect(
    done(ends)
      .pieces.get('g1')!
      .at.map(({ vessel: id }) => id),
  ).toEqual(['one', 'two']);
  const state = done([...ends, stand('one', 10, 0), stand('two', 10, 0), run('pot', 1000), place('pot')]);
  expect(state.pieces.get('g1')!.at).toEqual([{ vessel: 'pot', reach: null }]);
  expect([0.1, 0.5, 0.9].map((along) => Number(depthAt(state, 'g1', { along }).toFixed(6)))).toEqual([
    3.333333, 0, 3.333333,
  ]);
});

test('the part that was dipped comes out wet: 40 % of 100 g, lifted with 1 mL a gram, hold 40 mL', () => {
  const dipped = [
    goods('g1', 100),
    vessel('pot'),
    run('pot', 1000),
    place('pot', [], stretch('along', 0, 0.4)),
  ];
  expect(done([...dipped, lift(1)]).pieces.get('g1')!.held.ml).toBeCloseTo(40, 9);
  // Raised to 10 % first, unsqueezed: 30 g keep 1.2 mL each and the rest hangs in until it is lifted.
  const raised = done([...dipped, place('pot', [], stretch('along', 0, 0.1))]);
  expect(raised.pieces.get('g1')!.held.ml).toBeCloseTo(36, 9);
  expect(pot(raised).liquid.ml).toBeCloseTo(964, 9);
});

test('what a meter read holds until something changes that vessel', () => {
  const look = {
    kind: 'look' as const,
    pass: 'p1',
    line: null,
    purpose: null,
    of: 'bath' as const,
    vessel: 'pot',
    answer: 'pH 4.6',
    reading: { ph: 4.6, celsius: 81, levelMl: null },
  };
  const seen = done([vessel('pot'), vessel('cup'), run('pot', 1000), look, run('cup', 10)]);
  expect(pot(seen)).toMatchObject({ reading: { ph: 4.6 }, liquid: { celsius: 81 } });
  expect(pot(done([vessel('pot'), run('pot', 1000), look, acid('pot', 'vinegar', 10)])).reading).toBeNull();
});

test('a list takes as long as its longest path: two pots wait side by side, goods wait for their soak', () => {
  const state = done([
    goods('a', 100),
    goods('b', 100),
    vessel('soak', 'soak'),
    vessel('one'),
    vessel('two'),
    place('soak', ['a', 'b']),
    stand('soak', 30),
    place('one', ['a']),
    place('two', ['b']),
    hold('one', 60),
    hold('two', 40),
  ]);
  expect([pot(state, 'one').clock, pot(state, 'two').clock, state.handsFree]).toEqual([90, 70, 30]);
});

describe('what cannot be changes nothing and says why', () => {
  const before = fold(emptyState(), listed([goods('g1', 100), vessel('pot'), run('pot', 1000)])).state;
  test.each([
    ['water into a vessel nobody has', run('vat', 10), { code: 'no such vessel', vessel: 'vat' }],
    ['goods nobody brought', place('pot', ['g9']), { code: 'no such goods', goods: 'g9' }],
    [
      'a liter and a half out of a liter',
      move('pot', null, { ml: 1500 }),
      { code: 'less there', vessel: 'pot', thereMl: 1000, askedMl: 1500 },
    ],
    [
      'something out of goods that are dry',
      move(on('layer', 0, 0.5), 'pot', { ml: 5 }),
      { code: 'nothing there', vessel: null },
    ],
    [
      'three of a line of one',
      split('g1', { count: 3 }, 'g1.b'),
      { code: 'whole line', goods: 'g1', has: 1, asked: 3 },
    ],
    ['the same goods once more', goods('g1', 50), { code: 'brought twice', thing: 'g1' }],
  ])('%s', (_, act, why) => {
    expect(apply(before, { id: 'x', act })).toEqual({ state: before, impossible: why });
  });
});

describe('at the edges, by hand', () => {
  const dyedHalf = done([
    goods('g1', 200),
    vessel('pot'),
    run('pot', 6000),
    powder('pot', 'blue', 1),
    place('pot', [], stretch('around', 0, 0.5)),
    hold('pot', 30, 0),
  ]);
  test('a half begins where it begins and ends before it ends', () => {
    const at = (around: number): number => depthAt(dyedHalf, 'g1', { around });
    // 1 g on 100 g.
    expect([0, 0.25, 0.499, 0.5, 0.75].map(at)).toEqual([1, 1, 1, 0, 0].map((one) => expect.closeTo(one, 9)));
    expect(depthAt(dyedHalf, 'g1', { along: 0.25 })).toBe(0);
  });
  test('a look that says all of it is still there gives the goods nothing', () => {
    const acts = [goods('g1', 200), vessel('pot'), run('pot', 6000), powder('pot', 'blue', 2), place('pot')];
    expect(waitingIn(done([...acts, hold('pot', 10, 1)]), 'pot')).toBeCloseTo(2, 12);
    expect(waitingIn(done([...acts, hold('pot', 10, 0.25)]), 'pot')).toBeCloseTo(0.5, 12);
    expect(waitingIn(done([...acts, hold('pot', 10, 0)]), 'pot')).toBe(0);
  });
  test('liquid of another batch brings its acids, one named twice added up', () => {
    const thing = {
      ...{ kind: 'liquid', vessel: 'pot', ml: 2000, celsius: 40, alkalinityMeq: 3, takenMeq: 1 },
      acids: [
        { acid: 'vinegar', pureGrams: 2 },
        { acid: 'citric', pureGrams: 0.5 },
        { acid: 'vinegar', pureGrams: 3 },
      ],
      dyes: [{ dyeId: 'blue', standardGrams: 0.2, act: 'a0' }],
      from: { batch: 'b0', event: 'e0' },
    };
    const bring = { kind: 'bring', pass: null, line: null, purpose: null, thing } as Act;
    const { liquid } = pot(done([vessel('pot'), bring]));
    expect(liquid).toMatchObject({ ml: 2000, celsius: 40, acids: { acetic: 5, citric: 0.5 } });
    expect([liquid.alkalinityMeq, liquid.takenMeq]).toEqual([3, 1]);
    expect(waitingIn(done([vessel('pot'), bring]), 'pot')).toBeCloseTo(0.2, 12);
  });
  test('what dries away is counted: 240 mL of goods that were lifted out dripping', () => {
    const state = done([
      ...[goods('g1', 200), vessel('pot'), run('pot', 6000), place('pot'), lift()],
      { kind: 'dry', pass: null, line: null, purpose: null, goods: [] },
    ]);
    expect(state.driedMl).toBeCloseTo(240, 9);
    expect(pot(state).liquid.ml).toBeCloseTo(5760, 9);
  });
  test('goods that hold less than wringing leaves lose nothing by it', () => {
    const common = { pass: null, line: null, purpose: null, goods: [] };
    const [dried, wrung]: Act[] = [
      { kind: 'dry', ...common },
      { kind: 'wring', ...common },
    ];
    const acts = [goods('g1', 200), vessel('pot'), run('pot', 6000), place('pot')];
    const state = done([...acts, dried!, wrung!]);
    expect([state.pieces.get('g1')!.held.ml, state.drained.ml]).toEqual([0, 0]);
    // Squeezed to 0.3 mL a gram, then wrung to at most 0.5.
    const squeezed = done([...acts, lift(0.3), wrung!]);
    expect(squeezed.pieces.get('g1')!.held.ml).toBeCloseTo(60, 9);
  });
  test('what a meter showed stands until the liquid is changed in time or amount', () => {
    const look = {
      ...{ kind: 'look', pass: null, line: null, purpose: null, of: 'bath', vessel: 'pot', answer: 'pH 4.6' },
      reading: { ph: 4.6, celsius: null, levelMl: null },
    } as Act;
    const acts = [goods('g1', 200), vessel('pot'), run('pot', 6000), place('pot'), look];
    expect(pot(done(acts)).reading).toMatchObject({ ph: 4.6 });
    expect(pot(done([...acts, vessel('pan', 'pan')])).reading).toMatchObject({ ph: 4.6 });
    expect(pot(done([...acts, hold('pot', 10)])).reading).toBeNull();
  });
});
