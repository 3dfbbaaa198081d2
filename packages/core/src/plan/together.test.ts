import { POT, recipe, SHELF } from '../../test/examples';
import { dyeLineSchema } from '../recipe/recipe';
import { baseSchema, type Base } from '../shelf/base';
import { planTogether } from './together';

const SECOND = { ...POT, id: 'second', name: 'Second pot' };
const shelf = { ...SHELF, pots: [POT, SECOND] };
const vesper = { name: 'Vesper bell', recipe: recipe(), asWritten: {} };
const asked = { colorway: vesper, baseId: null, count: null, dosPercent: null, potId: null };
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

test('a ladder of depths: dye follows, water and acid stay, each dye keeps its part', () => {
  const two = recipe();
  const [pass] = two.passes;
  const [blue] = pass!.dyes;
  const red = dyeLineSchema.parse({
    ...{ id: 'd2', dyeId: 'red', stockId: 'red-1', entry: { school: 'depth', percent: 0.5 } },
  });
  const colorway = { ...vesper, recipe: { ...two, passes: [{ ...pass!, dyes: [blue!, red] }] } };
  const [own, pale] = planTogether(
    [
      { ...asked, colorway },
      { ...asked, colorway, dosPercent: 0.15 },
    ],
    shelf,
    new Map(),
  );
  // 1 % of blue and 0.5 % of red, as a tenth of that on 200 g: 0.2 and 0.1 g.
  expect(own?.plan?.totals.dos.value).toBeCloseTo(1.5, 9);
  expect(pale?.plan?.totals.dos.value).toBeCloseTo(0.15, 9);
  expect(pale?.plan?.passes.flatMap(({ pours }) => pours).map(({ grams }) => grams.value)).toEqual([
    expect.closeTo(0.2, 3),
    expect.closeTo(0.1, 3),
  ]);
  expect(pale?.formulation?.recipe.passes[0]?.acids).toEqual(own?.formulation?.recipe.passes[0]?.acids);
  expect(pale?.formulation?.recipe.passes[0]?.water).toEqual(own?.formulation?.recipe.passes[0]?.water);
});

describe('another base for the same pieces', () => {
  const of = (putUpGrams: number) =>
    baseSchema.parse({
      ...{ id: 'half', name: 'Half thread', putUpGrams },
      fibers: [
        { fiber: 'wool', percent: 50 },
        { fiber: 'metallic', percent: 50 },
      ],
    });
  const on = (base: Base, colorway = vesper, count: number | null = null) =>
    planTogether(
      [{ ...asked, colorway, baseId: 'half', count }],
      { ...shelf, bases: [...SHELF.bases, base] },
      new Map(),
    )[0];

  test('as many as are asked for, with the share of that base that takes dye', () => {
    const three = on(of(100), vesper, 3);
    expect(three?.formulation?.recipe.goods).toMatchObject([{ baseId: 'half', count: 3, gramsEach: 100 }]);
    // Half of 300 g takes dye.
    expect(three?.plan?.dyeable.value).toBe(150);
  });
  test.each([
    { school: 'stock' as const, milliliters: 50 },
    { school: 'depth' as const, percent: 1 },
  ])('a depth that is asked for is one there, however the dye was said: $school', (entry) => {
    const [pass] = vesper.recipe.passes;
    const dyes = pass!.dyes.map((line) => ({ ...line, entry }));
    const colorway = { ...vesper, recipe: { ...vesper.recipe, passes: [{ ...pass!, dyes }] } };
    const [pale] = planTogether(
      [{ ...asked, colorway, baseId: 'half', dosPercent: 0.4 }],
      { ...shelf, bases: [...SHELF.bases, of(100)] },
      new Map(),
    );
    // On weight of all the goods, so another share that takes dye changes nothing of it.
    expect(pale?.plan?.totals.dos.value).toBeCloseTo(0.4, 9);
  });
  test('each is a put-up of that base where each was one of its own; a bath by volume goes along', () => {
    const bath = { basis: 'volume' as const, value: 6000 };
    const passes = vesper.recipe.passes.map((pass) => ({ ...pass, water: bath }));
    const light = on(of(50), { ...vesper, recipe: { ...vesper.recipe, passes } });
    expect(light?.formulation?.recipe.goods).toMatchObject([{ count: 2, gramsEach: 50 }]);
    // Half the goods in half the water.
    expect(light?.formulation?.recipe.passes.map(({ water }) => water)).toEqual([{ ...bath, value: 3000 }]);
    const weighed = recipe({ goods: [{ id: 'g1', baseId: 'wool', count: 2, gramsEach: 20 }] });
    expect(on(of(50), { ...vesper, recipe: weighed })?.formulation?.recipe.goods).toMatchObject([
      { count: 2, gramsEach: 20 },
    ]);
  });
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
