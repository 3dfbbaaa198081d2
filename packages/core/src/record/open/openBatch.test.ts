import { goodsLine, POT, SHELF } from '../../../test/examples';
import { also, AT, begunBatch, event, strike, withEvents, asPlanned } from '../../../test/records';
import { formulation } from '../../../test/examples';
import { planFormulation } from '../../plan/plan';
import { depths } from '../../process/depths';
import { formulate } from '../../recipe/materials';
import { colorwaySchema } from '../../recipe/recipe';
import { trueWords } from '../../words/trueWords';
import { takenOverWords } from '../../words/takenOverWords';
import { departures } from '../../words/departures';
import { actualRecipe } from '../actualRecipe';
import { dyeAgain } from '../again/dyeAgain';
import { asItWas } from '../again/goodsAgain';
import { batchSchema, type Batch } from '../batch';
import { foldRecord } from '../foldRecord';
import { recordState } from '../recordState';
import { nameOf } from '../lastSaid';
import { summarizeBatch } from '../summary';
import { alsoDone, lastCelsius, type Doing, type Said } from './doneActs';
import { isOpen } from './isOpen';
import { liquidLeaving, takenOverBy, type LeavingLiquid } from './liquidLeaving';
import { openBatch } from './openBatch';
import { takenOver } from './sourceChanged';

const goods = () => [
  goodsLine({ id: 'g1', baseId: 'wool', count: 1, gramsEach: 100 }),
  goodsLine({ id: 'g2', baseId: 'sock', count: 2, gramsEach: 50 }),
];
const begun = (leftover: LeavingLiquid | null = null): Batch =>
  batchSchema.parse({
    id: 'b1',
    code: '26-001',
    name: 'Not named yet',
    startedAt: AT,
    ...openBatch('Not named yet', goods(), POT, SHELF, { leftover }),
    events: [],
  });

let minute = 0;
/** The batch with one more thing done. */
const then = (batch: Batch, entry: Parameters<typeof event>[0]): Batch => {
  minute += 1;
  const at = new Date(Date.parse(AT) + minute * 60_000).toISOString();
  return withEvents(batch, [...batch.events, event({ ...entry, at })]);
};
const did = (batch: Batch, doing: Doing, said: Said = {}): Batch =>
  then(batch, { ...alsoDone(batch, 'p1', doing, said) });
const put = (batch: Batch, ...added: Parameters<typeof also>[1][]): Batch =>
  added.reduce((now, one) => then(now, also(now, one) as never), batch);

const water = (amount: number) => ({ material: { kind: 'water' as const }, amount, unit: 'mL' as const });
const vinegar = (amount: number) => ({
  material: { kind: 'acid' as const, acid: 'vinegar' as const, strengthPercent: 5 },
  amount,
  unit: 'mL' as const,
});
const blue = (amount: number) => ({
  material: {
    kind: 'dye' as const,
    dyeId: 'blue',
    stockId: 'blue-1',
    strengthPercent: 1,
    lotStrength: 1,
  },
  amount,
  unit: 'mL' as const,
});

/** Water, dye, goods, acid, heat, a second dose, held at 85 °C, rinsed, hung. */
const dyed = (): Batch => {
  const first = did(put(begun(), water(5000), blue(100)), 'goods in');
  const hot = did(put(first, vinegar(60)), 'heat', { celsius: 85 });
  const held = did(put(hot, blue(50)), 'hold', { celsius: 85, minutes: 20, clear: true });
  return did(did(held, 'rinse'), 'dry');
};

test('a batch without a plan is a batch like any other, and its record folds', () => {
  const batch = dyed();
  expect(isOpen(batch.card)).toBe(true);
  const { end, leftOut } = foldRecord(batch);
  expect(leftOut).toEqual([]);
  // 150 mL of 1 % are 1.5 g on 200 g.
  expect([...depths(end)]).toEqual([['blue', expect.closeTo(0.75, 9)]]);
  expect([...depths(end, { line: 'g2' })]).toEqual([['blue', expect.closeTo(0.75, 9)]]);
  expect(summarizeBatch(batch, SHELF.dyes)).toMatchObject({
    dosPercent: expect.closeTo(0.75, 9),
    wogGrams: 200,
  });
  expect(departures(batch, SHELF.dyes)).toEqual([]);
  expect(recordState(batch, batch.events, SHELF.dyes).lines).toEqual([]);
  expect(lastCelsius(batch)).toBe(85);
});

test('its record summed up says what was done, and nothing of what was not planned', () => {
  const batch = dyed();
  const { truly } = actualRecipe(batch, SHELF.dyes);
  const [pass] = trueWords(truly, { batch, dyes: SHELF.dyes });
  expect(pass!.title).toBe('Own way');
  expect(pass!.lines.map(({ what, note }) => [what, note])).toEqual([
    ['Water', null],
    ['Add white vinegar to the bath', null],
    ['Hold at 85 °C until the bath clears', null],
  ]);
});

