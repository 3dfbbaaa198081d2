import fc from 'fast-check';
import { dyeSchema, toolSchema, type Dye, type Tool } from '..';
import { chooseTool, MOST_ERROR_PERCENT } from './chooseTool';
import { dilutionPlan } from './dilutionPlan';
import { planStock, spoonStock, weighedStock } from './makeStock';
import { powdersWithin, premixChecker, singleDyes } from './premix';

const tool = (name: string, kind: Tool['kind'], capacity: number, graduation: number): Tool =>
  toolSchema.parse({ id: name.replaceAll(/\W/g, '-'), name, kind, capacity, graduation });
const SYRINGE_1 = tool('1 mL syringe', 'syringe', 1, 0.02);
const SYRINGE_10 = tool('10 mL syringe', 'syringe', 10, 0.2);
const CYLINDER_100 = tool('100 mL cylinder', 'cylinder', 100, 1);
const TEASPOON = tool('teaspoon', 'spoon', 5, 0.4);
const SCALE = tool('scale', 'scale', 200, 0.01);
const ALL = [SYRINGE_1, SYRINGE_10, CYLINDER_100, TEASPOON, SCALE];

describe('choosing a tool', () => {
  test('7.5 mL is read to 7.6 on a syringe marked every 0.2 mL, ± 0.1 in 7.5', () => {
    const chosen = chooseTool(7.5, 'mL', [SYRINGE_10])!;
    expect(chosen.reading).toBeCloseTo(7.6, 9);
    expect(chosen.errorPercent).toBeCloseTo((100 * 0.1) / 7.5, 9);
  });
  test('25 mL is three fills of it, half a graduation in quadrature: 0.1 × √3 in 25', () => {
    const chosen = chooseTool(25, 'mL', [SYRINGE_10])!;
    expect([chosen.fills, chosen.reading]).toEqual([3, 25]);
    expect(chosen.errorPercent).toBeCloseTo((100 * 0.1 * Math.sqrt(3)) / 25, 9);
  });
  test('four fills of a small syringe are nobody’s way when a cylinder reads it to 3 %', () => {
    // 25 mL in the cylinder: ± 0.5 in 25 is 2 %, in one fill; the 10 mL syringe would read it to 0.7 % in three.
    expect(chooseTool(25, 'mL', ALL)).toMatchObject({
      tool: { name: '100 mL cylinder' },
      fills: 1,
      errorPercent: 2,
    });
    // 3.6 mL: ± 0.1 in 3.6 is 2.8 % in one fill of the larger syringe, against four of the smaller.
    expect(chooseTool(3.6, 'mL', ALL)).toMatchObject({ tool: { name: '10 mL syringe' }, fills: 1 });
  });
  test('what is read lies within the error that is stated', () => {
    // 25.8 mL on a jug marked every 50 mL is read as 50: ± 25 in 25.8 is 97 %, and 50 is 94 % off.
    const jug = chooseTool(25.8, 'mL', [tool('jug', 'jug', 1000, 50)])!;
    expect([jug.reading, Math.round(jug.errorPercent)]).toEqual([50, 97]);
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 900, noNaN: true }), (amount) => {
        const chosen = chooseTool(amount, 'mL', ALL)!;
        expect(Math.abs(chosen.reading / amount - 1) * 100).toBeLessThanOrEqual(chosen.errorPercent + 1e-6);
      }),
    );
  });
  test('the finest wins where none is fine enough, with at most four fills', () => {
    expect(chooseTool(7.5, 'mL', ALL)!.tool.name).toBe('10 mL syringe');
    expect(chooseTool(0.6, 'mL', ALL)!.tool.name).toBe('1 mL syringe');
    expect(chooseTool(180, 'mL', ALL)!.tool.name).toBe('100 mL cylinder');
    expect(chooseTool(2.13, 'g', ALL)!.tool.name).toBe('scale');
  });
  test('more than four fills only when nothing else can do it', () =>
    expect(chooseTool(45, 'mL', [SYRINGE_1])!.fills).toBe(45));
  test('a spoon measures whole spoons only', () => {
    expect(chooseTool(10, 'mL', [TEASPOON])!.fills).toBe(2);
    expect(chooseTool(7, 'mL', [TEASPOON])).toBeNull();
  });
  test('nothing reads an amount under half a mark, or in the other unit', () => {
    expect(chooseTool(0.05, 'mL', [SYRINGE_10])).toBeNull();
    expect(chooseTool(5, 'mL', [SCALE])).toBeNull();
    expect(chooseTool(5, 'mL', [])).toBeNull();
  });
  test('rounding never exceeds half the graduation', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 2000, noNaN: true }),
        fc.double({ min: 0.5, max: 500, noNaN: true }),
        fc.integer({ min: 5, max: 200 }),
        fc.constantFrom<Tool['kind']>('syringe', 'pipette', 'cylinder', 'jug', 'spoon'),
        (amount, capacity, marks, kind) => {
          const any = tool('any', kind, capacity, capacity / marks);
          const chosen = chooseTool(amount, 'mL', [any]);
          if (chosen)
            expect(Math.abs(chosen.reading - amount)).toBeLessThanOrEqual(any.graduation / 2 + 1e-8);
        },
      ),
      { numRuns: 500 },
    );
  });
});

