import { formulation, SHELF } from '../../test/examples';
import type { MethodKind } from '../method';
import { planFormulation } from '../plan/plan';
import { noticeWords } from '../words/noticeWords';
import { withPassAfter } from './leftInBath';
import { changeMethod, newPass } from './newColorway';
import type { Pass } from './recipe';
import { USUAL_PASS_HEAT, usualSet } from './usualSet';

let count = 0;
const newId = (): string => `id-${(count += 1)}`;
const pass = (kind: MethodKind, changes: Partial<Pass> = {}): Pass => ({
  ...newPass(newId(), kind, SHELF, newId),
  heat: null,
  ...changes,
});
const HEATED = { heat: USUAL_PASS_HEAT };
const KEPT = { water: { basis: 'kept' as const } };

/** What is asked of passes before they are dyed. */
const asked = (passes: Pass[], set = usualSet('simmer')): string[] =>
  planFormulation(formulation({ passes, set }))
    .notices.filter(({ asks }) => asks)
    .map(noticeWords);

test('a pass that nothing heats leaves its dye in the bath that is poured away for the next', () => {
  const cold = pass('immersion');
  expect(asked([cold, pass('immersion')])).toEqual([
    'Nothing heats this pass: most of its dye is still in the bath when the goods come out for pass 2. Heat it, or let the next pass go on in its bath.',
  ]);
  expect(asked([pass('cool bath'), cold, pass('repeated')])).toEqual([
    expect.stringContaining('come out for pass 3'),
  ]);
});

test('not where it is heated, where its bath stays, where its way stands cold, and where powder lies on the goods', () => {
  const next = pass('immersion');
  expect(asked([pass('immersion', HEATED), next])).toEqual([]);
  expect(asked([pass('immersion'), pass('immersion', KEPT)])).toEqual([]);
  expect(asked([pass('cool bath'), next])).toEqual([]);
  expect(asked([pass('sprinkle'), next])).toEqual([]);
  expect(asked([pass('sprinkle')], usualSet('steam'))).toEqual([]);
});

test('the last pass is heated by a simmer in its bath, and left by goods that go to the steam', () => {
  expect(asked([pass('immersion')])).toEqual([]);
  expect(asked([pass('immersion')], usualSet('steam'))).toEqual([
    'Nothing heats this pass: most of its dye is still in the bath when the goods go to the steam. Heat it.',
  ]);
});

test('with a pass after it, the one that had the set for its heat gets heat of its own', () => {
  const [first, last] = [pass('immersion', HEATED), pass('immersion')];
  const set = usualSet('simmer');
  const next = pass('painting');
  expect(withPassAfter({ passes: [first, last], set }, next)).toEqual([
    first,
    { ...last, heat: USUAL_PASS_HEAT },
    next,
  ]);
  const kept = pass('immersion', KEPT);
  expect(withPassAfter({ passes: [last], set }, kept)).toEqual([last, kept]);
  expect(withPassAfter({ passes: [], set }, next)).toEqual([next]);
});

test('a pass of repeated doses begins led hot, and keeps the heat it has', () => {
  expect(newPass('p', 'repeated', SHELF, newId).heat).toEqual(USUAL_PASS_HEAT);
  expect(newPass('p', 'immersion', SHELF, newId).heat).toBeNull();
  expect(changeMethod(pass('immersion'), 'repeated').heat).toEqual(USUAL_PASS_HEAT);
  const hot = pass('immersion', { heat: { ...USUAL_PASS_HEAT, temperatureC: 80 } });
  expect(changeMethod(hot, 'repeated').heat).toEqual(hot.heat);
  expect(changeMethod(hot, 'cool bath').heat).toBeNull();
});
