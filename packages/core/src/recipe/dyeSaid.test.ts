import { dyeSaid, spoonsHold } from './dyeSaid';

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

test('spoons say what they hold, other schools say it themselves', () => {
  // 21 US teaspoons are 103.5 mL; an eighth of 2.8 g.
  expect(spoonsHold({ school: 'stock spoons', teaspoons: 21 }, spoons)).toBe('104 mL');
  expect(spoonsHold({ school: 'powder spoons', teaspoons: 0.125 }, spoons)).toBe('0.35 g');
  expect(spoonsHold({ school: 'powder spoons', teaspoons: 1 }, { spoons: 'US' })).toBeNull();
  expect(spoonsHold({ school: 'depth', percent: 1 }, spoons)).toBeNull();
});
