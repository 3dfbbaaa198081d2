import { idsOf, linesOf } from '../../test/plans';
import { passSentence } from '../words/passSentence';
import { BENCH_TOOLS, depth, goodsLine, heatSet, SHELF, SYRINGE_AND_CYLINDER } from '../../test/examples';
import { begunBatch } from '../../test/records';
import { WARM_C } from '../method/heat';
import { cardLines } from '../record/cardLines';
import { lineWords } from '../words/lineWords';
import { potSchema } from '../shelf/pot';
import { US_ML } from '../units/conversions';
import { formulate } from '../recipe/materials';
import { METHOD_KINDS, METHODS, passShare } from '../method';
import type { PassMethod } from '../method';
import { depths } from '../process/depths';
import { noticeWords } from '../words/noticeWords';
import { planFormulation } from './plan';
import type { Plan, PlannedPass } from './planTypes';
import { recipeSchema, type Recipe } from '../recipe/recipe';
import { averageHex } from '../skein/yarnLook';

type PassInput = Record<string, unknown>;
const ACID = { material: 'citric', strengthPercent: 100, basis: 'gPerL', value: 1, when: 'start' };

/** A recipe of 200 g of wool through the given passes. */
const recipeOf = (passes: PassInput[], changes: Partial<Recipe> = {}): Recipe =>
  recipeSchema.parse({
    goods: [goodsLine({ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 })],
    wettingMinutes: 30,
    passes: passes.map((pass, i) => ({
      id: `p${i + 1}`,
      method: { kind: 'immersion' },
      dyes: [depth(`d${i + 1}`, 'blue', 1, 'blue-1')],
      water: { basis: 'ratio', value: 30 },
      acids: [ACID],
      ...pass,
    })),
    set: heatSet({ method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 120 }),
    ...changes,
  });
const planOf = (passes: PassInput[], changes: Partial<Recipe> = {}): Plan =>
  planFormulation(formulate('x', recipeOf(passes, changes), SHELF));
const passOf = (pass: PassInput): PlannedPass => planOf([pass]).passes[0]!;
const figureOf = (pass: PlannedPass, name: string): number =>
  pass.figures.find((one) => one.name === name)!.figure.value;
const said = (plan: Plan): string => plan.notices.map(noticeWords).join('\n');

describe('low immersion: water from the size of the pan', () => {
  const method = {
    kind: 'low immersion',
    pan: { shape: 'rectangular', lengthCm: 50, widthCm: 30 },
    wallCm: 10,
    depthCm: 4,
    turns: 2,
  };
  test('50 × 30 cm, 4 cm deep with 200 g of wool in it: 6000 − 152.7 mL', () => {
    expect(passOf({ method }).bath.value).toBeCloseTo(6000 - 200 / 1.31, 6);
    expect(figureOf(passOf({ method }), 'Pan holds to the rim')).toBe(15_000);
  });
  test('200 g on 1500 cm²: 13.3 g on every 100 cm²', () =>
    expect(figureOf(passOf({ method }), 'Goods per area')).toBeCloseTo(200 / 15, 9));
  test('a round pan by its diameter', () => {
    const round = { ...method, pan: { shape: 'round', diameterCm: 30 } };
    expect(passOf({ method: round }).bath.value).toBeCloseTo(Math.PI * 225 * 4 - 200 / 1.31, 6);
  });
  test('a pan that holds less than water and goods cannot be', () => {
    const plan = planOf([{ method: { ...method, wallCm: 3 } }]);
    expect(noticeWords(plan.notices.find((notice) => notice.blocks)!)).toMatch(
      /pan holds 4\.5 L.*need 6\.05 L/,
    );
    expect(planOf([{ method }]).notices.some((notice) => notice.blocks)).toBe(false);
  });
});

