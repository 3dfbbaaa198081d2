import { SHELF, WOOL } from '../../test/examples';
import { usualSet } from './usualSet';
import { SET_METHOD_NAMES } from '../heat/setMethods';
import { fiberWords } from '../shelf/fiberWords';
import { jarWords } from '../shelf/jarWords';
import { formulate } from './materials';
import { jarFor, missingForColorway, newColorway, newDyeLine } from './newColorway';
import { newGoodsLine } from './newGoodsLine';
import { goodsLineSchema } from './recipe';
import { planFormulation } from '../plan/plan';
import { quantityFor } from './quantityFor';
import { colorwaySchema, heatSetSchema } from './recipe';

let count = 0;
const newId = (): string => `id-${(count += 1)}`;
const retired = <T extends { retired: boolean }>(things: readonly T[]): T[] =>
  things.map((thing) => ({ ...thing, retired: true }));

test('a colorway needs a base and a dye that are still in use', () => {
  expect(missingForColorway(SHELF)).toBeNull();
  expect(missingForColorway({ ...SHELF, bases: [] })).toBe('base');
  expect(missingForColorway({ ...SHELF, bases: retired(SHELF.bases) })).toBe('base');
  expect(missingForColorway({ ...SHELF, dyes: retired(SHELF.dyes) })).toBe('dye');
});

test('a new colorway can be saved and planned as it stands', () => {
  const fresh = newColorway('new', SHELF, newId);
  expect(colorwaySchema.parse(fresh)).toEqual(fresh);
  const plan = planFormulation(formulate(fresh.name, fresh.recipe, SHELF));
  // By hand: 0.5 % of one 100 g skein is 0.5 g, 50 mL of the 1 % jar.
  expect(plan.passes[0]!.pours[0]!.volume!.value).toBeCloseTo(50, 12);
});

test('a further dye line is another dye, from its own jar, as long as there is one', () => {
  expect(newDyeLine('d', SHELF, ['blue'])).toMatchObject({ dyeId: 'red', stockId: 'red-1' });
  expect(newDyeLine('d', SHELF, ['blue', 'red'])).toMatchObject({ dyeId: 'strong', stockId: null });
  expect(newDyeLine('d', SHELF, ['blue', 'red', 'strong'])).toMatchObject({ dyeId: 'blue' });
});

test('a jar is found by its dye; a retired one is not', () => {
  expect(jarFor(SHELF, 'red')).toBe('red-1');
  expect(jarFor(SHELF, 'strong')).toBeNull();
  expect(jarFor({ ...SHELF, stocks: retired(SHELF.stocks) }, 'red')).toBeNull();
});

test('goods start at the put-up of their base', () => {
  expect(newGoodsLine('g', WOOL)).toMatchObject({
    baseId: 'wool',
    count: 1,
    gramsEach: 100,
    weighedGrams: null,
  });
  // What it leaves unsaid is what a document leaves unsaid.
  const said = { id: 'g', baseId: 'wool', count: 1, gramsEach: 100 };
  expect(newGoodsLine('g', WOOL)).toEqual(goodsLineSchema.parse(said));
});

test.each(SET_METHOD_NAMES)('the usual %s is a set that can be saved', (method) => {
  expect(heatSetSchema.parse(usualSet(method))).toEqual(usualSet(method));
});

test('each material is entered as the amount it is measured in', () => {
  expect(quantityFor({ kind: 'water' }, 'mL')).toBe('volume');
  expect(quantityFor({ kind: 'dye' }, 'mL')).toBe('volume');
  expect(quantityFor({ kind: 'dye' }, 'g')).toBe('dyeMass');
  expect(quantityFor({ kind: 'acid' }, 'mL')).toBe('acidVolume');
  expect(quantityFor({ kind: 'acid' }, 'g')).toBe('acidMass');
});

test('labels as a dyer reads them', () => {
  expect(fiberWords(SHELF.bases[1]!)).toBe('75 % merino, 25 % nylon, superwash');
  expect(jarWords({ strengthPercent: 1, code: 'B1' })).toBe('1 % B1');
  expect(jarWords({ strengthPercent: 0.5, code: '' })).toBe('0.5 %');
});
