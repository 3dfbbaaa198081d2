import { formulation, POT, SHELF } from '../../../test/examples';
import { fourLines } from '../../../test/fourLines';
import { also, asPlanned, begin, begunBatch, event, lineOn, tick, withEvents } from '../../../test/records';
import { METHODS } from '../../method';
import { planFormulation } from '../../plan/plan';
import { formulate } from '../../recipe/materials';
import { colorwaySchema } from '../../recipe/recipe';
import { trueWords } from '../../words/trueWords';
import { depths } from '../../process/depths';
import type { Batch } from '../batch';
import { foldRecord } from '../foldRecord';
import { trueRecipe } from './trueRecipe';
import { versionOf } from './versionOf';

const reading = (batch: Batch) => ({ batch, dyes: SHELF.dyes });
const wordsOf = (batch: Batch) =>
  trueWords(trueRecipe(batch, foldRecord(batch)), reading(batch)).map(({ title, lines }) => [
    title,
    ...lines.map(
      ({ what, figure, note }) =>
        `${what}${figure ? ` | ${Number(figure.value.toFixed(6))} ${figure.unit}` : ''}${note === null ? '' : ` | ${note}`}`,
    ),
  ]);
/** As the next version of its colorway, which has to be one that can be saved. */
const kept = (batch: Batch) => {
  const version = versionOf(batch, foldRecord(batch))!;
  colorwaySchema.parse({ id: 'c', name: 'x', recipe: version.recipe });
  return version;
};

/** 200 g at 1 % and 0.25 %, led hot. */
const hot = (acids: object[] = []): Batch => {
  const [first] = formulation().recipe.passes;
  return begunBatch(
    formulation({
      passes: [
        {
          ...first!,
          heat: { temperatureC: 85, minutes: 20, rampCPerMin: 1 },
          acids: [
            { material: 'vinegar', strengthPercent: 5, basis: 'amount', value: 120, when: 'start' },
            { material: 'vinegar', strengthPercent: 5, basis: 'amount', value: 120, when: 'last' },
            ...acids,
          ] as NonNullable<typeof first>['acids'],
        },
      ],
    }),
  );
};

test('two acid times stay two, in the words and in the next version', () => {
  const batch = hot();
  const dyed = withEvents(batch, asPlanned(batch));
  expect(wordsOf(dyed)).toEqual([
    [
      'Immersion',
      'Wet out the goods in plain water with a drop of wetting agent | 30 min',
      'Water | 5510 mL',
      'Add white vinegar to the bath | 120 mL',
      'Add white vinegar to the hot, level bath | 120 mL',
      'Hold at 85 °C until the bath clears | 20 min',
    ],
    ['Set', 'Hold at 88 °C, simmer hold | 25 min'],
  ]);
  const { recipe, lost } = kept(dyed);
  expect(lost).toEqual([]);
  const plan = planFormulation(formulate('x', recipe, SHELF));
  expect(plan.passes[0]!.acids.map(({ when, amount }) => [when, Number(amount.value.toFixed(9))])).toEqual([
    ['start', 120],
    ['last', 120],
  ]);
  expect(plan.passes[0]!.water.value).toBeCloseTo(5510, 9);
});

test('a hold ticked after a minute is 20 minutes with a word of the clock; one done again is longer', () => {
  const batch = hot();
  const early = asPlanned(batch).map((one) =>
    one.kind === 'act' && one.planned === 'p1.hold' ? tick(batch, 'p1.hold', { minutes: 1 }) : one,
  );
  const held = lineOn(batch, 'p1.hold').act;
  const again = event({
    kind: 'act',
    planned: null,
    act: { ...held, minutes: 15 },
    written: '15 min',
    note: '',
  });
  const [[, ...lines]] = wordsOf(withEvents(batch, [...early, again])) as [string[]];
  expect(lines).toContain('Hold at 85 °C until the bath clears | 20 min | 1 min by the clock');
  expect(lines).toContain('Waited longer | 15 min');
  const { recipe } = kept(withEvents(batch, [...early, again]));
  expect(recipe.passes[0]).toMatchObject({ method: { kind: 'immersion' }, heat: { minutes: 35 } });
});