describe('section painting: share of the hank and paint volume', () => {
  const method = {
    kind: 'painting',
    layout: 'around',
    sections: [
      { id: 'a', name: 'Rim', sharePercent: 30 },
      { id: 'b', name: 'Waist', sharePercent: 20 },
    ],
    pickUpMlPerG: 1,
  };
  const dyes = [depth('d1', 'blue', 1, 'blue-1', 'a'), depth('d2', 'red', 0.5, 'red-1', 'b')];
  let pass: ReturnType<typeof passOf>;
  beforeEach(() => {
    pass = passOf({ method, dyes });
  });
  test('30 % of 200 g at 1 %: 0.6 g in 60 mL of paint; 20 % at 0.5 %: 0.2 g in 40 mL', () => {
    expect(pass.pours.map((pour) => pour.grams.value)).toEqual([
      expect.closeTo(0.6, 9),
      expect.closeTo(0.2, 9),
    ]);
    expect(pass.parts.map((part) => part.paint!.value)).toEqual([
      expect.closeTo(60, 9),
      expect.closeTo(40, 9),
    ]);
    // 60 mL of stock fill the first paint to the brim; 20 mL of 40 leave 20 to fill up.
    expect(pass.parts.map((part) => part.fillUp!.value)).toEqual([
      expect.closeTo(0, 9),
      expect.closeTo(20, 9),
    ]);
    expect(pass.dosOnAllGoods.value).toBeCloseTo(0.4, 9);
    expect(pass.bath.value).toBeCloseTo(100, 9);
  });
  test('each section is poured, then painted', () => {
    const plan = planOf([{ method, dyes }]);
    expect(idsOf(plan).filter((id) => id.startsWith('p1'))).toEqual(
      ['stand.soak', 'place.goods', 'run.bath', 'acid.bath', 'dye.d1', 'paint.a', 'dye.d2', 'paint.b'].map(
        (role) => `p1.${role}`,
      ),
    );
  });
  test('more stock than a section takes up, and a section without dye, are spoken of', () => {
    expect(said(planOf([{ method, dyes: [depth('d1', 'blue', 2, 'blue-1', 'a')] }]))).toMatch(
      /Rim: 120 mL of stock is more than the 60 mL it takes up[\s\S]*Waist has no dye yet/,
    );
  });
  test('sections over 100 % are refused', () => {
    const over = { ...method, sections: [{ id: 'a', name: 'A', sharePercent: 101 }] };
    expect(() => recipeOf([{ method: over }])).toThrow(/cannot be over 100 %|more than 100 %/);
    const sum = { ...method, sections: [...method.sections, { id: 'c', name: 'C', sharePercent: 60 }] };
    expect(() => recipeOf([{ method: sum }])).toThrow(/The sections come to 110 % of the goods/);
  });
});

test('a dip says what is left in last, to a tenth: 60 % in 4 steps 15 %, in 7 steps 8.6 %', () => {
  const last = (steps: number): string => {
    const batch = begunBatch(
      formulate('x', recipeOf([{ method: { kind: 'dip', sharePercent: 60, steps, minutes: 21 } }]), SHELF),
    );
    const line = cardLines(batch.card).find(({ id }) => id === `p1.hold.dip${steps}`)!;
    return lineWords(line, { batch, dyes: SHELF.dyes }).title;
  };
  expect([last(4), last(7)]).toEqual(['Leave the last 15 % in', 'Leave the last 8.6 % in']);
});

describe('hands at what stands beside the way itself (common practice, no source)', () => {
  const handsOf = (plan: Plan, id: string): number => plan.lines.find((line) => line.id === id)!.hands;
  test('soaking 5, water topped up 2', () => {
    const plan = planOf([{ topUpMl: 1000 }]);
    expect([handsOf(plan, 'p1.stand.soak'), handsOf(plan, 'p1.run.top-up')]).toEqual([5, 2]);
  });
  test.each<[object, number]>([
    [{ kind: 'laid flat' }, 3],
    [{ kind: 'twisted', count: 3 }, 6],
    [{ kind: 'knotted', count: 2 }, 6],
  ])('laying goods as %j: %d', (arrangement, hands) =>
    expect(handsOf(planOf([{ arrangement }]), 'p1.handle.tie')).toBe(hands),
  );
  test('opening them again between two passes: 3', () =>
    expect(handsOf(planOf([{}, {}]), 'p2.handle.tie')).toBe(3));
  test('a working dilution: 4', () => {
    const small = { dyes: [depth('d1', 'blue', 0.0015, 'blue-1')] };
    const plan = planFormulation(
      formulate('x', recipeOf([small]), { ...SHELF, tools: SYRINGE_AND_CYLINDER }),
    );
    const dilution = plan.lines.find(({ act }) => act.kind === 'put' && act.purpose === 'dilution')!;
    expect(dilution.hands).toBe(4);
  });
});

