import { readFile, rm } from 'node:fs/promises';
import path from 'node:path';
import request from 'supertest';
import {
  dyeTotals,
  lastVerdict,
  summarizeBatch,
  type Batch,
  type BatchSummary,
  type BookPage,
  type StudioDocument,
} from '@ythrion/core';
import { importDocument } from '../document/importDocument';
import { openStudio } from '../storage/openStudio';
import { list } from '../shelf/store';
import { bookQuerySchema } from '@ythrion/core';
import { bookPage } from './book';
import { everyBatch } from './read';
import { olderDocument, olderStudio } from '../../test/olderStudio';
import { begin, testStudio, type TestStudio } from '../../test/studio';
import { eventOf, ticked } from '../../test/records';

let studio: TestStudio;
let batches: Batch[];
let told: Map<string, BatchSummary>;
beforeAll(async () => {
  studio = await testStudio(false);
  const demo = JSON.parse(
    await readFile(path.resolve(import.meta.dirname, '../../../../demo/studio.json'), 'utf8'),
  ) as object;
  await importDocument(studio.storage, demo);
  await importDocument(studio.storage, await olderDocument());
  const document = (await request(studio.app).get('/api/document')).body as StudioDocument;
  ({ batches } = document);
  told = new Map(batches.map((batch) => [batch.id, summarizeBatch(batch, document.dyes)]));
});
afterAll(() => studio.remove());

const page = async (query: Record<string, string | number>): Promise<BookPage> => {
  const answer = await request(studio.app)
    .get('/api/batches')
    .query({ limit: 200, ...query });
  expect(answer.body.problems ?? []).toEqual([]);
  return answer.body as BookPage;
};
const summary = (id: string): BatchSummary => told.get(id) as BatchSummary;
/** The batches that hold to something, looked at one by one in their records. */
const holding = (held: (batch: Batch, line: BatchSummary) => boolean): string[] =>
  batches.filter((batch) => held(batch, summary(batch.id))).map(({ id }) => id);

/** Each filter, and the same said of the records themselves. */
const FILTERS: [Record<string, string | number>, (batch: Batch, line: BatchSummary) => boolean][] = [
  [{ verdict: 'as wanted' }, ({ events }) => lastVerdict(events)?.outcome === 'as wanted'],
  [{ verdict: 'not right' }, ({ events }) => lastVerdict(events)?.outcome === 'not right'],
  [{ verdict: 'wet' }, ({ events }) => lastVerdict(events) === null],
  [{ standing: 'regular' }, ({ events }) => lastVerdict(events)?.standing === 'regular'],
  [{ colorway: 'green-bronze' }, ({ colorwayId }) => colorwayId === 'green-bronze'],
  [
    { base: 'sexton-worsted' },
    ({ formulation }) => formulation.recipe.goods.some(({ baseId }) => baseId === 'sexton-worsted'),
  ],
  [{ dye: 'vault-blue' }, ({ events }) => dyeTotals(events).some(({ dyeId }) => dyeId === 'vault-blue')],
  [{ massFrom: 201 }, (_, { wogGrams }) => wogGrams >= 201],
  [{ massTo: 200 }, (_, { wogGrams }) => wogGrams <= 200],
  [{ depthFrom: 1 }, (_, { dosPercent }) => dosPercent >= 1],
  [{ depthTo: 1 }, (_, { dosPercent }) => dosPercent <= 1],
  [{ from: '2026-10-01T00:00:00+02:00' }, ({ startedAt }) => startedAt >= '2026-09-30T22:00:00.000Z'],
  [{ before: '2026-10-01T00:00:00Z' }, ({ startedAt }) => startedAt < '2026-10-01T00:00:00.000Z'],
  [{ q: 'wool bl' }, (batch, line) => ['wool', 'bl'].every((word) => beginsAWord(batch, line, word))],
];
const beginsAWord = ({ events }: Batch, line: BatchSummary, word: string): boolean =>
  [line.name, line.code, line.bases, line.dyes, line.outcome, line.standing, lastVerdict(events)?.note]
    .join(' ')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .some((other) => other.startsWith(word));

test('each filter leaves what it says of the records, and some of both', async () => {
  for (const [query, held] of FILTERS) {
    const expected = holding(held);
    const { total, rows } = await page(query);
    expect([query, rows.map(({ id }) => id).toSorted()]).toEqual([query, expected.toSorted()]);
    expect(total).toBe(expected.length);
  }
  const most = FILTERS.map(([, held]) => holding(held).length);
  expect(most.filter((count) => count === 0 || count === batches.length)).toEqual([]);
});

test('any two of them together leave what holds to both, counted over all pages', async () => {
  for (const [one, first] of FILTERS)
    for (const [other, second] of FILTERS) {
      if (Object.keys(other).some((name) => name in one)) continue;
      const expected = holding((...of) => first(...of) && second(...of));
      const { total, rows } = await page({ ...one, ...other, limit: 3 });
      expect([one, other, total]).toEqual([one, other, expected.length]);
      expect(rows).toHaveLength(Math.min(3, expected.length));
    }
});