test('where doses wait by themselves, one that took longer is kept with its minutes: as an own way', () => {
  const [first] = formulation().recipe.passes;
  const batch = begunBatch(
    formulation({
      passes: [
        {
          ...first!,
          method: { ...METHODS.repeated.usual, repeats: 2 },
          heat: { temperatureC: 85, minutes: 20, rampCPerMin: 1 },
        },
      ],
    }),
  );
  const entered = asPlanned(batch);
  const asItWas = kept(withEvents(batch, entered)).recipe.passes[0]!;
  expect(asItWas).toMatchObject({ method: { kind: 'repeated', minutes: 8 }, heat: { minutes: 20 } });
  const at = entered.findIndex((one) => one.kind === 'act' && one.planned === 'p1.hold.strike') + 1;
  const { act } = lineOn(batch, 'p1.hold.strike');
  const longer = event({
    kind: 'act',
    planned: null,
    act: { ...act, minutes: 15 },
    written: '15 min',
    note: '',
  });
  const { recipe } = kept(withEvents(batch, [...entered.slice(0, at), longer, ...entered.slice(at)]));
  const { method } = recipe.passes[0]!;
  const waits =
    method.kind === 'own way' ? method.steps.flatMap((one) => (one.do === 'hold' ? [one.minutes] : [])) : [];
  expect(waits.reduce((sum, minutes) => sum + minutes, 0)).toBe(8 + 15 + 8);
});

test('of a running batch what is still to come is said, and none of it as missing', () => {
  const batch = hot();
  const done = ['p1.run.bath', 'p1.dye.d1'].map((id) => tick(batch, id));
  const [[, ...lines]] = wordsOf(withEvents(batch, [...done, begin(batch, 'p1.hold')])) as [string[]];
  expect(lines).toContain(
    'Still to come: Pour Bell Red 1 %; Add white vinegar to the bath; Add white vinegar to the hot, level bath',
  );
});

test('a pass whose acts fit its way no more is an own way, and comes to the same on the goods', () => {
  const batch = hot();
  const common = { pass: 'p1', line: null, purpose: null } as const;
  const unplanned = (act: object) =>
    event({ kind: 'act', planned: null, act: { ...common, ...act }, written: '', note: '' });
  const entered = asPlanned(batch);
  const at = entered.findIndex((one) => one.kind === 'act' && one.planned === 'p1.hold') + 1;
  const dyed = withEvents(batch, [
    ...entered.slice(0, at),
    unplanned({ kind: 'lift', goods: [], keepsMlPerGram: null }),
    also(batch, {
      material: { kind: 'dye', dyeId: 'red', stockId: 'red-1', strengthPercent: 1, lotStrength: 1 },
      amount: 50,
      unit: 'mL',
    }),
    unplanned({ kind: 'place', goods: [], vessel: 'pot', reach: null, lies: null, wet: true }),
    unplanned({ kind: 'handle', goods: [], what: 'blot', lies: null }),
    ...entered.slice(at),
  ]);
  const { recipe, lost } = kept(dyed);
  const [pass] = recipe.passes;
  expect(pass!.method).toMatchObject({
    kind: 'own way',
    steps: [
      { do: 'water', sharePercent: 100 },
      { do: 'dye', lineId: 'd1' },
      { do: 'dye', lineId: 'd2' },
      { do: 'acid', acidId: 'acid1' },
      { do: 'goods in', sharePercent: 100 },
      { do: 'heat', temperatureC: 85 },
      { do: 'hold', minutes: 20, untilClear: true },
      { do: 'lift' },
      { do: 'dye', lineId: 'd3' },
      { do: 'goods in', sharePercent: 100 },
      { do: 'acid', acidId: 'acid2' },
    ],
  });
  expect(lost.map(({ act }) => act.kind)).toEqual(['handle']);
  const plan = planFormulation(formulate('x', recipe, SHELF, POT));
  const now = depths(plan.lines.at(-1)!.after);
  const then = depths(foldRecord(dyed).end);
  expect(now.get('red')).toBeCloseTo(0.5, 9);
  expect([...now]).toEqual([...then].map(([dye, percent]) => [dye, expect.closeTo(percent, 9)]));
});