test('acid “when warm” goes in at 60 °C on the way to the hold (common practice, no source)', () =>
  expect(WARM_C).toBe(60));

describe('painting', () => {
  const method = (pickUpMlPerG: number, shares: readonly number[] = [100]) => ({
    kind: 'painting',
    layout: 'around',
    pickUpMlPerG,
    sections: shares.map((sharePercent, i) => ({ id: `s${i}`, name: `Section ${i}`, sharePercent })),
  });
  const dyes = [depth('d1', 'blue', 1, 'blue-1', 's0')];
  test('over 2.5 mL a gram paint runs, at 2.5 it does not (common practice, no source)', () => {
    expect(said(planOf([{ method: method(2.5), dyes }]))).not.toMatch(/run/);
    expect(said(planOf([{ method: method(2.6), dyes }]))).toMatch(/run/);
  });
  test('of 30 and 20 % of the goods half are reached', () =>
    expect(passShare(method(1.2, [30, 20]) as PassMethod)).toBeCloseTo(0.5, 12));
  test('twelve sections are taken, thirteen refused', () => {
    const many = (count: number) => () =>
      recipeOf([
        {
          method: method(
            1.2,
            Array.from({ length: count }, () => 5),
          ),
          dyes,
        },
      ]);
    expect(many(12)).not.toThrow();
    expect(many(13)).toThrow(/at most 12 sections/);
  });
});

test('dip: 60 % of the length in, 4 steps of 5 minutes, dye for 120 g', () => {
  const pass = passOf({ method: { kind: 'dip', sharePercent: 60, steps: 4, minutes: 20 } });
  expect(pass.pours[0]!.grams.value).toBeCloseTo(1.2, 9);
  expect(pass.goods.value).toBeCloseTo(120, 9);
  expect(figureOf(pass, 'Time in the bath per step')).toBe(5);
  expect(pass.bath.value).toBeCloseTo(3600, 9);
});

describe('ice: what melts is all the water there is', () => {
  const method = { kind: 'ice', iceGrams: 1600, meltMinutes: 480 };
  test('1.6 kg of ice at 1 g/L takes 1.6 g of citric, and no water is run', () => {
    const pass = passOf({ method, water: { basis: 'ratio', value: 8 } });
    expect(figureOf(pass, 'Melt water')).toBe(1600);
    expect(pass.bath.value).toBeCloseTo(1600, 9);
    expect(pass.water.value).toBe(0);
    expect(pass.acids[0]!.amount.value).toBeCloseTo(1.6, 9);
    expect(pass.bathAcid!.gPerL.value).toBeCloseTo(1, 9);
  });
  test('its steps: goods on a rack, acid over them, ice on the goods, powder on the ice', () => {
    const plan = planOf([{ method, dyes: [depth('d1', 'blue', 1)] }]);
    expect(idsOf(plan).slice(1, 6)).toEqual(
      ['place.goods', 'acid.bath', 'put.ice', 'dye.d1', 'stand.melt'].map((role) => `p1.${role}`),
    );
  });
  test('with liquid acid the bath is the melt and the acid together', () => {
    const vinegar = { material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1, when: 'start' };
    // 1 g/L of a bottle of 50 g/L is a fiftieth of the whole: 1600 ÷ 0.98.
    const pass = passOf({ method, acids: [vinegar] });
    expect(pass.bath.value).toBeCloseTo(1600 / 0.98, 6);
    expect(pass.acids[0]!.amount.value).toBeCloseTo(1600 / 0.98 / 50, 6);
  });
});

