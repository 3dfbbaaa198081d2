import { DEFAULT_STUDIO } from '../../shelf/defaultStudio';
import { BENCH_TOOLS, BLUE_4, formulation, goodsLine, POT, RED, SHELF } from '../../../test/examples';
import { fourLines } from '../../../test/fourLines';
import { also, asPlanned, AT, begunBatch, event, tick, withEvents } from '../../../test/records';
import { METHODS } from '../../method';
import { amountOf } from '../../process/amountOf';
import { depths } from '../../process/depths';
import { titleOf } from '../../words/lineWords';
import { dyeSchema } from '../../shelf/dye';
import { stockSchema } from '../../shelf/stock';
import { againNoticeWords } from '../../words/againWords';
import { lookAct } from '../unplanned';
import { batchSchema, type Batch } from '../batch';
import { cardLines } from '../cardLines';
import { notebookEvents } from '../open/notebookEvents';
import { openBatch } from '../open/openBatch';
import { readNotebook } from '../open/readNotebook';
import { foldRecord } from '../foldRecord';
import type { Again } from './again';
import { dyeAgain } from './dyeAgain';
import { asItWas, goodsThen } from './goodsAgain';

const shelf = { ...SHELF, pots: [POT], tools: BENCH_TOOLS };

/**
 * 200 g of wool at 1 % blue and 0.25 % red in 6 L at 1 g/L of acetic acid: 2 g and 0.5 g of dye, so 200 and 50 mL of 1 %
 * stock; 6 g of acid are 120 mL of 5 % vinegar; 6000 − 200 − 50 − 120 = 5630 mL of water.
 */
const plain = (): Batch => {
  const batch = begunBatch(formulation());
  return withEvents(batch, asPlanned(batch));
};

function madeAgain(batch: Batch, change: Partial<Again> = {}, on: typeof shelf = shelf) {
  const folded = foldRecord(batch);
  return dyeAgain(batch, folded, { ...asItWas(batch, folded), ...change }, on);
}

/** What is measured out in the first pass, by act. */
const measured = (made: ReturnType<typeof madeAgain>) =>
  Object.fromEntries(
    made.card.acts.flatMap(({ id, act }) => {
      const much = act.purpose === 'soak' ? null : amountOf(act);
      return much ? [[id, Number(much.amount.toFixed(9))]] : [];
    }),
  );

const AS_IT_WAS = { 'p1.run.bath': 5630, 'p1.dye.d1': 200, 'p1.dye.d2': 50, 'p1.acid.bath': 120 };

describe('a jar that is gone', () => {
  const without = (...gone: string[]): typeof shelf => ({
    ...shelf,
    stocks: shelf.stocks.map((jar) => (gone.includes(jar.id) ? { ...jar, retired: true } : jar)),
  });
  const said = (made: ReturnType<typeof madeAgain>): string[] =>
    made.notices.map((notice) => againNoticeWords(notice, shelf.dyes));

  test('has the one most like it in its place, at the same depth, and that is said', () => {
    const weak = stockSchema.parse({ ...BLUE_4, id: 'blue-2', strengthPercent: 2 });
    const on = without('blue-1');
    const made = madeAgain(plain(), {}, { ...on, stocks: [...on.stocks, weak] });
    // 2 g are 100 mL of 2 %; water makes the 200 mL up.
    expect(measured(made)).toEqual({ ...AS_IT_WAS, 'p1.dye.d1': 100, 'p1.run.bath': 5730 });
    expect(made.jars.get('blue')).toBe('blue-2');
    expect(said(made)).toContain('Vault Blue: the 1 % jar is off the shelf. The 2 % jar is in its place.');
  });

  test('is taken all the same where there is no other, or where it was chosen, and that is said', () => {
    const none = madeAgain(plain(), {}, without('blue-1', 'blue-4'));
    expect(measured(none)).toEqual(AS_IT_WAS);
    const gone =
      'Vault Blue: the 1 % jar is off the shelf, and there is no other. Make one, or weigh the powder.';
    expect(said(none)).toContain(gone);
    const chosen = madeAgain(plain(), { stockFor: { blue: 'blue-4' } }, without('blue-1'));
    expect(said(chosen).join()).not.toMatch(/off the shelf/);
  });
});

