import type { z } from 'zod';
import {
  baseSchema,
  dyeLineSchema,
  dyeSchema,
  formulate,
  goodsLineSchema,
  heatSetSchema,
  potSchema,
  recipeSchema,
  stockSchema,
  toolSchema,
  type DyeLine,
  type Formulation,
  type GoodsLine,
  type HeatSet,
  type Recipe,
  type Stock,
} from '../src';

/** Materials and recipes the core's tests share. Invented. */
export const WOOL = baseSchema.parse({
  id: 'wool',
  name: 'Sexton worsted',
  fibers: [{ fiber: 'wool', percent: 100 }],
  putUpGrams: 100,
});
export const SOCK = baseSchema.parse({
  id: 'sock',
  name: 'Ratchet sock',
  superwash: true,
  putUpGrams: 100,
  fibers: [
    { fiber: 'merino', percent: 75 },
    { fiber: 'nylon', percent: 25 },
  ],
});
export const SILK = baseSchema.parse({
  id: 'silk',
  name: 'Silk single',
  fibers: [{ fiber: 'silk', percent: 100 }],
  putUpGrams: 50,
});
export const COTTON_BLEND = baseSchema.parse({
  id: 'blend',
  name: 'Wool and cotton',
  putUpGrams: 100,
  fibers: [
    { fiber: 'wool', percent: 80 },
    { fiber: 'cotton', percent: 20 },
  ],
});

export const BLUE = dyeSchema.parse({
  id: 'blue',
  name: 'Vault Blue',
  swatchHex: '#22449a',
  jarPriceCents: 1400,
  jarGrams: 56,
});
export const RED = dyeSchema.parse({ id: 'red', name: 'Bell Red', swatchHex: '#b0202c' });
export const STRONG_RED = dyeSchema.parse({
  id: 'strong',
  name: 'Strong Red',
  swatchHex: '#b0202c',
  lotStrength: 1.25,
});

const jar = (id: string, dyeId: string, strengthPercent: number): Stock =>
  stockSchema.parse({ id, dyeId, strengthPercent, volumeMl: 500, madeOn: '2026-09-02' });
export const BLUE_1 = jar('blue-1', 'blue', 1);
export const BLUE_4 = jar('blue-4', 'blue', 4);
export const RED_1 = jar('red-1', 'red', 1);

/** Enough to measure with, and to make a working dilution with. */
export const SYRINGE_AND_CYLINDER = [
  toolSchema.parse({ id: 's', name: '10 mL syringe', capacity: 10, graduation: 0.2 }),
  toolSchema.parse({ id: 'c', name: '100 mL cylinder', kind: 'cylinder', capacity: 100, graduation: 1 }),
];

/** A bench: syringe, cylinder and scale; and a pot on its ring. */
export const BENCH_TOOLS = [
  toolSchema.parse({ id: 's', name: '10 mL syringe', capacity: 10, graduation: 0.2 }),
  toolSchema.parse({ id: 'c', name: 'cylinder', kind: 'cylinder', capacity: 250, graduation: 2 }),
  toolSchema.parse({ id: 'w', name: 'scale', kind: 'scale', capacity: 200, graduation: 0.01 }),
];
export const POT = potSchema.parse({ id: 'pot', name: 'Pot', capacityMl: 12_000, powerWatts: 1800 });

/** A measured pan that a pass can have for itself. */
export const PAN = potSchema.parse({
  id: 'pan',
  name: 'Enamel pan',
  kind: 'pan',
  capacityMl: 15_000,
  floor: { shape: 'rectangular', lengthCm: 50, widthCm: 30 },
  wallCm: 10,
});

export const SHELF = {
  pots: [PAN],
  bases: [WOOL, SOCK, SILK, COTTON_BLEND],
  dyes: [BLUE, RED, STRONG_RED],
  stocks: [BLUE_1, BLUE_4, RED_1],
};

export function recipe(changes: Partial<z.input<typeof recipeSchema>> = {}): Recipe {
  return recipeSchema.parse({
    goods: [{ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 }],
    wettingMinutes: 30,
    passes: [
      {
        id: 'p1',
        method: { kind: 'immersion' },
        dyes: [
          { id: 'd1', dyeId: 'blue', entry: { school: 'depth', percent: 1 }, stockId: 'blue-1' },
          { id: 'd2', dyeId: 'red', entry: { school: 'depth', percent: 0.25 }, stockId: 'red-1' },
        ],
        water: { basis: 'ratio', value: 30 },
        acids: [{ material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1, when: 'start' }],
      },
    ],
    set: { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 120 },
    ...changes,
  });
}

export const formulation = (changes: Partial<z.input<typeof recipeSchema>> = {}): Formulation =>
  formulate('Vesper bell', recipe(changes), SHELF);

/** Goods, dye lines and sets in full, from just what a test is about. */
export const goodsLine = (line: z.input<typeof goodsLineSchema>): GoodsLine => goodsLineSchema.parse(line);
export const dyeLine = (line: z.input<typeof dyeLineSchema>): DyeLine => dyeLineSchema.parse(line);
export const heatSet = (set: z.input<typeof heatSetSchema>): HeatSet => heatSetSchema.parse(set);
export const depth = (
  id: string,
  dyeId: string,
  percent: number,
  stockId: string | null = null,
  sectionId: string | null = null,
): DyeLine => dyeLine({ id, dyeId, entry: { school: 'depth', percent }, stockId, sectionId });