test('sprinkle: 1 g of powder cut with 10 g of citric, which is acid in the bath too', () => {
  const pass = passOf({
    method: { kind: 'sprinkle', citricPerGram: 10, coverPercent: 30, settleMinutes: 5 },
    dyes: [depth('d1', 'blue', 0.5)],
    acids: [],
    water: { basis: 'volume', value: 1000 },
  });
  expect(pass.pours[0]!.grams.value).toBe(1);
  expect(pass.pours[0]!.cut!.value).toBe(10);
  expect(pass.bathAcid!.gPerL.value).toBeCloseTo(10, 9);
});

test('repeated twist: 200 mL in four doses of 50, the goods re-tied between them', () => {
  const plan = planOf([
    {
      method: { kind: 'repeated', repeats: 4, minutes: 8 },
      arrangement: { kind: 'twisted', count: 3 },
      heat: { temperatureC: 82, minutes: 0 },
    },
  ]);
  const [pour] = plan.passes[0]!.pours;
  expect([pour!.volume!.value, pour!.each.value, pour!.doses]).toEqual([200, 50, 4]);
  const doses = linesOf(plan).filter(({ act }) => act.purpose === 'dose' && act.kind === 'put');
  expect(doses.map(({ act }) => (act.kind === 'put' ? act.amount : null))).toEqual([50, 50, 50, 50]);
  expect(idsOf(plan).filter((id) => id.includes('re-tie'))).toHaveLength(3);
});

test('painted stack: what drains adds up on the lowest layer, and no dye is lost', () => {
  const pass = passOf({ method: { kind: 'painted stack', layers: 3, drainPercent: 20, pickUpMlPerG: 1.2 } });
  // Given 1 % a layer, a fifth draining: 0.8, then 1.2 × 0.8 = 0.96, the lowest keeps 1 + 0.24.
  expect(pass.parts.map((part) => part.dos.value)).toEqual([
    expect.closeTo(0.8, 9),
    expect.closeTo(0.96, 9),
    expect.closeTo(1.24, 9),
  ]);
  expect(pass.bath.value).toBeCloseTo(240, 9);
});

test('stock beyond what the layers of a stack take up is said, with the paint they take', () => {
  // 200 g at 1.2 mL/g take 240 mL; 1.3 % from a 1 % jar is 260 mL, with 48 mL of vinegar in the paint beside it.
  const method = { kind: 'painted stack' as const, layers: 3, drainPercent: 20, pickUpMlPerG: 1.2 };
  const acid = { material: 'vinegar' as const, strengthPercent: 5, basis: 'amount' as const, value: 48 };
  const texts = (when: 'start' | 'last'): string[] =>
    planOf([{ method, dyes: [depth('d1', 'blue', 1.3, 'blue-1')], acids: [{ ...acid, when }] }]).notices.map(
      noticeWords,
    );
  expect(texts('start')).toContain(
    'Stock and acid come to 308 mL, more than the 240 mL of paint the goods take up. Take a stronger stock.',
  );
  expect(texts('last')).toContain(
    'Stock and acid come to 260 mL, more than the 240 mL of paint the goods take up. Take a stronger stock.',
  );
});

test('a glaze is meant to be strongly acid, and asks for fast-striking dyes', () => {
  const glaze = { method: { kind: 'glaze', minutes: 30 }, acids: [{ ...ACID, value: 8 }] };
  expect(said(planOf([glaze]))).not.toMatch(/more acid than usual/);
  const slow = { ...SHELF, dyes: SHELF.dyes.map((dye) => ({ ...dye, dyeClass: 'milling' as const })) };
  expect(said(planFormulation(formulate('x', recipeOf([glaze]), slow)))).toMatch(/strikes slowly cold/);
});