test.each([
  ['unchanged', {}, {}],
  [
    'a jar of 4 %: a quarter of the stock, water makes it up',
    { stockFor: { blue: 'blue-4' } },
    { 'p1.dye.d1': 50, 'p1.run.bath': 5780 },
  ],
  ['weighed as powder', { stockFor: { blue: null } }, { 'p1.dye.d1': 2, 'p1.run.bath': 5830 }],
  [
    'twice the dye: nothing else but the water that it takes the place of',
    { dyePercent: 200 },
    { 'p1.dye.d1': 400, 'p1.dye.d2': 100, 'p1.run.bath': 5380 },
  ],
  [
    'a yarn of which 80 % takes dye: 80 % of the dye',
    { goods: [{ line: 'g1', baseId: 'blend', count: 2, gramsEach: 100, weighedGrams: null }] },
    { 'p1.dye.d1': 160, 'p1.dye.d2': 40, 'p1.run.bath': 5680 },
  ],
  [
    'the same, with the depth kept on all the goods',
    {
      depthOn: 'goods' as const,
      goods: [{ line: 'g1', baseId: 'blend', count: 2, gramsEach: 100, weighedGrams: null }],
    },
    {},
  ],
])('%s', (_, change, differs) =>
  expect(measured(madeAgain(plain(), change))).toEqual({ ...AS_IT_WAS, ...differs }),
);

test('a lot a quarter stronger: four fifths of it', () => {
  const stronger = {
    ...shelf,
    dyes: [...SHELF.dyes.filter(({ id }) => id !== 'red'), dyeSchema.parse({ ...RED, lotStrength: 1.25 })],
  };
  const made = madeAgain(plain(), {}, stronger);
  expect(measured(made)).toEqual({ ...AS_IT_WAS, 'p1.dye.d2': 40, 'p1.run.bath': 5640 });
  expect(depths(made.end).get('red')).toBeCloseTo(0.25, 12);
});

test('powder in the place of a jar brings its caution, a jar in the place of powder takes it away', () => {
  const cautionsOf = (made: ReturnType<typeof madeAgain>) =>
    made.card.acts.find(({ id }) => id === 'p1.dye.d1')!.cautions;
  expect(cautionsOf(madeAgain(plain()))).toEqual([]);
  const powder = madeAgain(plain(), { stockFor: { blue: null } });
  expect(cautionsOf(powder)).toEqual(['powder', 'scald']);
  const begun = { ...plain(), card: powder.card, formulation: powder.formulation, events: [] };
  const dyed = withEvents(begun, asPlanned(begun));
  expect(cautionsOf(madeAgain(dyed))).toEqual(['powder', 'scald']);
  expect(cautionsOf(madeAgain(dyed, { stockFor: { blue: 'blue-1' } }))).toEqual([]);
});

test('what was done without a plan is told with its cautions, and with the goods that nobody had to be told to lift in', () => {
  const goods = [goodsLine({ id: 'g1', baseId: 'wool', count: 1, gramsEach: 100 })];
  const begun = batchSchema.parse({
    ...{ id: 'b1', name: 'x', startedAt: AT, events: [] },
    ...openBatch('x', goods, POT, shelf),
  });
  const text = '1/2 tsp Vault Blue in 1 cup, 3 L water, vinegar, simmered 30 min';
  const note = readNotebook(text, { dyes: shelf.dyes, stocks: [], studio: DEFAULT_STUDIO });
  const events = notebookEvents(begun, text, note, null).map(({ at, event: one }) => event({ ...one, at }));
  const { card } = madeAgain(withEvents(begun, events));
  expect(cardLines(card).map(({ act, cautions }) => [act.kind, cautions])).toEqual([
    ['put', ['powder', 'scald']],
    ['run', []],
    ['run', []],
    ['put', ['acid']],
    ['place', []],
    ['hold', ['scald', 'unattended']],
  ]);
});

test('a jar of another dye is refused, and so are goods that nothing in takes dye', () => {
  expect(() => madeAgain(plain(), { stockFor: { blue: 'red-1' } })).toThrow(/does not hold Vault Blue/);
  const cotton = { ...SHELF.bases[0]!, id: 'cotton', fibers: [{ fiber: 'cotton' as const, percent: 100 }] };
  expect(() =>
    madeAgain(
      plain(),
      { goods: [{ line: 'g1', baseId: 'cotton', count: 1, gramsEach: 100, weighedGrams: null }] },
      { ...shelf, bases: [...SHELF.bases, cotton] },
    ),
  ).toThrow(/takes acid dye/);
});