describe('which of two tools, by hand', () => {
  const named = (amount: number, ...tools: Tool[]): string | undefined =>
    chooseTool(amount, 'mL', tools)?.tool.name;
  const both = (amount: number, one: Tool, other: Tool): (string | undefined)[] => [
    named(amount, one, other),
    named(amount, other, one),
  ];
  test('both read it to 3 %: fewer fills first, then the finer, whichever stands first', () => {
    // 20 mL: 20 marked every 1 is ± 2.5 % in one fill, 10 marked every 0.2 ± 0.7 % in two.
    expect(both(20, tool('a', 'syringe', 20, 1), tool('b', 'syringe', 10, 0.2))).toEqual(['a', 'a']);
    expect(both(20, tool('a', 'syringe', 20, 1), tool('b', 'syringe', 20, 0.5))).toEqual(['b', 'b']);
  });
  test('neither reads it to 3 %: the finer first, then fewer fills', () => {
    // 5 mL: 10 marked every 1 is ± 10 %; 2 marked every 0.2 ± 0.1 × √3 = 3.5 % in three fills.
    expect(both(5, tool('a', 'syringe', 10, 1), tool('b', 'syringe', 2, 0.2))).toEqual(['b', 'b']);
  });
  test('one to 3 %, one not: the one that does, however many fills; five fills are too many', () => {
    expect(both(8, tool('a', 'syringe', 10, 1), tool('b', 'syringe', 2, 0.02))).toEqual(['b', 'b']);
    expect(both(10, tool('a', 'syringe', 10, 1), tool('b', 'syringe', 2, 0.02))).toEqual(['a', 'a']);
    // Both in five fills or more: fewer of them.
    expect(both(10, tool('a', 'syringe', 1, 0.02), tool('b', 'syringe', 2, 0.1))).toEqual(['b', 'b']);
  });
  test('just 3 % will do, four fills will do', () => {
    // ± 0.27 in 9, in one fill; ± 0.05 × √4 in 8.
    expect(both(9, tool('a', 'syringe', 10, 0.54), tool('b', 'syringe', 5, 0.01))).toEqual(['a', 'a']);
    expect(both(8, tool('a', 'syringe', 2, 0.1), tool('b', 'syringe', 10, 0.6))).toEqual(['a', 'a']);
  });
  test('nothing is no amount', () => expect(named(0, SYRINGE_1)).toBeUndefined());
});

