import fc from 'fast-check';
import { emptyCup, mixed, spoonOf, withMore } from '../../../test/cups';
import { BLUE, BLUE_1, BLUE_4, formulation, RED, RED_1, SHELF } from '../../../test/examples';
import { begunBatch, event } from '../../../test/records';
import { refusal } from '../../../test/refusal';
import { apply } from '../../process/apply';
import { emptyState } from '../../process/state';
import type { Spoon } from '../../units/inSpoons';
import { actualRecipe } from '../actualRecipe';
import type { Batch } from '../batch';
import { ledgerOf } from '../jarLedger';
import { strikeOut, type NewEvent } from '../newEvent';
import { admitCup } from './admitCup';
import { cupMl, cupNow, isEmptyCup, type CupRecord } from './cup';
import { cupTotals } from './cupTotals';
import { addToCup, beginCup, keepBeforeBlack, towelTest } from './fillCup';
import { keepCup } from './keepCup';
import { pourAway, pourCup, takenBack } from './pourCup';

const US = { system: 'US', spoons: ['tbsp', 'tsp', '1/2 tsp', '1/4 tsp'] } as const;
/** NIST Handbook 44, appendix C: a US teaspoon is 4.928 922 mL, a tablespoon three of them. */
const TSP = 4.928922;
const TBSP = 3 * TSP;
const KEPT_AS = { name: 'Weathercock', dyeId: 'mix', stockId: 'mix-1', today: '2026-11-27' };

/** 3 tbsp + 1 tsp of blue, 2 tbsp of red, 1/2 tsp of the strong blue as its black. */
const mixedCup = (): CupRecord =>
  mixed(emptyCup(), [
    ['tbsp', BLUE_1, BLUE],
    ['tbsp', BLUE_1, BLUE],
    ['tbsp', RED_1, RED],
    ['tbsp', BLUE_1, BLUE],
    ['tsp', BLUE_1, BLUE],
    ['tbsp', RED_1, RED],
    ['1/2 tsp', BLUE_4, BLUE],
  ]);

describe('a cup', () => {
  test('is the sum of its additions, against NIST spoons', () => {
    const cup = cupNow(mixedCup());
    const totals = cupTotals(cup, SHELF.dyes);
    // 3 tbsp + 1 tsp are 10 tsp, 2 tbsp are 6, 1/2 tsp: 16.5 tsp = 81.327 mL.
    expect(totals.ml.value).toBeCloseTo(16.5 * TSP, 4);
    // 1 % of 16 tsp and 4 % of half a one.
    expect(totals.grams.value).toBeCloseTo((16 * TSP * 1 + 0.5 * TSP * 4) / 100, 6);
    expect(totals.dos?.value).toBeCloseTo((16 * TSP + 2 * TSP) / 100, 6);
    expect(totals.dyes.map(({ dyeId, part }) => [dyeId, part.amount])).toEqual([
      ['blue', expect.closeTo(10 * TSP, 4)],
      ['red', expect.closeTo(6 * TSP, 4)],
      ['blue', expect.closeTo(0.5 * TSP, 4)],
    ]);
    // 10 : 6 : 2 in powder.
    expect(totals.dyes.map(({ parts }) => Number(parts.value.toFixed(6)))).toEqual([5, 3, 1]);
    expect(totals.strength?.value).toBeCloseTo((100 * 18) / 1650, 6);
    for (const figure of [totals.ml, totals.grams, totals.dos!, totals.strength!])
      expect(figure.because).not.toMatch(/NaN|undefined/);
  });

  test('an addition is taken back, and is as if it had never been put in', () => {
    const record = mixedCup();
    const last = record.events.at(-1)!;
    const without = withMore(record, strikeOut(last));
    expect(cupNow(without).additions).toHaveLength(6);
    expect(cupTotals(cupNow(without), SHELF.dyes).ml.value).toBeCloseTo(16 * TSP, 4);
    expect(ledgerOf(without.events).reduce((sum, { ml }) => sum + ml, 0)).toBeCloseTo(16 * TSP, 4);
  });

  test('is kept as it was before black, and its looks stand in order', () => {
    let record = mixed(emptyCup(), [
      ['tbsp', BLUE_1, BLUE],
      ['tbsp', RED_1, RED],
    ]);
    record = withMore(record, keepBeforeBlack(cupNow(record)));
    record = withMore(mixed(record, [['1/2 tsp', BLUE_4, BLUE]]), towelTest(' browner than wanted '));
    const cup = cupNow(record);
    expect(cup.beforeBlack?.parts.map(({ amount }) => amount)).toEqual([
      expect.closeTo(TBSP, 4),
      expect.closeTo(TBSP, 4),
    ]);
    expect(cupMl({ parts: cup.beforeBlack!.parts })).toBeCloseTo(2 * TBSP, 4);
    expect(cup.looks.map(({ answer }) => answer)).toEqual(['before black', 'browner than wanted']);
    expect(cup.parts).toHaveLength(3);
  });

  test('what nobody measured is kept in words, and the depth is at least the rest', () => {
    const record = mixed(emptyCup(), [['tbsp', BLUE_1, BLUE]]);
    const splash = addToCup(cupNow(record), {
      material: { kind: 'dye', dyeId: 'red', stockId: 'red-1', strengthPercent: 1, lotStrength: 1 },
      unit: 'mL',
      amount: null,
      written: 'a splash',
    });
    const cup = cupNow(withMore(record, splash));
    expect(cup.unmeasured).toMatchObject([{ written: 'a splash' }]);
    expect(cupTotals(cup, SHELF.dyes)).toMatchObject({
      atLeast: true,
      ml: { value: expect.closeTo(TBSP, 4) },
    });
    expect(refusal(() => keepCup(cup, 1, KEPT_AS, SHELF.dyes))).toMatch(/Nobody measured “a splash”/);
  });

  test('powder by the spoon has a weight and no volume', () => {
    const record = withMore(
      emptyCup(),
      addToCup(cupNow(emptyCup()), {
        material: { kind: 'dye', dyeId: 'blue', stockId: null, strengthPercent: null, lotStrength: 1 },
        unit: 'g',
        amount: 0.4,
        written: '1/8 tsp',
      }),
    );
    const totals = cupTotals(cupNow(record), SHELF.dyes);
    expect(totals).toMatchObject({
      ml: { value: 0 },
      grams: { value: 0.4 },
      dos: { value: 0.4 },
      strength: null,
    });
    const kept = keepCup(cupNow(record), 1, KEPT_AS, SHELF.dyes);
    expect(kept).toMatchObject({ dye: null, stock: null });
  });
});

