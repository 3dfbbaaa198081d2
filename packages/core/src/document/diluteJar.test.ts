import { BLUE_1 } from '../../test/examples';
import { stockSchema } from '../shelf/stock';
import { diluteJar } from './diluteJar';

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
