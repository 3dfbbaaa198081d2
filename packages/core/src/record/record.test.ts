import fc from 'fast-check';
import { BLUE, depth, formulation, goodsLine, RED, recipe, SHELF } from '../../test/examples';
import { written } from '../../test/written';
import { also, asPlanned, AT, begin, begunBatch, event, strike, tick, withEvents } from '../../test/records';
import type { MeasuredOut } from '../process/amountOf';
import { formulate } from '../recipe/materials';
import { planFormulation } from '../plan/plan';
import { departures } from '../words/departures';
import { openLines, untickedWords } from '../words/unticked';
import { dyeAgain } from './again/dyeAgain';
import { asItWas } from './again/goodsAgain';
import { answered, type Answer } from './answers';
import { actualRecipe } from './actualRecipe';
import { dyeTotalOf, dyeTotals } from './dyeTotals';
import type { Event } from './event';
import { looked } from './newEvent';
import { recordState } from './recordState';
import { summarizeBatch } from './summary';

const batch = begunBatch(formulation());
const actual = (events: Event[], of = batch) => actualRecipe(withEvents(of, events), SHELF.dyes);
const dosOf = (events: Event[], dyeId: string): number | undefined =>
  actual(events).dyes.find((dye) => dye.dyeId === dyeId)?.dos.value;
const stock = (stockId: string, strengthPercent: number, amount: number): MeasuredOut => ({
  material: { kind: 'dye', dyeId: 'blue', stockId, strengthPercent, lotStrength: 1 },
  amount,
  unit: 'mL',
});
const strongPowder = (amount: number): MeasuredOut => ({
  material: { kind: 'dye', dyeId: 'strong', stockId: null, strengthPercent: null, lotStrength: 1.25 },
  amount,
  unit: 'g',
});

