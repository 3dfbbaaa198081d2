import { acidSpoon, citricSpoon, dyeSpoon } from './spoonWeight';

test('a level teaspoon is the studio’s own, or what is usual until it was weighed (common practice, no source)', () => {
  expect(dyeSpoon({ gramsPerTeaspoon: 3.2 })).toEqual({ grams: 3.2, weighed: true });
  expect(dyeSpoon({ gramsPerTeaspoon: null })).toEqual({ grams: 2.8, weighed: false });
  expect(citricSpoon({ citricGramsPerTeaspoon: 4.9 })).toEqual({ grams: 4.9, weighed: true });
  expect(acidSpoon('citric monohydrate', { citricGramsPerTeaspoon: null })).toEqual({
    grams: 4.5,
    weighed: false,
  });
  expect(acidSpoon('vinegar', { citricGramsPerTeaspoon: 4.9 })).toBeNull();
});

test('an amount that a form cannot read is no weight', () =>
  expect(citricSpoon({ citricGramsPerTeaspoon: Number.NaN })).toEqual({ grams: 4.5, weighed: false }));
