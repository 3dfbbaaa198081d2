import { linesOf, minutesOfLine } from '../../test/plans';
import { written } from '../../test/written';
import { formulation } from '../../test/examples';
import { SET_METHOD_NAMES, usualSetMinutes } from '../../test/sets';
import { figure } from '../figure/figure';
import { planFormulation } from './plan';
import type { HeatSet } from '../recipe/recipe';
import { usualSet } from '../recipe/usualSet';

const stepsOf = (set: HeatSet) => linesOf(planFormulation(formulation({ set })));

describe.each(SET_METHOD_NAMES)('setting by %s', (method) => {
  const set = usualSet(method);
  const steps = stepsOf(set);
  test('holds for the time decided, once, after the goods are in', () => {
    const holds = steps.filter(({ id }) => id === 'hold.set');
    expect(holds.map(minutesOfLine)).toEqual([set.minutes]);
    const ids = steps.map(({ id }) => id);
    expect(ids.indexOf('hold.set')).toBeGreaterThan(ids.indexOf('p1.place.goods'));
  });
  test('ends at the rail, rinsed first', () =>
    expect(steps.slice(-2).map(({ act }) => act.kind)).toEqual(['rinse', 'dry']));
  test('names every step once', () => expect(new Set(steps.map((step) => step.id)).size).toBe(steps.length));
  test('time on heat is the rise and the hold', () => {
    const plan = planFormulation(formulation({ set }));
    expect(plan.totals.onHeat.value).toBeCloseTo(usualSetMinutes(set), 9);
  });
});

test('a pot rises from 20 °C at 1.5 °C a minute (common practice, no source)', () => {
  const [rise] = stepsOf({ ...usualSet('simmer'), temperatureC: 80 }).filter(({ id }) => id === 'heat');
  expect(rise!.because).toMatchObject({
    value: 40,
    sureness: 'estimate',
    because: '(80 °C − 20 °C) ÷ 1.5 °C/min = 40 min',
  });
});

test('no cooling step where none was asked for', () => {
  expect(stepsOf({ ...usualSet('simmer'), coolMinutes: 0 }).some(({ act }) => act.kind === 'cool')).toBe(
    false,
  );
});

test('a warm rest stands on no heat and warns of none', () => {
  const steps = stepsOf(usualSet('warm rest'));
  expect(steps.find(({ id }) => id === 'hold.set')).toMatchObject({ act: { onHeat: false }, cautions: [] });
});

test('steam, oven and microwave each carry their caution where the heat begins', () => {
  for (const method of ['steam', 'oven', 'microwave'] as const) {
    const first = stepsOf(usualSet(method)).find(({ id }) => id === 'heat' || id === 'hold.set');
    expect(first!.cautions).toContain(method);
  }
});

test('a figure that is not a number is never made', () => {
  expect(() => figure(Number.NaN, 'g', '0 ÷ 0')).toThrow(/came out as NaN: 0 ÷ 0/);
  expect(() => figure(Number.POSITIVE_INFINITY, 'mL', '1 ÷ 0')).toThrow(RangeError);
  expect(written(figure(1, 'g', 'as decided'))).toEqual({
    value: 1,
    unit: 'g',
    sureness: 'exact',
    because: 'as decided',
  });
});
