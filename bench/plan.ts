import { dyeSchema, baseSchema, stockSchema, formulate, planFormulation, recipeSchema } from '@ythrion/core';
import type { Measure } from './bench';

/** Recompute of a whole plan with 6 dyes, as every keystroke does: median of 1,000. */
export function planTimes(): Measure[] {
  const numbers = [1, 2, 3, 4, 5, 6];
  const shelf = {
    bases: [
      baseSchema.parse({
        id: 'b',
        name: 'Base',
        fibers: [
          { fiber: 'wool', percent: 80 },
          { fiber: 'nylon', percent: 20 },
        ],
        putUpGrams: 100,
      }),
    ],
    dyes: numbers.map((n) => dyeSchema.parse({ id: `d${n}`, name: `Dye ${n}`, swatchHex: `#${n}${n}4488` })),
    stocks: numbers.map((n) =>
      stockSchema.parse({ id: `s${n}`, dyeId: `d${n}`, strengthPercent: 1, volumeMl: 500 }),
    ),
  };
  const recipe = recipeSchema.parse({
    goods: [{ id: 'g', baseId: 'b', count: 4, gramsEach: 100 }],
    wettingMinutes: 30,
    passes: [
      {
        id: 'p',
        method: { kind: 'immersion' },
        dyes: numbers.map((n) => ({ id: `l${n}`, dyeId: `d${n}`, dosPercent: n / 10, stockId: `s${n}` })),
        water: { basis: 'ratio', value: 30 },
        acids: [{ material: 'citric', strengthPercent: 100, basis: 'gPerL', value: 1, when: 'warm' }],
      },
    ],
    set: { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 120 },
  });
  const times = Array.from({ length: 1000 }, () => {
    const from = performance.now();
    planFormulation(formulate('Bench', recipe, shelf));
    return performance.now() - from;
  }).toSorted((a, b) => a - b);
  return [{ what: 'plan of 6 dyes, median of 1,000', measured: times[500] ?? 0, allowed: 1, unit: 'ms' }];
}
