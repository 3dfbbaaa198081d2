import { POT, recipe, SHELF } from '../../test/examples';
import { planTogether } from './together';

const SECOND = { ...POT, id: 'second', name: 'Second pot' };
const shelf = { ...SHELF, pots: [POT, SECOND] };
const vesper = { name: 'Vesper bell', recipe: recipe(), asWritten: {} };
const asked = { colorway: vesper, count: null, potId: null };
const potsOf = (plans: ReturnType<typeof planTogether>) =>
  plans.map(({ formulation }) => formulation?.pot?.id ?? null);

test('each of several batches gets a vessel of its own, while there are any', () => {
  expect(potsOf(planTogether([asked, asked, asked], shelf, new Map()))).toEqual(['pot', 'second', null]);
  expect(potsOf(planTogether([asked], shelf, new Map([['pot', 'Angelus']])))).toEqual(['second']);
});

test('a vessel that was chosen further down is not given away before', () => {
  expect(potsOf(planTogether([asked, { ...asked, potId: 'pot' }], shelf, new Map()))).toEqual([
    'second',
    'pot',
  ]);
});

test('another count of pieces keeps the depth: water, dye and acid follow the weight', () => {
  // 200 g in two pieces as written: 1 % of blue is 200 mL of 1 %; for five pieces of 100 g 500 mL.
  const [two, five] = planTogether([asked, { ...asked, count: 5 }], shelf, new Map());
  const blue = (planned: typeof two) =>
    planned?.plan?.lines.flatMap(({ act }) =>
      act.kind === 'put' && act.material.kind === 'dye' && act.material.dyeId === 'blue' ? [act.amount] : [],
    );
  expect(blue(two)).toEqual([200]);
  expect(blue(five)).toEqual([500]);
});

test('a colorway that cannot be planned says why, and the others are planned', () => {
  const [dye] = vesper.recipe.passes[0]!.dyes;
  const lost = {
    ...vesper,
    recipe: recipe({ passes: [{ ...vesper.recipe.passes[0]!, dyes: [{ ...dye!, dyeId: 'gone' }] }] }),
  };
  const [first, second] = planTogether([{ ...asked, colorway: lost }, asked], shelf, new Map());
  expect(first?.problem).toMatch(/dye/i);
  expect(second?.problem).toBeNull();
});
