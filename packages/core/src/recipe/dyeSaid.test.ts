import { dyeSaid, waterSaid } from './dyeSaid';

const spoons = { spoons: 'US' as const, gramsPerTeaspoon: 2.8 };
const depth = { entry: { school: 'depth' as const, percent: 0.5 }, stockId: 'jar' };

test.each([
  ['7 tbsp', depth, { school: 'stock spoons', teaspoons: 21 }],
  ['7 tbsp', { ...depth, stockId: null }, { school: 'powder spoons', teaspoons: 21 }],
  ['180 mL', depth, { school: 'stock', milliliters: 180 }],
  ['2 g', depth, { school: 'grams', grams: 2 }],
  [
    '0.6 %',
    { entry: { school: 'stock' as const, milliliters: 10 }, stockId: 'jar' },
    { school: 'depth', percent: 0.6 },
  ],
  ['3 parts', depth, { school: 'parts', parts: 3 }],
])('“%s” says itself which school counts it', (text, line, entry) =>
  expect(dyeSaid(text, line, spoons)).toEqual(entry),
);

test.each(['7', '', 'lots', '20 %', '3 min'])('“%s” says nothing of the kind', (text) =>
  expect(dyeSaid(text, depth, spoons)).toBeNull(),
);

test('no stock is measured without a jar', () =>
  expect(dyeSaid('180 mL', { ...depth, stockId: null }, spoons)).toBeNull());

test.each([
  ['9 L', 'ratio', { basis: 'volume', value: 9000 }],
  ['38 cups', 'ratio', { basis: 'volume', value: 8990.353 }],
  ['1:30', 'volume', { basis: 'ratio', value: 30 }],
  ['15 mL/g', 'volume', { basis: 'ratio', value: 15 }],
] as const)('“%s” for a bath that goes by %s', (text, basis, water) =>
  expect(waterSaid(text, { basis }, spoons)).toEqual({
    ...water,
    value: expect.closeTo(water.value, 2) as number,
  }),
);
test('a bare number is no other bath', () => expect(waterSaid('9', { basis: 'ratio' }, spoons)).toBeNull());