describe('several passes', () => {
  const kept = { water: { basis: 'kept' }, acids: [] };
  const hot = { heat: { temperatureC: 80, minutes: 15 } };
  test('a kept bath brings its liquid, acid and heat along', () => {
    const plan = planOf([hot, { ...kept, ...hot }]);
    const [first, second] = plan.passes;
    expect(second!.water.value).toBe(0);
    expect(first!.bath.value).toBeCloseTo(6000, 9);
    // 200 g of wet goods bring 240 mL; lifted out and squeezed they keep 160 mL, and what acid is in them.
    expect(second!.bath.value).toBeCloseTo(6000 + 240 - 160 + 200, 9);
    expect(second!.bathAcid!.gPerL.value).toBeCloseTo((6 * 6080) / 6240 / 6.28, 9);
    // 200 mL of stock at 20 °C cool the 80 °C bath by two degrees.
    expect(second!.heat!.rise.value).toBeGreaterThan(1);
    expect(second!.heat!.rise.value).toBeLessThan(3);
    expect(first!.heat!.rise.value).toBeCloseTo((80 - 20) / 1.5, 9);
  });
  test('paint never takes the bath before it: it is made fresh, with its own acid', () => {
    const painted = { method: METHODS.painting.usual, dyes: [depth('d2', 'blue', 0.1, 'blue-1', 'a')] };
    const plan = planOf([hot, { ...kept, ...painted }]);
    expect(plan.passes[1]!.acidsBefore).toEqual([]);
    // Only section A has dye: 100 mL of paint, 10 of them stock. What nobody paints takes no water.
    expect(plan.passes[1]!.water.value).toBeCloseTo(100 - 10, 9);
  });
  test('a liter of vinegar into a kept bath of 6 L makes it 7 L', () => {
    const vinegar = { material: 'vinegar', strengthPercent: 5, basis: 'amount', value: 1000, when: 'start' };
    const plan = planOf([hot, { ...kept, dyes: [depth('d2', 'blue', 0.5)], acids: [vinegar] }]);
    const before = plan.passes[0]!.bath.value + 240 - 160;
    expect(plan.passes[1]!.bath.value).toBeCloseTo(before + 1000, 9);
    // 2 g/L from a bottle of 50 g/L: 4 % of the whole is vinegar, so 6 L become 6 ÷ 0.96 = 6.25 L.
    const byLiter = planOf([
      hot,
      { ...kept, dyes: [depth('d2', 'blue', 0.5)], acids: [{ ...vinegar, basis: 'gPerL', value: 2 }] },
    ]);
    expect(byLiter.passes[1]!.bath.value).toBeCloseTo(before / 0.96, 9);
    expect(byLiter.passes[1]!.acids[0]!.amount.value).toBeCloseTo((0.04 * before) / 0.96, 9);
  });
  test('acid “when warm” goes into a hot repeated pass once', () => {
    const plan = planOf([{ ...hot, method: METHODS.repeated.usual, acids: [{ ...ACID, when: 'warm' }] }]);
    expect(idsOf(plan).filter((id) => id.includes('acid'))).toHaveLength(1);
  });
  test('the first pass has no bath before it', () => {
    expect(() => recipeOf([kept])).toThrow(/no bath in the pot yet/);
  });
  test('twelve passes of every way plan, with steps of different ids and no more than twelve', () => {
    const passes = METHOD_KINDS.map((kind, i) => ({
      method: METHODS[kind].usual,
      dyes: [depth(`d${i}`, 'blue', 0.2, METHODS[kind].dry ? null : 'blue-1')],
      heat: METHODS[kind].hot ? { temperatureC: 80, minutes: 10 } : null,
    }));
    const plan = planOf(passes);
    const ids = plan.lines.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(plan.passes).toHaveLength(12);
    for (const [i, planned] of plan.passes.entries())
      expect(passSentence(recipeOf(passes).passes[i]!, planned)).toMatch(/%.*,/);
    expect(() => recipeOf([...passes, {}])).toThrow(/at most 12 passes/);
  });
  test('the goods are drawn after every pass, each a little further', () => {
    const { looks, undyedHex } = planOf([{}, {}]).goods[0]!;
    expect(looks).toHaveLength(3);
    expect(looks.map(({ ground, coats }) => [ground, coats.length])).toEqual([
      [undyedHex, 0],
      [undyedHex, 1],
      [undyedHex, 2],
    ]);
    expect(new Set(looks.map((look) => averageHex(look))).size).toBe(3);
  });
});

