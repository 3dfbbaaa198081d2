import request from 'supertest';
import type { BeginBatch } from '@ythrion/core';
import { asOlder, BASE, begin, DYE, JAR, RECIPE, testStudio, type TestStudio } from '../../test/studio';
import { eventOf, poured } from '../../test/records';
import { parseDocumentText, withLines } from './parseDocumentText';

let studio: TestStudio;
beforeEach(async () => {
  studio = await testStudio();
});
afterEach(() => studio.remove());

const colorway = { id: 'vesper', name: 'Vesper', version: 1, recipe: RECIPE };
const save = (body: object): request.Test => request(studio.app).post('/api/colorways').send(body);
const take = (body: unknown, into = studio): request.Test =>
  request(into.app)
    .post('/api/document')
    .send(body as object);

test('versions follow on one another and never change', async () => {
  await save(colorway).expect(201);
  await save({ ...colorway, version: 2, name: 'Vesper, deeper' }).expect(201);
  const { body } = await save({ ...colorway, version: 2, name: 'Overwritten' }).expect(409);
  expect(body.message).toMatch(/next version of this colorway is 3/);
  const versions = (await request(studio.app).get('/api/colorways/vesper')).body;
  expect(
    versions.map((version: { version: number; name: string }) => [version.version, version.name]),
  ).toEqual([
    [2, 'Vesper, deeper'],
    [1, 'Vesper'],
  ]);
  expect((await request(studio.app).get('/api/colorways')).body).toHaveLength(1);
  await request(studio.app).get('/api/colorways/ghost').expect(404);
});

test.each<[string, object, string, RegExp]>([
  [
    'an unknown base',
    { ...colorway, recipe: { ...RECIPE, goods: [{ ...RECIPE.goods[0], baseId: 'ghost' }] } },
    'recipe.goods.0.baseId',
    /no yarn base/,
  ],
  [
    'an empty recipe',
    { ...colorway, recipe: { ...RECIPE, passes: [{ ...RECIPE.passes[0], dyes: [] }] } },
    'recipe.passes.0.dyes',
    /recipe is empty/,
  ],
  [
    'depth over 12 %',
    {
      ...colorway,
      recipe: {
        ...RECIPE,
        passes: [
          {
            ...RECIPE.passes[0],
            dyes: [{ id: 'd', dyeId: 'blue', entry: { school: 'depth', percent: 12.1 } }],
          },
        ],
      },
    },
    'recipe.passes.0.dyes.0.entry.percent',
    /over 12 %/,
  ],
])('%s is refused with the field named', async (_, body, field, message) => {
  const { body: refusal } = await save(body).expect(400);
  expect(refusal.problems[0]).toMatchObject({ field, message: expect.stringMatching(message) });
  expect((await request(studio.app).get('/api/colorways')).body).toEqual([]);
});

test('what one studio exports another takes in whole, and exports alike', async () => {
  await save(colorway);
  await request(studio.app)
    .post('/api/batches')
    .send(begin('b1', { colorwayId: 'vesper', colorwayVersion: 1 }))
    .expect(201);
  await request(studio.app)
    .post('/api/batches/b1/events')
    .send(eventOf('b1', poured('e1', 220)))
    .expect(201);
  const { body: exported } = await request(studio.app).get('/api/document').expect(200);
  const other = await testStudio(false);
  expect((await take(exported, other).expect(201)).body).toEqual({ added: 5, unchanged: 0 });
  expect((await request(other.app).get('/api/document')).body).toEqual(exported);
  expect((await request(other.app).get('/api/shelf')).body.stockLeft['blue-1']).toBe(280);
  expect((await take(exported, other)).body).toEqual({ added: 0, unchanged: 5 });
  await other.remove();
});

