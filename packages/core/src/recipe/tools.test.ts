import fc from 'fast-check';
import { depth, formulation, goodsLine, recipe, SHELF } from '../../test/examples';
import { heatCurve } from '../plan/heatCurve';
import { inksOf, likelyPrimaries, printOfScreen } from './fromPrint';
import { formulate } from './materials';
import { changeMethod, changeWay, newColorway, newPass } from './newColorway';
import { METHOD_KINDS } from '../method';
import { passFromPattern } from './passFromPattern';
import { passPhCurve } from '../plan/passPhCurve';
import { planFormulation } from '../plan/plan';
import type { Plan } from '../plan/planTypes';
import { passSchema, recipeSchema } from './recipe';
import { nextDepth, resizeRecipe } from '../plan/resize';
import { runSheet } from '../words/runSheet';
import { upgradeRecipe } from './upgradeRecipe';

describe('size and depth', () => {
  let plan: Plan;
  beforeEach(() => {
    plan = planFormulation(formulation());
  });
  test('the same depth on twice the goods is twice the dye', () => {
    const next = resizeRecipe(
      recipe(),
      { kind: 'same depth', goods: [goodsLine({ id: 'g1', baseId: 'wool', count: 4, gramsEach: 100 })] },
      plan,
    );
    const after = planFormulation(formulate('x', next, SHELF));
    expect([after.totals.dos.value, after.totals.dye.value]).toEqual([
      expect.closeTo(1.25, 9),
      expect.closeTo(5, 9),
    ]);
  });
  test('the same dye on twice the goods is half the depth', () => {
    const next = resizeRecipe(
      recipe(),
      { kind: 'same dye', goods: [goodsLine({ id: 'g1', baseId: 'wool', count: 4, gramsEach: 100 })] },
      plan,
    );
    const after = planFormulation(formulate('x', next, SHELF));
    expect([after.totals.dos.value, after.totals.dye.value]).toEqual([
      expect.closeTo(0.625, 9),
      expect.closeTo(2.5, 9),
    ]);
  });
  test('one step deeper is the next rung of the ladder, and every dye keeps its part', () => {
    const after = planFormulation(formulate('x', resizeRecipe(recipe(), { kind: 'deeper' }, plan), SHELF));
    expect(after.totals.dos.value).toBeCloseTo(2, 9);
    const [blue, red] = after.passes[0]!.pours;
    expect(blue!.dos.value / red!.dos.value).toBeCloseTo(4, 9);
    expect(nextDepth(0.3, 'paler')).toBe(0.25);
    expect(nextDepth(4, 'deeper')).toBe(5);
  });
  test('scaling is linear in every school', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        fc.double({ min: 1, max: 200, noNaN: true }),
        (count, milliliters) => {
          const [pass] = recipe().passes;
          const first = {
            ...recipe(),
            passes: [
              {
                ...pass!,
                dyes: [
                  { ...depth('d1', 'blue', 1, 'blue-1'), entry: { school: 'stock' as const, milliliters } },
                ],
              },
            ],
          };
          const goods = [goodsLine({ id: 'g1', baseId: 'wool', count, gramsEach: 100 })];
          const next = resizeRecipe(first, { kind: 'same depth', goods }, plan);
          const volume = planFormulation(formulate('x', next, SHELF)).passes[0]!.pours[0]!.volume!.value;
          expect(volume / ((milliliters * count) / 2)).toBeCloseTo(1, 9);
        },
      ),
    );
  });
});

describe('temperature over time', () => {
  const made = formulation();
  const plan = planFormulation(made);
  const { points, marks } = heatCurve(plan.lines, 20, 20);
  test('rises to the set, holds, and cools to handling; time only goes forward', () => {
    expect(Math.max(...points.map((point) => point.celsius))).toBe(88);
    expect(points.at(-1)!.celsius).toBe(40);
    points.slice(1).forEach((point, i) => expect(point.minute).toBeGreaterThanOrEqual(points[i]!.minute));
    expect(points.at(-1)!.minute).toBeCloseTo(plan.totals.elapsed.value, 6);
  });
  test('both dyes, the acid, the goods and the hold are marked where they happen', () => {
    expect(marks.map((mark) => mark.kind)).toEqual(['dye', 'dye', 'acid', 'goods', 'hold']);
    expect(marks.at(-1)!.celsius).toBe(88);
    expect(marks[0]!.celsius).toBe(20);
  });
});

test('pH against acid falls steadily, and today’s dose lies on the curve', () => {
  const made = formulation();
  const [pass] = planFormulation(made).passes;
  const points = passPhCurve(made, made.recipe.passes[0]!, pass!, pass!.acids[0]!);
  points.slice(1).forEach((point, i) => expect(point.pH).toBeLessThanOrEqual(points[i]!.pH + 1e-6));
  const today = points[(points.length - 1) / 2]!;
  expect(today.amount).toBeCloseTo(pass!.acids[0]!.amount.value, 9);
  expect(today.pH).toBeCloseTo(pass!.acids[0]!.pH.value, 6);
  expect(points[0]!.pH).toBeGreaterThan(7);
});

