import { emptyCup, mixed } from '../../../test/cups';
import { BLUE, BLUE_1, goodsLine, POT, RED, RED_1, SHELF } from '../../../test/examples';
import { also, AT, event, withEvents } from '../../../test/records';
import { refusal } from '../../../test/refusal';
import { planFormulation } from '../../plan/plan';
import { USUAL_HABITS } from '../../shelf/habits';
import { lineWords } from '../../words/lineWords';
import { cardOf } from '../cardOf';
import { depths } from '../../process/depths';
import { formulate } from '../../recipe/materials';
import { colorwaySchema, type Recipe } from '../../recipe/recipe';
import { batchSchema, type Batch } from '../batch';
import { cupNow } from '../cup/cup';
import { pourCup } from '../cup/pourCup';
import type { NewEvent } from '../newEvent';
import { alsoDone } from '../open/doneActs';
import { openBatch } from '../open/openBatch';
import { attemptOf, soughtBy, type Attempt } from './attempt';
import { attemptBeside, compareAttempts, versionBeside } from './compareAttempts';
import { nextAttempt, type NextAttempt } from './nextAttempt';

/** NIST Handbook 44, appendix C. */
const TBSP = 14.786764;
const US = { system: 'US', spoons: ['tbsp', 'tsp', '1/2 tsp'] } as const;

const then = (batch: Batch, ...more: NewEvent[]): Batch =>
  more.reduce((now, one) => {
    const at = new Date(Date.parse(AT) + (now.events.length + 1) * 60_000).toISOString();
    return withEvents(now, [...now.events, event({ ...one, at })]);
  }, batch);
const put = (batch: Batch, what: Parameters<typeof also>[1], written: string): Batch =>
  then(batch, { ...also(batch, what, 'p1'), written } as never);
/** Twelve US cups, NIST Handbook 44. */
const WATER = 12 * 236.5882365;
const water = (amount: number) => ({ material: { kind: 'water' as const }, amount, unit: 'mL' as const });
const citric = (amount: number) => ({
  material: { kind: 'acid' as const, acid: 'citric' as const, strengthPercent: 100 },
  amount,
  unit: 'g' as const,
});

/** An attempt by the spoon on so many grams of wool, with water and citric; dyed and closed. */
function attempt(
  number: number,
  blueTbsp: number,
  redTbsp: number,
  { grams = 100, acid = 9, words = 'too pink' }: { grams?: number; acid?: number; words?: string } = {},
): Attempt {
  const begun = batchSchema.parse({
    id: `b${number}`,
    code: `26-00${number}`,
    name: `Weathercock ${number}`,
    startedAt: AT,
    ...openBatch(
      'Weathercock',
      [goodsLine({ id: 'g1', baseId: 'wool', count: 1, gramsEach: grams })],
      POT,
      SHELF,
    ),
    events: [],
  });
  const cup = mixed(emptyCup(), [
    ...Array.from({ length: blueTbsp }, () => ['tbsp', BLUE_1, BLUE] as never),
    ...Array.from({ length: redTbsp }, () => ['tbsp', RED_1, RED] as never),
  ]);
  const into = { batch: begun, pass: 'p1', place: null };
  const poured = blueTbsp + redTbsp > 0 ? pourCup(cupNow(cup), 1, into, US).batch : [];
  let batch = then(put(begun, water(WATER), '12 cups'), { kind: 'sought', color: 'rust' }, ...poured);
  batch = then(batch, alsoDone(batch, 'p1', 'goods in', {}));
  if (acid > 0) batch = put(batch, citric(acid), `${acid / 4.5} tsp`);
  batch = then(batch, alsoDone(batch, 'p1', 'hold', { celsius: 85, minutes: 20, clear: true }), {
    kind: 'closed',
    outcome: 'not right',
    standing: 'trial',
    note: words,
  } as never);
  return attemptOf(batch, number, SHELF.dyes);
}

const planOf = (recipe: Recipe) => planFormulation(formulate('x', recipe, SHELF, POT));
/** What the next attempt comes to on its goods, %, by dye; it has to be one that can be saved. */
const comesTo = (from: Attempt, next: NextAttempt) => {
  const { recipe } = nextAttempt(from, next, planOf);
  colorwaySchema.parse({ id: 'c', name: 'x', recipe });
  const plan = planOf(recipe);
  return { recipe, plan, on: depths(plan.lines.at(-1)!.after) };
};