test('a batch whose moment was written with an offset stands in the Book where it belongs, and is the same when it comes again', async () => {
  await request(studio.app)
    .post('/api/batches')
    .send(begin('b1', { startedAt: '2026-03-01T10:00:00Z' }))
    .expect(201);
  await request(studio.app)
    .post('/api/batches')
    .send(begin('b2', { startedAt: '2026-03-01T12:00:00Z' }))
    .expect(201);
  const whole = (await request(studio.app).get('/api/document')).body;
  // Eleven in the morning of UTC, as a program two hours to the east writes it.
  const one = {
    ...whole.batches[0],
    id: 'b3',
    code: '26-900',
    startedAt: '2026-03-01T13:00:00+02:00',
    events: [],
  };
  const more = { format: 'ythrion', version: whole.version, batches: [one] };
  await take(more).expect(201);
  const { body } = await request(studio.app).get('/api/batches?limit=10').expect(200);
  expect(body.rows.map(({ id }: { id: string }) => id)).toEqual(['b2', 'b3', 'b1']);
  expect((await take(more).expect(201)).body).toEqual({ added: 0, unchanged: 1 });
});

test('an import is all or nothing: one wrong line and nothing is kept', async () => {
  const before = (await request(studio.app).get('/api/document')).body;
  const document = {
    format: 'ythrion',
    version: 1,
    dyes: [
      { ...DYE, id: 'red', name: 'Bell Red' },
      { ...DYE, name: 'Not the same blue' },
    ],
  };
  const { body } = await take(asOlder(document)).expect(400);
  expect(body.problems).toEqual([
    { field: 'dyes.1.id', message: '“blue” is on the shelf already, with other content.' },
  ]);
  expect((await request(studio.app).get('/api/document')).body).toEqual(before);
});

const withoutWaits = ({ waits: _, ...set }: BeginBatch['formulation']['recipe']['set']): object => set;

/** A batch as it was begun when acid doses had no ids, an immersion nothing to decide, and there were no orders. */
const asOnce = ({
  formulation: { passPots: _, ...formulation },
  loadOf: __,
  ...batch
}: BeginBatch): object => ({
  ...batch,
  formulation: {
    ...formulation,
    recipe: {
      ...formulation.recipe,
      set: withoutWaits(formulation.recipe.set),
      passes: formulation.recipe.passes.map(
        ({ topUpWithAcid: ___, potId: _potId, takesOverMl: _takes, ...pass }) => ({
          ...pass,
          method: { kind: pass.method.kind },
          acids: pass.acids.map(({ id: _id, ...dose }) => dose),
        }),
      ),
    },
  },
});

test.each([
  [
    'a batch of no known colorway',
    { ...begin('b9', { colorwayId: 'ghost', colorwayVersion: 1 }) },
    'batches.0.colorwayId',
  ],
  ['a repeat of no known batch', { ...begin('b9', { againOf: 'ghost' }) }, 'batches.0.againOf'],
])('%s is refused', async (_, batch, field) => {
  const { body } = await take(
    asOlder({
      format: 'ythrion',
      version: 1,
      bases: [BASE],
      dyes: [DYE],
      stocks: [JAR],
      batches: [asOnce(batch)],
    }),
  ).expect(400);
  expect(body.problems[0].field).toBe(field);
});

test.each([[null], ['words'], [[1, 2]], [42]])('%j is not a document', async (value) => {
  await request(studio.app)
    .post('/api/document')
    .set('Content-Type', 'application/json')
    .send(JSON.stringify(value))
    .expect(400);
});

describe('the text of a document', () => {
  test('a text that is torn and deeper than any document is refused like any other', () => {
    expect(() => parseDocumentText('{"a":'.repeat(200_000))).toThrow(/^This is not JSON, /);
    expect(withLines('['.repeat(200_000), [{ field: 'a', message: 'no' }])).toEqual([
      { field: 'a', message: 'no' },
    ]);
  });

  test('says in which line it stops being JSON', () => {
    expect(() => parseDocumentText('{\n  "format": "ythrion",\n  "version": \n}')).toThrow(
      /line 4: value expected/,
    );
    expect(() => parseDocumentText('')).toThrow(/not JSON/);
  });
  test('says in which line a field stands, or the nearest one around it', () => {
    const text = '{\n  "dyes": [\n    { "id": "a",\n      "name": "" }\n  ]\n}';
    expect(
      withLines(text, [
        { field: 'dyes.0.name', message: 'empty' },
        { field: 'dyes.0.swatchHex', message: 'missing' },
        { field: '', message: 'all' },
      ]).map((problem) => problem.message),
    ).toEqual(['line 4: empty', 'line 3: missing', 'all']);
  });
});
