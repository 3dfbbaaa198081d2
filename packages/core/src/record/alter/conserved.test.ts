import fc from 'fast-check';
import { comesIn, totals } from '../../../test/conserved';
import { goodsLine, POT, SHELF, WOOL } from '../../../test/examples';
import { begunBatch } from '../../../test/records';
import { anyRecipe } from '../../../test/wholeRange';
import { FieldError } from '../../figure/fieldError';
import { actSchema } from '../../process/act';
import { apply } from '../../process/apply';
import { emptyState } from '../../process/state';
import { formulate } from '../../recipe/materials';
import { potSchema } from '../../shelf/pot';
import type { Recipe } from '../../recipe/recipe';
import type { Batch } from '../batch';
import { foldRecord } from '../foldRecord';
import type { NewEvent } from '../newEvent';
import { recordState } from '../recordState';
import { bledCure } from './bled';
import { goodsIn } from './goodsIn';
import { leaveOut, leaveOutPass } from './leaveOut';
import { longer, onceMore } from './longer';
import { doNext } from './order';
import { intoOtherVessel } from './otherVessel';
import { stepNext } from './step';
import { toCome } from './toCome';
import { then, ticked } from '../../../test/atThePot';

function batchOf(any: Recipe): Batch | null {
  try {
    return begunBatch(formulate('x', any, SHELF, POT));
  } catch {
    return null;
  }
}

test('whatever is changed at the pot, nothing is lost and nothing comes from nowhere', () => {
  const changes = fc.array(fc.tuple(fc.nat(8), fc.nat(40), fc.nat(6)), { minLength: 1, maxLength: 6 });
  let applied = 0;
  fc.assert(
    fc.property(anyRecipe, changes, (any, list) => {
      let batch = batchOf(any);
      if (!batch?.card.acts.every(({ act }) => actSchema.safeParse(act).success)) return;
      for (const [i, [what, which, done]] of list.entries()) {
        for (let n = 0; n < done; n += 1) {
          const { current } = recordState(batch, batch.events, []);
          if (current) batch = ticked(batch, current.line.id);
        }
        const lines = toCome(batch).filter(({ quiet }) => !quiet);
        const line = lines[which % Math.max(1, lines.length)];
        const now: Batch = batch;
        if (!line) continue;
        const id = `x${i}`;
        const works: (() => NewEvent[])[] = [
          () => [longer(line, 5)],
          () => [onceMore(now, line, 5, id)],
          () => [leaveOut(now, line.id)],
          () => [leaveOutPass(now, line.act.pass ?? '')],
          () => [doNext(now, line.id)],
          () =>
            goodsIn(now, line.act.pass, {
              line: goodsLine({ id, baseId: 'wool', count: 1, gramsEach: 80, catchUp: which % 2 === 0 }),
              base: WOOL,
              from: null,
            }),
          () => [
            intoOtherVessel(
              now,
              line.act.pass,
              potSchema.parse({ id, name: 'Other', capacityMl: 50_000 }),
              id,
            ),
          ],
          () => [bledCure(now, id)],
          () => [
            stepNext(
              now,
              { kind: 'handle', pass: null, line: null, purpose: null, goods: [], what: 'turn', lies: null },
              id,
            ),
          ],
        ];
        // An event refuses nothing at all, and amounts beyond all that a bench holds.
        if (!actSchema.safeParse(line.act).success) return;
        try {
          batch = then(now, ...(works[what] as () => NewEvent[])());
          applied += 1;
        } catch (error) {
          if (!(error instanceof FieldError)) throw error;
        }
      }
      const { acts } = foldRecord(batch);
      const { water, place } = batch.formulation;
      let state = emptyState(
        { tapC: place.tapC, roomC: place.roomC, alkalinityMgPerL: water.alkalinityMgPerL },
        batch.card.passes.map(({ id }) => id),
      );
      const came: Record<string, number> = { ...totals(state) };
      for (const act of acts) {
        for (const [name, much] of Object.entries(comesIn(act.act, state, water.alkalinityMgPerL)))
          came[name] = (came[name] ?? 0) + much;
        state = apply(state, act).state;
      }
      const there = totals(state);
      for (const name of Object.keys({ ...came, ...there })) {
        const [one, other] = [came[name] ?? 0, there[name] ?? 0];
        expect(Math.abs(one - other)).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(one)));
      }
      // Ids stay one of a kind, and what was done is still on the card.
      expect(new Set(batch.card.acts.map(({ id }) => id)).size).toBe(batch.card.acts.length);
    }),
    { numRuns: 150 },
  );
  expect(applied).toBeGreaterThan(150);
});