const batch: Batch = begunBatch(formulation());
const intoBath = { batch, pass: 'p1', place: null };
const inBatch = (events: readonly NewEvent[]): Batch => ({
  ...batch,
  events: events.map((one) => event(one)),
});

describe('a cup poured', () => {
  test('whole: one addition a dye, said as it was spooned, and no jar gives it twice', () => {
    const record = mixedCup();
    const pour = pourCup(cupNow(record), 1, intoBath, US);
    const dyed = inBatch(pour.batch);
    expect(
      dyed.events.map((one) =>
        one.kind === 'act' && one.act.kind === 'put' ? [one.act.amount, one.written] : [],
      ),
    ).toEqual([
      [expect.closeTo(10 * TSP, 4), '3 tbsp + 1 tsp'],
      [expect.closeTo(6 * TSP, 4), '2 tbsp'],
      [expect.closeTo(0.5 * TSP, 4), '1/2 tsp'],
    ]);
    expect(ledgerOf(dyed.events)).toEqual([]);
    // 10 tsp at 1 % and 0.5 tsp at 4 % on 200 g.
    const { dyes } = actualRecipe(dyed, SHELF.dyes);
    expect(dyes.map(({ dyeId, grams }) => [dyeId, grams.value])).toEqual([
      ['blue', expect.closeTo((12 * TSP) / 100, 6)],
      ['red', expect.closeTo((6 * TSP) / 100, 6)],
    ]);
    expect(isEmptyCup(cupNow(withMore(record, pour.cup)))).toBe(true);
  });

  test('a pour that is taken back at the cup is taken back in the pot as well', () => {
    const record = mixedCup();
    const pour = pourCup(cupNow(record), 1, intoBath, US);
    const dyed = inBatch(pour.batch);
    const poured = withMore(record, { ...pour.cup, entries: dyed.events.map(({ id }) => id) });
    const last = poured.events.at(-1)!;
    const back = takenBack(cupNow(poured), last.id);
    expect(cupMl(cupNow(withMore(poured, ...back.cup)))).toBeCloseTo(16.5 * TSP, 4);
    expect(back.batch?.id).toBe('b1');
    const undone = { ...dyed, events: [...dyed.events, ...back.batch!.events.map((one) => event(one))] };
    expect(actualRecipe(undone, SHELF.dyes).dyes).toEqual([]);
    // A spoon taken back concerns no pot.
    expect(takenBack(cupNow(poured), record.events.at(-1)!.id).batch).toBeNull();
  });

  test('half of it takes half of everything, said in spoons where it comes out even', () => {
    const record = mixedCup();
    const pour = pourCup(cupNow(record), 0.5, intoBath, US);
    expect(pour.batch.map((one) => (one.kind === 'act' ? one.written : ''))).toEqual([
      '1 tbsp + 2 tsp',
      '1 tbsp',
      '1/4 tsp',
    ]);
    expect(cupMl(cupNow(withMore(record, pour.cup)))).toBeCloseTo(8.25 * TSP, 4);
  });

  test('not twice, not more than whole, not empty', () => {
    const record = mixedCup();
    const pour = pourCup(cupNow(record), 1, intoBath, US);
    const empty = cupNow(withMore(record, pour.cup));
    expect(refusal(() => pourCup(empty, 1, intoBath, US))).toMatch(
      /The cup is empty: it went into Vesper bell, 26-001/,
    );
    expect(refusal(() => pourCup(cupNow(record), 1.2, intoBath, US))).toMatch(/more than the whole cup/);
    expect(refusal(() => pourCup(cupNow(record), 0, intoBath, US))).toMatch(/more than nothing/);
    expect(refusal(() => pourAway(cupNow(emptyCup())))).toMatch(/Put something in first/);
    expect(refusal(() => keepCup(cupNow(emptyCup()), 1, KEPT_AS, SHELF.dyes))).toMatch(
      /Put something in first/,
    );
  });

  test('never runs over, with the way out said', () => {
    const full = mixed(emptyCup(20), [['tbsp', BLUE_1, BLUE]]);
    expect(refusal(() => spoonOf(cupNow(full), 'tbsp', BLUE_1, BLUE))).toMatch(
      /That would be 29\.6 mL, and the cup holds 20 mL\. Pour some/,
    );
    expect(refusal(() => spoonOf(cupNow(full), 'tsp', BLUE_1, BLUE))).toBe('nothing refused');
  });
});

