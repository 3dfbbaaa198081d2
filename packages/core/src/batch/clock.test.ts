import { formulation, SHELF } from '../../test/examples';
import { planFormulation } from '../recipe/plan';
import { batchState } from './batchState';
import { potClock } from './clock';
import { entrySchema, type Entry } from './entry';

const AT = '2026-03-01T10:00:00Z';
const after = (minutes: number): number => Date.parse(AT) + minutes * 60_000;
const plan = planFormulation(formulation());
const clock = (entries: Entry[], minutes: number): ReturnType<typeof potClock> =>
  potClock(batchState(plan, SHELF.dyes, entries, AT), after(minutes));
const begun = entrySchema.parse({ id: 'w', at: AT, kind: 'begun', stepId: 'wet' });

test('a running wait tells what is left, then calls', () => {
  expect(clock([begun], 12)).toEqual({ due: false, text: '18 min left' });
  expect(clock([begun], 29.5)).toEqual({ due: false, text: '1 min left' });
  expect(clock([begun], 34)).toEqual({ due: true, text: 'over by 4 min' });
});

test('a pot that stands ready tells since when', () => {
  expect(clock([], 75)).toEqual({ due: false, text: 'ready, 1 h 15 min since the last step' });
});

test('a pot that is through says so', () => {
  const all = plan.steps.map((step) =>
    entrySchema.parse({
      id: step.id,
      at: AT,
      stepId: step.id,
      ...(step.measure
        ? { kind: 'poured', amount: step.measure.amount.value, unit: step.measure.unit }
        : { kind: 'done' }),
    }),
  );
  expect(clock(all, 0.5)).toEqual({ due: false, text: 'all done under 1 min ago' });
});
