import fc from 'fast-check';
import { formulation, POT, recipe, SHELF } from '../../test/examples';
import { AT, begin, begunBatch, event, lineOn, strike, tick, withEvents } from '../../test/records';
import { anyRecipe } from '../../test/wholeRange';
import { actSchema } from '../process/act';
import { amountOf } from '../process/amountOf';
import { apply } from '../process/apply';
import { depths } from '../process/depths';
import { emptyState } from '../process/state';
import { formulate } from '../recipe/materials';
import type { Recipe } from '../recipe/recipe';
import type { Batch } from './batch';
import type { CardAct } from './card';
import { cardLines } from './cardLines';
import { foldRecord } from './foldRecord';
import { afterAMoment, takesOut } from './moment';

/** Instants after the batch began, in minutes. */
const after = (minutes: number): string => new Date(Date.parse(AT) + minutes * 60_000).toISOString();

/** A batch of a recipe; null where the recipe cannot be planned at all. */
function batchOf(any: Recipe): Batch | null {
  try {
    return begunBatch(formulate('x', any, SHELF, POT));
  } catch {
    return null;
  }
}

/** A wait of no time at all lasts a second in a record. */
const lasting = (line: CardAct): CardAct =>
  'minutes' in line.act && line.act.minutes !== null
    ? { ...line, act: { ...line.act, minutes: Math.max(1 / 60, line.act.minutes) } }
    : line;

const depthsOf = (state: Parameters<typeof depths>[0], line: string) =>
  [...depths(state, { line })].toSorted(([one], [other]) => (one < other ? -1 : 1));

test('every way, dyed as planned, whatever nobody ticked but the dye: the record comes to the depths of the card', () => {
  const kinds = new Map<string, number>();
  fc.assert(
    fc.property(anyRecipe, fc.integer({ min: 0, max: 3 }), (any, skip) => {
      const batch = batchOf(any);
      // Where much is left unticked, what one pass left to the next is not told, nor the order of an own way.
      if (!batch || (skip === 1 && any.passes.length > 1)) return;
      if (skip > 0 && any.passes.some(({ method }) => method.kind === 'own way')) return;
      // Nor does anything later imply that spare goods lay under a rack.
      const spare = any.goods.some(({ catchUp }) => catchUp);
      if (skip > 0 && spare && any.passes.some(({ method }) => method.kind === 'ice')) return;
      let state = emptyState(
        {},
        batch.card.passes.map(({ id }) => id),
      );
      for (const line of batch.card.acts) {
        const done = apply(takesOut(line.act) ? afterAMoment(state) : state, lasting(line));
        if (done.impossible) return;
        state = done.state;
      }
      // An event refuses nothing at all, and amounts beyond all that a bench holds.
      if (batch.card.acts.some(({ act }) => !actSchema.safeParse(act).success)) return;
      // Every so manieth line that puts nothing in is left unticked.
      const events = cardLines(batch.card)
        .filter(({ act }, i) => amountOf(act) !== null || skip === 0 || i % skip !== 0)
        .map(({ id }) => tick(batch, id));
      const { end, leftOut } = foldRecord(withEvents(batch, events));
      expect(leftOut).toEqual([]);
      for (const { kind } of batch.card.passes) kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
      for (const { id } of any.goods)
        expect(depthsOf(end, id)).toEqual(
          depthsOf(state, id).map(([dye, percent]) => [dye, expect.closeTo(percent, 7)]),
        );
    }),
    { numRuns: 150, seed: 20261126 },
  );
  expect([...kinds.values()].reduce((sum, one) => sum + one, 0)).toBeGreaterThan(100);
  expect(kinds.size).toBeGreaterThan(10);
});

/** 200 g in one pot at 1 % blue and 0.25 % red, heated in the pass. */
const hot = (): Batch => {
  const [first] = recipe().passes;
  return begunBatch(
    formulation({
      passes: [{ ...first!, heat: { temperatureC: 85, minutes: 20, rampCPerMin: 1 } }],
    }),
  );
};
const cameOf = (batch: Batch) =>
  Object.fromEntries(foldRecord(batch).acts.map(({ id, came }) => [id, came] as const));

test('what a later act implies is taken as done, and what only its own tick says is not', () => {
  const batch = hot();
  const ids = cardLines(batch.card).map(({ id }) => id);
  expect(ids).toEqual(expect.arrayContaining(['p1.run.bath', 'p1.place.goods', 'p1.heat', 'p1.hold']));
  const came = cameOf(withEvents(batch, [tick(batch, 'p1.dye.d1'), tick(batch, 'p1.hold')]));
  expect(came).toMatchObject({
    'p1.run.bath': 'presumed',
    'p1.place.goods': 'presumed',
    'p1.heat': 'presumed',
    'p1.dye.d1': 'entered',
    'p1.hold': 'entered',
  });
  // The red was never ticked, and no acid: neither is in it.
  expect(came).not.toHaveProperty(['p1.dye.d2']);
  expect(Object.keys(came).filter((id) => id.includes('acid'))).toEqual([]);
  // What comes after the last tick is still to come.
  expect(came).not.toHaveProperty(['rinse']);
});

