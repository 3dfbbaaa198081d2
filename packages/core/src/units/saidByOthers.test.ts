import { parseQuantity, type ParseContext } from './parseQuantity';
import type { QuantityKindName } from './quantityKinds';

/**
 * What two people wrote who had not seen the reader, and what each meant, worked by hand beforehand (US spoons of NIST
 * Handbook 44; 2.8 g of dye and 4.5 g of citric to the level teaspoon, common practice, no source).
 */
const WRITTEN: [who: string, kind: QuantityKindName, phrases: [text: string, value: number][]][] = [
  [
    'the spoon dyer',
    'volume',
    [
      ['4 tbsp', 59.147],
      ['4 Tbsp of stock', 59.147],
      ['three tablespoons', 44.36],
      ['1 T + 1 t', 19.716],
      ['a tablespoon and a half', 22.18],
      ['half a tablespoon', 7.393],
      ['1/2 T', 7.393],
      ['2½ tsp', 12.322],
      ['1 1/2 tsp', 7.393],
      ['quarter teaspoon', 1.232],
      ['a quarter of a teaspoon', 1.232],
      ['1 cup minus 1 tbsp', 221.802],
      ['4 tbsp, 1 tbsp, 1 tsp, 1 tsp', 83.792],
      ['5 tbsp 2 tsp', 83.792],
      ['5tbsp2tsp', 83.792],
      ['six tablespoons', 88.721],
      ['1 level tsp', 4.929],
      ['2 tblsp', 29.574],
      ['2 Tbls', 29.574],
      ['2 TBSP.', 29.574],
      ['1/8 t', 0.616],
      ['1/2 c', 118.294],
      ['8 fl. oz.', 236.588],
      ['a cup', 236.588],
      ['one cup and two tablespoons', 266.162],
      ['1 c + 2 T', 266.162],
      ['60mls', 60],
      ['60 cc', 60],
      ['half a liter', 500],
      ['2 qts', 1892.71],
      ['1 1/2 gal', 5678.12],
      ['a pint', 473.176],
      ['2.5 litres', 2500],
      ['about 3 quarts', 2839.06],
      ['2 tbsp or so', 29.574],
      ['2 and a half cups', 591.471],
      ['1 tablespoon plus 1 teaspoon', 19.716],
      ['1 tbsp + a drop', 14.837],
    ],
  ],
  [
    'the spoon dyer',
    'minutes',
    [
      ['half an hour', 30],
      ['an hour and a half', 90],
      ['1h30', 90],
      ['1:30 h', 90],
      ['overnight', 720],
      ['45 mins', 45],
      ['2 hrs', 120],
      ['two days', 2880],
      ['quarter of an hour', 15],
      ['three quarters of an hour', 45],
      ['1 h 15', 75],
      ['a week', 10080],
      ['90', 90],
    ],
  ],
  [
    'the spoon dyer',
    'temperature',
    [
      ['180F', 82.222],
      ['200 degrees F', 93.333],
      ['85 C', 85],
      ['180 Fahrenheit', 82.222],
    ],
  ],
  [
    'the spoon dyer',
    'fiberMass',
    [
      ['4 oz', 113.398],
      ['a quarter pound', 113.398],
      ['half a pound', 226.796],
      ['1 lb 2 oz', 510.291],
    ],
  ],
  [
    'the spoon dyer',
    'acidMass',
    [
      ['2 tbsp', 27],
      ['half a tbsp', 6.75],
      ['1 tbsp + 1 tsp', 18],
    ],
  ],
  [
    'the pincher and the painter',
    'dyeMass',
    [
      ['a pinch', 0.175],
      ['two pinches', 0.35],
      ['half of 1/8 tsp', 0.17497],
      ['1/16 tsp', 0.17497],
      ['a smidgen', 0.0875],
      ['1/32 tsp', 0.08748],
      ['half a smidgen', 0.04375],
      ['pinch + smidgen', 0.2625],
      ['just a dash', 0.35],
      ['1/4 teaspoon', 0.69987],
      ['¼ tsp', 0.69987],
      ['3 × 1/8 tsp', 1.0498],
      ['0.4 g', 0.4],
      ['400 mg', 0.4],
      ['.4g', 0.4],
      ['0,4 gr', 0.4],
      ['half a gram', 0.5],
    ],
  ],
  [
    'the pincher and the painter',
    'volume',
    [
      ['6 cups', 1419.53],
      ['3 drops', 0.15],
      ['a drop', 0.05],
      ['1 splash', 15],
      ['a good splash', 15],
      ['32 cups', 7570.82],
      ['1 gal.', 3785.41],
      ['2 gallons', 7570.82],
      ['7 1/2 quarts', 7097.65],
      ['9 l', 9000],
      ['9 ltr', 9000],
      ['9.5 Liters', 9500],
      ['a litre and a half', 1500],
      ['1/2 gallon + 2 cups', 2365.88],
      ['250 milliliters', 250],
      ['2 dl', 200],
      ['1 metric cup', 250],
    ],
  ],
  [
    'the pincher and the painter',
    'minutes',
    [
      ['2 x 4 min', 8],
      ['4 + 4 min', 8],
      ['two and a half hours', 150],
      ['1.5h', 90],
      ['1 day 4 h', 1680],
      ['about a day', 1440],
      ['15min', 15],
      ['an hr', 60],
    ],
  ],
  [
    'the pincher and the painter',
    'dos',
    [
      ['0.5', 0.5],
      ['.25 %', 0.25],
      ['half a percent', 0.5],
      ['1/2 %', 0.5],
      ['0,75%', 0.75],
      ['1 percent', 1],
      ['1 1/2%', 1.5],
    ],
  ],
  [
    'the pincher and the painter',
    'iceMass',
    [
      ['5 lb', 2267.96],
      ['8 cups', 1036.8],
      ['5 pounds', 2267.96],
      ['2 kilos', 2000],
    ],
  ],
  [
    'the pincher and the painter',
    'length',
    [
      ['6 in', 15.24],
      ['6"', 15.24],
      ['half a foot', 15.24],
      ['1.5 m', 150],
      ['15cm', 15],
    ],
  ],
  [
    'the pincher and the painter',
    'fiberMass',
    [
      ['2 ounces', 56.699],
      ['2oz.', 56.699],
      ['115 grammes', 115],
      ['1.2kg', 1200],
      ['three ounces and a half', 99.223],
    ],
  ],
  [
    'the pincher and the painter',
    'parts',
    [
      ['2', 2],
      ['two', 2],
      ['1 1/3', 1.3333],
      ['half', 0.5],
    ],
  ],
  [
    'the pincher and the painter',
    'temperature',
    [
      ['93', 93],
      ['150 °f', 65.556],
      ['200ºF', 93.333],
      ['80 deg C', 80],
    ],
  ],
];