test.each([
  ['repeated', { repeats: 4, minutes: 8 }, 32, '8 + 8 + 8 + 8', '32 min at 82 °C'],
  ['dip', { steps: 2, minutes: 20 }, 20, '10 + 10', '20 min at 82 °C'],
] as const)(
  '%s has waits of its own: they are what it is held hot',
  (kind, settings, minutes, because, said) => {
    const pass = { method: { ...METHODS[kind].usual, ...settings }, heat: { temperatureC: 82, minutes: 55 } };
    const planned = passOf(pass);
    expect(planned.heat!.hold).toMatchObject({ value: minutes, unit: 'min', because });
    expect(passSentence(recipeOf([pass]).passes[0]!, planned)).toContain(said);
  },
);

test('several acid doses, each with its time and the pH it brings the bath to', () => {
  const plan = planOf([
    {
      heat: { temperatureC: 80, minutes: 15 },
      acids: [
        { material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 0.3, when: 'start' },
        { ...ACID, value: 1, when: 'last' },
      ],
    },
  ]);
  const [first, second] = plan.passes[0]!.acids;
  expect(second!.pH.value).toBeLessThan(first!.pH.value - 0.3);
  expect(idsOf(plan).join(' ')).toContain('p1.acid.bath p1.place.goods p1.heat p1.hold p1.acid.late');
  expect(plan.totals.acids.map(({ label, amount }) => [label, amount.unit])).toEqual([
    ['white vinegar', 'mL'],
    ['citric acid crystals', 'g'],
  ]);
});

test('half a tablespoon of citric with each cup of top-up keeps the bath (common practice, no source)', () => {
  // A level tablespoon of citric crystals is about 13 g (from memory), so half of one is 6.5 g for a cup of 237 mL: 27 g/L.
  // At a bath of 3.25 g/L (19.5 g in 6 L) a cup needs only 0.77 g: the plan tops up what keeps the bath, not more.
  const pass = passOf({ acids: [{ ...ACID, value: 3.25 }], topUpMl: US_ML.cup });
  expect(pass.topUp!.acid!.amount.value).toBeCloseTo(3.25 * (US_ML.cup / 1000), 9);
  expect(pass.topUp!.water.value).toBeCloseTo(US_ML.cup, 9);
});

describe('goods', () => {
  const goods = (lines: Parameters<typeof goodsLine>[0][]): Partial<Recipe> => ({
    goods: lines.map(goodsLine),
  });
  test('a weighed mass goes before count × nominal', () => {
    const plan = planOf(
      [{}],
      goods([{ id: 'g', baseId: 'wool', count: 2, gramsEach: 100, weighedGrams: 193 }]),
    );
    expect(plan.wog.value).toBe(193);
    expect(plan.passes[0]!.pours[0]!.volume!.value).toBeCloseTo(193, 9);
    expect(plan.wog.because).toMatch(/193 g as weighed/);
  });
  test('a catch-up skein goes in last and carries no dye in the reckoning', () => {
    const plan = planOf(
      [{}],
      goods([
        { id: 'g', baseId: 'wool', count: 2, gramsEach: 100 },
        { id: 'h', baseId: 'sock', count: 1, gramsEach: 100, catchUp: true },
      ]),
    );
    expect(plan.wog.value).toBe(200);
    const late = plan.lines.find(({ id }) => id === 'place.catch-up')!;
    expect(late.act).toMatchObject({ kind: 'place', purpose: 'catch up', goods: [expect.any(String)] });
    expect(() =>
      recipeOf([{}], goods([{ id: 'g', baseId: 'wool', count: 1, gramsEach: 50, catchUp: true }])),
    ).toThrow(/Something besides the catch-up/);
  });
  test('goods dyed before are dyed over: their color is the ground', () => {
    const plan = planOf(
      [{}],
      goods([{ id: 'g', baseId: 'wool', count: 1, gramsEach: 100, dyedOverHex: '#c8a020' }]),
    );
    expect(plan.goods[0]!.undyedHex).toBe('#c8a020');
  });
});