describe('a working dilution, by hand', () => {
  const fine = tool('fine syringe', 'syringe', 1, 0.01);
  const tenth = tool('3 mL syringe', 'syringe', 3, 0.1);
  const cylinder = (ml: number): Tool => tool(`${ml} mL cylinder`, 'cylinder', ml, ml / 100);
  test('0.3 mL of 2 %: 5 mL made up to 25 are 0.4 %, of which 1.5 mL hold as much', () => {
    const plan = dilutionPlan(0.3, 2, [fine, cylinder(25)])!;
    expect(plan).toMatchObject({
      ratio: 5,
      take: { reading: 5, tool: { name: '25 mL cylinder' } },
      makeUp: { reading: 25, fills: 1 },
      pour: { reading: 1.5, fills: 2, tool: { name: 'fine syringe' } },
    });
    expect(plan.strengthPercent).toBeCloseTo(0.4, 12);
    // 0.125 in 5, 0.125 in 25, 0.005 × √2 in 1.5; nothing is rounded.
    expect(plan.errorPercent).toBeCloseTo(Math.hypot(2.5, 0.5, (0.5 * Math.SQRT2) / 1.5), 9);
  });
  test('it is made up to what all doses need: ten of 2.515 mL take more than 25, though each is read as 2.5', () => {
    const plan = dilutionPlan(0.503, 1, [fine, tenth, cylinder(25), cylinder(50)], 10)!;
    expect([plan.ratio, plan.makeUp.reading, plan.pour.reading]).toEqual([5, 50, 2.5]);
  });
  test('and holds what all doses are read as: nine of 2.776 mL are 24.98, read as 2.78 they are 25.02', () => {
    const plan = dilutionPlan(0.5552, 1, [fine, cylinder(25), cylinder(50)], 9)!;
    expect([plan.ratio, plan.makeUp.reading, plan.pour.reading]).toEqual([5, 50, 2.78]);
  });
  test('it is made up in a cylinder or jug that holds all of it, and in a syringe only where there is none', () => {
    const large = tool('60 mL syringe', 'syringe', 60, 0.5);
    const jug = tool('jug', 'jug', 100, 1);
    const madeUpIn = (...tools: Tool[]): string | undefined =>
      dilutionPlan(0.3, 1, [fine, tool('5 mL syringe', 'syringe', 5, 0.1), ...tools])?.makeUp.tool.name;
    expect(madeUpIn(large, cylinder(100))).toBe('100 mL cylinder');
    expect(madeUpIn(large, jug)).toBe('jug');
    expect(madeUpIn(large)).toBe('60 mL syringe');
    expect(madeUpIn(large, cylinder(10))).toBe('60 mL syringe');
    expect(madeUpIn(cylinder(10))).toBeUndefined();
  });
});