describe('from what was poured back to the recipe', () => {
  test('plan → poured as planned → recipe gives the same depths to 1e-9', () => {
    const percent = fc.double({ min: 0.001, max: 6, noNaN: true });
    fc.assert(
      fc.property(
        percent,
        percent,
        fc.integer({ min: 1, max: 40 }),
        fc.double({ min: 5, max: 250, noNaN: true }),
        fc.constantFrom('blue-1', 'blue-4', null),
        (blue, strong, count, gramsEach, jar) => {
          const first = recipe();
          const any = formulate(
            'x',
            {
              ...first,
              goods: [goodsLine({ id: 'g1', baseId: 'wool', count, gramsEach })],
              passes: [
                {
                  ...first.passes[0]!,
                  dyes: [depth('d1', 'blue', blue, jar), depth('d2', 'strong', strong, null)],
                },
              ],
            },
            SHELF,
          );
          const its = planFormulation(any);
          const of = begunBatch(any);
          const dyed = withEvents(of, asPlanned(of));
          const back = actualRecipe(dyed, SHELF.dyes);
          expect(Math.abs(back.dyes[0]!.dos.value - blue)).toBeLessThan(1e-9);
          expect(Math.abs(back.dyes[1]!.dos.value - strong)).toBeLessThan(1e-9);
          expect(back.dyes[1]!.plannedDos).toBeCloseTo(strong, 9);
          expect(departures(dyed, SHELF.dyes)).toEqual([]);
          const again = planFormulation(formulate('x', back.version!.recipe, SHELF));
          expect(again.passes[0]!.bath.value / its.passes[0]!.bath.value).toBeCloseTo(1, 9);
          expect(again.passes[0]!.acids[0]!.amount.value / its.passes[0]!.acids[0]!.amount.value).toBeCloseTo(
            1,
            9,
          );
        },
      ),
    );
  });

  test('a pour that came out wrong and one nobody planned are both in the true recipe', () => {
    const events = [
      tick(batch, 'p1.dye.d1', { amount: 220 }),
      tick(batch, 'p1.dye.d2', { amount: 50 }),
      also(batch, stock('blue-4', 4, 5)),
      also(batch, strongPowder(0.1)),
    ];
    // By hand: blue 2.2 g + 0.2 g = 2.4 g on 200 g is 1.2 %; strong red 0.1 g × 1.25 lot strength on 200 g is 0.0625 %.
    expect(dosOf(events, 'blue')).toBeCloseTo(1.2, 12);
    expect(dosOf(events, 'red')).toBeCloseTo(0.25, 12);
    expect(dosOf(events, 'strong')).toBeCloseTo(0.0625, 12);
    expect(departures(withEvents(batch, events), SHELF.dyes)).toEqual([
      'Pour Vault Blue 1 %: 220 mL instead of 200 mL.',
      'Also added: 5 mL of Vault Blue.',
      'Also added: 0.1 g of Strong Red.',
    ]);
  });

  test('closing asks of every line that nobody ticked, and what is said of it stands', () => {
    const open = (events: Event[]) => {
      const dyed = withEvents(batch, events);
      return openLines(recordState(dyed, events, SHELF.dyes), { batch: dyed, dyes: SHELF.dyes });
    };
    expect(open(asPlanned(batch))).toEqual([]);
    const ticked = [tick(batch, 'p1.dye.d1')];
    expect(
      open(ticked)
        .filter(({ done }) => !done)
        .map(({ title }) => title),
    ).toEqual(['Pour Bell Red 1 %', 'Add white vinegar to the bath']);
    expect(open(ticked).filter(({ done }) => done)[1]?.title).toBe('Run water into the pot');
    // Nothing more is due: topping up is only asked about where it was done.
    expect(open(ticked).some(({ line }) => line.act.purpose === 'top up')).toBe(false);
  });

  test('a line said not to have been done is not in the fold, nor dyed again; the last word counts', () => {
    const closed = event({ kind: 'closed', outcome: 'as wanted', standing: 'trial', note: '' });
    const say = (answer: Answer) => event({ ...answered({ id: 'hold.set' }, answer) });
    const of = (events: Event[]) => {
      const dyed = withEvents(batch, [...asPlanned(batch).slice(0, 6), ...events, closed]);
      const { folded, questions } = actualRecipe(dyed, SHELF.dyes);
      const made = dyeAgain(dyed, folded, asItWas(dyed, folded), { ...SHELF, pots: [] });
      return {
        held: folded.acts.some(({ id }) => id === 'hold.set'),
        again: made.card.acts.some(({ id }) => id === 'hold.set'),
        said: untickedWords(questions, folded, { batch: dyed, dyes: SHELF.dyes }).join(' '),
      };
    };
    expect(of([])).toMatchObject({
      held: true,
      again: true,
      said: expect.stringMatching(/^Not ticked, taken as done as planned: .*Hold at 88/) as string,
    });
    expect(of([say('done')])).toMatchObject({
      held: true,
      again: true,
      said: expect.stringMatching(/Not ticked, but done as planned: Hold at 88/) as string,
    });
    expect(of([say('not done')])).toMatchObject({
      held: false,
      again: false,
      said: expect.stringMatching(/Not done: Hold at 88/) as string,
    });
    expect(of([say('not done'), say('done')])).toMatchObject({ held: true });
    // Ticked after all it is asked about no more.
    const ticked = of([say('not done'), tick(batch, 'hold.set')]);
    expect(ticked).toMatchObject({ held: true });
    expect(ticked.said).not.toMatch(/Hold at 88/);
  });

  test('a line that was struck, or never ticked, did not go in', () => {
    const slip = tick(batch, 'p1.dye.d1');
    const events = [slip, strike(slip), tick(batch, 'p1.dye.d1', { amount: 150 })];
    expect(dosOf(events, 'blue')).toBeCloseTo(0.75, 12);
    expect(dosOf(events, 'red')).toBeUndefined();
    // Still to come while the batch runs; over once it is closed.
    const against = (all: Event[]) => departures(withEvents(batch, all), SHELF.dyes).join();
    const closed = event({ kind: 'closed', outcome: 'as wanted', standing: 'trial', note: '' });
    expect(against(events)).toBe('Pour Vault Blue 1 %: 150 mL instead of 200 mL.');
    expect(against([...events, closed])).toMatch(/Bell Red 1 %: not ticked, so it did not go in/);
    expect(against([...events, closed])).toMatch(/Add white vinegar to the bath: not ticked/);
    expect(actual([]).version).toBeNull();
  });

  test('acid of two kinds is added up by equal equivalents and called an estimate', () => {
    const events = [
      ...asPlanned(batch),
      also(batch, {
        material: { kind: 'acid', acid: 'citric', strengthPercent: 100 },
        amount: 1,
        unit: 'g',
      }),
    ];
    const { acidPure } = actual(events);
    expect(acidPure!.material).toBe('vinegar');
    expect(acidPure!.grams.sureness).toBe('estimate');
    // 1 g citric is 3 / 192.124 mol of protons, as many as 0.9377 g of acetic acid.
    expect(acidPure!.grams.value).toBeCloseTo(6 + (3 / 192.124) * 60.052, 6);
  });

  test('planned water that nobody ticked stands in, and says so', () => {
    const { bath } = actual([tick(batch, 'p1.dye.d1')]);
    // 200 mL of stock and the 5630 mL that the card asks for: 6000 − 200 − 50 − 120 mL of vinegar.
    expect(bath.value).toBeCloseTo(5830, 9);
    expect(bath.because).toMatch(/not ticked/);
  });

  test('the order of additions does not matter', () => {
    const amounts = fc.array(fc.double({ min: 0.1, max: 50, noNaN: true }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(amounts, (milliliters) => {
        const events = milliliters.map((amount) => also(batch, stock('blue-1', 1, amount)));
        expect(dosOf(events, 'blue')).toBeCloseTo(dosOf(events.toReversed(), 'blue')!, 9);
      }),
    );
  });
});

describe('the totals that the Book hangs on', () => {
  test('adding and taking back one by one comes to the same as reading the whole record', () => {
    const kinds = fc.constantFrom<MeasuredOut>(
      stock('blue-1', 1, 12.5),
      stock('blue-4', 4, 3),
      strongPowder(0.2),
      { material: { kind: 'water' }, amount: 500, unit: 'mL' },
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(kinds, fc.boolean()), { maxLength: 20 }), (steps) => {
        const sums = new Map<string, number>();
        const events: Event[] = [];
        const count = (one: Event, sign: 1 | -1): void => {
          const total = dyeTotalOf(one);
          if (total) sums.set(total.dyeId, (sums.get(total.dyeId) ?? 0) + sign * total.standardGrams);
        };
        for (const [added, back] of steps) {
          const one = also(batch, added);
          events.push(one);
          count(one, 1);
          if (!back) continue;
          events.push(strike(one));
          count(one, -1);
        }
        const whole = dyeTotals(events);
        for (const [dyeId, sum] of sums)
          expect(
            whole.filter((one) => one.dyeId === dyeId).reduce((all, one) => all + one.standardGrams, 0),
          ).toBeCloseTo(sum, 9);
      }),
    );
  });
});

