import fc from 'fast-check';
import { BENCH_TOOLS, POT, SHELF } from '../../test/examples';
import { anyRecipe } from '../../test/wholeRange';
import { FieldError } from '../figure/fieldError';
import { ACIDS } from '../materials/acids';
import type { Act } from '../process/act';
import { allGiven, receivedBy } from '../process/depths';
import { fold } from '../process/fold';
import { emptyState, type State } from '../process/state';
import { formulate } from '../recipe/materials';
import { planFormulation } from './plan';
import type { Plan } from './planTypes';
import { measuredOutInAll } from './pours';
import { cardSchema, type Card } from '../record/card';
import { cardOf } from '../record/cardOf';

/** Runs a check on plan and card of random recipes from the whole range; those that cannot be planned are left out. */
function onCards(check: (plan: Plan, card: Card, after: State) => void): void {
  let told = 0;
  fc.assert(
    fc.property(anyRecipe, (recipe) => {
      const formulation = formulate('x', recipe, { ...SHELF, tools: BENCH_TOOLS }, POT);
      let plan;
      try {
        plan = planFormulation(formulation);
      } catch (error) {
        if (error instanceof FieldError) return;
        throw error;
      }
      const card = cardOf(formulation, plan);
      // An own way may leave a dye or the goods out; then no batch begins with it.
      if (plan.passes.some(({ kind }) => kind === 'own way') && plan.notices.some(({ blocks }) => blocks))
        return;
      check(plan, card, fold(emptyState(), card.acts).state);
      told += 1;
    }),
    { numRuns: 250, seed: 20_261_125 },
  );
  expect(told).toBeGreaterThan(100);
}

/** Pure grams of each acid that some acts put in. */
function acidIn(acts: readonly Act[]): number {
  return acts.reduce(
    (sum, act) =>
      act.kind === 'put' && act.material.kind === 'acid'
        ? sum + ((act.amount ?? 0) * act.material.strengthPercent) / 100
        : sum,
    0,
  );
}

const close = (found: number, due: number): void =>
  expect(Math.abs(found - due)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(due)));

test('every acid dose that is planned is one line of the card', () => {
  onCards((plan, card) => {
    for (const pass of plan.passes) {
      const planned = pass.acids.reduce((sum, acid) => sum + acid.pureGrams.value, 0);
      const acts = card.acts.map(({ act }) => act).filter((act) => act.pass === pass.id);
      const beside = acts.filter(({ purpose }) => purpose === 'top up' || purpose === 'melt');
      close(acidIn(acts) - acidIn(beside), planned);
      for (const acid of pass.acids) expect(plan.lines.filter(({ id }) => id === acid.actId)).toHaveLength(1);
    }
  });
});

test('every card can be kept, but for amounts that no vessel holds', () => {
  onCards((_, card) => {
    const issues = cardSchema.safeParse(card).error?.issues ?? [];
    expect(issues.filter(({ code }) => code !== 'too_big')).toEqual([]);
  });
});

test('the acid to have at hand is what the card measures out, kind by kind', () => {
  onCards((plan, card) => {
    const measured = new Map<string, number>();
    for (const { act } of card.acts)
      if (act.kind === 'put' && act.material.kind === 'acid') {
        const { label } = ACIDS[act.material.acid];
        measured.set(label, (measured.get(label) ?? 0) + (act.amount ?? 0));
      }
    for (const { label, amount } of plan.totals.acids) close(measured.get(label) ?? 0, amount.value);
    expect([...measured.keys()].toSorted()).toEqual(plan.totals.acids.map(({ label }) => label).toSorted());
  });
});

test('all the dye that is poured is on the goods or in what is left over, none is lost and none is made', () => {
  onCards((plan, _, folded) => {
    const after = allGiven(folded);
    const poured = plan.passes
      .flatMap((pass) => pass.pours)
      .reduce((sum, pour) => {
        const strength = (pour.dilution?.strengthPercent ?? pour.strengthPercent ?? 100) / 100;
        return sum + measuredOutInAll(pour) * (pour.volume ? strength : 1) * pour.lotStrength;
      }, 0);
    const onGoods = receivedBy(after).reduce((sum, { standardGrams }) => sum + standardGrams, 0);
    const left = [...after.vessels].reduce(
      (sum, [, { liquid, role }]) =>
        role === 'working dilution'
          ? sum
          : sum + liquid.parcels.reduce((all, { standardGrams }) => all + standardGrams, 0),
      0,
    );
    const away = after.drained.parcels.reduce((sum, { standardGrams }) => sum + standardGrams, 0);
    const caught = [...after.pieces].filter(([, { catchUp }]) => catchUp);
    if (caught.length === 0) close(onGoods + left + away, poured);
    expect(onGoods).toBeLessThanOrEqual(poured * (1 + 1e-9));
  });
});

test('nothing on a card is impossible, but to pour off a bath that the goods have drunk', () => {
  const never: string[] = [];
  onCards((_, card) => {
    for (const { id, impossible } of fold(emptyState(), card.acts).trace)
      if (impossible && !id.endsWith('.move.drain')) never.push(`${id}: ${JSON.stringify(impossible)}`);
  });
  expect(never).toEqual([]);
});