test('a pour made before its turn says nothing of what stands before it', () => {
  const batch = hot();
  const came = cameOf(withEvents(batch, [tick(batch, 'p1.dye.d1')]));
  expect(came).not.toHaveProperty(['p1.place.goods']);
  expect(came).not.toHaveProperty(['p1.heat']);
});

test('closing takes the rest as done, and the depths are those of what went in', () => {
  const batch = hot();
  const closed = event({ kind: 'closed', outcome: 'as wanted', standing: 'regular', note: '' });
  const events = [tick(batch, 'p1.dye.d1', { amount: 220 }), closed];
  const { acts, now, leftOut } = foldRecord(withEvents(batch, events));
  expect(leftOut).toEqual([]);
  expect(acts.find(({ id }) => id === 'rinse')?.came).toBe('presumed');
  // 220 mL of 1 % on 200 g.
  expect([...depths(now)]).toEqual([['blue', expect.closeTo(1.1, 12)]]);
  expect(foldRecord(withEvents(batch, [...events, strike(closed)])).acts.map(({ id }) => id)).not.toContain(
    'rinse',
  );
});

test('a second skein of 200 g put in halfway through a hold of 20 minutes gets a third', () => {
  const batch = hot();
  const line = lineOn(batch, 'bring.goods.g1').act;
  if (line.kind !== 'bring' || line.thing.kind !== 'goods') throw new Error('no goods');
  const common = { pass: null, line: 'late', purpose: null };
  const late = { kind: 'bring', ...common, thing: { ...line.thing, name: 'Late' } };
  const placed = {
    kind: 'place',
    ...common,
    pass: 'p1',
    line: null,
    goods: ['late'],
    vessel: 'pot',
    reach: null,
    lies: null,
    wet: true,
  };
  const entry = (act: object, at: string) =>
    event({ kind: 'act', planned: null, act, written: '', note: '', at });
  const before = ['p1.run.bath', 'p1.place.goods', 'p1.heat'].map((id) => tick(batch, id));
  const events = [
    ...before,
    // At its temperature the dye goes in: 3 g.
    tick(batch, 'p1.dye.d1', { amount: 300 }, { at: after(1) }),
    { ...begin(batch, 'p1.hold'), at: after(1) },
    entry(late, after(11)),
    entry(placed, after(11)),
    tick(batch, 'p1.hold', { minutes: 20 }, { at: after(21) }),
  ];
  const { end } = foldRecord(withEvents(batch, events));
  // 20 minutes against 10: 2 g and 1 g, on 200 g each.
  expect([...depths(end, { line: 'g1' })]).toEqual([['blue', expect.closeTo(1, 9)]]);
  expect([...depths(end, { line: 'late' })]).toEqual([['blue', expect.closeTo(0.5, 9)]]);
  // Seen clear before it came in, the late skein gets nothing.
  const clear = entry(
    {
      kind: 'look',
      pass: 'p1',
      line: null,
      purpose: null,
      of: 'bath',
      vessel: null,
      answer: 'clear',
      reading: null,
    },
    after(10),
  );
  const seen = foldRecord(withEvents(batch, [...events, clear])).end;
  expect(depths(seen, { line: 'late' }).get('blue') ?? 0).toBe(0);
  expect(depths(seen, { line: 'g1' }).get('blue')).toBeCloseTo(1.5, 9);
});

test('an act that nothing can be made of is left out and named; a move of more than there is takes all', () => {
  const batch = hot();
  const unplanned = (act: object) => event({ kind: 'act', planned: null, act, written: '', note: '' });
  const common = { pass: 'p1', line: null, purpose: null };
  const nobody = unplanned({ kind: 'lift', ...common, goods: ['nobody'], keepsMlPerGram: null });
  const out = unplanned({
    kind: 'move',
    ...common,
    from: { vessel: 'pot' },
    to: null,
    ml: 99_000,
    share: null,
    holds: null,
  });
  const { leftOut, now } = foldRecord(withEvents(batch, [tick(batch, 'p1.run.bath'), nobody, out]));
  expect(leftOut.map(({ id, why }) => [id, why.code])).toEqual([[nobody.id, 'no such goods']]);
  expect(now.vessels.get('pot')!.liquid.ml).toBe(0);
});
