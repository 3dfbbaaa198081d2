import { linesOf } from '../../test/plans';
import { depth, SHELF, SYRINGE_AND_CYLINDER } from '../../test/examples';
import { begunBatch } from '../../test/records';
import { formulate } from '../recipe/materials';
import { METHOD_KINDS, METHODS, sectionsOf } from '../method';
import type { MethodKind } from '../method';
import { planFormulation } from '../plan/plan';
import { recipeSchema, type Formulation } from '../recipe/recipe';
import { cardSchema } from './card';
import { cardLines } from './cardLines';
import { summarizeBatch } from './summary';

/** Two skeins of 100 g, one dye at 1 % (or what is asked), one acid dose at the start, simmered. */
function formulationOf(kind: MethodKind, changes: Record<string, unknown> = {}, percent = 1): Formulation {
  const { usual, dry } = METHODS[kind];
  return formulate(
    kind,
    recipeSchema.parse({
      goods: [{ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 }],
      wettingMinutes: 30,
      passes: [
        {
          id: 'p1',
          method: usual,
          dyes: [depth('d1', 'blue', percent, dry ? null : 'blue-1', sectionsOf(usual)[0]?.id ?? null)],
          water: { basis: 'ratio', value: 30 },
          acids: [{ material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1 }],
          ...changes,
        },
      ],
      set: { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 60 },
    }),
    { ...SHELF, tools: SYRINGE_AND_CYLINDER },
  );
}
const cardIds = (formulation: Formulation): string[] =>
  cardLines(begunBatch(formulation).card).map(({ id }) => id);
const FINISH = ['heat', 'hold.set', 'cool', 'rinse', 'dry'];

/** The lines of each way's card as a dyer would do them, written down by hand. */
const LINES: Record<MethodKind, string[]> = {
  immersion: ['p1.stand.soak', 'p1.run.bath', 'p1.dye.d1', 'p1.acid.bath', 'p1.place.goods', ...FINISH],
  'low immersion': ['p1.stand.soak', 'p1.place.goods', 'p1.run.bath', 'p1.acid.bath', 'p1.dye.d1', ...FINISH],
  'cool bath': [
    'p1.stand.soak',
    'p1.run.bath',
    'p1.dye.d1',
    'p1.acid.bath',
    'p1.place.goods',
    'p1.stand.rest',
    ...FINISH,
  ],
  glaze: [
    'p1.stand.soak',
    'p1.run.bath',
    'p1.dye.d1',
    'p1.acid.bath',
    'p1.place.goods',
    'p1.stand.rest',
    ...FINISH,
  ],
  repeated: [
    'p1.stand.soak',
    'p1.run.bath',
    'p1.acid.bath',
    'p1.dye.d1',
    'p1.place.goods',
    'p1.hold.strike',
    'p1.handle.re-tie',
    'p1.dye.d1.dose2',
    'p1.place.goods:2',
    'p1.hold.strike:2',
    'p1.handle.re-tie:2',
    'p1.dye.d1.dose3',
    'p1.place.goods:3',
    'p1.hold.strike:3',
    'p1.handle.re-tie:3',
    'p1.dye.d1.dose4',
    'p1.place.goods:4',
    'p1.hold.strike:4',
    ...FINISH,
  ],
  dip: [
    'p1.stand.soak',
    'p1.run.bath',
    'p1.dye.d1',
    'p1.acid.bath',
    'p1.place.goods',
    'p1.hold.dip1',
    'p1.hold.dip2',
    'p1.hold.dip3',
    'p1.hold.dip4',
    ...FINISH,
  ],
  painting: [
    'p1.stand.soak',
    'p1.place.goods',
    'p1.run.bath',
    'p1.acid.bath',
    'p1.dye.d1',
    'p1.paint.a',
    ...FINISH,
  ],
  sprinkle: [
    'p1.stand.soak',
    'p1.run.bath',
    'p1.acid.bath',
    'p1.place.goods',
    'p1.acid.cut',
    'p1.dye.d1',
    'p1.stand.settle',
    ...FINISH,
  ],
  ice: [
    'p1.stand.soak',
    'p1.place.goods',
    'p1.acid.bath',
    'p1.put.ice',
    'p1.dye.d1',
    'p1.stand.melt',
    'place.set',
    ...FINISH,
  ],
  'painted stack': [
    'p1.stand.soak',
    'p1.place.goods',
    'p1.run.bath',
    'p1.acid.bath',
    'p1.dye.d1',
    'p1.paint.layer3',
    ...FINISH,
  ],
  'blank painting': [
    'p1.stand.soak',
    'p1.place.goods',
    'p1.run.bath',
    'p1.acid.bath',
    'p1.dye.d1',
    'p1.paint.a',
    ...FINISH,
  ],
  'own way': [
    'p1.stand.soak',
    'p1.run.1',
    'p1.dye.d1',
    'p1.place.goods.3',
    'p1.acid.4',
    'p1.heat.5',
    'p1.hold.6',
    ...FINISH,
  ],
};

