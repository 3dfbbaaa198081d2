import { formulation, SHELF } from '../../test/examples';
import { asPlanned, begin, begunBatch, event, withEvents } from '../../test/records';
import type { Batch } from '../record/batch';
import { recordState } from '../record/recordState';
import { doneTogether, sameSteps } from './sameSteps';

/** A batch at some depth that has gone up to a line of its card. */
function batchAt(name: string, line: string, percent = 1): Batch {
  const [pass] = formulation().recipe.passes;
  const dyes = pass!.dyes.map((one) => ({ ...one, entry: { school: 'depth' as const, percent } }));
  const batch = {
    ...begunBatch(
      formulation({ passes: [{ ...pass!, dyes, heat: { temperatureC: 85, minutes: 20, rampCPerMin: 1 } }] }),
    ),
    id: name,
    name,
  };
  const all = asPlanned(batch);
  const at = all.findIndex((one) => one.kind === 'act' && one.planned === line);
  return withEvents(batch, all.slice(0, at));
}
const standing = (batch: Batch) => ({
  batch,
  state: recordState(batch, batch.events, SHELF.dyes),
  reading: { batch, dyes: SHELF.dyes },
});
const stepsOf = (...batches: Batch[]) => sameSteps(batches.map(standing));
const NOW = Date.parse('2026-03-01T11:00:00Z');

test('pots whose next step reads the same are done by one tap, each with its own amount', () => {
  const steps = stepsOf(
    batchAt('pale', 'p1.dye.d1', 0.1),
    batchAt('elsewhere', 'p1.run.bath'),
    batchAt('deep', 'p1.dye.d1', 2),
  );
  expect(steps.map(({ title, doing, pots }) => [title, doing, pots.map(({ batch }) => batch.name)])).toEqual([
    ['Pour Vault Blue 1 %', 'pour', ['pale', 'deep']],
  ]);
  // 0.1 % and 2 % of 200 g from a jar of 1 %.
  expect(
    doneTogether(steps[0]!, NOW).map(({ batch, event: one }) => [
      batch.name,
      one.kind === 'act' && one.planned,
      one.kind === 'act' && one.act.kind === 'put' && Number(one.act.amount?.toFixed(9)),
    ]),
  ).toEqual([
    ['pale', 'p1.dye.d1', 20],
    ['deep', 'p1.dye.d1', 400],
  ]);
});

test('one that goes in and one whose clock runs are two steps; a wait begins, and is over with its minutes', () => {
  const waits = ['a', 'b'].map((name) => batchAt(name, 'p1.heat'));
  const [step] = stepsOf(...waits);
  expect(step).toMatchObject({ doing: 'begin' });
  expect(doneTogether(step!, NOW).map(({ event: one }) => one.kind)).toEqual(['begun', 'begun']);
  const running = waits.map((batch) => withEvents(batch, [...batch.events, begin(batch, 'p1.heat')]));
  expect(stepsOf(waits[0]!, running[1]!)).toEqual([]);
  const [over] = stepsOf(...running);
  expect(over).toMatchObject({ doing: 'end' });
  const [one] = doneTogether(over!, NOW);
  expect(one!.event).toMatchObject({ kind: 'act', planned: 'p1.heat' });
  const goods = stepsOf(batchAt('a', 'p1.place.goods'), batchAt('b', 'p1.place.goods'));
  expect(goods).toMatchObject([{ doing: 'do', pots: [{}, {}] }]);
});

test('what wants a look at each pot is left to its card: a bath that is to clear, a rinse, a pot that is closed', () => {
  const clearing = ['a', 'b'].map((name) => {
    const batch = batchAt(name, 'p1.hold');
    return withEvents(batch, [...batch.events, begin(batch, 'p1.hold')]);
  });
  expect(stepsOf(...clearing)).toEqual([]);
  expect(stepsOf(batchAt('a', 'rinse'), batchAt('b', 'rinse'))).toEqual([]);
  const closed = batchAt('b', 'p1.dye.d1');
  const shut = event({ kind: 'closed', outcome: 'not right', standing: 'dropped', note: '' });
  expect(stepsOf(batchAt('a', 'p1.dye.d1'), withEvents(closed, [...closed.events, shut]))).toEqual([]);
});

test('open powder and what nobody measured are left to their cards', () => {
  const [pass] = formulation().recipe.passes;
  const powder = ['a', 'b'].map((id) => ({
    ...begunBatch(formulation({ passes: [{ ...pass!, dyes: [{ ...pass!.dyes[0]!, stockId: null }] }] })),
    id,
  }));
  const toThePowder = powder.map((batch) => {
    const all = asPlanned(batch);
    return withEvents(
      batch,
      all.slice(
        0,
        all.findIndex((one) => one.kind === 'act' && one.planned === 'p1.dye.d1'),
      ),
    );
  });
  expect(stepsOf(...toThePowder)).toEqual([]);
  const acknowledged = toThePowder.map((batch) =>
    withEvents(batch, [...batch.events, event({ kind: 'acknowledged', caution: 'powder' })]),
  );
  expect(stepsOf(...acknowledged)).toMatchObject([{ doing: 'pour' }]);
  const splash = ['a', 'b'].map((name) => {
    const batch = batchAt(name, 'p1.acid.bath');
    const acts = batch.card.acts.map((line) =>
      line.id === 'p1.acid.bath' && line.act.kind === 'put'
        ? { ...line, act: { ...line.act, amount: null } }
        : line,
    );
    return { ...batch, card: { ...batch.card, acts } };
  });
  expect(standing(splash[0]!).state.current?.line.id).toBe('p1.acid.bath');
  expect(stepsOf(...splash)).toEqual([]);
});
