import { BLUE, SOCK } from '../../test/examples';
import { problemsOf } from '../document/problemsOf';
import { baseSchema } from './base';
import { dyeSchema } from './dye';
import { potSchema } from './pot';
import { stockSchema } from './stock';
import { studioSchema } from './studio';

interface Readable {
  safeParse(value: unknown): { success: boolean; error?: { issues: Parameters<typeof problemsOf>[0] } };
}

const problems = (schema: Readable, value: unknown): string[] => {
  const read = schema.safeParse(value);
  return read.success
    ? []
    : problemsOf(read.error?.issues ?? []).map(({ field, message }) => `${field}: ${message}`);
};

const STOCK = { id: 'blue-1', dyeId: 'blue', strengthPercent: 1, volumeMl: 500 };
const POT = { id: 'pot', name: 'Tenor', capacityMl: 9000 };

describe('a base', () => {
  test('reads back as it was written', () =>
    expect(baseSchema.parse(JSON.parse(JSON.stringify(SOCK)))).toEqual(SOCK));
  test('takes what was left out from its usual values', () => {
    const base = baseSchema.parse({
      id: 'b',
      name: 'B',
      fibers: [{ fiber: 'silk', percent: 100 }],
      putUpGrams: 50,
    });
    expect(base).toMatchObject({ code: '', superwash: false, form: 'skein', note: '', retired: false });
  });
  test.each([
    [99.995, true],
    [100.005, true],
    [99.9, false],
    [100.1, false],
  ])('fibers adding up to %d %%', (total, good) => {
    const fibers = [
      { fiber: 'wool', percent: total - 20 },
      { fiber: 'silk', percent: 20 },
    ];
    expect(baseSchema.safeParse({ ...SOCK, fibers }).success).toBe(good);
  });
  test.each<[string, object, RegExp]>([
    ['no fiber', { fibers: [] }, /fibers: A base needs at least one fiber/],
    [
      'an unknown fiber',
      { fibers: [{ fiber: 'moonlight', percent: 100 }] },
      /fibers\.0\.fiber: A fiber must be one of wool, merino/,
    ],
    [
      'a share of nothing',
      {
        fibers: [
          { fiber: 'wool', percent: 0 },
          { fiber: 'silk', percent: 100 },
        ],
      },
      /fibers\.0\.percent: Fiber share must be more than zero/,
    ],
    ['an unknown form', { form: 'knot' }, /form: A form must be one of skein/],
    ['a put-up over 100 kg', { putUpGrams: 100_001 }, /putUpGrams: Mass cannot be over 100 kg/],
    ['an id with a space', { id: 'my base' }, /id: An id holds 1 to 64 letters/],
    ['a name of 81 letters', { name: 'n'.repeat(81) }, /name: A name can have at most 80/],
  ])('%s is refused', (_, changes, message) =>
    expect(problems(baseSchema, { ...SOCK, ...changes }).join('\n')).toMatch(message),
  );
});

describe('a dye', () => {
  test('that was never weighed by the spoon says so with null', () =>
    expect(dyeSchema.parse(BLUE).gramsPerTeaspoon).toBeNull());
  test.each<[object, RegExp]>([
    [{ swatchHex: 'rebeccapurple' }, /six hexadecimal digits/],
    [{ lotStrength: -1 }, /standard is 1/],
    [{ jarPriceCents: 12.5 }, /whole cents/],
    [{ gramsPerTeaspoon: 'three' }, /Dye must be a number in g/],
  ])('%j is refused', (changes, message) =>
    expect(problems(dyeSchema, { ...BLUE, ...changes }).join('\n')).toMatch(message),
  );
});

describe('a jar', () => {
  test.each([
    [0, false],
    [0.01, true],
    [10, true],
    [10.01, false],
    [-1, false],
  ])('of %d %% w/v', (strengthPercent, good) =>
    expect(stockSchema.safeParse({ ...STOCK, strengthPercent }).success).toBe(good),
  );
  test('of no volume, or made on no day, is refused', () => {
    expect(problems(stockSchema, { ...STOCK, volumeMl: 0 })[0]).toMatch(/Volume must be more than zero/);
    expect(problems(stockSchema, { ...STOCK, madeOn: '2026-02-30' })[0]).toMatch(/ISO 8601/);
    expect(problems(stockSchema, { ...STOCK, madeOn: '2026-02-28' })).toEqual([]);
  });
});

test('a pot has a kind and a size', () => {
  expect(potSchema.parse(POT).kind).toBe('pot');
  expect(problems(potSchema, { ...POT, kind: 'bathtub' })[0]).toMatch(/must be one of pot, slow cooker/);
  expect(problems(potSchema, { ...POT, capacityMl: 200_001 })[0]).toMatch(/cannot be over 200 L/);
});

describe('a studio', () => {
  test('that says nothing gets middling water and US spoons', () => {
    expect(studioSchema.parse({})).toEqual({
      name: 'My studio',
      spoons: 'US',
      currency: 'USD',
      water: { alkalinityMgPerL: 100, countFiberUptake: true },
      place: { altitudeM: 0, tapC: 20, roomC: 20 },
      citricGramsPerTeaspoon: null,
      habits: {
        spoons: ['cup', '1/2 cup', '1/4 cup', 'tbsp', 'tsp', '1/2 tsp', '1/4 tsp', '1/8 tsp'],
        own: { pinch: null, dash: null, smidgen: null, splash: null, drop: null },
        shown: { pours: 'mL', water: 'L', mass: 'g', temperature: '°C', length: 'cm' },
        usualAcid: 'vinegar',
        primaries: { cyan: null, magenta: null, yellow: null, black: null },
      },
    });
  });
  test.each<[object, RegExp]>([
    [{ currency: 'euro' }, /three capital letters/],
    [{ habits: { spoons: ['tbsp', '1/2 tsp'] } }, /needs a teaspoon/],
    [{ habits: { spoons: ['ladle', 'tsp'] } }, /A spoon must be one of: cup/],
    [{ habits: { shown: { temperature: 'K' } } }, /Temperatures must be one of: °C, °F/],
    [{ spoons: 'imperial' }, /US, metric or AU/],
    [{ water: { alkalinityMgPerL: -5 } }, /water\.alkalinityMgPerL: Alkalinity cannot be under 0/],
    [{ water: { alkalinityMgPerL: 5000 } }, /Alkalinity cannot be over 1000/],
  ])('%j is refused', (value, message) => expect(problems(studioSchema, value).join('\n')).toMatch(message));
});