const POWDERS: Partial<Record<QuantityKindName, ParseContext>> = {
  dyeMass: { gramsPerTeaspoon: 2.8 },
  acidMass: { gramsPerTeaspoon: 4.5 },
};

describe.each(WRITTEN)('%s, into a field of %s', (_who, kind, phrases) => {
  test.each(phrases)('%s', (text, value) => {
    const read = parseQuantity(text, kind, POWDERS[kind]);
    expect(read).toMatchObject({ ok: true });
    if (read.ok) expect(read.value / value).toBeCloseTo(1, 3);
  });
});

/** What says no amount, or one that two people would take differently: asked about, never guessed. */
const ASKED: [QuantityKindName, string][] = [
  ['volume', 'two 1/4 tsp'],
  ['minutes', '20-30 min'],
  ['minutes', 'a few minutes'],
  ['temperature', 'just under a simmer'],
  ['dyeMass', 'three 1/8 tsp'],
  ['dyeMass', '1/8 tsp twice'],
  ['dyeMass', 'a scant 1/8 tsp'],
  ['dyeMass', '1/8 tsp heaped'],
  ['dyeMass', 'tip of a knife'],
  ['volume', '6 cups w/ 6 tbsp vinegar'],
  ['volume', 'a glug'],
  ['volume', '3/4 full'],
  ['volume', '2 fingers'],
  ['volume', '1 cup (250 mL)'],
  ['minutes', '6-7 min'],
  ['minutes', '6 to 7 minutes'],
  ['minutes', "10'"],
  ['minutes', '5 min a side'],
  ['minutes', '3 to 20 h'],
  ['minutes', 'until clear'],
  ['minutes', 'till tomorrow'],
  ['iceMass', 'a bag'],
  ['temperature', 'lukewarm'],
  ['temperature', 'boiling'],
];

test.each(ASKED)('a field of %s asks what “%s” is', (kind, text) =>
  expect(parseQuantity(text, kind, POWDERS[kind])).toMatchObject({
    ok: false,
    problem: expect.stringMatching(/: .+, .+\.$/),
  }),
);

test.each([
  ['1 cup minus 1 tbsp + 1 tsp', 236.588 - 14.787 + 4.929],
  ['1 cup minus 1 + 2 tbsp', 236.588 - 3 * 14.787],
  ['1 cup less 2 tbsp', 236.588 - 2 * 14.787],
])('%s takes away what is taken away', (text, value) => {
  const read = parseQuantity(text, 'volume');
  if (!read.ok) throw new Error(read.problem);
  expect(read.value).toBeCloseTo(value, 2);
});

test('what takes away more than there was is refused, and a time takes minutes from hours', () => {
  expect(parseQuantity('1 tbsp minus 1 cup', 'volume')).toMatchObject({ ok: false });
  expect(parseQuantity('2 h minus 10', 'minutes')).toEqual({ ok: true, value: 110 });
});
