import {
  baseSchema,
  dyeSchema,
  formulate,
  METHOD_KINDS,
  METHODS,
  planFormulation,
  potSchema,
  recipeSchema,
  stockSchema,
  toolSchema,
  type Recipe,
  type Shelf,
} from '@ythrion/core';
import type { Measure } from './bench';

const numbers = [1, 2, 3, 4, 5, 6];
const SHELF: Shelf = {
  bases: ['merino', 'wool', 'silk', 'alpaca'].map((fiber, i) =>
    baseSchema.parse({
      id: `b${i}`,
      name: `Base ${i}`,
      fibers: [
        { fiber, percent: 80 },
        { fiber: 'nylon', percent: 20 },
      ],
      putUpGrams: 100,
    }),
  ),
  dyes: numbers.map((n) => dyeSchema.parse({ id: `d${n}`, name: `Dye ${n}`, swatchHex: `#${n}${n}4488` })),
  stocks: numbers.map((n) =>
    stockSchema.parse({ id: `s${n}`, dyeId: `d${n}`, strengthPercent: 1, volumeMl: 500 }),
  ),
  pots: [potSchema.parse({ id: 'pot', name: 'Pot', capacityMl: 30_000, powerWatts: 2000 })],
  tools: [
    [1, 0.02],
    [10, 0.2],
    [60, 1],
    [250, 2],
    [1000, 10],
  ].map(([capacity, graduation], i) =>
    toolSchema.parse({ id: `t${i}`, name: `Tool ${i}`, capacity, graduation }),
  ),
};
const acid = { material: 'citric', strengthPercent: 100, basis: 'gPerL', value: 1, when: 'warm' };
const set = { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 120 };

/** One immersion pass of 6 dyes. */
const SIMPLE = recipeSchema.parse({
  goods: [{ id: 'g', baseId: 'b0', count: 4, gramsEach: 100 }],
  wettingMinutes: 30,
  passes: [
    {
      id: 'p',
      method: { kind: 'immersion' },
      dyes: numbers.map((n) => ({
        id: `l${n}`,
        dyeId: `d${n}`,
        entry: { school: 'depth', percent: n / 10 },
        stockId: `s${n}`,
      })),
      water: { basis: 'ratio', value: 30 },
      acids: [acid],
    },
  ],
  set,
});

/** 12 passes of every way on 4 bases, two acid doses and a heat program each, pours small enough to dilute. */
const FULL = recipeSchema.parse({
  goods: [0, 1, 2, 3].map((n) => ({ id: `g${n}`, baseId: `b${n}`, count: 1, gramsEach: 25 })),
  wettingMinutes: 30,
  potId: 'pot',
  passes: Array.from({ length: 12 }, (_, i) => {
    const kind = METHOD_KINDS[i % METHOD_KINDS.length] ?? 'immersion';
    return {
      id: `p${i}`,
      method: METHODS[kind].usual,
      dyes: [1, 2, 3].map((n) => ({
        id: `l${i}-${n}`,
        dyeId: `d${n}`,
        entry: { school: 'depth', percent: n === 1 ? 0.004 : n / 20 },
        stockId: `s${n}`,
      })),
      water: { basis: 'ratio', value: 30 },
      acids: [
        { ...acid, when: 'start' },
        { ...acid, material: 'vinegar', strengthPercent: 5, when: 'last' },
      ],
      topUpMl: 200,
      heat: METHODS[kind].hot ? { temperatureC: 80, minutes: 10 } : null,
    };
  }),
  set,
});

/** What a keystroke makes of a recipe: another amount of the first dye of one pass; nothing else changes. */
function typedIn(recipe: Recipe, at: number, percent: number): Recipe {
  const passes = recipe.passes.map((pass, i) =>
    i === at
      ? {
          ...pass,
          dyes: pass.dyes.map((line, d) =>
            d === 0 ? { ...line, entry: { school: 'depth' as const, percent } } : line,
          ),
        }
      : pass,
  );
  return { ...recipe, passes };
}

/** Typing 1,000 times, in each pass by turns; and the whole plan of a recipe never seen before. */
export function planTimes(): Measure[] {
  return [
    {
      what: 'plan of 6 dyes at a keystroke, median of 1,000',
      measured: typing(SIMPLE),
      allowed: 1,
      unit: 'ms',
    },
    {
      what: 'plan of 12 passes on 4 bases at a keystroke, with pH, heat and dilutions, median of 1,000',
      measured: typing(FULL),
      allowed: 3,
      unit: 'ms',
    },
    {
      what: 'the same never planned before, median of 1,000',
      measured: median(() => structuredClone(FULL)),
      allowed: 3,
      unit: 'ms',
    },
  ];
}

function typing(recipe: Recipe): number {
  let typed = recipe;
  return median((i) => (typed = typedIn(typed, i % recipe.passes.length, 0.001 * (1 + (i % 900)))));
}

/** Plans that warm the engine up before any is counted. */
const WARM_UP = 500;

/** Milliseconds to plan a recipe, every figure of it; making the recipe is not counted. */
function median(recipeOf: (i: number) => Recipe): number {
  const times = Array.from({ length: WARM_UP + 1000 }, (_, i) => {
    const recipe = recipeOf(i);
    const from = performance.now();
    planFormulation(formulate('Bench', recipe, SHELF));
    return performance.now() - from;
  })
    .slice(WARM_UP)
    .toSorted((a, b) => a - b);
  return times[500] ?? 0;
}