test('four lines, two acid times, a late skein, a top-up and a hold nobody ticked are all there again', () => {
  const batch = fourLines();
  const made = madeAgain(batch);
  expect(goodsThen(foldRecord(batch)).map(({ line, grams }) => [line, grams])).toEqual([
    ['g1', 50],
    ['g2', 100],
    ['g3', 50],
    ['g4', 100],
    ['late', 50],
  ]);
  expect(made.formulation.recipe.goods.map(({ id }) => id)).toEqual(['g1', 'g2', 'g3', 'g4', 'late']);
  const acid = made.card.acts.filter(({ act }) => act.kind === 'put' && act.material.kind === 'acid');
  expect(acid.map(({ act }) => [act.purpose, amountOf(act)?.amount])).toEqual([
    ['bath', 120],
    ['late', 120],
  ]);
  expect(made.card.acts.find(({ act }) => act.purpose === 'top up')?.act).toMatchObject({
    kind: 'run',
    ml: 500,
  });
  expect(made.card.acts.find(({ id }) => id === 'p1.hold')?.act).toMatchObject({ minutes: 20 });
  const kinds = made.card.acts.map(({ act }) => act.kind);
  expect(kinds.lastIndexOf('place')).toBeLessThan(kinds.lastIndexOf('hold'));
  expect(kinds.lastIndexOf('place')).toBeGreaterThan(kinds.indexOf('heat'));
});

test('one line doubled, another left out: dye by what takes dye of what is there', () => {
  const batch = fourLines();
  const lines = asItWas(batch, foldRecord(batch)).goods;
  // 350 g then. Doubled g1, without g2 and the late skein: 100 + 50 + 100 = 250 g.
  const goods = lines
    .filter(({ line }) => line !== 'g2' && line !== 'late')
    .map((line) => (line.line === 'g1' ? { ...line, count: 2 } : line));
  const then = measured(madeAgain(batch));
  const now = measured(madeAgain(batch, { goods }));
  expect(now['p1.dye.d1']).toBeCloseTo((then['p1.dye.d1']! * 250) / 350, 9);
  expect(now['p1.acid.late']).toBeCloseTo((120 * 250) / 350, 9);
});

test('a cure for a rinse that bled is none of the dyeing, unless it has dye in it', () => {
  const batch = plain();
  const rinsed = event({
    kind: 'act',
    planned: null,
    act: lookAct(null, 'rinse', 'colored'),
    written: '',
    note: '',
  });
  const acid = also(
    batch,
    { material: { kind: 'acid', acid: 'citric', strengthPercent: 100 }, amount: 3, unit: 'g' },
    null,
  );
  const dye = also(batch, {
    material: { kind: 'dye', dyeId: 'red', stockId: 'red-1', strengthPercent: 1, lotStrength: 1 },
    amount: 5,
    unit: 'mL',
  });
  const made = madeAgain(withEvents(batch, [...batch.events, rinsed, acid, dye]));
  const ids = made.card.acts.map(({ id }) => id);
  expect(ids).toContain(dye.id);
  expect(ids).not.toContain(acid.id);
  expect(made.compared.filter(({ why }) => why === 'cure').map(({ then }) => then?.id)).toEqual([acid.id]);
});

test('eleven additions to a cup, half of it poured: one put of each dye, half as large', () => {
  const batch = plain();
  const common = { pass: 'p1', line: null, purpose: null } as const;
  const act = (done: object) =>
    event({ kind: 'act', planned: null, act: { ...common, ...done }, written: '', note: '' });
  const cup = {
    kind: 'bring',
    thing: {
      kind: 'vessel',
      vessel: 'cup',
      role: 'mixing cup',
      name: 'Cup',
      shelfId: null,
      capacityMl: null,
    },
  };
  const into = { vessel: 'cup' };
  const red = {
    kind: 'put',
    material: { kind: 'dye', dyeId: 'red', stockId: 'red-1', strengthPercent: 1, lotStrength: 1 },
    amount: 4,
    unit: 'mL',
    into,
  };
  const blue = { ...red, material: { ...red.material, dyeId: 'blue', stockId: 'blue-1' }, amount: 2 };
  const poured = { kind: 'move', from: into, to: { vessel: 'pot' }, ml: null, share: 0.5, holds: null };
  const events = [...batch.events];
  const before = events.findIndex((one) => one.kind === 'act' && one.planned === 'p1.place.goods');
  const mixed = [cup, ...Array.from({ length: 10 }, () => red), blue, poured].map(act);
  events.splice(before, 0, ...mixed);
  const record = withEvents(batch, events);
  const made = madeAgain(record);
  const inCup = made.card.acts.filter(
    ({ act: one }) => one.kind === 'put' && 'vessel' in one.into && one.into.vessel === 'cup',
  );
  expect(inCup.map(({ act: one }) => amountOf(one)?.amount)).toEqual([20, 1]);
  expect(
    made.card.acts.find(
      ({ act: one }) =>
        one.kind === 'move' && one.to !== null && 'vessel' in one.from && one.from.vessel === 'cup',
    )?.act,
  ).toMatchObject({ share: 1 });
  // 50 + 20 mL of red, 200 + 1 of blue, on 200 g.
  expect(depths(made.end).get('red')).toBeCloseTo(0.35, 9);
  expect(depths(made.end).get('blue')).toBeCloseTo(1.005, 9);
  expect(depths(foldRecord(record).end).get('red')).toBeCloseTo(0.35, 9);
});