test('its true recipe is its recipe: step by step, the last hot hold as the set', () => {
  const { version } = actualRecipe(dyed(), SHELF.dyes);
  const { recipe } = colorwaySchema.parse({ id: 'c', name: 'x', recipe: version!.recipe });
  const [pass] = recipe.passes;
  expect(pass!.method).toMatchObject({
    steps: [
      { do: 'water', sharePercent: 100 },
      { do: 'dye', lineId: 'd1' },
      { do: 'goods in' },
      { do: 'acid', acidId: 'acid1' },
      { do: 'heat', temperatureC: 85 },
      { do: 'dye', lineId: 'd2' },
    ],
  });
  expect(recipe.set).toMatchObject({ temperatureC: 85, minutes: 20 });
  const plan = planFormulation(formulate('x', recipe, SHELF, POT));
  expect(plan.notices.filter(({ blocks }) => blocks)).toEqual([]);
  expect(depths(plan.lines.at(-1)!.after).get('blue')).toBeCloseTo(0.75, 9);
  expect(plan.passes[0]!.acids[0]!.amount.value).toBeCloseTo(60, 9);
  expect(plan.passes[0]!.water.value).toBeCloseTo(5000, 6);
});

test('it is dyed again act by act: twice the goods, twice of everything, in the order in which it was done', () => {
  const batch = dyed();
  const folded = foldRecord(batch);
  const to = asItWas(batch, folded);
  const made = dyeAgain(
    batch,
    folded,
    { ...to, goods: to.goods.map((line) => ({ ...line, count: line.count * 2 })) },
    { ...SHELF, pots: [POT] },
  );
  expect(
    made.card.acts
      .filter(({ quiet }) => !quiet)
      .map(({ act }) => [act.kind, act.kind === 'run' ? act.ml : act.kind === 'put' ? act.amount : null]),
  ).toEqual([
    ['run', 10_000],
    ['put', 200],
    ['place', null],
    ['put', 120],
    ['heat', null],
    ['put', 100],
    ['hold', null],
    ['rinse', null],
    ['dry', null],
  ]);
  expect(depths(made.end).get('blue')).toBeCloseTo(0.75, 9);
});

test('goods that nobody said were laid in lie there once the bath is held', () => {
  const batch = did(put(begun(), water(5000), blue(100)), 'hold', { celsius: 85, minutes: 20, clear: true });
  const { acts, end } = foldRecord(batch);
  expect(acts.map(({ act }) => act.kind).slice(-2)).toEqual(['place', 'hold']);
  expect(depths(end).get('blue')).toBeCloseTo(0.5, 9);
  // Only for that are they taken to be in: nothing has been laid in by water alone.
  expect(foldRecord(put(begun(), water(5000))).acts.some(({ act }) => act.kind === 'place')).toBe(false);
});

test('it is named when there is a name', () => {
  const batch = then(begun(), { kind: 'named', name: 'Rust on Tuesday' });
  expect(nameOf(batch)).toBe('Rust on Tuesday');
  expect(nameOf(begun())).toBe('Not named yet');
});

test('begun in the bath of another batch it gets what was in it at that moment, and keeps those figures', () => {
  const source = begunBatch(formulation());
  const before = withEvents(source, asPlanned(source).slice(0, 4));
  const { now } = foldRecord(before);
  const inPot = now.vessels.get('pot')!.liquid;
  expect(inPot.ml).toBeGreaterThan(5000);
  const left = liquidLeaving(before, { now }, 'e-leaves')!;
  expect(left).toMatchObject({ ml: inPot.ml, from: { batch: 'b1', event: 'e-leaves' } });
  const after = withEvents(before, [...before.events, event({ ...takenOverBy(before) })]);
  expect(foldRecord(after).now.vessels.get('pot')!.liquid.ml).toBe(0);
  const next = begun(left);
  const there = foldRecord(did(next, 'goods in')).now.vessels.get('pot')!.liquid;
  expect(there.ml).toBeCloseTo(inPot.ml, 9);
  expect(there.alkalinityMeq).toBeCloseTo(inPot.alkalinityMeq, 9);
  expect(there.acids).toEqual(inPot.acids);
  const dye = (liquid: typeof inPot) =>
    liquid.parcels.reduce((sum, { standardGrams }) => sum + standardGrams, 0);
  expect(dye(there)).toBeCloseTo(dye(inPot), 9);
  // What another batch left counts in no depth of this one.
  expect(
    depths(foldRecord(did(next, 'hold', { celsius: 80, minutes: 10, clear: true })).end).get('blue') ?? 0,
  ).toBe(0);
  expect(liquidLeaving(source, foldRecord(source), 'e')).toBeNull();
  // What the other batch says of it later makes a question, and no other number.
  const leaves = event({ ...takenOverBy(before) });
  const given = liquidLeaving(before, { now }, leaves.id)!;
  const taker = { ...begun(given), id: 'b2' };
  const source2 = withEvents(before, [...before.events, leaves]);
  expect(takenOver(taker, source2)).toMatchObject({ changed: false, kept: false });
  const [poured] = before.events.filter((one) => one.kind === 'act' && one.planned === 'p1.dye.d1');
  const struck = withEvents(source2, [...source2.events, strike(poured!)]);
  const now2 = takenOver(taker, struck)!;
  expect(now2).toMatchObject({ changed: true, was: given });
  expect(takenOverWords(now2, '26-001', SHELF.dyes)).toEqual([
    expect.stringMatching(/^Begun in what was left of batch 26-001: .* of Vault Blue/),
    expect.stringMatching(/^By its record of today that would be .*The figures here stay/),
  ]);
  const answeredIt = withEvents(taker, [event({ kind: 'answered', question: 'source', answer: 'kept' })]);
  expect(takenOver(answeredIt, struck)).toMatchObject({ kept: true });
  expect(takenOver(taker, withEvents(source2, [...source2.events, strike(leaves)]))).toMatchObject({
    is: null,
    changed: true,
  });
});
