import { dyeLine, formulation, SHELF } from '../../test/examples';
import { USUAL_SPOONS } from '../units/inSpoons';
import { entryAmount } from './dyeEntry';
import type { School } from './dyeEntrySchema';
import type { Pass } from './recipe';
import { sayDyeIn } from './saidInSchool';

/** One dye on 100 g of wool, from its jar of 1 %. */
const passOf = (line: Parameters<typeof dyeLine>[0]): Pass => ({
  ...formulation().recipe.passes[0]!,
  dyes: [dyeLine(line)],
});
const sayIn = (pass: Pass, to: School, written: Record<string, string> = {}) =>
  sayDyeIn(to, {
    pass,
    lineId: pass.dyes[0]!.id,
    wogGrams: 100,
    from: { ...SHELF, spoons: 'US' },
    written,
    reading: { spoons: 'US', gramsPerTeaspoon: 2.8 },
    spoons: { system: 'US', spoons: USUAL_SPOONS },
  })!;
const depth = (percent: number) => ({ school: 'depth' as const, percent });
const BLUE_LINE = { id: 'd', dyeId: 'blue', entry: depth(0.5), stockId: 'blue-1' };

test('0.5 % on 100 g from a 1 % jar is 50 mL, said as 3 tbsp + 1 1/8 tsp', () => {
  const { pass, written } = sayIn(passOf(BLUE_LINE), 'stock spoons');
  expect(written).toEqual({ 'dyes.d.dosPercent': '0.5', 'dyes.d.stock spoons': '3 tbsp + 1 1/8 tsp' });
  expect(entryAmount(pass.dyes[0]!.entry)).toBeCloseTo(10.125, 6);
});

test('powder too little for any spoon is a number a dyer would write', () => {
  // 0.5 g at 2.8 g a teaspoon are 0.178571 tsp.
  const { pass, written } = sayIn(passOf({ ...BLUE_LINE, stockId: null }), 'powder spoons');
  expect(entryAmount(pass.dyes[0]!.entry)).toBe(0.18);
  expect(written['dyes.d.powder spoons']).toBe('');
});

test('said back, it is what it was', () => {
  const there = sayIn(passOf(BLUE_LINE), 'stock spoons');
  const back = sayIn({ ...passOf(BLUE_LINE), ...there.pass }, 'depth', there.written);
  expect(entryAmount(back.pass.dyes[0]!.entry)).toBe(0.5);
  expect(back.written['dyes.d.dosPercent']).toBe('0.5');
});

test('what was written there before counts no more once the dye was changed', () => {
  const said = sayIn(passOf({ ...BLUE_LINE, entry: depth(1) }), 'stock', { 'dyes.d.stock': '50 mL' });
  expect(entryAmount(said.pass.dyes[0]!.entry)).toBe(100);
  expect(said.written['dyes.d.stock']).toBe('');
});

test('computed amounts have three figures', () =>
  expect(
    entryAmount(sayIn(passOf({ ...BLUE_LINE, entry: depth(0.333_33) }), 'stock').pass.dyes[0]!.entry),
  ).toBe(33.3));

test('no stock without a jar', () =>
  expect(sayIn(passOf({ ...BLUE_LINE, stockId: null }), 'stock')).toBeNull());

test('what was written there before comes back only within a hundredth', () => {
  const at = (percent: number) =>
    sayIn(passOf({ ...BLUE_LINE, entry: depth(percent) }), 'stock', { 'dyes.d.stock': '50.0 mL' });
  // 50.4 mL is near enough to 50, 52 mL is not.
  expect(at(0.504).written['dyes.d.stock']).toBe('50.0 mL');
  expect(at(0.52).written['dyes.d.stock']).toBe('');
  expect(entryAmount(at(0.52).pass.dyes[0]!.entry)).toBe(52);
});

test('spoons that are more than a fiftieth off are said as a number', () => {
  // 0.6 mL of stock is 0.1217 tsp, an eighth of which would be 2.7 % more.
  const { pass, written } = sayIn(passOf({ ...BLUE_LINE, entry: depth(0.006) }), 'stock spoons');
  expect(written['dyes.d.stock spoons']).toBe('');
  expect(entryAmount(pass.dyes[0]!.entry)).toBe(0.12);
});
