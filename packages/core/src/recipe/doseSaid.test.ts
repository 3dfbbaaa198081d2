import { acidDoseSchema } from './recipe';
import { doseSaid } from './doseSaid';

const citric = acidDoseSchema.parse({
  id: 'acid',
  material: 'citric',
  basis: 'gPerL',
  value: 0.5,
  strengthPercent: 100,
});
const vinegar = acidDoseSchema.parse({
  id: 'acid',
  material: 'vinegar',
  basis: 'percentOfGoods',
  value: 3,
  strengthPercent: 5,
});
const spoons = { spoons: 'US' as const, gramsPerTeaspoon: 4.5 };

test.each([
  ['2 tbsp', citric, 'amount', 27],
  ['7 g', citric, 'amount', 7],
  ['3 %', citric, 'percentOfGoods', 3],
  ['half a cup', vinegar, 'amount', 118.294],
  ['1.5 g/L', vinegar, 'gPerL', 1.5],
  ['1.5 g/L', { ...citric, basis: 'amount' as const }, 'gPerL', 1.5],
])('“%s” says itself what it is counted by', (text, dose, basis, value) =>
  expect(doseSaid(text, dose, spoons)).toEqual({ ...dose, basis, value: expect.closeTo(value, 3) as number }),
);

test.each([
  // A number too large for what it is counted by is no other dose by that.
  ['60', citric],
  ['', citric],
  ['lots', citric],
  ['2 tb sp', citric],
  // Crystals do not go by the drop, nor vinegar by weight.
  ['2 drops', citric],
  ['7 g', vinegar],
  // What fits the dose as it is needs no other.
  ['1.5 g/L', citric],
])('“%s” is no dose on another basis', (text, dose) => expect(doseSaid(text, dose, spoons)).toBeNull());
