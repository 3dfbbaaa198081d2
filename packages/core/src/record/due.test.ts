import { formulation } from '../../test/examples';
import { AT, begin, begunBatch, event, lineOn, strike, tick, withEvents } from '../../test/records';
import { minutesOf } from '../process/amountOf';
import type { Event } from './event';
import { dueOf, heard } from './due';
import { recordState } from './recordState';

const batch = begunBatch(formulation());
const WAIT = 'p1.stand.soak';
const minutes = minutesOf(lineOn(batch, WAIT).act) ?? 0;
const begun = begin(batch, WAIT);
const due = (events: Event[], after: number) => {
  const of = withEvents(batch, events);
  return dueOf(of, recordState(of, of.events, []), Date.parse(AT) + after * 60_000);
};

test('a wait rings from the moment it is over until it is ended, and not before', () => {
  expect(minutes).toBeGreaterThan(0);
  expect(due([begun], minutes - 0.01)).toBeNull();
  expect(due([begun], minutes)).toMatchObject({ begunBy: begun.id, line: { line: { id: WAIT } } });
  expect(due([begun, tick(batch, WAIT)], minutes + 5)).toBeNull();
  expect(due([], minutes + 5)).toBeNull();
});

test('heard on one device, it rings on none; begun anew, it rings again', () => {
  const rings = due([begun], minutes + 1)!;
  const answer = event(heard(rings));
  expect(due([begun, answer], minutes + 2)).toBeNull();
  const again = begin(batch, WAIT);
  expect(due([begun, answer, strike(begun), again], minutes + 2)).toMatchObject({ begunBy: again.id });
});
