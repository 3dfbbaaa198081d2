import fc from 'fast-check';
import { OUNCE_G, POUND_G, US_ML } from './conversions';
import { parseQuantity, type ParseContext } from './parseQuantity';
import { QUANTITY_KINDS, type QuantityKindName } from './quantityKinds';

const read = (text: string, kind: QuantityKindName, context: ParseContext = {}): number | string => {
  const found = parseQuantity(text, kind, context);
  return found.ok ? found.value : found.problem;
};
const { tsp, tbsp, cup } = US_ML;

/** How dyers say amounts at the pot and in their notebooks (common practice, no source), and what each comes to. */
const SAID: [QuantityKindName, [text: string, value: number][]][] = [
  [
    'volume',
    [
      ['1 Tbsp', tbsp],
      ['2 TBSP', 2 * tbsp],
      ['1 tbsp.', tbsp],
      ['2 Tbs', 2 * tbsp],
      ['3 tablespoons', 3 * tbsp],
      ['1 T', tbsp],
      ['1 t', tsp],
      ['1 Tsp', tsp],
      ['2 TSP', 2 * tsp],
      ['two teaspoons', 2 * tsp],
      ['half a cup', cup / 2],
      ['a half cup', cup / 2],
      ['one and a half cups', 1.5 * cup],
      ['1 and a half cups', 1.5 * cup],
      ['two cups and a half', 2.5 * cup],
      ['two and three quarter cups', 2.75 * cup],
      ['three quarters of a cup', 0.75 * cup],
      ['a third of a cup', cup / 3],
      ['a cup', cup],
      ['2 c', 2 * cup],
      ['1/2 C', cup / 2],
      ['1-1/2 cups', 1.5 * cup],
      ['half of 1/8 tsp', tsp / 16],
      ['4+1 tbsp', 5 * tbsp],
      ['4 + 1 + 1/2 tbsp', 5.5 * tbsp],
      ['2 x 1/4 tsp', tsp / 2],
      ['3 × 100 mL', 300],
      ['3 tbsp and 2 tsp', 3 * tbsp + 2 * tsp],
      ['7 tbsp + 1/2 tbsp + 1 tsp + 1/2 tsp', 7.5 * tbsp + 1.5 * tsp],
      ['a couple of cups', 2 * cup],
      ['6 spoons', 6 * tbsp],
      ['1 level teaspoon', tsp],
      ['2 metric cups', 500],
      ['a pinch', tsp / 16],
      ['two dashes', tsp / 4],
      ['1 smidgen', tsp / 32],
      ['a splash', 15],
      ['splash', 15],
      ['12 drops', 0.6],
      ['32 fl. oz.', 4 * cup],
      ['60.', 60],
      ['about 250 mL', 250],
      ['~ 1 L', 1000],
      ['a dozen cups', 12 * cup],
    ],
  ],
  [
    'minutes',
    [
      ['3 days', 4320],
      ['72 h', 4320],
      ['overnight', 720],
      ['half an hour', 30],
      ['an hour and a half', 90],
      ['a couple of hours', 120],
      ['a quarter of an hour', 15],
      ['three quarters of an hour', 45],
      ['about 20 min', 20],
      ['20 mins.', 20],
      ['1:30', 90],
      ['1 h 15', 75],
      ['1h15m', 75],
      ['90 seconds', 1.5],
      ['a week', 10_080],
      ['forty-five minutes', 45],
    ],
  ],
  [
    'count',
    [
      ['2 skeins', 2],
      ['three hanks', 3],
      ['a dozen minis', 12],
      ['12 balls', 12],
    ],
  ],
  [
    'parts',
    [
      ['75 %', 75],
      ['3 parts', 3],
      ['2 1/2', 2.5],
    ],
  ],
  [
    'liquorRatio',
    [
      ['15 mL/g', 15],
      ['15 mL per gram', 15],
      ['1:15', 15],
    ],
  ],
  [
    'rampRate',
    [
      ['1.5 °C/min', 1.5],
      ['2 degrees per minute', 2],
      ['3 F/min', 5 / 3],
    ],
  ],
  [
    'temperature',
    [
      ['150 F', 65.5556],
      ['200 degrees F', 93.3333],
      ['93 °', 93],
      ['93 degrees', 93],
      ['185f', 85],
    ],
  ],
  [
    'fiberMass',
    [
      ['half a pound', POUND_G / 2],
      ['2 ounces', 2 * OUNCE_G],
      ['quarter lb', POUND_G / 4],
      ['3.5 oz.', 3.5 * OUNCE_G],
      ['2 x 50 g', 100],
    ],
  ],
  [
    'iceMass',
    [
      ['5 lb', 5 * POUND_G],
      // From memory: a cup of cubes is about 130 g.
      ['8 cups', 8 * 48 * 2.7],
    ],
  ],
  ['acidPerLiter', [['1.5 g per liter', 1.5]]],
  [
    'alkalinity',
    [
      ['80 mg/L', 80],
      ['120 ppm', 120],
    ],
  ],
  ['ph', [['pH 4.5', 4.5]]],
  [
    'price',
    [
      ['€ 12.50', 12.5],
      ['12 €', 12],
    ],
  ],
  [
    'altitude',
    [
      ['480 m', 480],
      ['1600 ft', 487.68],
    ],
  ],
  [
    'teaspoons',
    [
      ['half of 1/8', 1 / 16],
      ['a pinch', 1 / 16],
      ['2 Tbsp', 6],
      ['half a tsp', 0.5],
    ],
  ],
  [
    'dos',
    [
      ['half a percent', 0.5],
      ['1 per cent', 1],
    ],
  ],
];

