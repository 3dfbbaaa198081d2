import { BLUE_1 } from '../../test/examples';
import { stockSchema } from '../shelf/stock';
import { diluteJar, planDilution, type Dilution } from './diluteJar';

const now = { id: 'thinner', today: '2026-11-26' };

test('with more water in it a jar is another one, and the one before is retired and empty of what went on', () => {
  // 500 mL were made, 300 are left; 300 mL of water make 600 mL of half the strength.
  const { before, made } = diluteJar(BLUE_1, 300, { kind: 'water', addedMl: 300 }, 0.5, now);
  expect(made).toMatchObject({
    id: 'thinner',
    dyeId: 'blue',
    strengthPercent: 0.5,
    volumeMl: 600,
    retired: false,
  });
  expect(before).toMatchObject({ id: BLUE_1.id, strengthPercent: 1, volumeMl: 200, retired: true });
  expect(stockSchema.safeParse(made).success && stockSchema.safeParse(before).success).toBe(true);
});

test('what was taken to be made up is gone from its jar, which stays', () => {
  const { before, made } = diluteJar(BLUE_1, 500, { kind: 'made up', takenMl: 30, wholeMl: 240 }, 0.125, now);
  expect(made).toMatchObject({ volumeMl: 240, strengthPercent: 0.125 });
  expect(before).toMatchObject({ volumeMl: 470, retired: false });
});

test.each<[string, number, Dilution, string | number]>([
  ['as much water as stock is half', 300, { kind: 'water', addedMl: 300 }, 0.5],
  ['an eighth', 300, { kind: 'made up', takenMl: 30, wholeMl: 240 }, 0.125],
  ['an empty jar', 0, { kind: 'water', addedMl: 300 }, 'This jar is empty.'],
  [
    'more than there is',
    20,
    { kind: 'made up', takenMl: 30, wholeMl: 240 },
    'The jar holds 20 mL, less than that.',
  ],
  [
    'less in the end than taken',
    300,
    { kind: 'made up', takenMl: 30, wholeMl: 20 },
    'Made up to less than was taken: say how much it is to be in the end.',
  ],
])('%s', (_, leftMl, dilution, comes) => {
  const planned = planDilution(BLUE_1, leftMl, dilution, 'US');
  expect(typeof planned === 'string' ? planned : planned.strength.value).toBe(comes);
});