describe('the rest of a cup', () => {
  test('is a jar of its own, with the strength it really has and its powders in parts', () => {
    const record = mixedCup();
    const half = withMore(record, pourCup(cupNow(record), 0.5, intoBath, US).cup);
    const kept = keepCup(cupNow(half), 1, KEPT_AS, SHELF.dyes);
    // 18 tsp-percent in 16.5 tsp; blue 12 of them, red 6.
    expect(kept.stock).toMatchObject({
      dyeId: 'mix',
      strengthPercent: expect.closeTo(18 / 16.5, 5),
      volumeMl: expect.closeTo(8.25 * TSP, 3),
      madeOn: '2026-11-27',
    });
    expect(kept.dye?.madeOf).toEqual([
      { dyeId: 'blue', parts: expect.closeTo(66.6667, 3) },
      { dyeId: 'red', parts: expect.closeTo(33.3333, 3) },
    ]);
    expect(kept.dye?.lotStrength).toBe(1);
    expect(isEmptyCup(cupNow(withMore(half, kept)))).toBe(true);
  });

  test('of one dye is a jar of that dye', () => {
    const record = mixed(emptyCup(), [['tbsp', BLUE_1, BLUE]]);
    const watered = withMore(
      record,
      addToCup(cupNow(record), { material: { kind: 'water' }, unit: 'mL', amount: TBSP, written: '1 tbsp' }),
    );
    expect(keepCup(cupNow(watered), 1, KEPT_AS, SHELF.dyes)).toMatchObject({
      dye: null,
      stock: { dyeId: 'blue', strengthPercent: expect.closeTo(0.5, 4) },
    });
  });
});

