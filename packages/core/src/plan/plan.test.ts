import { idsOf, kindsOf } from '../../test/plans';
import fc from 'fast-check';
import { formulation, goodsLine, recipe, SHELF } from '../../test/examples';
import { potSchema } from '../shelf/pot';
import { phWindow } from '../acid/expectedPh';
import { FieldError } from '../figure/fieldError';
import type { Figure } from '../figure/figure';
import { comparePlans } from './compare';
import { CAUTIONS } from '../words/cautions';
import { formulate } from '../recipe/materials';
import { noticeWords } from '../words/noticeWords';
import { planFormulation } from './plan';
import type { Plan } from './planTypes';
import type { AcidTime } from '../method/acidTimes';
import { recipeSchema, type Recipe } from '../recipe/recipe';
import { goodsGrams, pourFrom } from '../recipe/scale';
import { resizeRecipe } from './resize';

type Changes = NonNullable<Parameters<typeof formulation>[0]>;
const pass = (changes: Partial<NonNullable<Changes['passes']>[number]>): NonNullable<Changes['passes']> => [
  { ...recipe().passes[0]!, ...changes },
];

describe('the plan of 200 g at 1 % blue and 0.25 % red, worked by hand', () => {
  let plan: Plan;
  beforeEach(() => {
    plan = planFormulation(formulation());
  });
  test('2 g of blue from 200 mL, 0.5 g of red from 50 mL', () => {
    expect(plan.wog.value).toBe(200);
    expect(plan.passes[0]!.pours.map((pour) => [pour.grams.value, pour.volume!.value])).toEqual([
      [2, 200],
      [0.5, 50],
    ]);
    expect(plan.totals.dye.value).toBe(2.5);
  });
  test('6 L of bath with 6 g of acetic acid: 120 mL of vinegar, 3 % of goods, 5630 mL of water to run', () => {
    const [first] = plan.passes;
    expect(first!.bath.value).toBe(6000);
    expect(first!.acids[0]!.amount).toMatchObject({ value: 120, unit: 'mL' });
    expect(first!.acids[0]!.percentOfGoods.value).toBeCloseTo(3, 12);
    expect(first!.water.value).toBeCloseTo(6000 - 250 - 120, 9);
  });
  test('the arithmetic is shown with its own numbers', () => {
    expect(plan.passes[0]!.pours[0]!.grams.because).toBe('200 g × 1 % ÷ 100 = 2 g');
    expect(plan.passes[0]!.pours[0]!.volume!.because).toBe('100 × 2 g ÷ 1 % w/v = 200 mL');
  });
  test('a price only when every jar has one', () => {
    expect(plan.passes[0]!.pours[0]!.cost!.value).toBeCloseTo((1400 / 56) * 2, 9);
    expect(plan.totals.cost).toBeNull();
  });
  test('steps follow the order of the work', () => {
    expect(idsOf(plan)).toEqual([
      'p1.stand.soak',
      'p1.run.bath',
      'p1.dye.d1',
      'p1.dye.d2',
      'p1.acid.bath',
      'p1.place.goods',
      'heat',
      'hold.set',
      'cool',
      'rinse',
      'dry',
    ]);
  });
});

test.each<[AcidTime, string[]]>([
  ['soak', ['p1.acid.soak', 'p1.stand.soak', 'p1.run.bath']],
  ['start', ['p1.acid.bath', 'p1.place.goods', 'heat']],
  ['warm', ['heat.warm', 'p1.acid.warm', 'heat']],
  ['last', ['heat', 'p1.acid.late', 'hold.set']],
])('acid timed “%s” stands where it belongs', (when, around) => {
  const acids = [{ ...recipe().passes[0]!.acids[0]!, when }];
  const ids = idsOf(planFormulation(formulation({ passes: pass({ acids }) })));
  expect(ids.join(' ')).toContain(around.join(' '));
});

