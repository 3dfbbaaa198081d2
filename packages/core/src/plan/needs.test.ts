import { depth, formulation, POT, recipe, SHELF } from '../../test/examples';
import { formulate } from '../recipe/materials';
import { isShort, needsOf, vesselClashes, type ToBegin } from './needs';
import { planFormulation } from './plan';

const toBegin = (decided = formulation()): ToBegin => ({
  formulation: decided,
  plan: planFormulation(decided),
});

test('several batches need what they pour together, by hand', () => {
  // 200 g: 1 % of blue is 2 g, 200 mL of 1 %; 0.25 % of red 50 mL. 6 L of bath at 1 g/L acetic acid: 120 mL of vinegar;
  // water is 6 L less all that, and what the soaked goods bring. Twice of it all.
  const needs = needsOf([toBegin(), toBegin()], { 'blue-1': 390 });
  const jar = (id: string) => needs.find((need) => need.what === 'jar' && need.stockId === id);
  expect(jar('blue-1')).toEqual({ what: 'jar', stockId: 'blue-1', dyeId: 'blue', needs: 400, holds: 390 });
  expect(jar('red-1')).toMatchObject({ needs: 100, holds: 500 });
  expect(needs.filter(isShort)).toHaveLength(1);
  expect(needs.find(({ what }) => what === 'acid')).toMatchObject({
    unit: 'mL',
    needs: expect.closeTo(240, 6),
  });
  const runs = toBegin().plan.lines.flatMap(({ act }) => (act.kind === 'run' ? [act.ml ?? 0] : []));
  expect(needs.find(({ what }) => what === 'water')).toMatchObject({
    needs: expect.closeTo(2 * runs.reduce((sum, ml) => sum + ml, 0), 6),
  });
});

test('powder is needed by weight, a dilution takes its stock once', () => {
  const powder = formulation({
    passes: [{ ...recipe().passes[0], dyes: [depth('d1', 'blue', 0.5)] }] as never,
  });
  // 0.5 % of 200 g.
  expect(needsOf([toBegin(powder)]).find(({ what }) => what === 'powder')).toMatchObject({
    dyeId: 'blue',
    needs: 1,
  });
});

test('one vessel is not begun twice, nor beside what stands in it', () => {
  const inPot = toBegin(formulate('One', recipe(), SHELF, POT));
  const other = toBegin(formulate('Two', recipe(), SHELF, POT));
  expect(vesselClashes([inPot])).toEqual([]);
  expect(vesselClashes([inPot, other])).toEqual([
    { potId: 'pot', name: 'Pot', batches: ['One', 'Two'], holds: null },
  ]);
  expect(vesselClashes([inPot], new Map([['pot', 'Angelus']]))).toMatchObject([{ holds: 'Angelus' }]);
});

test('a batch is done once its waits and hands are over', () => {
  const { plan } = toBegin();
  const waits = plan.lines.reduce((sum, { act }) => sum + ('minutes' in act ? (act.minutes ?? 0) : 0), 0);
  const hands = plan.lines.reduce((sum, line) => sum + line.hands, 0);
  expect(plan.totals.elapsed.value).toBeCloseTo(waits + hands, 9);
});