test('attempts side by side: in spoons and %, with what differs, on other goods as well', () => {
  const list = [attempt(1, 3, 2), attempt(2, 3, 1), attempt(3, 6, 2, { grams: 200 })];
  const rows = compareAttempts(list.map(attemptBeside));
  // 3 tbsp of 1 % on 100 g are 0.4436 g: 0.4436 %; 6 on 200 g are the same.
  expect(
    rows.map(({ dyeName, cells }) => [dyeName, ...cells.map(({ dos }) => Number(dos!.value.toFixed(4)))]),
  ).toEqual([
    ['Vault Blue', 0.4436, 0.4436, 0.4436],
    ['Bell Red', 0.2957, 0.1479, 0.1479],
  ]);
  expect(rows.map(({ cells }) => cells.map(({ differs }) => differs))).toEqual([
    [false, false, false],
    [false, true, false],
  ]);
  expect(rows[0]!.cells.map(({ amount }) => Number(amount!.value.toFixed(2)))).toEqual([44.36, 44.36, 88.72]);
  expect(rows[0]!.cells[0]!.amount!.measure).toMatchObject({ as: 'pour', said: '3 tbsp' });
  expect(list.map(({ verdict }) => verdict?.words)).toEqual(['too pink', 'too pink', 'too pink']);
  // 9 g of citric acid in 12 cups and 5 tbsp.
  expect(list[0]!.acidPerL?.value).toBeCloseTo(9000 / (WATER + 5 * TBSP), 6);
  expect(soughtBy(list[0]!.batch)).toBe('rust');
});

test('a dye that one attempt has and the other has not stands empty there', () => {
  const [blue, red] = compareAttempts([attempt(1, 2, 0), attempt(2, 2, 1)].map(attemptBeside));
  expect(blue!.cells.map(({ differs }) => differs)).toEqual([false, false]);
  expect(red!.cells.map(({ amount, differs }) => [amount === null, differs])).toEqual([
    [true, false],
    [false, true],
  ]);
});

test('a version of a colorway stands beside an attempt: what it takes beside what went in', () => {
  const one = attempt(1, 3, 2);
  const { recipe } = nextAttempt(one, { kind: 'dye', dyeId: 'red', times: 0.5 }, planOf);
  const rows = compareAttempts([attemptBeside(one), versionBeside('version 1', planOf(recipe))]);
  expect(
    rows.map(({ dyeName, cells }) => [dyeName, ...cells.map(({ dos }) => Number(dos!.value.toFixed(4)))]),
  ).toEqual([
    ['Vault Blue', 0.4436, 0.4436],
    ['Bell Red', 0.2957, 0.1479],
  ]);
  expect(rows.map(({ cells }) => cells[1]?.differs)).toEqual([false, true]);
  expect(rows[1]!.cells[1]!.amount).toMatchObject({ unit: 'mL', value: expect.closeTo(TBSP, 4) });
});

test('at most six, and goods that weigh something', () => {
  const one = attempt(1, 1, 1);
  expect(refusal(() => compareAttempts(Array.from({ length: 7 }, () => attemptBeside(one))))).toMatch(
    /At most 6 stand side by side/,
  );
  const none = { ...one, goods: { ...one.goods, value: 0 } };
  expect(refusal(() => compareAttempts([one, none].map(attemptBeside)))).toMatch(
    /goods of 26-001 have no mass/,
  );
});

