import { formulation, SHELF } from '../../test/examples';
import { asPlanned, AT, begin, begunBatch } from '../../test/records';
import { potClock } from './clock';
import type { Event } from './event';
import { recordState } from './recordState';

const after = (minutes: number): number => Date.parse(AT) + minutes * 60_000;
const batch = begunBatch(formulation());
const clock = (events: Event[], minutes: number): ReturnType<typeof potClock> =>
  potClock(recordState(batch, events, SHELF.dyes), after(minutes));
const begun = begin(batch, 'p1.stand.soak');

test('a running wait tells what is left, then calls', () => {
  expect(clock([begun], 12)).toEqual({ due: false, text: '18 min left' });
  expect(clock([begun], 29.5)).toEqual({ due: false, text: '1 min left' });
  expect(clock([begun], 34)).toEqual({ due: true, text: 'over by 4 min' });
});

test('a pot that stands ready tells since when', () => {
  expect(clock([], 75)).toEqual({ due: false, text: 'ready, 1 h 15 min since the last step' });
});

test('a pot that is through says so', () => {
  expect(clock(asPlanned(batch), 0.5)).toEqual({ due: false, text: 'all done under 1 min ago' });
});