describe('expected pH', () => {
  const acidOf = (changes: Changes, water = { alkalinityMgPerL: 0, countFiberUptake: false }) =>
    planFormulation({ ...formulation(changes), water }).passes[0]!.acids[0]!;
  test('1 g/L of acetic acid in soft water, worked by hand: 16.65 mmol/L is pH 3.28', () => {
    // x² + Ka x − Ka C = 0 with Ka = 10^−4.756, C = 1 / 60.052: x = 5.32e-4, pH 3.27 ideal; activities lift it by under 0.02.
    expect(acidOf({}).pH.value).toBeCloseTo(3.28, 1);
    expect(acidOf({}).pH.sureness).toBe('established');
  });
  test('the goods and hard water each raise it, and counting the goods makes it an estimate', () => {
    // Dry goods, which bring no water of their own.
    const dry = { wettingMinutes: 0 };
    const soft = acidOf(dry).pH.value;
    expect(acidOf(dry, { alkalinityMgPerL: 200, countFiberUptake: false }).pH.value).toBeGreaterThan(soft);
    const counted = acidOf(dry, { alkalinityMgPerL: 0, countFiberUptake: true });
    expect(counted.pH.value).toBeGreaterThan(soft);
    expect(counted.pH.sureness).toBe('estimate');
    // In water without alkalinity only the CO2 of the air tells the two apart.
    expect(counted.phBeforeGoods.value).toBeCloseTo(soft, 4);
  });
  test('the other acid for the same pH gives that pH', () => {
    const water = { alkalinityMgPerL: 120, countFiberUptake: true };
    const vinegar = acidOf({}, water);
    const swapped = acidOf(
      {
        passes: pass({
          acids: [
            {
              material: 'citric',
              strengthPercent: 100,
              basis: 'amount',
              value: vinegar.instead.samePh!.value,
              when: 'start',
            },
          ],
        }),
      },
      water,
    );
    expect(swapped.pH.value).toBeCloseTo(vinegar.pH.value, 3);
    expect(swapped.instead.samePh!.value / vinegar.amount.value).toBeCloseTo(1, 2);
  });
  test('far outside the window of the dyes is worth a word', () => {
    const strong = formulation({
      passes: pass({
        acids: [{ material: 'citric', strengthPercent: 100, basis: 'gPerL', value: 20, when: 'start' }],
      }),
    });
    expect(planFormulation(strong).notices.map(noticeWords).join()).toMatch(
      /more acid than usual.*Usual for these dyes is 3\.5 to 5/,
    );
    const weak = formulation({
      passes: pass({
        acids: [{ material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 0.05, when: 'start' }],
      }),
    });
    expect(planFormulation(weak).notices.map(noticeWords).join()).toMatch(/may leave dye in the bath/);
  });
  test('the windows of several dyes overlap where they can', () => {
    expect(phWindow(['leveling', 'half-milling'])).toEqual([3.5, 4.5]);
    expect(phWindow(['milling', 'super-milling'])).toEqual([5.5, 6]);
    expect(phWindow(['leveling', 'super-milling'])).toEqual([4.25, 5.25]);
    expect(phWindow([])).toEqual([3.5, 5]);
  });
});

test('dry goods are not wetted', () => {
  const kinds = kindsOf(planFormulation(formulation({ wettingMinutes: 0 })));
  expect(kinds.slice(0, 5)).toEqual(['run', 'put', 'put', 'put', 'place']);
});

test('depth on the dyeable part stands beside depth on the whole', () => {
  const plan = planFormulation(
    formulation({ goods: [{ id: 'g1', baseId: 'blend', count: 1, gramsEach: 100 }] }),
  );
  expect(plan.dyeablePercent.value).toBeCloseTo(80, 9);
  expect(plan.passes[0]!.pours[0]!.dos.value).toBe(1);
  expect(plan.passes[0]!.pours[0]!.dosOnDyeable!.value).toBeCloseTo(1.25, 9);
  expect(plan.notices.map(noticeWords).join(' ')).toMatch(/20 g of Wool and cotton takes no acid dye/);
});

