import { US_ML } from '../units/conversions';
import { madeUpStock, wateredStock } from './dilutedStock';
import { spoonStock } from './makeStock';

test('a teaspoon in a cup is 1.18 %, with another cup of water 0.59 % (2.8 g/tsp, common practice, no source)', () => {
  const made = spoonStock(1, 2.8, US_ML.cup);
  expect(made.value).toBeCloseTo(1.18, 2);
  const thinner = wateredStock(US_ML.cup, made.value, US_ML.cup, 'US');
  expect(thinner.strength.value).toBeCloseTo(0.59, 2);
  expect(thinner.volume.value).toBeCloseTo(2 * US_ML.cup, 9);
  // A sixteenth of 1.4 g.
  expect(thinner.perTablespoon.value).toBeCloseTo(1.4 / 16, 6);
});

test('an eighth of a teaspoon in half a cup is 0.296 % (2.8 g/tsp, common practice, no source)', () =>
  expect(spoonStock(1 / 8, 2.8, US_ML.cup / 2).value).toBeCloseTo(0.296, 3));

test('2 tbsp of 1 % made up to 1 cup is an eighth of it', () =>
  expect(madeUpStock(2 * US_ML.tbsp, 1, US_ML.cup, 'US').strength.value).toBeCloseTo(0.125, 9));
