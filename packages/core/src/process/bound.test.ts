import { acid, done, goods, hold, lift, move, place, run, split, vessel } from '../../test/acts';
import { AIR_CO2_MOLAR, expectedPh } from '../acid/expectedPh';
import { bathPh } from '../acid/bathPh';
import type { Act } from './act';
import { boundIn } from './bound';
import type { Liquid, State } from './state';

/** A test of what goods carry: 100 g of wool, which hold 82 meq at most, in 3 L with 5 g of acetic acid, soft water. */
const WOOL = { holdsMeq: 82 };
const WATER = { alkalinityMgPerL: 0, countFiberUptake: true };
const bath: Act[] = [goods('a', 100, WOOL), vessel('pot'), run('pot', 3000), acid('pot', 'vinegar', 100)];

const liquidOf = (state: State, id: string): Liquid => state.vessels.get(id)!.liquid;
/** pH of a liquid with no goods in it. */
const pHOf = ({ ml, acids, takenMeq, alkalinityMeq }: Liquid): number =>
  bathPh({
    acids: [{ name: 'acetic', molar: (acids.acetic ?? 0) / 60.052 / (ml / 1000) }],
    strongBase: alkalinityMeq / ml,
    taken: takenMeq / ml,
    airCo2: AIR_CO2_MOLAR,
  });
const pieceOf = (state: State, id = 'a') => state.pieces.get(id)!;

describe('acid that fiber has bound (Steinhardt and Harris 1940, from memory; an estimate)', () => {
  // pH of the bath with the wool in it, by the charge balance of the whole; what is bound follows from it alone.
  const pH = expectedPh([{ material: 'vinegar', pureGrams: 5 }], 3.1, 82, WATER).value;
  const bound = 82 / (1 + 10 ** (0.6 * (pH - 2.45)));

  test('it leaves with the goods, and the bath they leave keeps its pH', () => {
    const state = done([...bath, place('pot', ['a']), hold('pot', 10), lift(1.2)]);
    // 82 ÷ (1 + 10^(0.6 × (3.89 − 2.45))) = 9.9 meq.
    expect(bound).toBeCloseTo(9.9, 1);
    expect(pieceOf(state).boundMeq).toBeCloseTo(bound, 6);
    expect(pHOf(liquidOf(state, 'pot'))).toBeCloseTo(pH, 6);
    // What they hold wet is of the same liquid.
    expect(pHOf(pieceOf(state).held)).toBeCloseTo(pH, 6);
  });

  test('a fresh bath gets it, less what they hold wet: 9.5 meq in 3.12 L', () => {
    const state = done([
      ...bath,
      place('pot', ['a']),
      hold('pot', 10),
      lift(1.2),
      vessel('pan', 'pan'),
      run('pan', 3000),
      place('pan', ['a']),
    ]);
    const { takenMeq, acids, ml } = liquidOf(state, 'pan');
    expect(ml).toBeCloseTo(3120, 9);
    const held = 120 / 3100;
    expect(acids.acetic).toBeCloseTo(5 * held, 9);
    // The 120 mL bring their part of what the fiber took out of 3100.
    expect(takenMeq).toBeCloseTo(bound * held - bound, 6);
    expect(takenMeq).toBeCloseTo(-9.5, 1);
    expect(pieceOf(state).boundMeq).toBe(0);
    const withGoods = expectedPh(
      [{ material: 'vinegar', pureGrams: 5 * held }],
      3.12,
      82,
      WATER,
      takenMeq,
    ).value;
    const nothingBound = expectedPh([{ material: 'vinegar', pureGrams: 5 * held }], 3.12, 82, WATER).value;
    expect(withGoods).toBeLessThan(nothingBound - 0.2);
    expect(82 / (1 + 10 ** (0.6 * (withGoods - 2.45)))).toBeCloseTo(boundIn(state, 'pan').meq, 6);
  });

  test('back in their own bath nothing is missing', () => {
    const state = done([...bath, place('pot', ['a']), hold('pot', 10), lift(1.2), place('pot', ['a'])]);
    expect(liquidOf(state, 'pot').takenMeq).toBeCloseTo(0, 9);
    expect(liquidOf(state, 'pot').acids.acetic).toBeCloseTo(5, 9);
  });

  test('liquid poured off leaves it on the goods that stay', () => {
    const state = done([
      ...bath,
      place('pot', ['a']),
      vessel('pan', 'pan'),
      move('pot', 'pan', { share: 0.5 }),
    ]);
    expect(pHOf(liquidOf(state, 'pan'))).toBeCloseTo(pH, 6);
    expect(boundIn(state, 'pot').meq).toBeCloseTo(bound, 6);
    expect(liquidOf(state, 'pot').takenMeq).toBeCloseTo(-bound / 2, 6);
  });

  test('two halves carry as much as the whole, whoever leaves first', () => {
    const halves = done([
      ...bath,
      split('a', { grams: 50 }, 'b'),
      place('pot', ['a', 'b']),
      lift(1.2, ['b']),
      lift(1.2),
    ]);
    expect(pieceOf(halves).boundMeq).toBeCloseTo(bound / 2, 6);
    expect(pieceOf(halves, 'b').boundMeq).toBeCloseTo(bound / 2, 6);
    expect(pHOf(liquidOf(halves, 'pot'))).toBeCloseTo(pH, 6);
  });

  test('without acid nothing is bound, nor where the studio does not count it', () => {
    const plain = done([
      goods('a', 100, WOOL),
      vessel('pot'),
      run('pot', 3000),
      place('pot', ['a']),
      lift(1.2),
    ]);
    expect(pieceOf(plain).boundMeq).toBe(0);
    const off = done([goods('a', 100), ...bath.slice(1), place('pot', ['a']), lift(1.2)]);
    expect(pieceOf(off).boundMeq).toBe(0);
    expect(liquidOf(off, 'pot').takenMeq).toBe(0);
  });
});

test('nothing is bound where there is no vessel, no liquid, no acid, or nothing that holds any', () => {
  const none = { meq: 0, share: 0 };
  expect(boundIn(done(bath), 'pan')).toEqual(none);
  expect(boundIn(done([goods('a', 100, WOOL), vessel('pot'), place('pot', ['a'])]), 'pot')).toEqual(none);
  expect(boundIn(done([...bath.slice(0, 3), place('pot', ['a'])]), 'pot')).toEqual(none);
  expect(boundIn(done([goods('a', 100), ...bath.slice(1), place('pot', ['a'])]), 'pot')).toEqual(none);
});

test('acid that goods bring into plain water is bound there too', () => {
  const state = done([
    ...[...bath, vessel('pan', 'pan'), place('pot', ['a']), hold('pot', 10), lift(1.2)],
    ...[run('pan', 3000), place('pan', ['a'])],
  ]);
  expect(boundIn(state, 'pan').meq).toBeGreaterThan(0);
});
