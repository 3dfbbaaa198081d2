import { createWriteStream } from 'node:fs';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import request from 'supertest';
import yazl from 'yazl';
import { documentSchema, type StudioDocument } from '@ythrion/core';
import { openStudio } from '../storage/openStudio';
import { inFile, olderDocument } from '../../test/olderStudio';
import { testStudio, type TestStudio } from '../../test/studio';
import { BATCHES, LISTS, openArchive } from './archiveFile';
import { wholeDocument } from '../../test/wholeDocument';
import { importArchive } from './importArchive';
import { importDocument } from './importDocument';
import { writeArchive } from './writeArchive';

let full: TestStudio;
let empty: TestStudio;
let folder: string;
let file: string;
const document = (): Promise<StudioDocument> => wholeDocument(full.storage);
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-archive-test-'));
  file = path.join(folder, 'studio.zip');
  full = await testStudio(false);
  await importDocument(full.storage, await olderDocument());
  await archiveTo(file);
});
beforeEach(async () => {
  empty = await testStudio(false);
});
afterEach(() => empty.remove());
afterAll(async () => {
  await full.remove();
  await rm(folder, { recursive: true });
});

async function archiveTo(to: string, from = full): Promise<readonly { id: string }[]> {
  const archive = await writeArchive(from.storage);
  await pipeline(archive.stream, createWriteStream(to)).finally(archive.close);
  return archive.leftOut;
}

/** A zip of texts. */
async function zipOf(files: Record<string, string>): Promise<string> {
  const zip = new yazl.ZipFile();
  for (const [name, text] of Object.entries(files)) zip.addBuffer(Buffer.from(text), name);
  zip.end();
  const to = path.join(folder, `${Object.keys(files).length}-${Math.floor(performance.now() * 1000)}.zip`);
  await pipeline(zip.outputStream, createWriteStream(to));
  return to;
}
/** The files of the archive, to be spoiled. */
async function texts(): Promise<Record<string, string>> {
  const { batches, ...rest } = await document();
  const lines = (items: readonly unknown[]): string =>
    items.map((item) => `${JSON.stringify(item)}\n`).join('');
  return {
    'studio.json': JSON.stringify({ format: rest.format, version: rest.version, studio: rest.studio }),
    ...Object.fromEntries(LISTS.map((list) => [`${list}.ndjson`, lines(rest[list])])),
    'batches.ndjson': lines(batches),
  };
}
const nothingIn = async (): Promise<void> => {
  const { studio: _, ...lists } = await wholeDocument(empty.storage);
  for (const list of [...LISTS, BATCHES] as const) expect(lists[list]).toEqual([]);
};

test('an archive holds the same as the document, an item a line, and comes in whole', async () => {
  const archive = await openArchive(file);
  const lists: Record<string, unknown[]> = {};
  for (const list of [...LISTS, BATCHES]) {
    lists[list] = [];
    for await (const item of archive.items(list)) lists[list].push(item);
  }
  const written = { ...((await archive.head()) as object), ...lists };
  archive.close();
  const whole = await document();
  expect(documentSchema.parse(written)).toEqual(whole);
  expect(whole.batches).toHaveLength(37);

  const report = await importArchive(empty.storage, file);
  expect(await wholeDocument(empty.storage)).toEqual(whole);
  const items = [...LISTS, BATCHES] as const;
  expect(report).toEqual({ added: items.reduce((sum, list) => sum + whole[list].length, 0), unchanged: 0 });
  expect(await importArchive(empty.storage, file)).toEqual({ added: 0, unchanged: report.added });
});

test('what is logged while an archive is written is not in it, and nothing it names is missing', async () => {
  await importArchive(empty.storage, file);
  const archive = await writeArchive(empty.storage);
  await request(empty.app)
    .post('/api/batches')
    .send(await late())
    .expect(201);
  const to = path.join(folder, 'moment.zip');
  await pipeline(archive.stream, createWriteStream(to)).finally(archive.close);
  const other = await testStudio(false);
  await importArchive(other.storage, to);
  expect((await wholeDocument(other.storage)).batches).toHaveLength(37);
  expect((await wholeDocument(empty.storage)).batches).toHaveLength(38);
  await other.remove();
});
/** A batch of a colorway that is here. */
async function late(): Promise<object> {
  const { batches } = await document();
  const { events: _, card: __, code: ___, ...one } = batches.find(({ colorwayId }) => colorwayId !== null)!;
  return { ...one, id: 'late', startedAt: '2000-01-01T00:00:00Z' };
}

test('a batch that cannot be read is left out and named; the rest comes in', async () => {
  await importArchive(empty.storage, file);
  await empty.storage.close();
  await inFile(empty.folder, async (opened) => {
    await opened.exec('DROP TRIGGER batch_plans_no_update');
    await opened.exec(`UPDATE batch_plans SET card = substr(card, 1, 50) WHERE batch_id =
      (SELECT batch_id FROM batch_plans ORDER BY batch_id LIMIT 1)`);
  });
  empty.storage = await openStudio(empty.folder);
  const to = path.join(folder, 'damaged.zip');
  const leftOut = await archiveTo(to, empty);
  expect(leftOut).toHaveLength(1);
  const archive = await openArchive(to);
  const named: unknown[] = [];
  for await (const item of archive.items('leftOut')) named.push(item);
  archive.close();
  expect(named).toEqual(leftOut);
  const other = await testStudio(false);
  await importArchive(other.storage, to);
  expect((await wholeDocument(other.storage)).batches).toHaveLength(36);
  await other.remove();
});