describe('notices', () => {
  const said = (changes: Changes, left = {}): string =>
    planFormulation(formulation(changes), { left }).notices.map(noticeWords).join('\n');
  test('nothing to say about a usual recipe', () => expect(said({})).toBe(''));
  test('silk over 88 °C', () => {
    expect(
      said({
        goods: [{ id: 'g1', baseId: 'silk', count: 4, gramsEach: 50 }],
        set: { method: 'simmer', temperatureC: 96, minutes: 25, coolMinutes: 60 },
      }),
    ).toMatch(/Over 88 °C is hard on silk/);
  });
  test('a warm rest', () =>
    expect(said({ set: { method: 'warm rest', temperatureC: 30, minutes: 720, coolMinutes: 0 } })).toMatch(
      /Not equal to a heat set/,
    ));
  test('no acid', () => expect(said({ passes: pass({ acids: [] }) })).toMatch(/No acid/));
  test('a jar that holds too little says by how much', () =>
    expect(said({}, { 'blue-1': 188 })).toMatch(/holds 188 mL, 12 mL less than you need\. Make more/));
  test('a jar that is off the shelf is asked about, and neither its level nor its age is spoken of', () => {
    const asDecided = formulation();
    const stocks = asDecided.stocks.map((jar) => (jar.id === 'blue-1' ? { ...jar, retired: true } : jar));
    const { notices } = planFormulation(
      { ...asDecided, stocks },
      { left: { 'blue-1': 0 }, today: '2030-01-01T00:00:00Z' },
    );
    expect(notices.filter(({ asks }) => asks).map(noticeWords)).toEqual([
      'Vault Blue: the 1 % jar is off the shelf. Pour from another, or weigh the powder.',
    ]);
    expect(notices.map(noticeWords).filter((words) => words.startsWith('Vault Blue'))).toHaveLength(1);
  });
  test('more stock than bath', () =>
    expect(said({ passes: pass({ water: { basis: 'volume', value: 200 } }) })).toMatch(
      /more than the 200 mL bath/,
    ));
  test('below 0.02 % there is little to see (common practice, no source)', () => {
    expect(
      said({
        passes: pass({
          dyes: [{ id: 'd1', dyeId: 'blue', entry: { school: 'depth', percent: 0.01 }, stockId: 'blue-1' }],
        }),
      }),
    ).toMatch(/little to see/);
  });
  test('a pot too small', () => {
    const pot = potSchema.parse({ id: 'small', name: 'Small pot', capacityMl: 4000 });
    expect(
      planFormulation({ ...formulation(), pot })
        .notices.map(noticeWords)
        .join(),
    ).toMatch(/Small pot holds 4 L/);
  });
});

describe('cautions', () => {
  const cautions = (changes: Changes): string[] => planFormulation(formulation(changes)).cautions;
  test('powder only where powder is open', () => {
    expect(cautions({})).not.toContain('powder');
    expect(
      cautions({
        passes: pass({
          dyes: [{ id: 'd1', dyeId: 'blue', entry: { school: 'depth', percent: 1 }, stockId: null }],
        }),
      }),
    ).toContain('powder');
  });
  test.each(['steam', 'microwave', 'oven'] as const)('%s carries its own', (method) => {
    expect(cautions({ set: { method, temperatureC: 95, minutes: 20, coolMinutes: 60 } })).toContain(method);
  });
  test('only wool that can felt asks for gentle handling', () => {
    expect(cautions({})).toContain('hotWool');
    expect(cautions({ goods: [{ id: 'g1', baseId: 'sock', count: 1, gramsEach: 100 }] })).not.toContain(
      'hotWool',
    );
  });
  test('each defers to the safety sheet, local rules or code', () => {
    for (const [name, text] of Object.entries(CAUTIONS))
      if (name !== 'hotWool') expect(text).toMatch(/safety sheet and your local rules/);
  });
});