describe('the run sheet', () => {
  let sheet: ReturnType<typeof runSheet>;
  beforeEach(() => {
    sheet = runSheet(formulation(), planFormulation(formulation()));
  });
  test('goods, stock, every step with its amount, checks and cautions', () => {
    expect(sheet.goods[0]).toMatchObject({ what: '2 × Sexton worsted, skein', amount: '200 g' });
    expect(sheet.stock.map((line) => [line.what, line.amount])).toEqual([
      ['Vault Blue 1 %', '200 mL'],
      ['Bell Red 1 %', '50 mL'],
    ]);
    expect(sheet.parts.map((part) => part.title)).toEqual([
      expect.stringMatching(/^Pass 1: immersion · 1\.25 % · expected pH/),
      'Set and finish',
    ]);
    expect(sheet.parts.flatMap((part) => part.lines)).toHaveLength(11);
    expect(sheet.cautions.join(' ')).toMatch(/safety sheet and your local rules/);
  });
  test('no line is without words, and every measured one has an amount', () => {
    for (const line of sheet.parts.flatMap((part) => part.lines)) expect(line.what).not.toBe('');
    expect(sheet.parts[0]!.lines.find((line) => line.what.startsWith('Pour Vault Blue'))!.amount).toBe(
      '200 mL',
    );
  });
});

describe('print values', () => {
  test('a screen color by plain gray replacement, worked by hand', () => {
    // #804020: black 1 − 0.502 = 49.8 %; then magenta (0.502 − 0.251) / 0.502 = 50 %, yellow 75 %.
    const values = printOfScreen('#804020');
    expect(values.black).toBeCloseTo(49.8, 1);
    expect(values.cyan).toBeCloseTo(0, 6);
    expect(values.magenta).toBeCloseTo(50, 1);
    expect(values.yellow).toBeCloseTo(75, 1);
    expect(inksOf(values)).toEqual(['magenta', 'yellow', 'black']);
  });
  test('black is black ink alone, white is none', () => {
    expect(printOfScreen('#000000')).toEqual({ cyan: 0, magenta: 0, yellow: 0, black: 100 });
    expect(inksOf(printOfScreen('#ffffff'))).toEqual([]);
  });
  test('the likely primaries are single dyes on the shelf', () => {
    expect(likelyPrimaries(SHELF.dyes)).toMatchObject({ cyan: 'blue' });
    expect(likelyPrimaries([])).toEqual({ cyan: null, magenta: null, yellow: null, black: null });
  });
});

describe('older shapes', () => {
  const old = {
    goods: [{ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 }],
    wettingMinutes: 30,
    passes: [
      {
        id: 'p1',
        method: 'immersion',
        dyes: [{ id: 'd1', dyeId: 'blue', dosPercent: 1, stockId: 'blue-1' }],
        water: { basis: 'ratio', value: 30 },
        acid: { material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1, when: 'start' },
      },
    ],
    set: { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 120 },
  };
  test('a recipe of version 1 reads as it was meant', () => {
    const read = recipeSchema.parse(upgradeRecipe(old));
    expect(read.passes[0]!.dyes[0]!.entry).toEqual({ school: 'depth', percent: 1 });
    expect(read.passes[0]!.acids).toHaveLength(1);
    expect(planFormulation(formulate('x', read, SHELF)).passes[0]!.pours[0]!.volume!.value).toBe(200);
  });
  test('no acid then is no acid now; today’s recipes and things that are none stay as they are', () => {
    expect(upgradeRecipe({ ...old, passes: [{ ...old.passes[0], acid: null }] })).toMatchObject({
      passes: [{ acids: [] }],
    });
    const today = recipe();
    expect(upgradeRecipe(today)).toEqual(today);
    for (const odd of [null, 5, 'text', [], { passes: 'none' }]) expect(upgradeRecipe(odd)).toBe(odd);
  });
});

describe('passes and patterns', () => {
  const ids = () => {
    let n = 0;
    return () => `new-${(n += 1)}`;
  };
  test.each(METHOD_KINDS)('a new pass of %s is one that can be saved', (kind) => {
    expect(passSchema.parse(newPass('p', kind, SHELF, ids()))).toMatchObject({ id: 'p' });
  });
  test('another way keeps dyes and acid, and puts every line into a section where there are some', () => {
    const first = newPass('p', 'immersion', SHELF, ids());
    const painted = changeMethod(first, 'painting');
    expect(painted.dyes.map((line) => line.sectionId)).toEqual(['a']);
    expect(painted.acids).toEqual(first.acids);
    expect(changeMethod(painted, 'immersion').dyes[0]!.sectionId).toBeNull();
    expect(changeMethod(first, 'immersion')).toBe(first);
  });
  test('what melts carries no acid: on ice it goes in after the melt, and the goods are steamed (common practice, no source)', () => {
    const times = ({ acids }: { acids: { when: string }[] }): string[] => acids.map(({ when }) => when);
    expect(times(newPass('p', 'ice', SHELF, ids()))).toEqual(['last']);
    const { recipe } = newColorway('c', SHELF, ids());
    const iced = changeWay(recipe, recipe.passes[0]!.id, 'ice');
    expect([iced.set.method, times(iced.passes[0]!)]).toEqual(['steam', ['last']]);
    expect(times(changeMethod(iced.passes[0]!, 'immersion'))).toEqual(['start']);
    const soaked = {
      ...recipe.passes[0]!,
      acids: [{ ...recipe.passes[0]!.acids[0]!, when: 'soak' as const }],
    };
    expect(times(changeMethod(soaked, 'ice'))).toEqual(['soak']);
  });
  test('a pass from a pattern has ids of its own', () => {
    const pass = newPass('p', 'dip', SHELF, ids());
    const again = passFromPattern({ pass }, ids());
    expect(again.id).not.toBe(pass.id);
    expect({ ...again, id: '', dyes: [] }).toEqual({ ...pass, id: '', dyes: [] });
  });
});
