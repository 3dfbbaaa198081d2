import { seededStream, strands } from './strands';

const shades = (unevenness: number): number[] => strands(200, unevenness, 'x').map(({ shade }) => shade);
const spread = (values: number[]): number => Math.max(...values) - Math.min(...values);

test('the same recipe always draws the same hank, another one a different hank', () => {
  expect(strands(24, 0.3, 'a')).toEqual(strands(24, 0.3, 'a'));
  expect(strands(24, 0.3, 'a')).not.toEqual(strands(24, 0.3, 'b'));
});

test('strands lie across the hank in order, and average the shade they stand for', () => {
  const drawn = strands(200, 0.2, 'x');
  expect(drawn.map((strand) => strand.across)).toEqual(
    drawn.map((strand) => strand.across).toSorted((a, b) => a - b),
  );
  expect([drawn[0]?.across, drawn.at(-1)?.across]).toEqual([0, 1]);
  expect(shades(0.2).reduce((sum, shade) => sum + shade, 0) / 200).toBeCloseTo(1, 1);
});

test('a tonal hank varies more than a level one', () =>
  expect(spread(shades(1))).toBeGreaterThan(2 * spread(shades(0))));

test('one strand lies in the middle', () => expect(strands(1, 0, 'x')[0]?.across).toBe(0.5));

test('the stream stays in 0..1 and fills it evenly', () => {
  const next = seededStream('even');
  const values = Array.from({ length: 4000 }, next);
  expect(values.every((value) => value >= 0 && value < 1)).toBe(true);
  expect(values.reduce((sum, value) => sum + value, 0) / values.length).toBeCloseTo(0.5, 1);
});