test.each(METHOD_KINDS)('the card of %s, line by line', (kind) => {
  // Half a percent, so that the paint of a section is not all stock and has water in it.
  expect(cardIds(formulationOf(kind, {}, 0.5))).toEqual(LINES[kind]);
});

test.each(METHOD_KINDS)(
  'the card of %s can be kept and read, has one line a step and no id twice',
  (kind) => {
    const formulation = formulationOf(kind);
    const { card } = begunBatch(formulation);
    expect(cardSchema.parse(JSON.parse(JSON.stringify(card)))).toEqual(card);
    expect(cardLines(card)).toHaveLength(linesOf(planFormulation(formulation)).length);
    expect(new Set(card.acts.map(({ id }) => id)).size).toBe(card.acts.length);
  },
);

test('what a line means stands in it: jar, strength, grams asked for, tool', () => {
  const { card } = begunBatch(formulationOf('immersion'));
  const line = card.acts.find(({ id }) => id === 'p1.dye.d1')!;
  // 1 % on 200 g is 2 g, 200 mL of a 1 % stock: two fills of the 100 mL cylinder.
  expect(line).toMatchObject({
    askedGrams: 2,
    tool: { name: '100 mL cylinder', fills: 2 },
    act: {
      kind: 'put',
      pass: 'p1',
      line: 'd1',
      amount: 200,
      unit: 'mL',
      material: { dyeId: 'blue', stockId: 'blue-1', strengthPercent: 1, lotStrength: 1 },
      into: { vessel: 'pot' },
    },
  });
});

test('a working dilution is a vessel: taken from the jar, made up, and poured from', () => {
  const { card } = begunBatch(formulationOf('immersion', {}, 0.005));
  const acts = card.acts.filter(({ act }) => act.line === 'd1');
  // By hand: 0.01 g is 1 mL of 1 %; at 1 in 5 it is 5 mL of 0.2 %, from 10 mL made up to 50 mL with 40 mL of water.
  expect(acts.map(({ id, quiet }) => [id, quiet])).toEqual([
    ['p1.put.dilution.d1', false],
    ['p1.run.dilution.d1', true],
    ['p1.dye.d1', false],
  ]);
  expect(acts[0]).toMatchObject({
    madeUp: { ml: 50 },
    act: {
      amount: 10,
      material: { stockId: 'blue-1', strengthPercent: 1 },
      into: { vessel: 'dilution.p1.d1' },
    },
  });
  expect(acts[1]!.act).toMatchObject({ ml: 40, vessel: 'dilution.p1.d1' });
  expect(acts[2]!.act).toMatchObject({
    kind: 'move',
    ml: 5,
    from: { vessel: 'dilution.p1.d1' },
    to: { vessel: 'pot' },
    holds: { dyeId: 'blue', strengthPercent: 0.2 },
  });
});

test('each acid dose says what it is for', () => {
  const dose = (when: string) => ({
    material: 'citric',
    strengthPercent: 100,
    basis: 'amount',
    value: 2,
    when,
  });
  const { card } = begunBatch(
    formulationOf('sprinkle', {
      acids: ['soak', 'start', 'warm', 'last', 'with powder'].map(dose),
      topUpMl: 500,
    }),
  );
  const acids = cardLines(card).filter(({ act }) => act.kind === 'put' && act.material.kind === 'acid');
  expect(acids.map(({ act }) => act.purpose).toSorted()).toEqual(
    ['soak', 'bath', 'warm', 'late', 'with powder', 'cut', 'top up'].toSorted(),
  );
});

test('a dip leaves less of the hank in with every step', () => {
  const { card } = begunBatch(formulationOf('dip'));
  const reaches = card.acts.flatMap(({ act }) =>
    act.kind === 'place' && act.reach !== null && act.reach !== 'none'
      ? [Number(act.reach.to.toFixed(6))]
      : [],
  );
  // 60 % of the length in four steps: 60, 45, 30, 15 %.
  expect(reaches).toEqual([0.6, 0.45, 0.3, 0.15]);
});