test('painted sections and a dip are told on what they reached', () => {
  const dyes = (sections: string[]) =>
    sections.map((sectionId, i) => ({
      id: `d${i}`,
      dyeId: i === 0 ? 'blue' : 'red',
      entry: { school: 'depth' as const, percent: 1 },
      stockId: i === 0 ? 'blue-1' : 'red-1',
      sectionId,
    }));
  const [first] = formulation().recipe.passes;
  const painting = METHODS.painting.usual;
  const [one, other] = painting.sections;
  const painted = begunBatch(
    formulation({ passes: [{ ...first!, method: painting, dyes: dyes([one!.id, other!.id]) }] }),
  );
  const [[, ...lines]] = wordsOf(withEvents(painted, asPlanned(painted))) as [string[]];
  expect(lines.slice(1, 3)).toEqual([`Vault Blue, ${one!.name} | 1 %`, `Bell Red, ${other!.name} | 1 %`]);
  const dipped = begunBatch(
    formulation({
      passes: [{ ...first!, method: { kind: 'dip', sharePercent: 60, steps: 4, minutes: 20 } }],
    }),
  );
  const [[, ...dip]] = wordsOf(withEvents(dipped, asPlanned(dipped))) as [string[]];
  expect(dip[1]).toBe('Vault Blue, 60 % of the length | 1 %');
});

test('a late skein, a top-up and goods of every line are in the next version', () => {
  const { recipe } = kept(fourLines());
  expect(recipe.goods.map(({ id, count, gramsEach }) => [id, count * gramsEach])).toEqual([
    ['g1', 50],
    ['g2', 100],
    ['g3', 50],
    ['g4', 100],
    ['late', 50],
  ]);
  // The skein that was laid in later makes it an own way.
  expect(recipe.passes[0]!.method.kind).toBe('own way');
  // 30 mL/g on 300 g, less 375 mL of stock and 240 mL of vinegar.
  expect(wordsOf(fourLines())[0]).toContain('Topped up with water | 500 mL');
  expect(wordsOf(fourLines())[0]).toContain('Water | 8385 mL');
});

test('spare goods are told by themselves, with what a wait was said to have left for them', () => {
  const [first] = formulation().recipe.passes;
  const batch = begunBatch(
    formulation({
      goods: [
        { id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 },
        { id: 'g2', baseId: 'wool', count: 1, gramsEach: 50, catchUp: true },
      ],
      passes: [{ ...first!, heat: { temperatureC: 85, minutes: 20, rampCPerMin: 1 } }],
    }),
  );
  const part = (events: ReturnType<typeof asPlanned>) =>
    wordsOf(withEvents(batch, events)).find(([title]) => title!.includes('to catch what was left'));
  expect(part(asPlanned(batch))).toEqual([
    'Sexton worsted, 50 g, to catch what was left',
    'Nothing was said to be left for it',
  ]);
  // A tenth was left after the hold: 0.2 g of 2 g blue, 0.05 g of 0.5 g red.
  const held = lineOn(batch, 'p1.hold').act;
  const left = asPlanned(batch).map((one) =>
    one.kind === 'act' && one.planned === 'p1.hold'
      ? event({ ...one, id: 'e-held', act: { ...held, leaves: 0.1 } })
      : one,
  );
  expect(part(left)).toEqual([
    'Sexton worsted, 50 g, to catch what was left',
    'Vault Blue | 0.2 g | counts in no depth',
    'Bell Red | 0.05 g | counts in no depth',
  ]);
});
