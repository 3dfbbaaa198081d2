import {
  baseSchema,
  colorwaySchema,
  dyeSchema,
  formulate,
  planFormulation,
  stockSchema,
} from '@ythrion/core';
import { definition } from './printRunSheet';

const colorway = colorwaySchema.parse({
  id: 'c',
  code: '07',
  name: 'Größer Bell',
  version: 3,
  recipe: {
    goods: [{ id: 'g1', baseId: 'b', count: 2, gramsEach: 100 }],
    wettingMinutes: 30,
    passes: [1, 2].map((n) => ({
      id: `p${n}`,
      method: { kind: 'immersion' },
      dyes: [{ id: `d${n}`, dyeId: 'blue', entry: { school: 'depth', percent: 0.5 }, stockId: 'jar' }],
      water: { basis: 'ratio', value: 30 },
      acids: [{ material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1 }],
    })),
    set: { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 120 },
  },
});
const shelf = {
  bases: [
    baseSchema.parse({ id: 'b', name: 'Base', fibers: [{ fiber: 'wool', percent: 100 }], putUpGrams: 100 }),
  ],
  dyes: [dyeSchema.parse({ id: 'blue', name: 'Vault Blue', swatchHex: '#22449a' })],
  stocks: [stockSchema.parse({ id: 'jar', dyeId: 'blue', strengthPercent: 1, volumeMl: 500 })],
};
const formulation = formulate(colorway.name, colorway.recipe, shelf);
const sheet = definition(formulation, planFormulation(formulation), colorway);
const words = JSON.stringify(sheet.content);

test('the sheet names the colorway and its version, in any letters', () => {
  expect(words).toContain('Größer Bell');
  expect(words).toContain('07 · version 3');
});

test('goods, stock, both passes, set, checks and cautions follow one another', () => {
  const order = [
    'Goods',
    'Stock to have at hand',
    'Pass 1: immersion',
    'Pass 2: immersion',
    'Set and finish',
    'Checks',
    'Cautions',
  ];
  const at = order.map((title) => words.indexOf(`"text":"${title}`));
  expect(at.every((place) => place >= 0)).toBe(true);
  expect([...at].toSorted((a, b) => a - b)).toEqual(at);
});

test('both pours of the jar are asked for together, each line has a box to tick', () => {
  // 200 g × 0.5 % twice is 2 g: 200 mL of the 1 % jar.
  const stock = words.slice(words.indexOf('Stock to have at hand'), words.indexOf('Pass 1: immersion'));
  expect(stock).toContain('"text":"Vault Blue 1 %"');
  expect(stock).toContain('"text":"200 mL"');
  const boxes = words.match(/"canvas"/g)?.length ?? 0;
  expect(boxes).toBeGreaterThan(20);
});

test('every box stands at the left of its own line on the paper', async () => {
  const pdfMake = (await import('pdfmake/build/pdfmake')).default;
  pdfMake.addVirtualFileSystem((await import('pdfmake/build/vfs_fonts')).default);
  const bytes = await pdfMake.createPdf({ ...sheet, compress: false }).getBuffer();
  const pages = Buffer.from(bytes).toString('latin1').split('endstream');
  const boxes = pages.flatMap((page, i) =>
    [...page.matchAll(/([\d.]+) ([\d.]+) 10 10 re/g)].map(([, x, y]) => ({ x: Number(x), at: `${i} ${y}` })),
  );
  expect(boxes.length).toBe(words.match(/"canvas"/g)?.length);
  expect(new Set(boxes.map(({ at }) => at)).size).toBe(boxes.length);
  // The margin is 36 points; a cell of a table begins a little further in.
  for (const { x } of boxes) {
    expect(x).toBeGreaterThanOrEqual(36);
    expect(x).toBeLessThan(42);
  }
});
