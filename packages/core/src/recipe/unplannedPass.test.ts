import { BLUE_1, recipe, SHELF } from '../../test/examples';
import { unplannedPass } from './unplannedPass';

let count = 0;
const newId = (): string => `n${(count += 1)}`;
const [before] = recipe().passes;

test('one dye by a way stands in the bath that is there, with a jar of its own', () => {
  const pass = unplannedPass(
    { like: 'way', kind: 'immersion', dyeId: 'blue', percent: 0.5 },
    'kept',
    SHELF,
    newId,
    before,
  );
  expect(pass.water).toEqual({ basis: 'kept' });
  expect(pass.dyes).toMatchObject([
    { dyeId: 'blue', stockId: BLUE_1.id, entry: { school: 'depth', percent: 0.5 } },
  ]);
});

test('a way that dyes in no bath keeps none, and powder that goes on dry comes from no jar', () => {
  const pass = unplannedPass(
    { like: 'way', kind: 'sprinkle', dyeId: 'blue', percent: 0.5 },
    'fresh',
    SHELF,
    newId,
    before,
  );
  expect(pass.water).toEqual({ basis: 'ratio', value: 8 });
  expect(pass.dyes.map(({ stockId }) => stockId)).toEqual([null]);
  const painted = unplannedPass(
    { like: 'way', kind: 'painting', dyeId: 'blue', percent: 0.5 },
    'kept',
    SHELF,
    newId,
    before,
  );
  expect(painted.water.basis).not.toBe('kept');
});

test('a pass once more has ids of its own, and water of its own where it is wanted', () => {
  const kept = { ...before!, water: { basis: 'kept' as const } };
  const fresh = unplannedPass({ like: 'pass', pass: kept }, 'fresh', SHELF, newId);
  expect(fresh.id).not.toBe(kept.id);
  expect(fresh.water).toEqual({ basis: 'ratio', value: 30 });
  expect(unplannedPass({ like: 'pass', pass: before! }, 'fresh', SHELF, newId).water).toEqual(before!.water);
  expect(fresh.dyes.map(({ dyeId }) => dyeId)).toEqual(kept.dyes.map(({ dyeId }) => dyeId));
});