test('words that name an amount name the one of now: paint is made up to twice as much for twice the goods', () => {
  const [first] = formulation().recipe.passes;
  const method = METHODS.painting.usual;
  const dyes = first!.dyes.map((line) => ({ ...line, sectionId: method.sections[0]!.id }));
  const painted = begunBatch(formulation({ passes: [{ ...first!, method, dyes }] }));
  const batch = withEvents(painted, asPlanned(painted));
  const { goods } = asItWas(batch, foldRecord(batch));
  const twice = goods.map((line) => ({ ...line, count: 2 * line.count }));
  const title = (made: ReturnType<typeof madeAgain>) =>
    made.card.acts
      .map((line) => titleOf(line, { batch: made, dyes: SHELF.dyes }))
      .find((words) => words.startsWith('Fill up to'));
  // Half of 200 g at the usual pick-up of 1 mL a gram, and of 400 g.
  expect(title(madeAgain(batch))).toMatch(/^Fill up to 100 mL/);
  expect(title(madeAgain(batch, { goods: twice }))).toMatch(/^Fill up to 200 mL/);
  // And a low pan says how high the bath stands only of the water that it was said of.
  const pan = begunBatch(formulation({ passes: [{ ...first!, method: METHODS['low immersion'].usual }] }));
  const dyed = withEvents(pan, asPlanned(pan));
  const run = (made: ReturnType<typeof madeAgain>) => made.card.acts.find(({ id }) => id === 'p1.run.bath')!;
  expect(run(madeAgain(dyed)).madeUp).not.toBeNull();
  expect(run(madeAgain(dyed, { goods: twice })).madeUp).toBeNull();
});

/** 100 g of each of two lines, in a pot and a tub as they are laid. */
const inTwo = (lay: (of: typeof laid) => object[]): Batch => {
  const goods = ['g1', 'g2'].map((id) => goodsLine({ id, baseId: 'wool', count: 1, gramsEach: 100 }));
  const tub = { kind: 'vessel', vessel: 'tub', role: 'tub', name: 'Tub', shelfId: null, capacityMl: null };
  const batch = batchSchema.parse({
    ...{ id: 'b1', name: 'x', startedAt: AT, ...openBatch('x', goods, POT, SHELF), events: [] },
  });
  const common = { pass: 'p1', line: null, purpose: null };
  const events = [{ kind: 'bring', thing: tub }, ...lay(laid)].map((act) =>
    event({ kind: 'act', planned: null, act: { ...common, ...act }, written: '', note: '' }),
  );
  return withEvents(batch, events);
};
const laid = (goods: string, vessel: string, to: number) => ({
  kind: 'place',
  goods: [goods],
  vessel,
  reach: to === 1 ? null : { axis: 'along', from: 0, to },
  lies: null,
  wet: true,
});
const ran = (vessel: string) => ({ kind: 'run', vessel, ml: 1000, celsius: null });
const bluePut = {
  kind: 'put',
  material: { kind: 'dye', dyeId: 'blue', stockId: 'blue-1', strengthPercent: 1, lotStrength: 1 },
  amount: 90,
  unit: 'mL',
  into: { vessel: 'pot' },
};
const g2Twice = (batch: Batch) => ({
  goods: asItWas(batch, foldRecord(batch)).goods.map((line) =>
    line.line === 'g2' ? { ...line, count: 2 } : line,
  ),
});

test('dye goes by what of the goods it reached: all of one line, half of the other', () => {
  const batch = inTwo((of) => [ran('pot'), of('g1', 'pot', 1), of('g2', 'pot', 0.5), bluePut]);
  const made = madeAgain(batch, g2Twice(batch));
  const put = made.card.acts.find(({ act }) => act.kind === 'put')!.act;
  // 100 + 50 g then, 100 + 100 g now.
  expect(amountOf(put)?.amount).toBeCloseTo((90 * 200) / 150, 9);
});

