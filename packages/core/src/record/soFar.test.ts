import { formulation, SHELF } from '../../test/examples';
import { also, begunBatch, event, strike, withEvents } from '../../test/records';
import { USUAL_MEASURES, ownMeasure } from '../words/saying';
import { soFar } from './soFar';

/** NIST Handbook 44, appendix C. */
const TBSP = 14.786764;
const batch = begunBatch(formulation());
const dye = (tbsp: number, written = `${tbsp} tbsp`) => ({
  ...also(batch, {
    material: { kind: 'dye', dyeId: 'blue', stockId: 'blue-1', strengthPercent: 1, lotStrength: 1 },
    amount: tbsp * TBSP,
    unit: 'mL',
  }),
  written,
});
const citric = (grams: number, written: string) => ({
  ...also(batch, {
    material: { kind: 'acid', acid: 'citric', strengthPercent: 100 },
    amount: grams,
    unit: 'g',
  }),
  written,
});

test('the running total is the sum of what stands, in the measure it went in by', () => {
  const back = dye(1);
  const events = [dye(2), dye(1), back, strike(back), citric(13.5, '1 tbsp'), citric(13.5, '1 tbsp')];
  const { dyes, acids } = soFar(withEvents(batch, events), SHELF.dyes);
  expect(dyes).toHaveLength(1);
  expect(dyes[0]?.poured?.value).toBeCloseTo(3 * TBSP, 4);
  expect(ownMeasure(dyes[0]!.poured!, USUAL_MEASURES)).toMatchObject({ words: '3 tbsp', first: true });
  // 3 tbsp of 1 % on 200 g.
  expect(dyes[0]?.dos.value).toBeCloseTo((3 * TBSP) / 200, 5);
  expect(acids.map(({ name, amount }) => [name, amount.value])).toEqual([['citric acid crystals', 27]]);
  expect(ownMeasure(acids[0]!.amount, USUAL_MEASURES)).toMatchObject({ words: '2 tbsp', first: true });
});

test('a splash that nobody measured makes it at least so much', () => {
  const splash = event({
    ...dye(1),
    written: 'a splash',
    act: {
      kind: 'put',
      pass: 'p1',
      line: null,
      purpose: 'unplanned',
      material: { kind: 'dye', dyeId: 'blue', stockId: 'blue-1', strengthPercent: 1, lotStrength: 1 },
      amount: null,
      unit: 'mL',
      into: { vessel: 'pot' },
    },
  });
  const { dyes } = soFar(withEvents(batch, [dye(2), splash]), SHELF.dyes);
  expect(dyes).toMatchObject([{ atLeast: true, poured: { value: expect.closeTo(2 * TBSP, 4) } }]);
});