describe('refusals', () => {
  test.each<[string, unknown, string]>([
    [
      'an unknown dye',
      pass({ dyes: [{ id: 'd1', dyeId: 'ghost', entry: { school: 'depth', percent: 1 }, stockId: null }] }),
      'recipe.passes.0.dyes.0.dyeId',
    ],
    [
      'an unknown jar',
      pass({ dyes: [{ id: 'd1', dyeId: 'blue', entry: { school: 'depth', percent: 1 }, stockId: 'ghost' }] }),
      'recipe.passes.0.dyes.0.stockId',
    ],
    [
      'a jar of another dye',
      pass({ dyes: [{ id: 'd1', dyeId: 'blue', entry: { school: 'depth', percent: 1 }, stockId: 'red-1' }] }),
      'recipe.passes.0.dyes.0.stockId',
    ],
  ])('%s', (_, passes, field) => {
    expect(() => formulate('x', recipe({ passes: passes as Recipe['passes'] }), SHELF)).toThrow(
      expect.objectContaining({ field }),
    );
  });
  test('an unknown base', () => {
    expect(() =>
      formulate('x', recipe({ goods: [{ id: 'g', baseId: 'ghost', count: 1, gramsEach: 1 }] }), SHELF),
    ).toThrow(FieldError);
  });
  test.each([
    ['an empty recipe', { passes: [{ ...recipe().passes[0], dyes: [] }] }, /at least one dye/],
    ['negative mass', { goods: [{ id: 'g1', baseId: 'wool', count: 1, gramsEach: -5 }] }, /more than zero/],
    [
      '13 % depth',
      {
        passes: [
          {
            ...recipe().passes[0],
            dyes: [{ id: 'd', dyeId: 'blue', entry: { school: 'depth', percent: 13 } }],
          },
        ],
      },
      /cannot be over 12 %/,
    ],
    ['text for a number', { wettingMinutes: 'long' }, /must be a number in min/],
  ])('%s never becomes a recipe', (_, changes, message) => {
    const read = recipeSchema.safeParse({ ...recipe(), ...changes });
    expect(read.success).toBe(false);
    expect(read.error?.issues.map((issue) => issue.message).join()).toMatch(message);
  });
});

/** Every figure anywhere in a plan. */
function figures(value: unknown): Figure[] {
  if (value === null || typeof value !== 'object') return [];
  if ('sureness' in value) return [value as Figure];
  return Object.values(value).flatMap(figures);
}

const anyRecipe = fc
  .record({
    count: fc.integer({ min: 1, max: 60 }),
    gramsEach: fc.double({ min: 1, max: 500, noNaN: true }),
    base: fc.constantFrom('wool', 'sock', 'silk', 'blend'),
    blue: fc.double({ min: 0.001, max: 6, noNaN: true }),
    red: fc.double({ min: 0.001, max: 6, noNaN: true }),
    jar: fc.constantFrom('blue-1', 'blue-4', null),
    ratio: fc.double({ min: 2, max: 300, noNaN: true }),
    acid: fc.double({ min: 0, max: 20, noNaN: true }),
    when: fc.constantFrom<AcidTime>('soak', 'start', 'warm', 'last'),
  })
  .map((draw): Recipe =>
    recipe({
      goods: [{ id: 'g1', baseId: draw.base, count: draw.count, gramsEach: draw.gramsEach }],
      passes: pass({
        dyes: [
          { id: 'd1', dyeId: 'blue', entry: { school: 'depth', percent: draw.blue }, stockId: draw.jar },
          { id: 'd2', dyeId: 'strong', entry: { school: 'depth', percent: draw.red }, stockId: null },
        ],
        water: { basis: 'ratio', value: draw.ratio },
        acids: [
          { material: 'citric', strengthPercent: 100, basis: 'gPerL', value: draw.acid, when: draw.when },
        ],
      }),
    }),
  );

