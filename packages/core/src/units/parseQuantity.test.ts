import fc from 'fast-check';
import { fahrenheitToCelsius, METRIC_ML, AU_ML, OUNCE_G, POUND_G, US_ML } from './conversions';
import { editText, formatAmount, showAmount } from './formatQuantity';
import { judge } from './judge';
import { parseQuantity } from './parseQuantity';
import { QUANTITY_KINDS, stepQuantity, type QuantityKindName } from './quantityKinds';

const value = (text: string, kind: QuantityKindName, context = {}): number => {
  const read = parseQuantity(text, kind, context);
  if (!read.ok) throw new Error(read.problem);
  return read.value;
};
const problem = (text: string, kind: QuantityKindName): string => {
  const read = parseQuantity(text, kind);
  return read.ok ? `read as ${read.value}` : read.problem;
};

describe('unit factors against NIST Handbook 44 (2024), Appendix C', () => {
  // The handbook's own general tables give these to the digits shown.
  test.each([
    ['tsp', 4.92892],
    ['tbsp', 14.78676],
    ['cup', 236.58824],
    ['fl oz', 29.57353],
    ['qt', 946.35295],
    ['gal', 3785.41178],
  ] as const)('1 US %s is %d mL', (unit, milliliters) => expect(US_ML[unit]).toBeCloseTo(milliliters, 4));
  test('a US cup is 16 tablespoons, 48 teaspoons, 8 fluid ounces and a 16th of a gallon', () => {
    expect(US_ML.tbsp * 16).toBeCloseTo(US_ML.cup, 6);
    expect(US_ML.tsp * 48).toBeCloseTo(US_ML.cup, 6);
    expect(US_ML['fl oz'] * 8).toBeCloseTo(US_ML.cup, 6);
    expect(US_ML.gal / 16).toBeCloseTo(US_ML.cup, 6);
    expect(US_ML.pt * 2).toBeCloseTo(US_ML.cup * 4, 5);
  });
  test('ounce and pound are exact', () => {
    expect(OUNCE_G).toBe(28.349523125);
    expect(POUND_G).toBe(453.59237);
    expect(OUNCE_G * 16).toBeCloseTo(POUND_G, 9);
  });
  test('metric spoons and the Australian tablespoon', () => {
    expect([METRIC_ML.tsp, METRIC_ML.tbsp, METRIC_ML.cup, AU_ML.tbsp]).toEqual([5, 15, 250, 20]);
  });
  test('fixed points of water', () => {
    expect(fahrenheitToCelsius(32)).toBe(0);
    expect(fahrenheitToCelsius(212)).toBe(100);
  });
});

describe('reading what people write', () => {
  test.each<[string, QuantityKindName, number]>([
    ['7.5', 'volume', 7.5],
    ['12 mL', 'volume', 12],
    ['2 tbsp + 1 tsp', 'volume', 2 * US_ML.tbsp + US_ML.tsp],
    ['2 T 1 t', 'volume', 2 * US_ML.tbsp + US_ML.tsp],
    ['1/8 tsp', 'volume', US_ML.tsp / 8],
    ['1 1/2 cup', 'volume', 1.5 * US_ML.cup],
    ['1½ cups', 'volume', 1.5 * US_ML.cup],
    ['¼ cup and 1 tbsp', 'volume', US_ML.cup / 4 + US_ML.tbsp],
    ['metric cup', 'volume', Number.NaN],
    ['2 metric cups', 'volume', 500],
    ['1 au tbsp', 'volume', 20],
    ['8 fl oz', 'volume', US_ML.cup],
    ['1.5 L', 'volume', 1500],
    ['1 gal', 'volume', US_ML.gal],
    ['4 oz', 'fiberMass', 4 * OUNCE_G],
    ['1 lb 4 oz', 'fiberMass', POUND_G + 4 * OUNCE_G],
    ['0,2 kg', 'fiberMass', 200],
    ['0,5 %', 'dos', 0.5],
    ['.25', 'dos', 0.25],
    ['200F', 'temperature', (168 * 5) / 9],
    ['88 °C', 'temperature', 88],
    ['1 h 15 min', 'minutes', 75],
    ['1:30', 'liquorRatio', 30],
    ['30:1', 'liquorRatio', 30],
    ['30', 'liquorRatio', 30],
    ['1.5 g/L', 'acidPerLiter', 1.5],
    ['3', 'count', 3],
  ])('%s in a %s field', (text, kind, expected) => {
    if (Number.isNaN(expected)) expect(parseQuantity(text, kind).ok).toBe(false);
    else expect(value(text, kind)).toBeCloseTo(expected, 9);
  });

  test('4 tbsp + 1 tbsp + 1 tsp + 1 tsp is 5 tbsp 2 tsp = 83.8 mL US (common practice, no source)', () => {
    expect(value('4 tbsp + 1 tbsp + 1 tsp + 1 tsp', 'volume')).toBeCloseTo(83.8, 1);
    expect(value('5 tbsp 2 tsp', 'volume')).toBeCloseTo(
      value('4 tbsp + 1 tbsp + 1 tsp + 1 tsp', 'volume'),
      9,
    );
  });
  test('bare spoons follow the studio', () => {
    expect(value('1 tbsp', 'volume', { spoons: 'metric' })).toBe(15);
    expect(value('1 tbsp', 'volume', { spoons: 'AU' })).toBe(20);
  });
  test('a spoon of powder is a mass only through its own grams per teaspoon', () => {
    expect(problem('1/8 tsp', 'dyeMass')).toMatch(/grams per level teaspoon/);
    expect(value('1/8 tsp', 'dyeMass', { gramsPerTeaspoon: 2.8 })).toBeCloseTo(0.35, 9);
    expect(value('1 tbsp', 'dyeMass', { gramsPerTeaspoon: 2.8, spoons: 'AU' })).toBeCloseTo(4 * 2.8, 9);
  });

  test.each<[string, QuantityKindName, RegExp]>([
    ['', 'fiberMass', /empty/],
    ['-5', 'fiberMass', /cannot be negative/],
    ['0', 'fiberMass', /more than zero/],
    ['lots', 'volume', /not an amount/],
    ['1,000', 'volume', /two ways/],
    ['1/0 cup', 'volume', /not an amount|not known/],
    ['3 furlongs', 'volume', /no measure known here/],
    ['4 oz', 'volume', /That is a mass\. Volume goes by the mL/],
    ['2 tbsp + 1', 'volume', /missing a unit/],
    ['2 tbsp +', 'volume', /stops after/],
    ['12.5', 'dos', /cannot be over 12 %/],
    ['11 %', 'stockStrength', /cannot be over 10 %/],
    ['2.5', 'count', /whole number/],
    ['1000 F', 'temperature', /cannot be over/],
  ])('“%s” in a %s field is refused with a reason', (text, kind, reason) =>
    expect(problem(text, kind)).toMatch(reason),
  );

  test('a lot is remarked upon, not refused', () => {
    expect(parseQuantity('6 %', 'dos')).toEqual({ ok: true, value: 6, remark: 'That is a lot: 6 %.' });
    expect(parseQuantity('0.005', 'dos')).toMatchObject({
      ok: true,
      remark: expect.stringMatching(/very little/),
    });
  });

  test('never throws and never gives a value outside the possible range, whatever is typed', () => {
    const kinds = Object.keys(QUANTITY_KINDS) as QuantityKindName[];
    fc.assert(
      fc.property(fc.string({ maxLength: 40 }), fc.constantFrom(...kinds), (text, kind) => {
        const read = parseQuantity(text, kind);
        if (read.ok) {
          expect(read.value).toBeGreaterThanOrEqual(QUANTITY_KINDS[kind].possible[0]);
          expect(read.value).toBeLessThanOrEqual(QUANTITY_KINDS[kind].possible[1]);
        } else expect(read.problem.length).toBeGreaterThan(5);
      }),
      { numRuns: 2000 },
    );
  });

  test('what the edit text says reads back as the value to six figures', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 99_999, noNaN: true }), (grams) => {
        expect(value(editText(grams), 'fiberMass') / grams).toBeCloseTo(1, 5);
      }),
    );
  });

  test('converting ounces to grams is linear', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 40 }), (a, b) => {
        expect(value(`${a} oz + ${b} oz`, 'fiberMass')).toBeCloseTo(value(`${a + b} oz`, 'fiberMass'), 9);
      }),
    );
  });
});

