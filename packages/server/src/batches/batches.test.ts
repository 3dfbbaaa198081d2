import request from 'supertest';
import type { Entry } from '@ythrion/core';
import { begin, FORMULATION, testStudio, type TestStudio } from '../../test/studio';

let studio: TestStudio;
beforeEach(async () => {
  studio = await testStudio();
});
afterEach(() => studio.remove());

const AT = '2026-03-01T10:05:00Z';
const start = (id: string, changes = {}): request.Test =>
  request(studio.app).post('/api/batches').send(begin(id, changes));
const enter = (batch: string, entry: Record<string, unknown>): request.Test =>
  request(studio.app)
    .post(`/api/batches/${batch}/entries`)
    .send({ at: AT, ...entry });
const poured = (id: string, amount = 200): Record<string, unknown> => ({
  id,
  kind: 'poured',
  stepId: 'dye-d1',
  amount,
  unit: 'mL',
});
const remaining = async (): Promise<number> =>
  (await request(studio.app).get('/api/shelf')).body.stockLeft['blue-1'];

test('a batch begins with a code of its own, runs, is closed, and leaves the running list', async () => {
  const { body } = await start('b1').expect(201);
  expect(body).toMatchObject({ id: 'b1', code: '26-001', entries: [] });
  expect((await start('b2')).body.code).toBe('26-002');
  await enter('b1', poured('e1')).expect(201);
  expect(
    (await request(studio.app).get('/api/running')).body.map((batch: { id: string }) => batch.id),
  ).toEqual(['b1', 'b2']);
  await enter('b1', { id: 'e2', kind: 'closed', outcome: 'as wanted', standing: 'regular' }).expect(201);
  expect(
    (await request(studio.app).get('/api/running')).body.map((batch: { id: string }) => batch.id),
  ).toEqual(['b2']);
  const { body: book } = await request(studio.app).get('/api/batches');
  expect(book.total).toBe(2);
  expect(book.rows.find((row: { id: string }) => row.id === 'b1')).toMatchObject({
    outcome: 'as wanted',
    standing: 'regular',
    dosPercent: 1,
  });
});

test('what was acknowledged is there after a restart', async () => {
  await start('b1');
  for (let i = 0; i < 10; i += 1)
    await enter('b1', { id: `n${i}`, kind: 'noted', text: `turn ${i}` }).expect(201);
  await studio.reopen();
  const { body } = await request(studio.app).get('/api/batches/b1').expect(200);
  expect(body.entries.map((entry: Entry) => entry.id)).toEqual(Array.from({ length: 10 }, (_, i) => `n${i}`));
});

test('a request repeated after a lost answer changes nothing', async () => {
  await start('b1').expect(201);
  await start('b1').expect(201);
  await enter('b1', poured('e1')).expect(201);
  const { body } = await enter('b1', poured('e1')).expect(201);
  expect(body.entries).toHaveLength(1);
  expect(await remaining()).toBe(300);
  await enter('b1', poured('e1', 150)).expect(409);
  await start('b1', { name: 'Another' }).expect(409);
});

test('entries sent at once all land, one after the other', async () => {
  await start('b1');
  await Promise.all(
    Array.from({ length: 25 }, (_, i) => enter('b1', { id: `n${i}`, kind: 'noted', text: 'x' }).expect(201)),
  );
  expect((await request(studio.app).get('/api/batches/b1')).body.entries).toHaveLength(25);
});

test('a jar holds less after a pour and as much again after it is taken back', async () => {
  await start('b1');
  await enter('b1', poured('e1', 220));
  expect(await remaining()).toBe(280);
  await enter('b1', {
    id: 'a1',
    kind: 'added',
    material: { kind: 'dye', dyeId: 'blue', stockId: 'blue-1', strengthPercent: 1 },
    amount: 12.5,
    unit: 'mL',
  }).expect(201);
  expect(await remaining()).toBe(267.5);
  await enter('b1', { id: 's1', kind: 'struck', entryId: 'e1' }).expect(201);
  expect(await remaining()).toBe(487.5);
});

test.each<[string, Record<string, unknown>, string]>([
  ['an unknown step', { id: 'x', kind: 'done', stepId: 'ghost' }, 'stepId'],
  ['nothing poured', poured('x', 0), 'amount'],
  ['a negative pour', poured('x', -3), 'amount'],
  [
    'an unknown dye',
    {
      id: 'x',
      kind: 'added',
      material: { kind: 'dye', dyeId: 'ghost', stockId: null, strengthPercent: null },
      amount: 1,
      unit: 'g',
    },
    'material.dyeId',
  ],
  ['an unknown kind', { id: 'x', kind: 'guessed' }, 'kind'],
])('%s is refused with the field named', async (_, entry, field) => {
  await start('b1');
  const { body } = await enter('b1', entry).expect(400);
  expect(body.problems[0].field).toBe(field);
  expect((await request(studio.app).get('/api/batches/b1')).body.entries).toEqual([]);
});

test('an unknown batch is said to be unknown', async () => {
  const { body } = await enter('ghost', poured('x')).expect(404);
  expect(body.message).toMatch(/no batch with the id “ghost”/);
});

test('a batch whose recipe names what it does not bring is refused', async () => {
  const { body } = await start('b1', { formulation: { ...FORMULATION, dyes: [] } }).expect(400);
  expect(body.problems[0].field).toBe('recipe.passes.0.dyes.0.dyeId');
  expect((await request(studio.app).get('/api/batches')).body.total).toBe(0);
});

test('the book is searched by every word, newest first, page by page', async () => {
  await start('old', { name: 'Angelus gray', startedAt: '2026-01-01T08:00:00Z' });
  await start('new', { name: 'Angelus blue', startedAt: '2026-02-01T08:00:00Z' });
  await start('third', { name: 'Curfew', startedAt: '2026-02-02T08:00:00Z' });
  const names = async (query: string): Promise<string[]> =>
    (await request(studio.app).get(`/api/batches?${query}`)).body.rows.map(
      (row: { name: string }) => row.name,
    );
  expect(await names('q=angelus')).toEqual(['Angelus blue', 'Angelus gray']);
  expect(await names('q=vault+ANGELUS+gray')).toEqual(['Angelus gray']);
  expect(await names('q=100%25')).toEqual([]);
  expect(await names('limit=1&offset=1')).toEqual(['Angelus blue']);
  await request(studio.app).get('/api/batches?limit=0').expect(400);
});

test('anything is found by name or code', async () => {
  await start('b1', { name: 'Angelus' });
  const found = async (q: string): Promise<unknown> =>
    (await request(studio.app).get('/api/find').query({ q })).body;
  expect(await found('vault')).toEqual(
    expect.arrayContaining([
      expect.objectContaining({ kind: 'dye', id: 'blue' }),
      expect.objectContaining({ kind: 'stock', id: 'blue-1' }),
    ]),
  );
  expect(await found('26-001')).toEqual([{ kind: 'batch', id: 'b1', name: 'Angelus', code: '26-001' }]);
  expect(await found('')).toEqual([]);
});