describe('properties', () => {
  test('every figure of every plan is finite, not negative, and says why', () => {
    fc.assert(
      fc.property(anyRecipe, (any) => {
        const all = figures(planFormulation(formulate('x', any, SHELF)));
        expect(all.length).toBeGreaterThan(20);
        for (const each of all) {
          expect(Number.isFinite(each.value) && each.value >= 0).toBe(true);
          expect(each.because).not.toBe('');
          expect(each.because).not.toMatch(/NaN|Infinity|undefined/);
        }
      }),
      { numRuns: 300 },
    );
  });
  test('scaling the goods scales every pour and leaves every depth', () => {
    fc.assert(
      fc.property(anyRecipe, fc.integer({ min: 1, max: 100 }), (any, count) => {
        const goods = [{ ...any.goods[0]!, count }];
        const factor = goodsGrams(goods) / goodsGrams(any.goods);
        const before = planFormulation(formulate('x', any, SHELF));
        const after = planFormulation(
          formulate('x', resizeRecipe(any, { kind: 'same depth', goods }, before), SHELF),
        );
        after.passes[0]!.pours.forEach((pour, i) => {
          const old = before.passes[0]!.pours[i]!;
          expect(pour.grams.value / (old.grams.value * factor)).toBeCloseTo(1, 9);
          expect(pour.dos.value).toBe(old.dos.value);
        });
        expect(after.passes[0]!.bath.value / (before.passes[0]!.bath.value * factor)).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe('dyeing on other goods', () => {
  test('amounts given outright grow with the goods', () => {
    const fixed = recipe({
      passes: pass({
        water: { basis: 'volume', value: 6000 },
        acids: [{ material: 'vinegar', strengthPercent: 5, basis: 'amount', value: 100, when: 'start' }],
      }),
    });
    const tripled = resizeRecipe(
      fixed,
      { kind: 'same depth', goods: [goodsLine({ id: 'g1', baseId: 'wool', count: 6, gramsEach: 100 })] },
      planFormulation(formulate('x', fixed, SHELF)),
    );
    expect(tripled.passes[0]!.water).toEqual({ basis: 'volume', value: 18_000 });
    expect(tripled.passes[0]!.acids[0]!.value).toBe(300);
  });
  test('goods laid otherwise, dry, or acid at another time differ, and are named', () => {
    const [only] = recipe().passes;
    const differing = (changes: object): string[] => {
      const other = { ...recipe(), passes: [{ ...only!, ...changes }] } as Recipe;
      return comparePlans(planFormulation(formulation()), planFormulation(formulate('x', other, SHELF)))
        .filter((line) => line.differs)
        .map(({ label, before, after }) => `${label}: ${before} → ${after}`);
    };
    expect(differing({ arrangement: { kind: 'twisted tight', count: 3 } })).toEqual([
      'Goods: open → twisted tight 3×',
    ]);
    expect(differing({ goodsGoIn: 'dry' })[0]).toBe('Goods: open → open, dry');
    expect(differing({ acids: [{ ...only!.acids[0]!, when: 'last' }] })).toContain(
      'White vinegar, when: start → last',
    );
    expect(differing({ topUpMl: 500 })[0]).toMatch(/^Topped up: null →/);
  });
  test('another jar gives other volumes of the same dye', () => {
    const [only] = recipe().passes;
    const stronger = {
      ...recipe(),
      passes: [
        {
          ...only!,
          dyes: only!.dyes.map((line) => (line.dyeId === 'blue' ? pourFrom(line, 'blue-4', SHELF) : line)),
        },
      ],
    };
    const lines = comparePlans(
      planFormulation(formulation()),
      planFormulation(formulate('x', stronger, SHELF)),
    );
    const pour = lines.find((line) => line.label.startsWith('Vault Blue, 1 % stock'))!;
    expect([pour.before, pour.after]).toMatchObject([{ value: 200 }, { value: 50 }]);
    expect(lines.find((line) => line.label === 'Vault Blue, dye')!.after).toMatchObject({ value: 2 });
    expect(lines.filter((line) => line.differs).map((line) => line.label)).toEqual([
      'Vault Blue, 1 % stock → 4 % stock',
      'Water',
    ]);
  });
});