describe('showing amounts', () => {
  test.each([
    [0.267, '%', '0.267 %'],
    [2, 'g', '2 g'],
    [0.801, 'g', '0.801 g'],
    [88.72, 'mL', '88.7 mL'],
    [6000, 'mL', '6 L'],
    [75, 'min', '1 h 15 min'],
    [60, 'min', '1 h'],
    [30, 'mL/g', '1:30'],
    [0.0457, 'mL/g', '1:0.0457'],
    [0.457, 'mL/g', '1:0.457'],
    [125, 'cents', '1.25'],
    [0, 'mL', '0 mL'],
    [0.000625, 'g', '0.625 mg'],
    [0.00312, 'g', '3.12 mg'],
    [0.03125, 'g', '0.0313 g'],
    [1.234, 'mL', '1.23 mL'],
    [0.0456, 'mL', '0.0456 mL'],
    [123.4, 'mL', '123 mL'],
    [12_345, 'mL', '12.35 L'],
    [123_456, 'mL', '123 L'],
    [1234.4, 'g', '1234 g'],
    [1.183490794564505, '%', '1.18 %'],
    [0.0001234, '%', '0.000123 %'],
    [93.33333333333333, '°C', '93.3 °C'],
    [82.5, '°C', '82.5 °C'],
    [2.5, 'min', '2.5 min'],
    [0.251, 'min', '15 s'],
    [0.5, 'min', '30 s'],
    [0.001, 'min', '1 s'],
    [0, 'min', '0 min'],
    [1e-12, 'g', 'under 0.000001 mg'],
    [100, 'g', '100 g'],
  ])('%d %s', (amount, unit, shown) => expect(formatAmount(amount, unit)).toBe(shown));
  test('keeps number and unit apart', () =>
    expect(showAmount(1250, 'mL')).toEqual({ number: '1.25', unit: 'L' }));
});

describe('stepping', () => {
  test('depths step along the ladder and stop at its ends', () => {
    expect(stepQuantity('dos', 0.5, 1)).toBe(1);
    expect(stepQuantity('dos', 0.5, -1)).toBe(0.25);
    expect(stepQuantity('dos', 0.3, 1)).toBe(0.5);
    expect(stepQuantity('dos', 4, 1)).toBe(4);
    expect(stepQuantity('dos', undefined, 1)).toBe(0.025);
  });
  test('every rung of every ladder is itself possible', () => {
    for (const kind of Object.keys(QUANTITY_KINDS) as QuantityKindName[])
      for (const rung of QUANTITY_KINDS[kind].ladder)
        expect([kind, rung, judge(rung, kind).ok]).toEqual([kind, rung, true]);
  });
});
