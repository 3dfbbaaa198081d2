import {
  HANDLING_C,
  SET_METHOD_NAMES,
  setMethodFacts,
  USUAL_RISE_C_PER_MIN,
  type SetMethod,
} from './setMethods';
import { setWindow } from './setWindow';

describe('usual settings (common practice, no source)', () => {
  test('steam 15-30 min, oven about 93 °C for 30 min, simmer hold 20-30 min, warm rest at about 30 °C', () => {
    expect(setMethodFacts('steam').usualMinutes).toBeGreaterThanOrEqual(15);
    expect(setMethodFacts('steam').usualMinutes).toBeLessThanOrEqual(30);
    expect(setMethodFacts('oven')).toMatchObject({ usualC: 93, usualMinutes: 30 });
    expect(setMethodFacts('simmer').usualMinutes).toBeGreaterThanOrEqual(20);
    expect(setMethodFacts('simmer').usualMinutes).toBeLessThanOrEqual(30);
    expect(setMethodFacts('warm rest').usualC).toBe(30);
  });
  // What each can hold, °C; usual °C, minutes, minutes of cooling in place, minutes until it is hot.
  test.each<[SetMethod, [number, number], number[]]>([
    ['simmer', [60, 100], [88, 25, 120]],
    ['steam', [80, 100], [98, 25, 60, 15]],
    ['oven', [80, 110], [93, 30, 90, 20]],
    // Four minutes a side.
    ['microwave', [80, 100], [95, 2 * 4, 45, 0]],
    // Overnight.
    ['warm rest', [25, 60], [30, 12 * 60, 0, 0]],
  ])('%s', (name, range, [usualC, usualMinutes, usualCoolMinutes, riseMinutes]) => {
    const facts = setMethodFacts(name);
    expect(facts).toMatchObject({ range, usualC, usualMinutes, usualCoolMinutes });
    expect(facts.riseMinutes).toBe(riseMinutes);
  });
  test('goods are handled below 40 °C, and a pot rises by 1.5 °C a minute', () =>
    expect([HANDLING_C, USUAL_RISE_C_PER_MIN]).toEqual([40, 1.5]));
  test('every method’s usual temperature lies in its own range', () => {
    for (const name of SET_METHOD_NAMES) {
      const { range, usualC } = setMethodFacts(name);
      expect([name, usualC >= range[0] && usualC <= range[1]]).toEqual([name, true]);
    }
  });
  test('a warm rest is never presented as equal to a heat set', () =>
    expect(setMethodFacts('warm rest').confidence).toMatch(/Not equal/));
});

test('wool and nylon set at 85-98 °C; silk in the pot lowers the ceiling to 88 °C', () => {
  expect(setWindow([{ fiber: 'wool', percent: 100 }])).toMatchObject({ low: 85, high: 98 });
  expect(
    setWindow([
      { fiber: 'wool', percent: 70 },
      { fiber: 'silk', percent: 30 },
    ]),
  ).toEqual({ low: 75, high: 88, limitedBy: 'silk' });
  // Whichever stands first.
  expect(
    setWindow([
      { fiber: 'silk', percent: 30 },
      { fiber: 'wool', percent: 70 },
    ]),
  ).toEqual({ low: 75, high: 88, limitedBy: 'silk' });
  expect(setWindow([{ fiber: 'cotton', percent: 100 }])).toBeUndefined();
});