test('a stack of three gives each layer a third, and the lowest what is left', () => {
  const { card } = begunBatch(formulationOf('painted stack'));
  const shares = card.acts.flatMap(({ id, act }) =>
    act.kind === 'move' && id.includes('layer') ? [[id, act.share]] : [],
  );
  expect(shares).toEqual([
    ['p1.paint.layer1', 1 / 3],
    ['p1.drain.layer1', 0.2],
    ['p1.paint.layer2', 1 / 2],
    ['p1.drain.layer2', 0.2],
    ['p1.paint.layer3', 1],
  ]);
});

test('a later pass in fresh water pours the old bath away first, and a kept one does not', () => {
  const two = (water: object): string[] => {
    const first = formulationOf('immersion').recipe;
    const [pass] = first.passes;
    const recipe = recipeSchema.parse({
      ...first,
      passes: [pass, { ...pass, id: 'p2', dyes: [depth('d2', 'red', 0.5, 'red-1')], water }],
    });
    return begunBatch(formulate('two', recipe, SHELF)).card.acts.map(({ id }) => id);
  };
  expect(two({ basis: 'ratio', value: 30 })).toContain('p2.move.drain');
  expect(two({ basis: 'kept' })).not.toContain('p2.move.drain');
  expect(two({ basis: 'kept' })).not.toContain('p2.run.bath');
});

test('goods set in steam are lifted, wrapped and laid over the water, without a line each', () => {
  const formulation = formulationOf('immersion');
  const steamed = {
    ...formulation,
    recipe: {
      ...formulation.recipe,
      set: { ...formulation.recipe.set, method: 'steam' as const, temperatureC: 98 },
    },
  };
  const { card } = begunBatch(steamed);
  const quiet = card.acts
    .filter((line) => line.quiet && line.act.purpose === 'set')
    .map(({ act }) => act.kind);
  expect(quiet).toEqual(['lift', 'handle', 'place']);
  expect(card.acts.find(({ id }) => id === 'place.set')!.act).toMatchObject({
    vessel: 'steamer',
    reach: 'none',
  });
  expect(card.acts.find(({ id }) => id === 'hold.set')!.act).toMatchObject({
    vessel: 'steamer',
    atC: 98,
    minutes: 25,
  });
});

test('the goods and the vessels are brought by name', () => {
  const { card } = begunBatch({
    ...formulationOf('immersion'),
    pot: {
      id: 'pot1',
      name: 'Belfry pot',
      kind: 'pot',
      capacityMl: 9000,
      powerWatts: null,
      efficiencyPercent: 60,
      vesselJPerK: 900,
      lossWPerK: 5,
      floor: null,
      wallCm: null,
      places: null,
      note: '',
      retired: false,
    },
  });
  const things = card.acts.flatMap(({ act }) => (act.kind === 'bring' ? [act.thing] : []));
  expect(things).toEqual([
    expect.objectContaining({ kind: 'goods', name: 'Sexton worsted', grams: 200, dyeableShare: 1 }),
    expect.objectContaining({ kind: 'vessel', vessel: 'soak', shelfId: null }),
    expect.objectContaining({ kind: 'vessel', vessel: 'pot', name: 'Belfry pot', capacityMl: 9000 }),
  ]);
});

test('what each pass was planned as is kept beside its acts', () => {
  // 30 mL a gram on 200 g is 6 L; an unknown class of dye is usual from pH 3.5 to 5.
  expect(begunBatch(formulationOf('immersion')).card.passes).toEqual([
    {
      id: 'p1',
      kind: 'immersion',
      goodsGrams: 200,
      bathMl: 6000,
      keepsBath: false,
      takesOverMl: 0,
      acidsBefore: [],
      phWindow: [3.5, 5],
    },
  ]);
  // A dip of 60 % of the length reaches 120 g.
  expect(begunBatch(formulationOf('dip')).card.passes[0]).toMatchObject({ goodsGrams: 120, bathMl: 3600 });
});

test('each of four doses asks for a quarter, and all of them for the depth that was planned', () => {
  const batch = begunBatch(formulationOf('repeated'));
  const doses = batch.card.acts.filter(({ act }) => act.purpose === 'dose' && act.line === 'd1');
  expect(doses.map(({ askedGrams, dose }) => [askedGrams, dose])).toEqual(
    [1, 2, 3, 4].map((nth) => [0.5, { nth, of: 4 }]),
  );
  expect(summarizeBatch(batch, SHELF.dyes).dosPercent).toBeCloseTo(1, 12);
});
