import { explained } from './explained';

test.each([
  ['Depth of shade in all', /for every 100 g of dry goods/],
  ['Depth on the part that takes dye', /for every 100 g of dry goods/],
  ['Weight of goods', /weighed dry/],
  ['Liquor ratio', /for every gram/],
  ['Pure acid on weight of goods', /owf/],
  ['Expected pH of the pass', /how acid/],
  ['Strength of a stock made by the spoon', /1 g of powder in every 100 mL/],
  ['Water to run', /all the liquid/],
  ['Share that takes acid dye', /silk and nylon/],
  ['Time on heat, rise and hold', /set by holding/],
])('%s is explained in a sentence of its own', (name, sentence) => {
  expect(explained(name)).toMatch(sentence);
  expect(explained(name)).toMatch(/^(?:[A-Z]|pH).*\.$/);
});

test.each(['Dye in all', 'Cost of the dye', 'A level teaspoon'])('%s needs no explaining', (name) =>
  expect(explained(name)).toBeNull(),
);
