import { formulation, SHELF } from '../../test/examples';
import { asPlanned, begunBatch, tick, withEvents } from '../../test/records';
import { cardLines } from '../record/cardLines';
import { actualRecipe } from '../record/actualRecipe';
import { foldRecord } from '../record/foldRecord';
import { depthAt } from '../process/depths';
import type { State } from '../process/state';
import type { Batch } from '../record/batch';
import { planFormulation } from './plan';
import type { Plan } from './planTypes';

const [USUAL] = formulation().recipe.passes;
const HEAT = { temperatureC: 85, minutes: 20, rampCPerMin: 1 };

/** 200 g of wool in three passes, each with an acid of its own, two of them topped up. */
const threePasses = formulation({
  passes: [
    { ...USUAL!, topUpMl: 1000 },
    {
      ...USUAL!,
      id: 'p2',
      water: { basis: 'ratio', value: 20 },
      topUpMl: 500,
      acids: [{ material: 'citric', strengthPercent: 100, basis: 'gPerL', value: 1.5, when: 'start' }],
    },
    {
      ...USUAL!,
      id: 'p3',
      method: { kind: 'dip', sharePercent: 60, steps: 4, minutes: 20 },
      heat: HEAT,
    },
  ],
});

describe('acid of a whole plan, by hand', () => {
  let plan: Plan;
  beforeEach(() => {
    plan = planFormulation(threePasses);
  });

  test('6 L and 1 L more at 1 g/L of 5 % vinegar, 3.6 L for the dip: 120 + 20 + 72 = 212 mL; citric 6 + 0.75 g', () => {
    expect(plan.totals.acids.map(({ label, amount }) => [label, amount.value, amount.unit])).toEqual([
      ['white vinegar', expect.closeTo(212, 9), 'mL'],
      ['citric acid crystals', expect.closeTo(6.75, 9), 'g'],
    ]);
    expect(plan.totals.acids.map(({ amount }) => amount.because)).toEqual([
      '120 mL + 20 mL + 72 mL',
      '6 g + 0.75 g',
    ]);
  });

  test('water: each bath less its 200 + 50 mL of stock and its vinegar; a top-up less its vinegar', () => {
    // 6000 − 250 − 120; 4000 − 250; 120 g of the dip at 30: 3600 − 120 − 30 − 72.
    expect(plan.passes.map(({ water }) => Number(water.value.toFixed(9)))).toEqual([5630, 3750, 3378]);
    expect(plan.passes.map(({ topUp }) => topUp && Number(topUp.water.value.toFixed(9)))).toEqual([
      980,
      500,
      null,
    ]);
    expect(plan.totals.water.value).toBeCloseTo(5630 + 3750 + 3378, 9);
  });
});

describe('a dip of 60 % in four steps, by hand', () => {
  let batch: Batch;
  let end: State;
  beforeEach(() => {
    batch = begunBatch(
      formulation({
        passes: [{ ...USUAL!, method: { kind: 'dip', sharePercent: 60, steps: 4, minutes: 20 }, heat: HEAT }],
      }),
    );
    ({ end } = foldRecord(withEvents(batch, asPlanned(batch))));
  });
  const at = (along: number) => depthAt(end, 'g1', { along });

  test('the steps leave 60, 45, 30 and 15 % in, five minutes each', () => {
    const lines = cardLines(batch.card).filter(({ act }) => act.kind === 'hold' && act.pass === 'p1');
    expect(lines.map(({ act }) => act.kind === 'hold' && act.minutes)).toEqual([5, 5, 5, 5]);
    // Only the last waits for the bath to clear.
    expect(lines.map(({ act }) => act.kind === 'hold' && act.untilClear)).toEqual([
      false,
      false,
      false,
      true,
    ]);
    const places = batch.card.acts.flatMap(({ act }) =>
      act.kind === 'place' && act.reach && act.reach !== 'none' ? [act.reach] : [],
    );
    expect(places.map(({ to }) => Number(to.toFixed(9)))).toEqual([0.6, 0.45, 0.3, 0.15]);
  });

  test('the first end is deepest, and all of it is the dye that was poured', () => {
    const depthsDown = [0.05, 0.2, 0.35, 0.5].map(at);
    expect(depthsDown).toEqual(depthsDown.toSorted((one, other) => other - one));
    expect(new Set(depthsDown.map((depth) => depth.toFixed(6))).size).toBe(4);
    // What was never in has only what the goods carried up between the steps.
    expect(at(0.8)).toBeLessThan(0.02 * at(0.05));
    // Four stretches of 15 % of 200 g and the rest of 40 %: 1.2 g of blue and 0.3 g of red.
    const percents = depthsDown.reduce((sum, depth) => sum + 0.15 * depth, 0) + 0.4 * at(0.8);
    expect((percents / 100) * 200).toBeCloseTo(1.5, 9);
  });
});

describe('water that nobody ticked, by hand', () => {
  let batch: Batch;
  beforeEach(() => {
    batch = begunBatch(threePasses);
  });
  const leaving = (...left: string[]) =>
    withEvents(
      batch,
      cardLines(batch.card)
        .filter(({ id }) => !left.includes(id))
        .map(({ id }) => tick(batch, id)),
    );
  /** The bath of the first pass once it was topped up: mL, and g of acetic acid. */
  const toppedUp = (...left: string[]) => {
    const ids = cardLines(batch.card).map(({ id }) => id);
    const soFar = ids.slice(0, ids.indexOf('p1.acid.top-up') + 1).filter((id) => !left.includes(id));
    const { now } = foldRecord(
      withEvents(
        batch,
        soFar.map((id) => tick(batch, id)),
      ),
    );
    const { liquid } = now.vessels.get('pot')!;
    return { ml: liquid.ml, acetic: liquid.acids.acetic! };
  };

  test('a bath of 6 L at 1 g/L topped up by 1 L holds 7 L and 7 g, whether its water was ticked or not', () => {
    const { ml, acetic } = toppedUp();
    // Damp goods bring 1.2 mL a gram along, which the ratio does not count.
    expect(ml).toBeCloseTo(7000 + 240, 6);
    expect(acetic).toBeCloseTo(7, 9);
    expect(toppedUp('p1.run.bath')).toEqual({ ml, acetic });
  });

  test('a top-up is only due when some is missing: not ticked, its water did not go in', () => {
    expect(toppedUp('p1.run.top-up').ml).toBeCloseTo(7240 - 980, 6);
  });

  test('acid that nobody ticked did not go in: of 120 and 20 mL of 5 % vinegar 1 g is there', () => {
    const { ml, acetic } = toppedUp('p1.acid.bath');
    expect(ml).toBeCloseTo(7240 - 120, 6);
    expect(acetic).toBeCloseTo(1, 9);
  });

  test('the record counts 212 mL of vinegar and 6.75 g of citric as equal equivalents of acetic acid', () => {
    const { acidPure } = actualRecipe(leaving('p1.run.bath', 'p1.run.top-up'), SHELF.dyes);
    // 10.6 g of acetic acid, 60.052 g/mol; 6.75 g of citric, three protons to 192.124 g.
    expect(acidPure!.grams.value).toBeCloseTo(10.6 + ((6.75 * 3) / 192.124) * 60.052, 6);
  });
});