describe('where a batch stands', () => {
  const state = (events: Event[]) => recordState(batch, events, SHELF.dyes);
  test('it begins at the first line, with nothing in the pot', () => {
    expect(state([]).current!.line.id).toBe('p1.stand.soak');
    expect(state([]).bath.volumeMl).toBe(0);
    expect(state([]).since).toBe(AT);
    expect(state([]).pass).toBe('p1');
  });
  test('a wait that runs is due its minutes after it began', () => {
    expect(state([begin(batch, 'p1.stand.soak')]).dueAt).toBe('2026-03-01T10:30:00.000Z');
    expect(state([begin(batch, 'p1.stand.soak'), tick(batch, 'p1.stand.soak')]).dueAt).toBeNull();
  });
  test('the bath fills and takes color as it is poured', () => {
    const water = state(asPlanned(batch).slice(0, 2));
    const dyed = state(asPlanned(batch).slice(0, 4));
    expect(water.bath.volumeMl).toBeCloseTo(5630, 6);
    expect(dyed.bath.volumeMl).toBeCloseTo(5880, 6);
    expect(dyed.bath.hex).not.toBe(water.bath.hex);
  });
  test('a pass with a bath of its own shows that bath alone; one that goes on in the bath before shows both', () => {
    const [first] = recipe().passes;
    const second = (water: object) =>
      begunBatch(formulation({ passes: [first!, { ...first!, id: 'p2', water, topUpMl: 0 } as never] }));
    const level = (of: ReturnType<typeof second>): number =>
      recordState(of, asPlanned(of), SHELF.dyes).bath.volumeMl;
    const alone = level(batch);
    expect(level(second({ basis: 'ratio', value: 30 }))).toBeCloseTo(alone, -2);
    // The stock and acid of the second pass come to what is there.
    expect(level(second({ basis: 'kept' }))).toBeGreaterThan(alone + 200);
  });
  test('when all is done nothing is current, and a verdict closes it', () => {
    expect(state(asPlanned(batch)).current).toBeNull();
    const closed = [
      ...asPlanned(batch),
      event({ kind: 'closed', outcome: 'usable', standing: 'trial', note: '' }),
    ];
    expect(state(closed).closed).toMatchObject({ outcome: 'usable', standing: 'trial' });
  });
  test('a look is no addition', () => {
    const look = event(looked('p1', 'bath', 'clear'));
    expect(state([look])).toMatchObject({ looks: [look], added: [] });
  });
});

test('the summary tells what really went in', () => {
  const planned = summarizeBatch(batch, SHELF.dyes);
  const stronger = summarizeBatch(withEvents(batch, [tick(batch, 'p1.dye.d1', { amount: 400 })]), SHELF.dyes);
  expect(planned).toMatchObject({
    wogGrams: 200,
    dosPercent: 1.25,
    bases: '2 × Sexton worsted',
    dyes: `${BLUE.name}, ${RED.name}`,
    outcome: null,
  });
  expect(stronger.dosPercent).toBeCloseTo(2, 12);
  expect(stronger.hex).not.toBe(planned.hex);
});

test('nothing of a record is planned anew: a batch reads alike after its recipe would be planned otherwise', () => {
  const dyed = withEvents(batch, asPlanned(batch));
  const [pass] = dyed.formulation.recipe.passes;
  const otherwise = {
    ...dyed,
    // As if defaults, tools and ratios of a later planner gave other amounts, waits and steps.
    formulation: {
      ...dyed.formulation,
      recipe: {
        ...dyed.formulation.recipe,
        wettingMinutes: 0,
        passes: [{ ...pass!, water: { basis: 'volume' as const, value: 1234 }, topUpMl: 500 }],
      },
      tools: [],
    },
  };
  const { version: _, ...was } = actualRecipe(dyed, SHELF.dyes);
  const { version: __, ...is } = actualRecipe(otherwise, SHELF.dyes);
  expect(written(is)).toEqual(written(was));
  expect(written(summarizeBatch(otherwise, SHELF.dyes))).toEqual(written(summarizeBatch(dyed, SHELF.dyes)));
  expect(recordState(otherwise, otherwise.events, SHELF.dyes)).toEqual(
    recordState(dyed, dyed.events, SHELF.dyes),
  );
  expect(departures(otherwise, SHELF.dyes)).toEqual([]);
});