describe('what cannot be', () => {
  const set = (changes: Parameters<typeof heatSet>[0]): Partial<Recipe> => ({ set: heatSet(changes) });
  const blocking = (plan: Plan): string[] => plan.notices.filter((one) => one.blocks).map(noticeWords);
  test('silk at 100 °C is spoken of', () =>
    expect(
      said(
        planOf([{}], {
          goods: [goodsLine({ id: 'g', baseId: 'silk', count: 4, gramsEach: 50 })],
          ...set({ method: 'simmer', temperatureC: 99, minutes: 20, coolMinutes: 60 }),
        }),
      ),
    ).toMatch(/Over 88 °C is hard on silk/));
  test('a sealed bag in the microwave blocks', () => {
    const sealed = set({
      method: 'microwave',
      temperatureC: 95,
      minutes: 8,
      coolMinutes: 45,
      wrap: 'sealed',
    });
    expect(blocking(planOf([{}], sealed))).toEqual([expect.stringMatching(/Never seal a bag/)]);
    const vented = set({
      method: 'microwave',
      temperatureC: 95,
      minutes: 8,
      coolMinutes: 45,
      wrap: 'vented',
    });
    expect(blocking(planOf([{}], vented))).toEqual([]);
  });
  test('98 °C at 1500 m, where water boils at 95.0, blocks', () => {
    const made = formulate(
      'x',
      recipeOf([{}], set({ method: 'simmer', temperatureC: 98, minutes: 20, coolMinutes: 60 })),
      SHELF,
    );
    const high = planFormulation({ ...made, place: { altitudeM: 1500, tapC: 12, roomC: 20 } });
    expect(blocking(high)).toEqual([expect.stringMatching(/boils at 95\.0 °C at 1500 m/)]);
    expect(blocking(planFormulation(made))).toEqual([]);
  });
  test('a ring too weak for the pot blocks; a strong one says how long it takes', () => {
    const pot = (powerWatts: number) =>
      potSchema.parse({ id: 'pot', name: 'Pot', capacityMl: 9000, powerWatts, lossWPerK: 6 });
    const made = formulate('x', recipeOf([{}]), SHELF);
    expect(blocking(planFormulation({ ...made, pot: pot(300) }))).toEqual([
      expect.stringMatching(/loses heat as fast/),
    ]);
    const strong = planFormulation({ ...made, pot: pot(800) });
    expect(blocking(strong)).toEqual([]);
    // 480 W less losses into 6.2 kg of water: slower than 1.5 °C a minute, so the ring decides.
    expect(strong.set.rise.value).toBeGreaterThan((88 - 20) / 1.5);
    expect(strong.set.expectedCool!.value).toBeGreaterThan(30);
  });
  test('a thick bundle that is not hot in the middle by the end of the hold', () => {
    expect(
      said(
        planOf([{}], set({ method: 'steam', temperatureC: 98, minutes: 20, coolMinutes: 60, bundleCm: 9 })),
      ),
    ).toMatch(/middle of a 9 cm bundle/);
    expect(
      said(
        planOf([{}], set({ method: 'steam', temperatureC: 98, minutes: 25, coolMinutes: 60, bundleCm: 3 })),
      ),
    ).not.toMatch(/middle of/);
  });
  test('one jar poured from in two passes must hold enough for both', () => {
    const plan = planFormulation(formulate('x', recipeOf([{}, {}]), SHELF), { left: { 'blue-1': 300 } });
    expect(said(plan)).toMatch(/holds 100 mL, 100 mL less than you need/);
  });
  test('an old jar is spoken of once the day is known', () => {
    const old = { ...SHELF, stocks: SHELF.stocks.map((stock) => ({ ...stock, madeOn: '2026-01-01' })) };
    const made = formulate('x', recipeOf([{}]), old);
    expect(said(planFormulation(made, { today: '2026-11-24' }))).toMatch(/327 days old/);
    expect(said(planFormulation(made))).not.toMatch(/days old/);
  });
});