test.each<[string, (files: Record<string, string>) => void, RegExp]>([
  ['no head', (files) => delete files['studio.json'], /no archive of a studio/],
  ['a head that is no JSON', (files) => (files['studio.json'] = '{'), /studio\.json is not JSON/],
  ['another format', (files) => (files['studio.json'] = '{"format":"other","version":3}'), /format/],
  [
    'a version to come',
    (files) => (files['studio.json'] = '{"format":"ythrion","version":99}'),
    /version 1 to 3/,
  ],
  ['a torn line', (files) => (files['batches.ndjson'] += '{"id":'), /batches\.ndjson, line 38 is not JSON/],
  ['no record', (files) => (files['batches.ndjson'] += '[]\n'), /^batches\.37: /],
  [
    'a batch twice, changed',
    (files) => (files['batches.ndjson'] += twice(files)),
    /batches\.37\.id: .*with other content/,
  ],
  ['a jar without its dye', (files) => (files['dyes.ndjson'] = ''), /There is no dye/],
  ['no colorways', (files) => (files['colorways.ndjson'] = ''), /There is no version/],
])('%s: nothing comes in, and what is wrong is said', async (_, spoil, said) => {
  const files = await texts();
  spoil(files);
  await expect(importArchive(empty.storage, await zipOf(files))).rejects.toThrow(said);
  await nothingIn();
});
const twice = (files: Record<string, string>): string =>
  `${JSON.stringify({ ...(JSON.parse(files['batches.ndjson']!.split('\n')[0]!) as object), name: 'Another' })}\n`;

test('a torn or foreign file is refused, and nothing comes in', async () => {
  const bytes = await readFile(file);
  const torn = path.join(folder, 'torn.zip');
  const spoiled = Buffer.from(bytes);
  // Somewhere in the packed records, which are by far the most of it.
  for (let at = 0; at < 40; at += 1) spoiled[Math.floor(bytes.length * 0.6) + at]! ^= 0xff;
  for (const [content, said] of [
    [bytes.subarray(0, bytes.length - 200), /neither JSON nor a whole zip/],
    [Buffer.from('This is no zip.'), /neither JSON nor a whole zip/],
    [Buffer.alloc(0), /neither JSON nor a whole zip/],
    [spoiled, /is torn|is not JSON|too long/],
  ] as const) {
    await writeFile(torn, content);
    await expect(importArchive(empty.storage, torn)).rejects.toThrow(said);
    await nothingIn();
  }
});

test('whoever turns away from a torn file after the first item hears no more of it', async () => {
  const files = await texts();
  const bytes = await readFile(await zipOf(files));
  for (let at = 0; at < 40; at += 1) bytes[Math.floor(bytes.length * 0.9) + at]! ^= 0xff;
  const torn = path.join(folder, 'torn-late.zip');
  await writeFile(torn, bytes);
  const archive = await openArchive(torn);
  for await (const item of archive.items(BATCHES)) {
    expect(item).toHaveProperty('id');
    break;
  }
  archive.close();
  await new Promise((resolve) => setTimeout(resolve, 200));
});

test('the archive goes out and in by its address; what is no zip, or comes from elsewhere, is turned away', async () => {
  const { body, headers } = await request(full.app)
    .get('/api/archive')
    .buffer()
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk: Buffer) => chunks.push(chunk));
      response.on('end', () => done(null, Buffer.concat(chunks)));
    })
    .expect(200);
  expect(headers['content-disposition']).toContain('studio.ythrion.zip');
  const post = (type: string, content: Buffer | string): request.Test =>
    request(empty.app).post('/api/archive').set('Content-Type', type).send(content);
  await post('application/json', '{}').expect(400);
  await post('text/plain', 'x').expect(403);
  const { body: refused } = await post('application/zip', 'no zip').expect(400);
  expect(refused.message).toMatch(/neither JSON nor a whole zip/);
  await nothingIn();
  await post('application/zip', body as Buffer).expect(201);
  expect((await wholeDocument(empty.storage)).batches).toHaveLength(37);
});

test('a document of some size is laid aside, read and refused as a small one is', async () => {
  const text = JSON.stringify(await document(), null, 1);
  expect(text.length).toBeGreaterThan(100_000);
  const post = (content: string): request.Test =>
    request(empty.app).post('/api/document').set('Content-Type', 'application/json').send(content);
  const { body: torn } = await post(text.slice(0, -100)).expect(400);
  expect(torn.message).toMatch(/^This is not JSON, line \d+/);
  const { body: hidden } = await post(text.replace('"name": "', '"name": "\\u202e')).expect(400);
  expect(hidden.message).toMatch(/^[a-z.0-9]+\.name: This text holds a hidden character/);
  await nothingIn();
  await post(text).expect(201);
  expect(await wholeDocument(empty.storage)).toEqual(await document());
});

test('an archive with a hidden character in a name is refused, its line named', async () => {
  const files = await texts();
  const [first = '', second = '', ...rest] = files['batches.ndjson']!.split('\n');
  files['batches.ndjson'] = [first, second.replace('"name":"', '"name":"\\u0007'), ...rest].join('\n');
  await expect(importArchive(empty.storage, await zipOf(files))).rejects.toThrow(
    /^batches\.1\.[a-z.0-9]*name: .*hidden/,
  );
  await nothingIn();
});