describe.each(SAID)('said into a field of %s', (kind, phrases) => {
  test.each(phrases)('%s', (text, value) => expect(read(text, kind)).toBeCloseTo(value, 3));
});

test('a pinch and a splash are the studio’s own once they were measured, and no guess then', () => {
  const own = { pinch: 2, splash: 20 };
  expect(parseQuantity('a pinch', 'volume', { own })).toEqual({ ok: true, value: 2 });
  expect(parseQuantity('2 splashes', 'volume', { own })).toMatchObject({ ok: true, value: 40 });
  expect(parseQuantity('a dash', 'volume', { own })).toMatchObject({ remark: 'A dash is taken as 1/8 tsp.' });
});

test('a powder by the pinch weighs what its own teaspoon says', () =>
  expect(read('a pinch', 'dyeMass', { gramsPerTeaspoon: 2.8 })).toBeCloseTo(2.8 / 16, 9));

test('a spoon is the studio’s own', () => {
  expect(read('1 spoon', 'volume', { spoons: 'AU' })).toBe(20);
  expect(read('half a cup', 'volume', { spoons: 'metric' })).toBe(125);
});

test.each([
  ['a pinch', 'teaspoons', 'A pinch is taken as 1/16 tsp.'],
  ['2 splashes', 'volume', 'A splash is taken as 15 mL.'],
  ['3 drops', 'volume', 'A drop is taken as 0.05 mL. That is very little: 0.15 mL.'],
] as const)('what is guessed at in “%s” is said', (text, kind, remark) =>
  expect(parseQuantity(text, kind)).toMatchObject({ ok: true, remark }),
);

test.each<[QuantityKindName, string, string]>([
  [
    'volume',
    '5 5',
    '“5 5” is two numbers with nothing between. Volume goes by the mL, the spoon or the cup: 250 mL, 2 tbsp + 1 tsp.',
  ],
  [
    'volume',
    '1e3',
    '“e” in “1e3” is no measure known here. Volume goes by the mL, the spoon or the cup: 250 mL, 2 tbsp + 1 tsp.',
  ],
  [
    'minutes',
    '15-20 min',
    '“15-20 min” is a range; say one amount. Time goes by minutes, hours or days: 30 min, 1 h 15 min.',
  ],
  [
    'iceMass',
    'a bucket',
    '“bucket” in “a bucket” is no measure known here. Ice goes by weight or by the cup: 5 lb, 8 cups.',
  ],
  ['count', 'a few', '“few” in “a few” is no measure known here. A count is a whole number: 3, 12 skeins.'],
  ['dyeMass', '2 drops', 'That is a volume. Powder goes by weight: 0.5 g, 250 mg.'],
  [
    'volume',
    'a',
    '“a” is not an amount. Volume goes by the mL, the spoon or the cup: 250 mL, 2 tbsp + 1 tsp.',
  ],
  [
    'volume',
    '2 cups and',
    '“2 cups and” stops after a joining word. Volume goes by the mL, the spoon or the cup: 250 mL, 2 tbsp + 1 tsp.',
  ],
  ['count', '3 cups', 'That is a volume. A count is a whole number: 3, 12 skeins.'],
  ['temperature', '2 cups', 'That is a volume. Temperature goes by degrees: 85 °C, 185 F.'],
])('a field of %s refuses “%s” in its own words', (kind, text, said) => expect(read(text, kind)).toBe(said));