describe('a pour too small to read', () => {
  test('0.3 mL of 1 % with 10 mL marks: one part in 10 or 20, and the dye is the same within the reading', () => {
    const plan = dilutionPlan(0.3, 1, [SYRINGE_10, CYLINDER_100])!;
    expect(plan.errorPercent).toBeLessThan(MOST_ERROR_PERCENT);
    expect(plan.strengthPercent).toBeCloseTo(1 / plan.ratio, 9);
    expect((plan.pour.reading * plan.strengthPercent) / (0.3 * 1)).toBeCloseTo(1, 1);
    expect(plan.makeUp.reading).toBeGreaterThanOrEqual(plan.pour.reading);
  });
  test('the mildest dilution that does is taken', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 3, noNaN: true }), (volume) => {
        const plan = dilutionPlan(volume, 1, ALL);
        if (!plan) return;
        expect(plan.errorPercent).toBeLessThan(MOST_ERROR_PERCENT);
        expect([5, 10, 20]).toContain(plan.ratio);
      }),
    );
  });
  test('it holds enough for every dose', () => {
    // Four doses of 0.3 mL at 1 in 10 are 12 mL of the dilution; at 1 in 20 they are 24.
    const plan = dilutionPlan(0.3, 1, [SYRINGE_10, CYLINDER_100], 4)!;
    expect(4 * plan.pour.reading).toBeLessThanOrEqual(plan.makeUp.reading);
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 5, noNaN: true }),
        fc.integer({ min: 1, max: 12 }),
        (volume, doses) => {
          const each = dilutionPlan(volume, 1, ALL, doses);
          if (each) expect(doses * each.pour.reading).toBeLessThanOrEqual(each.makeUp.reading + 1e-9);
        },
      ),
    );
  });
  // One part in five of 0.3 mL a dose: so many doses need 1.5 mL each, and the next usual volume holds them.
  test.each([
    [10, 15, 25],
    [20, 30, 50],
    [40, 60, 100],
    [90, 135, 200],
    [150, 225, 250],
    [250, 375, 500],
    [500, 750, 1000],
  ])('%d doses need %d mL of it, and are made up to %d mL', (doses, needed, made) => {
    const fine = tool('fine syringe', 'syringe', 1, 0.01);
    const flasks = [25, 50, 100, 200, 250, 500, 1000].map((ml) =>
      tool(`${ml} mL flask`, 'cylinder', ml, ml / 100),
    );
    const plan = dilutionPlan(0.3, 1, [fine, ...flasks], doses)!;
    expect([plan.ratio, doses * 0.3 * plan.ratio]).toEqual([5, expect.closeTo(needed, 9)]);
    expect(plan.makeUp.reading).toBeCloseTo(made, 9);
    expect(plan.take.reading).toBeCloseTo(made / 5, 9);
  });
  test('the rounding of the pour is part of its error', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 5, noNaN: true }), (volume) => {
        const plan = dilutionPlan(volume, 1, ALL);
        if (!plan) return;
        const off = 100 * Math.abs((plan.pour.reading * plan.strengthPercent) / volume - 1);
        const reading = Math.hypot(plan.take.errorPercent, plan.makeUp.errorPercent, plan.pour.errorPercent);
        expect(plan.errorPercent).toBeCloseTo(off + reading, 9);
      }),
    );
  });
  test('nothing is promised that these tools cannot do', () =>
    expect(dilutionPlan(0.3, 1, [tool('jug', 'jug', 2000, 50)])).toBeNull());
  test('15 mL of 1 % in 200 mL of water is 0.070 % w/v (common practice, no source)', () =>
    expect((15 * 1) / 215).toBeCloseTo(0.07, 3));
});