describe('the next attempt', () => {
  const first = attempt(1, 3, 2);

  test('the same, so many times, one dye less, none of it', () => {
    // 0.4436 % and 0.2957 %, worked by hand from 3 and 2 tablespoons of 1 % on 100 g.
    expect([...comesTo(first, { kind: 'same' }).on]).toEqual([
      ['blue', expect.closeTo((3 * TBSP) / 100, 6)],
      ['red', expect.closeTo((2 * TBSP) / 100, 6)],
    ]);
    expect([...comesTo(first, { kind: 'times', times: 1.5 }).on]).toEqual([
      ['blue', expect.closeTo((4.5 * TBSP) / 100, 6)],
      ['red', expect.closeTo((3 * TBSP) / 100, 6)],
    ]);
    expect(comesTo(first, { kind: 'dye', dyeId: 'red', times: 0.5 }).on.get('red')).toBeCloseTo(
      TBSP / 100,
      6,
    );
    expect([...comesTo(first, { kind: 'dye', dyeId: 'red', times: 0 }).on.keys()]).toEqual(['blue']);
    const plain = attempt(2, 3, 0);
    expect(refusal(() => comesTo(plain, { kind: 'dye', dyeId: 'blue', times: 0 }))).toMatch(
      /nothing is left to dye/,
    );
    expect(refusal(() => comesTo(first, { kind: 'times', times: 0 }))).toMatch(/above 0, at most 20/);
    expect(refusal(() => comesTo(first, { kind: 'times', times: 21 }))).toMatch(/above 0, at most 20/);
  });

  test('half: the same dye on twice the goods', () => {
    const { recipe, plan, on } = comesTo(first, { kind: 'half' });
    expect(recipe.goods).toMatchObject([{ count: 2, gramsEach: 100 }]);
    expect(on.get('blue')).toBeCloseTo((1.5 * TBSP) / 100, 6);
    const poured = plan.lines.flatMap(({ act }) =>
      act.kind === 'put' && act.material.kind === 'dye' && act.material.dyeId === 'blue' ? [act.amount] : [],
    );
    expect(poured).toEqual([expect.closeTo(3 * TBSP, 4)]);
  });

  test('a step paler and a step deeper, both dyes together', () => {
    // 0.7393 % in all: the rungs beside it are 0.5 and 1 %.
    const sum = (kind: 'paler' | 'deeper') =>
      [...comesTo(first, { kind }).on.values()].reduce((all, one) => all + one, 0);
    expect(sum('paler')).toBeCloseTo(0.5, 6);
    expect(sum('deeper')).toBeCloseTo(1, 6);
  });

  test('halfway between two: the mean of % dye by dye, and of acid per liter', () => {
    const other = attempt(2, 1, 4, { grams: 200, acid: 18 });
    // 3 and 1/2 tbsp a 100 g of blue: 1.75; 2 and 2 of red: 2.
    const { on, recipe } = comesTo(first, { kind: 'between', other });
    expect(on.get('blue')).toBeCloseTo((1.75 * TBSP) / 100, 6);
    expect(on.get('red')).toBeCloseTo((2 * TBSP) / 100, 6);
    const [acid] = recipe.passes[0]!.acids;
    expect(acid?.basis).toBe('gPerL');
    expect(acid?.value).toBeCloseTo((first.acidPerL!.value + other.acidPerL!.value) / 2, 4);
  });

  test('halfway to one with another dye has half of that, and half of acid that only one had', () => {
    const plain = attempt(1, 2, 0, { acid: 0 });
    const other = attempt(2, 2, 2);
    const { on, recipe } = comesTo(plain, { kind: 'between', other });
    expect(on.get('blue')).toBeCloseTo((2 * TBSP) / 100, 6);
    expect(on.get('red')).toBeCloseTo(TBSP / 100, 6);
    expect(recipe.passes[0]!.acids[0]?.value).toBeCloseTo(other.acidPerL!.value / 2, 4);
    // The other way round it is the same color.
    const back = comesTo(other, { kind: 'between', other: plain });
    expect(back.on.get('red')).toBeCloseTo(TBSP / 100, 6);
    expect(back.on.get('blue')).toBeCloseTo((2 * TBSP) / 100, 6);
  });

  test('of one that got no dye there is none', () => {
    const none = attempt(3, 0, 0);
    expect(refusal(() => nextAttempt(none, { kind: 'same' }, planOf))).toMatch(/No dye went into 26-003/);
    expect(refusal(() => nextAttempt(first, { kind: 'between', other: none }, planOf))).toMatch(/no middle/);
  });

  test('amounts are said in spoons again', () => {
    const { recipe, asWritten } = nextAttempt(first, { kind: 'half' }, planOf);
    const [blue] = recipe.passes[0]!.dyes;
    expect(asWritten[`dyes.${blue!.id}.dosPercent`]).toBe('spoons');
    const card = cardOf(
      { ...formulate('x', recipe, SHELF, POT), asWritten },
      planFormulation({ ...formulate('x', recipe, SHELF, POT), asWritten }),
    );
    const reading = {
      batch: { formulation: { ...formulate('x', recipe, SHELF, POT), asWritten }, card },
      dyes: SHELF.dyes,
      studio: { spoons: 'US' as const, habits: USUAL_HABITS, citricGramsPerTeaspoon: 4.5 },
    };
    const lines = card.acts.filter(({ quiet }) => !quiet).map((line) => lineWords(line, reading));
    // As much dye as there was, twice the bath (of which 5 tbsp less are dye) and the acid; wet goods go in wet.
    expect(
      lines.flatMap(({ title, measure }) =>
        measure ? [[title, measure.bySpoon?.first && measure.bySpoon.words]] : [],
      ),
    ).toEqual([
      ['Run water into the pot', '24 1/4 cups'],
      ['Pour Vault Blue 1 %', '3 tbsp'],
      ['Pour Bell Red 1 %', '2 tbsp'],
      ['Add citric acid crystals to the bath', '1 tbsp + 1 tsp'],
    ]);
    expect(lines.map(({ title }) => title)).toContain('Lift the goods in');
  });
});

test('what nobody measured makes a depth at least that', () => {
  const { batch } = attempt(1, 2, 1);
  const open = withEvents(batch, batch.events.slice(0, -1));
  const splash = then(open, {
    kind: 'act',
    planned: null,
    written: 'a splash',
    note: '',
    act: {
      kind: 'put',
      pass: 'p1',
      line: null,
      purpose: 'unplanned',
      material: { kind: 'dye', dyeId: 'strong', stockId: null, strengthPercent: 1, lotStrength: 1 },
      amount: null,
      unit: 'mL',
      into: { vessel: 'pot' },
    },
  } as never);
  const found = attemptOf(splash, 1, SHELF.dyes).dyes;
  expect(found.map(({ dyeId, atLeast, dos }) => [dyeId, atLeast, dos.value > 0])).toEqual([
    ['blue', false, true],
    ['red', false, true],
    ['strong', true, false],
  ]);
});