test('every way has settings that its own schema takes', () => {
  for (const kind of METHOD_KINDS) {
    const { usual } = METHODS[kind];
    expect((recipeOf([{ method: usual }]).passes[0]!.method as PassMethod).kind).toBe(kind);
  }
});

test('a scale too coarse for a pinch says what the depth may come out as; painted goods are not simmered', () => {
  const plan = planFormulation(
    formulate('x', recipeOf([{ method: METHODS.sprinkle.usual, dyes: [depth('d1', 'red', 0.02)] }]), {
      ...SHELF,
      tools: BENCH_TOOLS,
    }),
  );
  // 0.02 % on 200 g is 0.04 g; half a graduation of 0.01 g is 12.5 % of it, so 0.0174 to 0.0226 %.
  expect(plan.notices.map(noticeWords)).toContain(
    'Bell Red: 0.04 g is read as 0.04 g on the scale, to within 13 %; 0.02 % may come out as 0.0174 % or 0.0226 %. No dilution with these tools does better: take a finer tool.',
  );
  const bare = { method: METHODS.painting.usual, dyes: [depth('d1', 'blue', 1, 'blue-1', 'a')] };
  const said = (method: 'simmer' | 'steam'): string[] =>
    planOf([bare], {
      set: heatSet({ method, temperatureC: 88, minutes: 30, coolMinutes: 60 }),
    }).notices.map(noticeWords);
  const wrong = 'Painted goods lie in no bath to simmer in: steam them, or take the oven or the microwave.';
  expect(said('simmer')).toContain(wrong);
  expect(said('steam')).not.toContain(wrong);
});

test('goods painted after an acid pass bring the acid of what is painted, not of the rest', () => {
  const bath = { dyes: [depth('d1', 'blue', 1, 'blue-1')], acids: [{ ...ACID, value: 2 }] };
  const painted = (percent: number) => ({
    method: {
      kind: 'painting' as const,
      layout: 'around' as const,
      sections: [{ id: 'a', name: 'A', sharePercent: percent }],
      pickUpMlPerG: 1,
    },
    dyes: [depth('d2', 'blue', 0.2, 'blue-1', 'a')],
  });
  const taken = (percent: number): number => planOf([bath, painted(percent)]).passes[1]!.inBath.takenMeq;
  expect(taken(100)).toBeLessThan(-1);
  const held = taken(100) - 2 * taken(50);
  // What they hold wet is all theirs whatever is painted; what their fiber carries goes by the painted part.
  expect(taken(25)).toBeCloseTo((taken(100) + 3 * -held) / 4, 6);
});

test.each(METHOD_KINDS.flatMap((kind) => [`${kind}, heated`, `${kind}, left to the set`]))(
  'what the rows say is on the goods is on them once all acts are done: %s',
  (name) => {
    const [kind, heated] = name.split(', ');
    const heat = heated === 'heated' ? { temperatureC: 85, minutes: 20, rampCPerMin: 1 } : null;
    const method = METHOD_KINDS.filter((one) => one === kind).map((one) => METHODS[one].usual)[0];
    const plan = planFormulation(formulate('x', recipeOf([{ method, heat }]), SHELF));
    const { after } = plan.lines.at(-1)!;
    const sum = [...depths(after).values()].reduce((all, percent) => all + percent, 0);
    expect(sum).toBeGreaterThan(0.3);
    expect(sum).toBeCloseTo(plan.passes[0]!.dosOnAllGoods.value, 9);
    expect(after.drained.parcels).toEqual([]);
  },
);