describe('premixes', () => {
  const dye = (id: string, madeOf: { dyeId: string; parts: number }[] = []) =>
    dyeSchema.parse({ id, name: id, swatchHex: '#445566', madeOf });
  const A = dye('a');
  const B = dye('b');
  const AB = dye('ab', [
    { dyeId: 'a', parts: 3 },
    { dyeId: 'b', parts: 1 },
  ]);
  const NESTED = dye('nested', [
    { dyeId: 'ab', parts: 2 },
    { dyeId: 'b', parts: 2 },
  ]);
  test('8 g of a mix of a mix: 3 g of a, 5 g of b', () => {
    // Half of 8 g is ab, of which three quarters are a: 3 g. The rest is b: 1 g from ab and 4 g beside it.
    expect(singleDyes('nested', 8, [A, B, AB, NESTED])).toEqual([
      { dyeId: 'a', grams: 3 },
      { dyeId: 'b', grams: 5 },
    ]);
  });
  test('the single dyes always add up to the mix', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 500, noNaN: true }),
        fc.integer({ min: 1, max: 50 }),
        fc.integer({ min: 1, max: 50 }),
        (grams, one, two) => {
          const mix = dye('mix', [
            { dyeId: 'nested', parts: one },
            { dyeId: 'a', parts: two },
          ]);
          const sum = singleDyes('mix', grams, [A, B, AB, NESTED, mix]).reduce(
            (all, part) => all + part.grams,
            0,
          );
          expect(sum / grams).toBeCloseTo(1, 12);
        },
      ),
    );
  });
  test('six premixes one in another are taken apart, a seventh is refused, from whichever end it is met', () => {
    const tower = Array.from({ length: 7 }, (_, i) =>
      dye(`level${i + 1}`, [
        { dyeId: i === 0 ? 'b' : `level${i}`, parts: 1 },
        { dyeId: 'a', parts: 1 },
      ]),
    );
    // Each level halves what is b: 1 in 2^6.
    expect(singleDyes('level6', 64, [A, B, ...tower])).toEqual([
      { dyeId: 'b', grams: 1 },
      { dyeId: 'a', grams: 63 },
    ]);
    expect(powdersWithin('level3', [A, B, ...tower])).toEqual(['level3', 'level2', 'level1', 'b', 'a']);
    for (const order of [tower, tower.toReversed()])
      expect(() => order.forEach(premixChecker([A, B, ...tower]))).toThrow(
        /“level7” is a premix .* more than 6 deep/,
      );
  });
  test('twelve parts on six levels, and a chain of 3,000, are answered at once', () => {
    // Twelve premixes of the level below in each: 12^6 ways down.
    const level = (of: number): Dye[] =>
      Array.from({ length: 12 }, (_, i) =>
        dye(
          `l${of}-${i}`,
          Array.from({ length: 12 }, (__, k) => ({
            dyeId: of === 1 ? 'a' : `l${of - 1}-${k}`,
            parts: 1,
          })).slice(0, of === 1 ? 1 : 12),
        ),
      );
    const wide = [A, ...[1, 2, 3, 4, 5, 6].flatMap(level)];
    expect(singleDyes('l6-0', 5, wide)).toEqual([{ dyeId: 'a', grams: expect.closeTo(5, 9) }]);
    const chain = [
      A,
      ...Array.from({ length: 3000 }, (_, i) => dye(`c${i}`, [{ dyeId: i ? `c${i - 1}` : 'a', parts: 1 }])),
    ];
    expect(() => singleDyes('c2999', 1, chain)).toThrow(/more than 6 deep/);
    expect(() => chain.forEach(premixChecker(chain))).toThrow(/more than 6 deep/);
  });
  test('a powder named twice in one premix is refused', () =>
    expect(() =>
      premixChecker([A, B])(
        dye('mix', [
          { dyeId: 'a', parts: 1 },
          { dyeId: 'b', parts: 1 },
          { dyeId: 'a', parts: 2 },
        ]),
      ),
    ).toThrow(/“mix” names “a” twice/));
  test('a mix that holds itself is refused, however far round', () => {
    const one = dye('one', [{ dyeId: 'two', parts: 1 }]);
    const two = dye('two', [{ dyeId: 'one', parts: 1 }]);
    expect(() => singleDyes('one', 1, [one, two])).toThrow(/holds itself: one → two → one/);
    expect(() => powdersWithin('one', [one, two])).toThrow(/holds itself/);
    expect(() => singleDyes('ab', 1, [A, AB])).toThrow(/no dye with the id “b”/);
  });
});

describe('making stock (common practice, no source)', () => {
  test('2 g in 200 mL is 1 %, 4 g per 100 mL is 4 %', () => {
    expect(planStock(1, 200).powder.value).toBe(2);
    expect(planStock(4, 100).powder.value).toBe(4);
  });
  test('2.13 g at 1 % needs 213 mL, or is 1.065 % in 200', () => {
    const real = weighedStock(2.13, 1, 200);
    expect(real.makeUpTo.value).toBeCloseTo(213, 9);
    expect(real.trueStrength.value).toBeCloseTo(1.065, 9);
  });
  test('1/8 tsp at 2.8 g a teaspoon in half a cup is about 0.3 %, an estimate', () => {
    const strength = spoonStock(0.125, 2.8, 118.294);
    expect(strength.value).toBeCloseTo(0.2959, 3);
    expect(strength.sureness).toBe('estimate');
  });
});
