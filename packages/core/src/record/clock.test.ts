import { formulation, SHELF } from '../../test/examples';
import { asPlanned, AT, begin, begunBatch } from '../../test/records';
import { clockTime, dueAtOf, momentWords, potClock } from './clock';
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

test('thirty minutes that have just begun are thirty, though the clocks are seconds apart', () => {
  for (const seconds of [-20, -5, 0, 5, 20])
    expect(clock([begun], seconds / 60)).toEqual({ due: false, text: '30 min left' });
  const [line] = recordState(batch, [begun], SHELF.dyes).lines.filter(({ status }) => status === 'running');
  expect(dueAtOf(line!, after(-0.1))).toMatchObject({ left: '30 min' });
});

test('over a day the day is said, and a time that is not today has its date', () => {
  const long = begunBatch(formulation({ wettingMinutes: 2 * 24 * 60 + 3 * 60 }));
  const running = potClock(recordState(long, [begin(long, 'p1.stand.soak')], SHELF.dyes), after(0));
  expect(running.text).toBe('2 days 3 h left');
  expect(momentWords(AT, Date.parse(AT) + 60_000)).toBe(clockTime(AT));
  expect(momentWords(AT, Date.parse(AT) + 3 * 24 * 3_600_000)).toBe(`${clockTime(AT)} on 1 Mar 2026`);
});

test('a pot that stands ready tells since when', () => {
  expect(clock([], 75)).toEqual({ due: false, text: 'ready, 1 h 15 min since the last step' });
});

test('a pot that is through says so', () => {
  expect(clock(asPlanned(batch), 0.5)).toEqual({ due: false, text: 'all done under 1 min ago' });
});
