import { formulation, SHELF } from '../../test/examples';
import { begunBatch } from '../../test/records';
import type { Stock } from '../shelf/stock';
import { jarToMake } from './jarToMake';
import { lineWords } from './lineWords';

const jar = (given: Partial<Stock>): readonly Stock[] =>
  SHELF.stocks.map((stock) => ({ ...stock, madeOn: null, weighedGrams: null, ...given }));
const batch = begunBatch(formulation());
const pour = batch.card.acts.find(({ id }) => id === 'p1.dye.d1')!;

describe('how the stock of a pour is made', () => {
  test('so much powder for the next full 100 mL that the pour needs', () => {
    // 200 mL of 1 %: 1 g in every 100 mL (common practice, no source).
    expect(jarToMake(pour.act, jar({}))).toMatch(/dissolve 2 g of powder .* fill up to 200 mL/);
    const less = { ...pour.act, amount: 3 } as typeof pour.act;
    expect(jarToMake(less, jar({}))).toMatch(/dissolve 1 g of powder .* fill up to 100 mL/);
    const more = { ...pour.act, amount: 201 } as typeof pour.act;
    expect(jarToMake(more, jar({}))).toMatch(/dissolve 3 g of powder .* fill up to 300 mL/);
  });
  test('at the strength that was planned', () => {
    const act = structuredClone(pour.act);
    if (act.kind === 'put' && act.material.kind === 'dye') act.material.strengthPercent = 4;
    // 4 g per 100 mL is 4 % (common practice, no source).
    expect(jarToMake(act, jar({}))).toMatch(/dissolve 8 g of powder .* fill up to 200 mL/);
  });
  test('is not told of a jar that was made, nor of powder, nor of what is no pour', () => {
    expect(jarToMake(pour.act, jar({ madeOn: '2026-09-02' }))).toBeNull();
    expect(jarToMake(pour.act, jar({ weighedGrams: 2.13 }))).toBeNull();
    expect(jarToMake(pour.act, [])).toBeNull();
    const others = batch.card.acts.filter(({ act }) => act.kind !== 'put' || act.material.kind !== 'dye');
    expect(others.length).toBeGreaterThan(5);
    for (const { act } of others) expect(jarToMake(act, jar({}))).toBeNull();
    const powder = { ...pour.act, unit: 'g', amount: 2 } as typeof pour.act;
    expect(jarToMake(powder, jar({}))).toBeNull();
  });
  test('stands on the card before what is known of the dye', () => {
    const formulated = { ...batch.formulation, stocks: [...jar({})] };
    const { detail } = lineWords(pour, { batch: { ...batch, formulation: formulated }, dyes: SHELF.dyes });
    expect(detail).toMatch(/^This jar has no date\. Still to be made: mask, gloves and eye cover on/);
  });
});