test('every order goes up and down, the equal by when they were begun, and no row is met twice', async () => {
  for (const order of ['startedAt', 'name', 'wogGrams', 'dosPercent', 'outcome', 'standing'] as const) {
    const up = (await page({ order, way: 'up' })).rows;
    expect(up).toHaveLength(batches.length);
    const key = (row: BatchSummary): unknown[] => [row[order] ?? '', row.startedAt, row.id];
    const sorted = up.toSorted((a, b) => {
      const i = key(a).findIndex((value, at) => value !== key(b)[at]);
      return i === -1 ? 0 : (key(a)[i] as string) < (key(b)[i] as string) ? -1 : 1;
    });
    expect(up.map(({ id }) => id)).toEqual(sorted.map(({ id }) => id));
    const down: BatchSummary[] = [];
    for (let offset = 0; offset < batches.length; offset += 7)
      down.push(...(await page({ order, way: 'down', offset, limit: 7 })).rows);
    expect(down.map(({ id }) => id)).toEqual(up.map(({ id }) => id).toReversed());
  }
});

test('a line of the Book tells how the hank is drawn: sprinkled with specks, painted in stretches', async () => {
  const { rows } = await page({});
  for (const { id, look } of rows) expect([id, look]).toEqual([id, summary(id).look]);
  const places = rows.flatMap(({ look }) =>
    look.coats.flatMap(({ parts }) => parts.map(({ where }) => where.kind)),
  );
  expect(new Set(places)).toEqual(new Set(['all', 'around', 'along', 'drips', 'layer', 'specks']));
});

test('dye that goes in is found at once, and no more once it is taken back', async () => {
  const one = await testStudio();
  const count = async (query: object): Promise<number> =>
    (await request(one.app).get('/api/batches').query(query)).body.total as number;
  const say = (event: Record<string, unknown>): request.Test =>
    request(one.app).post('/api/batches/b1/events').send(eventOf('b1', event));
  await request(one.app).post('/api/batches').send(begin('b1')).expect(201);
  expect(await count({ base: 'wool' })).toBe(1);
  expect(await count({ dye: 'blue' })).toBe(0);
  await say(ticked('t1', 'p1.dye.d1', 100)).expect(201);
  expect(await count({ dye: 'blue' })).toBe(1);
  await say({ id: 's1', kind: 'struck', event: 't1', why: '' }).expect(201);
  expect(await count({ dye: 'blue' })).toBe(0);
  await say({ id: 'n1', kind: 'named', name: 'Über Glöckchen' }).expect(201);
  expect(await count({ q: 'glock' })).toBe(1);
  expect(await count({ q: 'vesper' })).toBe(0);
  await one.remove();
});

test.each([
  [{ order: 'color' }, 'order'],
  [{ way: 'sideways' }, 'way'],
  [{ massFrom: 'heavy' }, 'massFrom'],
  [{ depthTo: -1 }, 'depthTo'],
  [{ verdict: 'fine' }, 'verdict'],
  [{ from: 'yesterday' }, 'from'],
  [{ base: '../x' }, 'base'],
  [{ q: 'x '.repeat(2000) }, 'q'],
])('%o is refused, the field named', async (query, field) => {
  const { body } = await request(studio.app).get('/api/batches').query(query).expect(400);
  expect(body.problems).toEqual([expect.objectContaining({ field })]);
});

test('signs of the query language of the search are words without letters, never an error', async () => {
  for (const q of [
    '"',
    '*',
    'NEAR(',
    'a OR b',
    'search : x',
    "'; DROP TABLE batches",
    '-',
    '^wool',
    '(',
    'é"*',
  ])
    for (const address of ['/api/batches', '/api/find'])
      expect((await request(studio.app).get(address).query({ q })).status).toBe(200);
  expect((await page({ q: '"*' })).total).toBe(batches.length);
});

test('a file of an older version is in the Book as if each batch were told anew: hank, base, dye and words', async () => {
  const folder = await olderStudio();
  const storage = await openStudio(folder);
  const dyes = await list(storage, 'dyes');
  const ids = async (query: object): Promise<string[]> =>
    (await bookPage(storage, bookQuerySchema.parse({ limit: 200, ...query }))).rows
      .map(({ id }) => id)
      .toSorted();
  const { rows } = await bookPage(storage, bookQuerySchema.parse({ limit: 200 }));
  const old: Batch[] = [];
  for await (const { batch } of everyBatch(storage)) if (batch) old.push(batch);
  expect(old).toHaveLength(37);
  for (const batch of old)
    expect(rows.find(({ id }) => id === batch.id)?.look).toEqual(summarizeBatch(batch, dyes).look);
  const bases = new Set(
    old.flatMap(({ formulation }) => formulation.recipe.goods.map(({ baseId }) => baseId)),
  );
  expect(bases.size).toBeGreaterThan(3);
  for (const base of bases)
    expect(await ids({ base })).toEqual(
      old
        .filter(({ formulation }) => formulation.recipe.goods.some(({ baseId }) => baseId === base))
        .map(({ id }) => id)
        .toSorted(),
    );
  for (const { id: dye } of dyes)
    expect(await ids({ dye })).toEqual(
      old
        .filter(({ events }) => dyeTotals(events).some(({ dyeId }) => dyeId === dye))
        .map(({ id }) => id)
        .toSorted(),
    );
  expect((await ids({ q: 'cupola' })).length).toBeGreaterThan(0);
  await storage.close();
  await rm(folder, { recursive: true });
});