test('a long row of additions is read, and no text of any length', () => {
  const row = Array.from({ length: 30 }, () => '1/2 tsp').join(' + ');
  expect(read(row, 'volume')).toBeCloseTo(15 * tsp, 6);
  expect(read(`${row} + ${row}`, 'volume')).toBe('Volume is said in 300 characters at most.');
});

const KINDS = Object.keys(QUANTITY_KINDS) as QuantityKindName[];

test('every field has a refusal with two examples, and both are read in it', () => {
  for (const kind of KINDS) {
    const said = String(read('lots', kind));
    const examples = /: (.+)\.$/.exec(said)?.[1]?.split(', ') ?? [];
    expect(examples).toHaveLength(2);
    for (const example of examples) expect(`${kind} ${example} ${read(example, kind)}`).toMatch(/ -?[\d.]+$/);
  }
});

/** What makes an amount of a text: digits, or a word for a number or for what needs none. */
const UNDERSTOOD =
  /\d|½|⅓|⅔|¼|¾|[⅕-⅞]|\b(?:an?|zero|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|twenty|thirty|forty|sixty|ninety|hundred|dozen|hal(?:f|ve)s?|thirds?|quarters?|fourths?|eighths?|sixteenths?|pinch|dash|smidgen|drop|splash|overnight)/i;

test('no text is too strange: it is read or refused, and without a number in it never read (100,000 texts)', () => {
  const words = [
    ...[
      '1',
      '2',
      '3/4',
      '1 1/2',
      '0,5',
      '.5',
      '60.',
      '½',
      '1:30',
      'half',
      'a',
      'one',
      'three quarters',
      'about',
      '~',
    ],
    ...[
      'cup',
      'cups',
      'Tbsp',
      'T',
      't',
      'c',
      'C',
      'F',
      '°',
      '%',
      'g',
      'g/L',
      'mL',
      'min',
      'h',
      'days',
      'skeins',
      'pinch',
    ],
    ...[
      '+',
      'and',
      'x',
      'of',
      ',',
      '-',
      '/',
      'lots',
      'constructor',
      '__proto__',
      'valueOf',
      '\u202e',
      '🧶',
      ' ',
    ],
  ];
  const text = fc.oneof(
    fc.string({ maxLength: 24 }),
    fc.array(fc.constantFrom(...words), { maxLength: 7 }).map((all) => all.join(' ')),
    fc.array(fc.constantFrom(...words), { maxLength: 7 }).map((all) => all.join('')),
  );
  fc.assert(
    fc.property(text, fc.constantFrom(...KINDS), (said, kind) => {
      const found = parseQuantity(said, kind, { gramsPerTeaspoon: 2.8 });
      if (!found.ok) return found.problem.length > 5;
      const [least, most] = QUANTITY_KINDS[kind].possible;
      return found.value >= least && found.value <= most && UNDERSTOOD.test(said);
    }),
    { numRuns: 100_000 },
  );
});

test('what is said twice is twice as much', () => {
  const measures = fc.constantFrom('tsp', 'Tbsp', 'cups', 'mL', 'fl oz', 'pinches');
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 40 }), measures, (count, measure) => {
      const once = Number(read(`${count} ${measure}`, 'volume'));
      expect(read(`2 x ${count} ${measure}`, 'volume')).toBeCloseTo(2 * once, 6);
      expect(read(`${count}+${count} ${measure}`, 'volume')).toBeCloseTo(2 * once, 6);
      expect(read(`half of ${count} ${measure}`, 'volume')).toBeCloseTo(once / 2, 6);
    }),
  );
});
