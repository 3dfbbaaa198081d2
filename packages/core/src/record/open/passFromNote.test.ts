import { BLUE, BLUE_1, formulation, RED, SHELF } from '../../../test/examples';
import { DEFAULT_STUDIO } from '../../shelf/defaultStudio';
import { OUNCE_G } from '../../units/conversions';
import { noted, withNote } from './passFromNote';
import { readNotebook } from './readNotebook';

const shelf = { dyes: [{ ...BLUE, gramsPerTeaspoon: 3.2 }, RED], stocks: [BLUE_1], studio: DEFAULT_STUDIO };
const read = (text: string) => noted(readNotebook(text, shelf), shelf);
let count = 0;
const newId = (): string => `n${(count += 1)}`;

const NOTE = `1/8 tsp Vault Blue in 1/2 cup on 4 oz
1/4 tsp Bell Red
2 L of water
1 tbsp citric
a splash of vinegar
simmered 30 min`;

test('an old note over several lines: every dye, the acid, the water, the goods', () => {
  const note = read(NOTE);
  // 3.2 g a teaspoon: 0.4 g on 113.4 g is 0.353 %; red at 2.8 g, not weighed: 0.7 g.
  expect(
    note.dyes.map(({ dyeId, grams, offPercent }) => [dyeId, Number(grams.value.toFixed(3)), offPercent]),
  ).toEqual([
    ['blue', 0.4, 15],
    ['red', 0.7, 30],
  ]);
  const { figure, low, high } = note.dyes[0]!.dos!;
  expect(figure.value).toBeCloseTo(40 / (4 * OUNCE_G), 9);
  expect(figure.sureness).toBe('estimate');
  expect([low, high].map((percent) => percent / figure.value)).toEqual([
    expect.closeTo(0.85, 9),
    expect.closeTo(1.15, 9),
  ]);
  expect(note.goodsGrams).toBeCloseTo(4 * OUNCE_G, 9);
  expect(note.waterMl).toBeCloseTo(2000 + 118.294, 2);
  expect(note.acids).toMatchObject([{ material: 'citric', basis: 'amount', value: 13.5 }]);
  expect(note.unmeasured).toEqual(['white vinegar']);
});

test('put into a pass on twice the goods: the depths stay, the acid is twice as much', () => {
  const [pass] = formulation().recipe.passes;
  const next = withNote(pass!, read(NOTE), 8 * OUNCE_G, SHELF, newId);
  expect(next.dyes.map(({ dyeId, entry, stockId }) => [dyeId, entry, stockId])).toEqual([
    ['blue', { school: 'depth', percent: 0.353 }, 'blue-1'],
    ['red', { school: 'depth', percent: 0.617 }, 'red-1'],
  ]);
  expect(next.acids).toMatchObject([{ material: 'citric', value: 27 }]);
  expect(next.water).toEqual({ basis: 'ratio', value: 18.7 });
});

test('without goods it is so many grams; a cup that the dye was dissolved in is no bath', () => {
  const [pass] = formulation().recipe.passes;
  const next = withNote(pass!, read('1/8 tsp Vault Blue\n1 cup water'), 100, SHELF, newId);
  expect(next.dyes).toMatchObject([{ dyeId: 'blue', entry: { school: 'grams', grams: 0.4 } }]);
  expect(next.water).toEqual(pass!.water);
  expect(next.acids).toEqual(pass!.acids);
});

test('a note that says nothing changes nothing', () => {
  const [pass] = formulation().recipe.passes;
  const next = withNote(pass!, read('the moon was full'), 100, SHELF, newId);
  expect(next).toEqual({ dyes: pass!.dyes, acids: pass!.acids, water: pass!.water });
});

test('what the dye was dissolved in is no bath, though the goods are named: two cups on four ounces', () => {
  const [pass] = formulation().recipe.passes;
  // 4.2 mL to a gram of goods.
  const cups = withNote(pass!, read('1/8 tsp Vault Blue in 2 cups on 4 oz'), 100, SHELF, newId);
  expect(cups.water).toEqual(pass!.water);
  // 6.3 mL to a gram.
  const more = withNote(pass!, read('1/8 tsp Vault Blue in 3 cups on 4 oz'), 100, SHELF, newId);
  expect(more.water).toEqual({ basis: 'ratio', value: 6.26 });
});
