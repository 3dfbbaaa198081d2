import { dayAfter, dayOfMoment, startOfDay } from './calendar';

test('a day begins and ends at midnight here, also where the clocks change', () => {
  for (const day of ['2026-03-17', '2026-03-29', '2026-10-25', '2028-02-28', '2026-12-31']) {
    const begins = new Date(startOfDay(day)!);
    expect([begins.getHours(), begins.getMinutes(), begins.getSeconds()]).toEqual([0, 0, 0]);
    expect(dayOfMoment(begins.toISOString())).toBe(day);
    const ends = startOfDay(dayAfter(day))!;
    expect(dayOfMoment(new Date(Date.parse(ends) - 1).toISOString())).toBe(day);
    expect(dayOfMoment(ends)).toBe(dayAfter(day));
  }
  expect(dayAfter('2028-02-28')).toBe('2028-02-29');
  expect(dayAfter('2026-12-31')).toBe('2027-01-01');
});

test('no day is no moment, and a day that is not whole yet neither', () => {
  expect(startOfDay(undefined)).toBeUndefined();
  expect(startOfDay('')).toBeUndefined();
  expect(startOfDay('2026-13-01')).toBeUndefined();
  expect(dayAfter('')).toBeUndefined();
  expect(dayOfMoment(undefined)).toBe('');
});
