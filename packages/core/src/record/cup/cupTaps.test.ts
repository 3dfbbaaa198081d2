import { emptyCup, mixed, withMore } from '../../../test/cups';
import { BLUE, BLUE_1, BLUE_4, RED, RED_1, SHELF } from '../../../test/examples';
import { USUAL_HABITS } from '../../shelf/habits';
import { cupContents, cupLines, ratioWords } from '../../words/cupWords';
import { partOfCup } from '../../words/partOfCup';
import { cupNow } from './cup';
import { cupReach } from './cupReach';
import { spoonTaps } from './cupTaps';
import { isLargePour } from './largePour';
import { cupTotals } from './cupTotals';
import { keepBeforeBlack, noteAtCup, towelTest } from './fillCup';
import { pourAway } from './pourCup';

/** NIST Handbook 44, appendix C. */
const TSP = 4.928922;
const studio = {
  spoons: 'US' as const,
  citricGramsPerTeaspoon: null,
  habits: { ...USUAL_HABITS, spoons: ['cup', 'tsp', 'tbsp', '1/4 tsp'] as (typeof USUAL_HABITS)['spoons'] },
};
const stock = {
  material: { kind: 'dye' as const, dyeId: 'blue', stockId: 'blue-1', strengthPercent: 1, lotStrength: 1 },
  unit: 'mL' as const,
};

test('the spoons of a studio are keys, the largest first; cups are for water', () => {
  const taps = spoonTaps(stock, { studio, dyes: SHELF.dyes });
  expect(taps.map(({ label, tap }) => [label, Number(tap.amount?.toFixed(4)), tap.written])).toEqual([
    ['1 tbsp', 14.7868, '1 tbsp'],
    ['1 tsp', 4.9289, '1 tsp'],
    ['1/4 tsp', 1.2322, '1/4 tsp'],
  ]);
  const water = spoonTaps({ material: { kind: 'water' }, unit: 'mL' }, { studio, dyes: SHELF.dyes });
  expect(water[0]).toMatchObject({ label: '1 cup', tap: { amount: expect.closeTo(236.588, 2) } });
});

test('a spoon of powder weighs what that powder’s spoon does', () => {
  const powder = { ...stock.material, stockId: null, strengthPercent: null };
  const weighed = [{ ...BLUE, gramsPerTeaspoon: 3.2 }, RED];
  const [tbsp] = spoonTaps({ material: powder, unit: 'g' }, { studio, dyes: weighed });
  expect(tbsp?.tap).toMatchObject({ unit: 'g', amount: expect.closeTo(9.6, 6), written: '1 tbsp' });
});

test('in reach stand the jars of the dyes that are mixed from, nothing changes place, and acid is not among them', () => {
  const habits = { ...studio.habits, primaries: { ...USUAL_HABITS.primaries, magenta: 'red' } };
  const shelf = { ...SHELF, stockLeft: {}, studio: { ...studio, habits } } as never;
  const keys = (record = emptyCup()) => cupReach(cupNow(record), shelf).keys.map(({ key }) => key);
  expect(keys()).toEqual(['jar-red-1', 'jar-blue-1', 'jar-blue-4', 'water']);
  expect(keys(mixed(emptyCup(), [['tbsp', BLUE_4, BLUE]]))).toEqual(keys());
  const { others } = cupReach(cupNow(emptyCup()), shelf);
  expect(others.every(({ material }) => material.kind === 'dye')).toBe(true);
  // An empty jar is not in reach, but what went into the cup from it is.
  const empty = { ...SHELF, stockLeft: { 'blue-4': 0 }, studio: { ...studio, habits } } as never;
  expect(cupReach(cupNow(emptyCup()), empty).keys.map(({ key }) => key)).not.toContain('jar-blue-4');
  expect(
    cupReach(cupNow(mixed(emptyCup(), [['tbsp', BLUE_4, BLUE]])), empty).keys.map(({ key }) => key),
  ).toContain('jar-blue-4');
});

test('of several jars of a dye that is mixed from, the one nearest to 1 % comes first', () => {
  const habits = { ...studio.habits, primaries: { ...USUAL_HABITS.primaries, cyan: 'blue' } };
  const shelf = { ...SHELF, stocks: [BLUE_4, RED_1, BLUE_1], stockLeft: {}, studio: { ...studio, habits } };
  expect(cupReach(cupNow(emptyCup()), shelf as never).keys[0]?.key).toBe('jar-blue-1');
});

test('a large pour is one of 50 mL of stock or 5 g of powder; water is none', () => {
  const tap = (amount: number, unit: 'mL' | 'g') => ({ ...stock, unit, amount, written: '' });
  expect([49.9, 50].map((ml) => isLargePour(tap(ml, 'mL')))).toEqual([false, true]);
  expect([4.9, 5].map((g) => isLargePour(tap(g, 'g')))).toEqual([false, true]);
  expect(isLargePour({ material: { kind: 'water' }, unit: 'mL', amount: 900, written: '' })).toBe(false);
  expect(isLargePour({ ...tap(1, 'mL'), amount: null, written: 'a splash' })).toBe(false);
});

test('a cup in words: what is in it, to each other, and what happened', () => {
  const record = mixed(emptyCup(), [
    ['tbsp', BLUE_1, BLUE],
    ['tsp', RED_1, RED],
  ]);
  const cup = cupNow(
    withMore(record, keepBeforeBlack(cupNow(record)), towelTest('too red'), noteAtCup(' by the window ')),
  );
  expect(ratioWords(cupTotals(cup, SHELF.dyes))).toBe('3 : 1');
  expect(cupContents(cup, SHELF.dyes)).toBe('19.7 mL of Vault Blue, Bell Red');
  expect(cupTotals(cup, SHELF.dyes).ml.value).toBeCloseTo(4 * TSP, 4);
  const gone = cupNow(withMore(record, pourAway(cup)));
  expect(cupLines(cup, SHELF.dyes).map(({ words }) => words)).toEqual([
    '+ 1 tbsp Vault Blue 1 %',
    '+ 1 tsp Bell Red 1 %',
    'Kept as it is before black',
    'Towel: too red',
    'Note: by the window',
  ]);
  expect(cupLines(gone, SHELF.dyes).at(-1)?.words).toBe('All of the cup poured away');
  expect([1, 0.5, 1 / 3, 0.4].map(partOfCup)).toEqual([
    'All of the cup',
    'Half of the cup',
    'A third of the cup',
    '40 % of the cup',
  ]);
});
