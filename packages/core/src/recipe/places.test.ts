import { depth, SHELF } from '../../test/examples';
import { sectionsOf, type MethodKind } from '../method';
import { changeWay, newColorway, newPass, newStepsPass } from './newColorway';
import { usualSet } from './usualSet';
import { canLeaveOutPlace, placesWord, withBothEnds, withNewPlace, withoutPlace, withPlace } from './places';
import { passSchema, recipeSchema, type Pass } from './recipe';

const pass = (kind: MethodKind, method: object = {}, changes: object = {}): Pass => {
  let n = 0;
  const made = newPass('p', kind, SHELF, () => `n${(n += 1)}`);
  return passSchema.parse({ ...made, ...changes, method: { ...made.method, ...method } });
};
const shares = ({ method }: Pick<Pass, 'method'>): number[] =>
  sectionsOf(method).map(({ sharePercent }) => sharePercent);

test('a new section takes what is left, or an even share from the others', () => {
  const halves = [
    { id: 'a', name: 'A', sharePercent: 30 },
    { id: 'b', name: 'B', sharePercent: 30 },
  ];
  expect(shares(withNewPlace(pass('painting', { sections: halves }), 'c'))).toEqual([30, 30, 40]);
  expect(shares(withNewPlace(pass('painting'), 'c'))).toEqual([33.33, 33.33, 33.33]);
});

test('zones of a pan leave white on purpose; doses reach all of the goods', () => {
  const zones = [1, 2, 3].reduce<Pass>(
    (now, n) => ({ ...now, ...withNewPlace(now, `z${n}`) }),
    pass('low immersion'),
  );
  expect(shares(zones)).toEqual([33.3333, 33.3333, 33.33]);
  expect(passSchema.safeParse(zones).success).toBe(true);
  const doses = [1, 2].reduce<Pass>(
    (now, n) => ({ ...now, ...withNewPlace(now, `d${n}`) }),
    pass('repeated'),
  );
  expect(shares(doses)).toEqual([100, 100]);
  expect(sectionsOf(doses.method).map(({ name }) => name)).toEqual(['Dose 1', 'Dose 2']);
});

test('both ends share the length; without one of them the other is dipped alone', () => {
  const both: Pass = {
    ...pass('dip', { sharePercent: 60 }),
    ...withBothEnds(pass('dip', { sharePercent: 60 }), ['x', 'y']),
  };
  expect(shares(both)).toEqual([50, 50]);
  const other = withPlace(both, 'y', { sharePercent: 30 });
  expect(shares(other)).toEqual([50, 30]);
  const alone = withoutPlace({ ...both, ...other, dyes: [depth('d', 'blue', 1, 'blue-1', 'y')] }, 'x');
  expect(alone.method).toMatchObject({ kind: 'dip', sharePercent: 30, sections: [] });
  expect(alone.dyes).toEqual([depth('d', 'blue', 1, 'blue-1', null)]);
});

test('a place goes with its dyes; when those were all, one of them goes to what is left', () => {
  const painted = pass(
    'painting',
    {},
    { dyes: [depth('1', 'blue', 1, null, 'a'), depth('2', 'red', 1, null, 'b')] },
  );
  expect(withoutPlace(painted, 'a').dyes.map(({ id }) => id)).toEqual(['2']);
  const one = withoutPlace({ ...painted, dyes: [depth('1', 'blue', 1, null, 'a')] }, 'a');
  expect(one.dyes).toEqual([depth('1', 'blue', 1, null, 'b')]);
  expect(canLeaveOutPlace({ method: one.method })).toBe(false);
  expect(canLeaveOutPlace(pass('low immersion'))).toBe(true);
});

test('a way without places keeps having none', () => {
  expect(placesWord('immersion')).toBeNull();
  expect(withNewPlace(pass('immersion'), 'x').method).toEqual(pass('immersion').method);
  expect(placesWord('dip')).toMatchObject({ word: 'end', most: 2 });
});

test('painted goods are steamed, as long as nobody decided on the set', () => {
  let n = 0;
  const { recipe } = newColorway('c', SHELF, () => `n${(n += 1)}`);
  const [first] = recipe.passes;
  expect(changeWay(recipe, first!.id, 'painting')).toMatchObject({
    passes: [{ method: { kind: 'painting' } }],
    set: usualSet('steam'),
  });
  const decided = { ...recipe, set: { ...recipe.set, minutes: 40 } };
  expect(changeWay(decided, first!.id, 'painting').set).toEqual(decided.set);
  expect(changeWay(recipe, first!.id, 'glaze').set).toEqual(recipe.set);
});

test('steps without dye come after a pass and use its bath', () => {
  let n = 0;
  const { recipe } = newColorway('c', SHELF, () => `n${(n += 1)}`);
  const steps = newStepsPass('s', recipe.passes[0]!);
  expect(steps).toMatchObject({ dyes: [], acids: [], water: { basis: 'kept' }, method: { kind: 'own way' } });
  expect(recipeSchema.safeParse({ ...recipe, passes: [...recipe.passes, steps] }).success).toBe(true);
});