test('water goes by the goods that lay in its own vessel', () => {
  const batch = inTwo((of) => [ran('pot'), ran('tub'), of('g1', 'pot', 1), of('g2', 'tub', 1)]);
  const runs = madeAgain(batch, g2Twice(batch)).card.acts.flatMap(({ act }) =>
    act.kind === 'run' ? [[act.vessel, act.ml]] : [],
  );
  expect(runs).toEqual([
    ['pot', 1000],
    ['tub', 2000],
  ]);
});

test('a cup poured in two: its pours stay the parts of it that they were', () => {
  const cup = {
    kind: 'vessel',
    vessel: 'cup',
    role: 'mixing cup',
    name: '',
    shelfId: null,
    capacityMl: null,
  };
  const poured = (vessel: string, share: number) => ({
    ...{ kind: 'move', from: { vessel: 'cup' }, to: { vessel }, ml: null, share, holds: null },
  });
  const batch = inTwo((of) => [
    { kind: 'bring', thing: cup },
    ...[ran('pot'), ran('tub'), of('g1', 'pot', 1), of('g2', 'tub', 1)],
    ...[bluePut, bluePut].map((put) => ({ ...put, amount: 40, into: { vessel: 'cup' } })),
    ...[poured('pot', 0.5), poured('tub', 0.5)],
  ]);
  const made = madeAgain(batch);
  // 80 mL: 40 into the pot, 20 into the tub, 20 left over. Now 60 are mixed, and two thirds and all of it poured.
  expect(made.card.acts.flatMap(({ act }) => amountOf(act)?.amount ?? []).slice(-1)).toEqual([60]);
  expect(made.card.acts.flatMap(({ act }) => (act.kind === 'move' ? [act.share] : []))).toEqual([
    expect.closeTo(2 / 3, 12),
    1,
  ]);
  const of = (line: string) => [
    depths(made.end, { line }).get('blue'),
    depths(foldRecord(batch).end, { line }).get('blue'),
  ];
  expect(of('g1')).toEqual([expect.closeTo(0.4, 9), expect.closeTo(0.4, 9)]);
  expect(of('g2')).toEqual([expect.closeTo(0.2, 9), expect.closeTo(0.2, 9)]);
});

test('a record without acid says so', () => {
  const batch = begunBatch(formulation());
  const codes = (events: Batch['events']) =>
    madeAgain(withEvents(batch, events)).notices.map(({ code }) => code);
  expect(codes([tick(batch, 'p1.dye.d1')])).toContain('no acid');
  expect(codes(asPlanned(batch))).not.toContain('no acid');
});

test('what was poured early stays early; water that nobody ticked comes where the card has it', () => {
  const batch = begunBatch(formulation());
  const done = (id: string, minute: number) =>
    tick(batch, id, {}, { at: new Date(Date.parse(AT) + minute * 60_000).toISOString() });
  const events = [done('p1.dye.d2', 1), done('p1.dye.d1', 2), done('p1.place.goods', 3)];
  const ids = madeAgain(withEvents(batch, events)).card.acts.map(({ id }) => id);
  const order = ['p1.run.bath', 'p1.dye.d2', 'p1.dye.d1', 'p1.place.goods', 'rinse'].map((id) =>
    ids.indexOf(id),
  );
  expect(order).toEqual(order.toSorted((one, other) => one - other));
  expect(ids).not.toContain('p1.acid.bath');
});

test('a vessel must hold the bath, the goods and what they bring along; one that does not is said and blocks', () => {
  const small = { ...POT, id: 'small', name: 'Small', capacityMl: 6000 };
  const on = { ...shelf, pots: [POT, small] };
  const inPot = madeAgain(plain(), { potId: POT.id }, on);
  // 6 L of bath and 200 g of goods.
  expect(inPot.needsMl).toBeGreaterThanOrEqual(6200);
  expect(inPot.needsMl).toBeLessThan(6500);
  expect(inPot.notices.filter(({ code }) => code === 'too small')).toEqual([]);
  const twice = { goods: [{ line: 'g1', baseId: 'wool', count: 4, gramsEach: 100, weighedGrams: null }] };
  expect(madeAgain(plain(), { potId: POT.id, ...twice }, on).needsMl).toBeCloseTo(2 * inPot.needsMl, 6);
  expect(madeAgain(plain(), { potId: 'small' }, on).notices).toContainEqual({
    code: 'too small',
    vessel: 'Small',
    holdsMl: 6000,
    needsMl: expect.closeTo(inPot.needsMl, 6) as number,
    blocks: true,
  });
  expect(madeAgain(plain(), { potId: null }, on).needsMl).toBe(0);
});
