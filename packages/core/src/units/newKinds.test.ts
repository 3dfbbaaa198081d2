import fc from 'fast-check';
import { parseQuantity, type ParseContext } from './parseQuantity';
import { QUANTITY_KINDS, quantityKind, stepQuantity, type QuantityKindName } from './quantityKinds';

const value = (text: string, kind: QuantityKindName, context?: ParseContext): number => {
  const read = parseQuantity(text, kind, context);
  if (!read.ok) throw new Error(read.problem);
  return read.value;
};
const problem = (text: string, kind: QuantityKindName): string => {
  const read = parseQuantity(text, kind);
  return read.ok ? '' : read.problem;
};

describe('spoons, kept in teaspoons', () => {
  test.each<[string, number]>([
    ['1/8', 0.125],
    ['1/8 tsp', 0.125],
    ['1 1/2', 1.5],
    ['2 tbsp + 1 tsp', 7],
    ['1 cup', 48],
    ['½', 0.5],
  ])('%s', (text, teaspoons) => expect(value(text, 'teaspoons')).toBeCloseTo(teaspoons, 9));
  test('milliliters are read in the studio’s own spoon', () => {
    expect(value('15 mL', 'teaspoons', { spoons: 'metric' })).toBeCloseTo(3, 9);
    expect(value('1 tbsp', 'teaspoons', { spoons: 'AU' })).toBeCloseTo(4, 9);
    expect(value('1 tbsp', 'teaspoons', { spoons: 'US' })).toBeCloseTo(3, 9);
  });
});

describe('strength as a powder in its liquid', () => {
  test.each<[string, number]>([
    // Common practice, no source: 2 g in 200 mL is 1 %, 4 g per 100 mL is 4 %.
    ['2 g in 200 mL', 1],
    ['4 g per 100 mL', 4],
    ['4 g/100mL', 4],
    ['0.5 g / 1 L', 0.05],
    ['1:100', 1],
    ['1 : 50', 2],
    ['1 in 100', 1],
    ['2 in 200 mL', 1],
    // An ounce is 28.35 g, a US quart 946.4 mL.
    ['1 oz to 1 quart', 2.9957],
    ['2,5 %', 2.5],
  ])('%s', (text, percent) => expect(value(text, 'stockStrength')).toBeCloseTo(percent, 3));
  test('spoons, by what a level one weighs: 1/8 tsp of 2.8 g in half a cup of 118.3 mL is 0.3 %', () => {
    const weighed = { gramsPerTeaspoon: 2.8 };
    expect(value('1/8 tsp in 1/2 cup', 'stockStrength', weighed)).toBeCloseTo(0.35 / 1.18294, 4);
    expect(value('1 tsp per cup', 'stockStrength', weighed)).toBeCloseTo(2.8 / 2.36588, 4);
    expect(value('1/2 tsp in a cup', 'stockStrength', weighed)).toBeCloseTo(1.4 / 2.36588, 4);
    expect(parseQuantity('1 tsp per cup', 'stockStrength', { ...weighed, unweighed: true })).toMatchObject({
      remark: 'A tsp is taken as 2.8 g, not weighed.',
    });
    expect(problem('1 tsp per cup', 'stockStrength')).toMatch(/grams per level teaspoon/);
  });
  test.each<[string, RegExp]>([
    ['2 g in 200 g', /^That is a mass\./],
    ['2 g in', /^That is a mass\./],
    ['2 g in 0 mL', /no liquid to be in/],
    ['50 g in 100 mL', /cannot be over 10 %; this reads as 50 %/],
    [
      '2 g',
      /^That is a mass\. Stock strength goes by percent, or by the powder in it: 1 %, 2 g in 200 mL\.$/,
    ],
  ])('%s is refused', (text, said) => expect(problem(text, 'stockStrength')).toMatch(said));
  test('no other percent is said that way', () =>
    expect(problem('1:100', 'dos')).toMatch(/no measure known/));
});

