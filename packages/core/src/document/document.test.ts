import { heatSet, recipe, SHELF } from '../../test/examples';
import { written } from '../../test/written';
import { begunBatch, tick } from '../../test/records';
import { FIRST_POUR, quickFormulation, type QuickPour } from '../recipe/quickPour';
import { keepQuickPour } from './keepQuickPour';
import { planFormulation } from '../plan/plan';
import { formulate } from '../recipe/materials';
import { documentJsonSchema } from './document';
import { printedPlan } from '../words/printedPlan';
import { planDocument } from './planDocument';
import { DocumentError, readDocument } from './readDocument';

const colorway = { id: 'vesper', name: 'Vesper bell', version: 1, recipe: recipe() };
const document = { format: 'ythrion', version: 3, ...SHELF, colorways: [colorway] };
const problems = (value: unknown): { field: string; message: string }[] => {
  try {
    readDocument(value);
    return [];
  } catch (error) {
    if (error instanceof DocumentError) return [...error.problems];
    throw error;
  }
};

test('a good document reads, and reading what was read changes nothing', () => {
  const once = readDocument(document);
  expect(readDocument(JSON.parse(JSON.stringify(once)))).toEqual(once);
});

test('the plan of a document is the plan of its colorway', () => {
  const formulation = formulate('Vesper bell', recipe(), SHELF);
  expect(written(planDocument(readDocument(document)))).toEqual(
    written(printedPlan(formulation, planFormulation(formulation))),
  );
});

test('the newest version is planned; several colorways must be named', () => {
  const deeper = {
    ...colorway,
    version: 2,
    recipe: recipe({ goods: [{ id: 'g1', baseId: 'wool', count: 4, gramsEach: 100 }] }),
  };
  expect(planDocument(readDocument({ ...document, colorways: [deeper, colorway] })).wog.value).toBe(400);
  const two = readDocument({ ...document, colorways: [colorway, { ...deeper, id: 'other', version: 1 }] });
  expect(() => planDocument(two)).toThrow(/Say which: vesper, other/);
  expect(planDocument(two, 'other').wog.value).toBe(400);
  expect(() => planDocument(two, 'ghost')).toThrow(/no colorway/);
  expect(() => planDocument(readDocument({ format: 'ythrion', version: 3 }))).toThrow(/holds no colorway/);
});

test.each<[string, unknown, string, RegExp]>([
  ['not a document', 'hello', '', /must be a set of fields/],
  ['another format', { ...document, format: 'other' }, 'format', /must be "ythrion"/],
  ['a later version', { ...document, version: 9 }, 'version', /version 1 to 3/],
  ['a field nobody knows', { ...document, extra: 1 }, '', /no field “extra”/],
  [
    'fibers not adding up',
    {
      ...document,
      bases: [
        { id: 'x', name: 'X', putUpGrams: 100, fibers: [{ fiber: 'wool', percent: 90 }] },
        ...SHELF.bases,
      ],
    },
    'bases.0.fibers',
    /add up to 90 %/,
  ],
  [
    'stock over 10 %',
    {
      ...document,
      stocks: [...SHELF.stocks, { id: 's', dyeId: 'blue', strengthPercent: 12, volumeMl: 100 }],
    },
    'stocks.3.strengthPercent',
    /over 10 %/,
  ],
  [
    'a jar of no known dye',
    {
      ...document,
      stocks: [{ id: 's', dyeId: 'ghost', strengthPercent: 1, volumeMl: 100 }, ...SHELF.stocks],
    },
    'stocks.0.dyeId',
    /no dye/,
  ],
  [
    'an unknown base in a recipe',
    { ...document, bases: [] },
    'colorways.0.recipe.goods.0.baseId',
    /no yarn base/,
  ],
  ['one id twice', { ...document, dyes: [...SHELF.dyes, SHELF.dyes[0]] }, 'dyes.3.id', /twice/],
  [
    'a batch whose record cannot be',
    {
      ...document,
      batches: [
        {
          id: 'b1',
          name: 'B',
          startedAt: '2026-01-01T00:00:00Z',
          formulation: formulate('B', recipe(), SHELF),
          card: begunBatch(formulate('B', recipe(), SHELF)).card,
          events: [{ ...tick(begunBatch(formulate('B', recipe(), SHELF)), 'rinse'), planned: 'ghost' }],
        },
      ],
    },
    'batches.0.events.0.planned',
    /no act “ghost”/,
  ],
])('%s is refused with the field named', (_, value, field, message) => {
  const found = problems(value);
  expect(found.map((problem) => problem.field)).toContain(field);
  expect(found.map((problem) => problem.message).join()).toMatch(message);
});

test('the JSON Schema names every list of the document', () => {
  const schema = documentJsonSchema() as { properties: object; $schema: string };
  expect(Object.keys(schema.properties)).toEqual(
    expect.arrayContaining(['format', 'version', 'bases', 'dyes', 'stocks', 'pots', 'colorways', 'batches']),
  );
  expect(schema.$schema).toContain('2020-12');
});

describe('a quick pour', () => {
  const quick: QuickPour = {
    ...FIRST_POUR,
    grams: 200,
    dyes: [{ id: 'q1', name: 'My blue', swatchHex: '#22449a', entry: { school: 'depth', percent: 1 } }],
    strengthPercent: 1,
    set: heatSet({ method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 120 }),
  };
  test('200 g at 1 % from a 1 % stock is 200 mL (common practice, no source)', () => {
    expect(planFormulation(quickFormulation(quick, (what) => what)).passes[0]!.pours[0]!.volume!.value).toBe(
      200,
    );
  });
  test('kept, it is a document the application can read and plan alike', () => {
    const kept = keepQuickPour(quick, 'First blue', (what) => `new-${what}`);
    const read = readDocument(JSON.parse(JSON.stringify(kept.document)));
    expect(planDocument(read).passes[0]!.pours[0]!.volume!.value).toBe(200);
    expect(kept.colorway.name).toBe('First blue');
    // Nobody said how much stock there is: a liter, or as much as is poured.
    expect(kept.document.stocks[0]!.volumeMl).toBe(1000);
    const many = keepQuickPour({ ...quick, count: 10 }, 'Many', (what) => `new-${what}`);
    expect(many.document.stocks[0]!.volumeMl).toBe(2000);
  });
});
