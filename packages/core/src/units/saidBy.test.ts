import { saidBySpoon, saidInFahrenheit, saidInInches, saidInOunces } from './saidBy';

test.each([
  '2 tbsp',
  '1/2 tsp',
  '4tbsp + 2 tsp',
  'a pinch',
  'half a cup',
  '3 drops',
  '32 c',
  '2 T',
  '6 spoons',
  'a splash',
])('“%s” is said by the spoon', (text) => expect(saidBySpoon(text)).toBe(true));
test.each([
  '103.5 mL',
  '2 g',
  '0.6 %',
  '9 L',
  '30 min',
  '85 °C',
  '200F',
  '4 oz',
  '1:30',
  '',
  '12 cm',
  '2 tons',
])('“%s” is not', (text) => expect(saidBySpoon(text)).toBe(false));
test('ounces, Fahrenheit and inches say so', () => {
  expect(['4 oz', '1 lb 2 oz', '100 g', '2 tbsp', '8 fl oz'].map(saidInOunces)).toEqual([
    true,
    true,
    false,
    false,
    true,
  ]);
  expect(['200F', '180 °F', '93 °C', '200'].map(saidInFahrenheit)).toEqual([true, true, false, false]);
  expect(['2 in', '2"', '5 cm', '12 min'].map(saidInInches)).toEqual([true, true, false, false]);
});
