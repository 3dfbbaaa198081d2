import { noteNumbers } from './noteNumbers';

test.each([
  ['six spoons on two ounces', '6 tablespoons on 2 ounces'],
  ['1/2 tsp in a cup', '1/2 tsp in 1 cup'],
  ['half a cup', '1/2 cup'],
  ['a quarter of a teaspoon in half a cup', '1/4 teaspoon in 1/2 cup'],
  ['one and a half cups', '1 1/2 cups'],
  ['simmered half an hour', 'simmered 1/2 hour'],
  ['held an hour, left forty-five minutes', 'held 1 hour, left 45 minutes'],
  ['a spoonful of citric', '1 tablespoons of citric'],
  ['Two Teaspoons', '2 Teaspoons'],
  // What is no amount stays.
  ['a splash of vinegar, one of the red ones', 'a splash of vinegar, one of the red ones'],
  ['turned the six skeins', 'turned the six skeins'],
  ['3 tablespoons', '3 tablespoons'],
])('%s', (written, said) => expect(noteNumbers(written)).toBe(said));