describe('lengths', () => {
  test.each<[string, QuantityKindName, number]>([
    ['30', 'length', 30],
    ['30 cm', 'length', 30],
    ['12 in', 'length', 30.48],
    ['12"', 'length', 30.48],
    ['85 mm', 'length', 8.5],
    ['1 ft', 'length', 30.48],
    ['480', 'altitude', 480],
    ['480 m', 'altitude', 480],
    ['1600 ft', 'altitude', 487.68],
    ['-30 m', 'altitude', -30],
  ])('%s in a field of %s', (text, kind, expected) => expect(value(text, kind)).toBeCloseTo(expected, 6));
  test('a length is no mass, and only an altitude may be negative', () => {
    expect(problem('30 g', 'length')).toMatch(/That is a mass\. Length goes by length/);
    expect(problem('-3', 'length')).toMatch(/cannot be negative/);
    expect(problem('-900', 'altitude')).toMatch(/cannot be under -430 m/);
  });
});

describe('the rest of the bench', () => {
  test.each<[string, QuantityKindName, number]>([
    ['1.5 kW', 'power', 1500],
    ['260', 'power', 260],
    ['1:1', 'pickUp', 1],
    ['1,5 kg', 'iceMass', 1500],
    ['2', 'rampRate', 2],
    ['33.3 %', 'sharePercent', 33.3],
    ['50F', 'roomTemperature', 10],
    ['8 h', 'minutes', 480],
  ])('%s in a field of %s', (text, kind, expected) => expect(value(text, kind)).toBeCloseTo(expected, 6));
  test.each<[string, QuantityKindName, RegExp]>([
    ['0', 'parts', /more than zero/],
    ['101 %', 'sharePercent', /cannot be over 100 %/],
    ['2.5', 'steps', /must be a whole number/],
    ['25', 'steps', /cannot be over 24/],
    ['101', 'inkPercent', /cannot be over 100 %/],
    ['95', 'drainPercent', /cannot be over 90 %/],
    ['50 W', 'temperature', /That is a power/],
    ['9', 'pickUp', /cannot be over/],
    ['some', 'iceMass', /is not an amount/],
  ])('%s in a field of %s is refused in a sentence', (text, kind, message) =>
    expect(problem(text, kind)).toMatch(message),
  );
  test('what is unlikely is asked about and taken', () => {
    expect(parseQuantity('5 mL', 'topUp')).toMatchObject({ ok: true });
    expect(parseQuantity('12', 'rampRate')).toMatchObject({
      ok: true,
      remark: expect.stringMatching(/a lot/) as string,
    });
    expect(parseQuantity('0.01', 'teaspoons')).toMatchObject({
      ok: true,
      remark: expect.stringMatching(/very little/) as string,
    });
  });
});

describe('every kind of amount', () => {
  const names = Object.keys(QUANTITY_KINDS) as QuantityKindName[];
  test.each(names)('%s: usual lies in possible, and every rung of its ladder is possible', (name) => {
    const { possible, usual, ladder } = quantityKind(name);
    expect(usual[0]).toBeGreaterThanOrEqual(possible[0]);
    expect(usual[1]).toBeLessThanOrEqual(possible[1]);
    for (const rung of ladder) expect(parseQuantity(String(rung), name)).toMatchObject({ ok: true });
    expect([...ladder].toSorted((a, b) => a - b)).toEqual(ladder);
  });
  test('stepping up and down never leaves the ladder’s ends', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...names),
        fc.double({ min: 0, max: 10_000, noNaN: true }),
        (name, start) => {
          const { ladder } = quantityKind(name);
          let at = start;
          for (let i = 0; i < 60; i += 1) at = stepQuantity(name, at, 1);
          expect(at).toBeGreaterThanOrEqual(Math.min(start, ladder.at(-1) ?? 0));
          for (let i = 0; i < 60; i += 1) at = stepQuantity(name, at, -1);
          expect(at).toBeLessThanOrEqual(ladder[0] ?? 0);
        },
      ),
    );
  });
});