test('what joins the record of a cup', () => {
  const first = emptyCup();
  const admit = (one: NewEvent, to: CupRecord = first) =>
    refusal(() => admitCup(withMore({ id: 'c1', events: [] }, one).events[0]!, to, SHELF));
  const none: CupRecord = { id: 'c1', events: [] };
  expect(admit(beginCup('A cup', null), none)).toBe('nothing refused');
  expect(admit(towelTest('red'), none)).toMatch(/begins with the mixing cup/);
  expect(admit(spoonOf(cupNow(first), 'tbsp', BLUE_1, BLUE))).toBe('nothing refused');
  expect(admit(spoonOf(cupNow(first), 'tbsp', { ...BLUE_1, id: 'gone' }, BLUE))).toMatch(/no jar/);
  expect(admit(strikeOut(first.events[0]!))).toMatch(/The cup itself stays/);
  expect(admit(strikeOut(first.events[1]!))).toBe('nothing refused');
  expect(admit(pourAway(cupNow(mixedCup())))).toMatch(/Put something in first/);
  expect(
    admit({ kind: 'closed', outcome: 'as wanted' as never, standing: 'trial' as never, note: '' }),
  ).toMatch(/belongs to a batch/);
});

/** Any spoons, waters, pours and keepings, in any order. */
const anything = fc.array(
  fc.oneof(
    fc.record({
      do: fc.constant('spoon' as const),
      which: fc.nat(2),
      spoon: fc.constantFrom<Spoon>('tbsp', 'tsp', '1/4 tsp'),
    }),
    fc.record({ do: fc.constant('water' as const), ml: fc.integer({ min: 1, max: 200 }) }),
    fc.record({ do: fc.constant('pour' as const), share: fc.double({ min: 0.01, max: 1, noNaN: true }) }),
    fc.record({ do: fc.constant('keep' as const), share: fc.double({ min: 0.01, max: 1, noNaN: true }) }),
  ),
  { minLength: 2, maxLength: 24 },
);

test('over cup, pot and kept jar nothing is lost and nothing comes from nowhere', () => {
  const jars = [
    [BLUE_1, BLUE],
    [RED_1, RED],
    [BLUE_4, BLUE],
  ] as const;
  let [pours, keeps] = [0, 0];
  fc.assert(
    fc.property(anything, (list) => {
      let record = emptyCup(null);
      const into = { ml: 0, grams: 0 };
      const out = { ml: 0, grams: 0 };
      for (const one of list) {
        const cup = cupNow(record);
        if (one.do === 'spoon') record = mixed(record, [[one.spoon, ...jars[one.which]!]]);
        else if (one.do === 'water')
          record = withMore(
            record,
            addToCup(cup, { material: { kind: 'water' }, unit: 'mL', amount: one.ml, written: '' }),
          );
        else if (isEmptyCup(cup)) continue;
        else if (one.do === 'pour') {
          const pour = pourCup(cup, one.share, intoBath, US);
          for (const entry of pour.batch) {
            if (entry.kind !== 'act') continue;
            const { act } = entry;
            if (act.kind === 'run') out.ml += act.ml ?? 0;
            if (act.kind !== 'put' || act.material.kind !== 'dye') continue;
            out.ml += act.amount ?? 0;
            out.grams += ((act.amount ?? 0) * (act.material.strengthPercent ?? 0)) / 100;
          }
          record = withMore(record, pour.cup);
          pours += 1;
        } else {
          if (!(cupTotals(cup, SHELF.dyes).grams.value > 0)) continue;
          const kept = keepCup(cup, one.share, KEPT_AS, SHELF.dyes);
          out.ml += kept.stock?.volumeMl ?? 0;
          out.grams += ((kept.stock?.volumeMl ?? 0) * (kept.stock?.strengthPercent ?? 0)) / 100;
          record = withMore(record, kept);
          keeps += 1;
        }
      }
      // What went in, by the acts themselves, folded as any vessel is.
      let state = emptyState({ tapC: 20, roomC: 20, alkalinityMgPerL: 0 }, []);
      for (const one of record.events)
        if (one.kind === 'act' && one.act.kind !== 'look')
          state = apply(state, { id: one.id, act: one.act }).state;
      const liquid = state.vessels.get('cup')!.liquid;
      into.ml = liquid.ml;
      into.grams = liquid.parcels.reduce((sum, { standardGrams }) => sum + standardGrams, 0);
      const now = cupTotals(cupNow(record), SHELF.dyes);
      // A kept jar is written down to six figures.
      expect(out.ml + now.ml.value).toBeCloseTo(into.ml, 2);
      expect(out.grams + now.grams.value).toBeCloseTo(into.grams, 4);
    }),
    { numRuns: 200 },
  );
  expect(Math.min(pours, keeps)).toBeGreaterThan(50);
});
