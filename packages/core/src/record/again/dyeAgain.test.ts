import fc from 'fast-check';
import { BENCH_TOOLS, PAN, POT, SHELF } from '../../../test/examples';
import { also, asPlanned, begunBatch, tick, withEvents } from '../../../test/records';
import { anyRecipe } from '../../../test/wholeRange';
import { actSchema, type Act } from '../../process/act';
import { amountOf, minutesOf } from '../../process/amountOf';
import { depths } from '../../process/depths';
import { formulate } from '../../recipe/materials';
import type { Recipe } from '../../recipe/recipe';
import { batchSchema, type Batch } from '../batch';
import { cardLines } from '../cardLines';
import { foldRecord } from '../foldRecord';
import type { Again } from './again';
import { dyeAgain } from './dyeAgain';
import { asItWas } from './goodsAgain';

const shelf = { ...SHELF, pots: [POT, PAN], tools: BENCH_TOOLS };

/** A batch of a recipe, every line ticked as planned; null where the recipe cannot be planned or recorded at all. */
function dyed(any: Recipe): Batch | null {
  try {
    const batch = begunBatch(formulate('x', any, shelf, POT));
    if (batch.card.acts.some(({ act }) => !actSchema.safeParse(act).success)) return null;
    return withEvents(batch, asPlanned(batch));
  } catch {
    return null;
  }
}

/** The same batch dyed again, every line ticked as the new card says. */
function again(batch: Batch, change: Partial<Again> = {}): Batch {
  const folded = foldRecord(batch);
  const { card, formulation } = dyeAgain(batch, folded, { ...asItWas(batch, folded), ...change }, shelf);
  const begun = { ...batch, card, formulation, events: [] };
  return withEvents(begun, asPlanned(begun));
}

const dyesOf = (batch: Batch, line: string) =>
  [...depths(foldRecord(batch).end, { line })].toSorted(([one], [other]) => (one < other ? -1 : 1));

/** Everything measured out, by act. */
const amounts = ({ card }: Batch) =>
  card.acts.flatMap(({ id, act }) => {
    const much = amountOf(act);
    return much ? [{ id, ...much }] : [];
  });

const near = (value: number) => expect.closeTo(value, 9 - Math.ceil(Math.log10(Math.max(1, value))));

const plainAct = (act: Act) =>
  'minutes' in act && act.minutes !== null ? { ...act, minutes: near(act.minutes) } : act;

test('any recipe of any way, dyed as planned and dyed again unchanged: the same card, and the same on the goods', () => {
  const kinds = new Map<string, number>();
  fc.assert(
    fc.property(anyRecipe, (any) => {
      const batch = dyed(any);
      if (!batch) return;
      const now = again(batch);
      expect(now.card.acts.map(({ id }) => id)).toEqual(batch.card.acts.map(({ id }) => id));
      expect(now.card.acts.map(({ cautions }) => cautions)).toEqual(
        batch.card.acts.map(({ cautions }) => cautions),
      );
      for (const { kind } of now.card.passes) kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
      expect(amounts(now)).toEqual(amounts(batch).map((one) => ({ ...one, amount: near(one.amount) })));
      for (const { id } of any.goods)
        expect(dyesOf(now, id)).toEqual(dyesOf(batch, id).map(([dye, percent]) => [dye, near(percent)]));
    }),
    { numRuns: 150, seed: 20261126 },
  );
  expect(kinds.size).toBeGreaterThan(10);
});

test('on twice the goods: twice of everything, and the same depths', () => {
  fc.assert(
    fc.property(anyRecipe, (any) => {
      const batch = dyed(any);
      if (!batch) return;
      const twice = asItWas(batch, foldRecord(batch)).goods.map((line) => ({
        ...line,
        gramsEach: line.gramsEach * 2,
        weighedGrams: line.weighedGrams === null ? null : line.weighedGrams * 2,
      }));
      let now: Batch;
      try {
        now = again(batch, { goods: twice });
      } catch {
        return;
      }
      expect(amounts(now)).toEqual(amounts(batch).map((one) => ({ ...one, amount: near(one.amount * 2) })));
      for (const { id } of any.goods)
        expect(dyesOf(now, id)).toEqual(dyesOf(batch, id).map(([dye, percent]) => [dye, near(percent)]));
    }),
    { numRuns: 100, seed: 20261127 },
  );
});

test('whatever was poured, forgotten and added: dyed again as the new card says, the same comes onto the goods', () => {
  let compared = 0;
  fc.assert(
    fc.property(
      anyRecipe,
      fc.array(fc.double({ min: 0.6, max: 1.4, noNaN: true }), { minLength: 40, maxLength: 40 }),
      fc.integer({ min: 2, max: 5 }),
      fc.double({ min: 0.5, max: 30, noNaN: true }),
      (any, factors, skip, ml) => {
        const planned = dyed(any);
        if (!planned || any.passes.some(({ method }) => method.kind === 'own way')) return;
        const ticked = cardLines(planned.card).flatMap((line, i) => {
          const much = amountOf(line.act);
          // What puts nothing in is left unticked now and then.
          if (!much) return i % skip === 0 && line.act.kind !== 'place' ? [] : [tick(planned, line.id)];
          const amount = much.amount * (line.act.purpose === 'dilution' ? 1 : (factors[i % 40] ?? 1));
          return [tick(planned, line.id, { amount })];
        });
        const last = planned.card.passes.at(-1)!.id;
        const stock = {
          kind: 'dye',
          dyeId: 'red',
          stockId: 'red-1',
          strengthPercent: 1,
          lotStrength: 1,
        } as const;
        const at = ticked.findIndex((one) => one.kind === 'act' && one.act.pass === last) + 1;
        const extra = also(planned, { material: stock, amount: ml, unit: 'mL' }, last);
        const batch = withEvents(planned, [...ticked.slice(0, at), extra, ...ticked.slice(at)]);
        if (foldRecord(batch).leftOut.length > 0) return;
        const now = again(batch);
        compared += 1;
        for (const { id } of any.goods)
          expect(dyesOf(now, id)).toEqual(
            dyesOf(batch, id).map(([dye, percent]) => [dye, expect.closeTo(percent, 6)]),
          );
      },
    ),
    { numRuns: 150, seed: 20261129 },
  );
  expect(compared).toBeGreaterThan(50);
});

test('a card made from a record is a card like any other, and can be read again', () => {
  fc.assert(
    fc.property(anyRecipe, (any) => {
      const batch = dyed(any);
      if (!batch) return;
      expect(batchSchema.safeParse(again(batch)).error?.issues ?? []).toEqual([]);
      expect(again(again(batch)).card.acts.map(({ act }) => plainAct(act))).toEqual(
        again(batch).card.acts.map(({ act }) => expect.objectContaining({ kind: act.kind, pass: act.pass })),
      );
      expect(again(batch).card.acts.map(({ act }) => minutesOf(act))).toEqual(
        batch.card.acts.map(({ act }) => {
          const minutes = minutesOf(act);
          return minutes === null ? null : near(minutes);
        }),
      );
    }),
    { numRuns: 40, seed: 20261128 },
  );
});
