import { mkdtemp, rm } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { insertRows } from './insertRows';
import { openStudio } from './openStudio';
import type { Storage } from './storage';

let folder: string;
let storage: Storage;
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-rows-'));
  storage = await openStudio(folder);
});
afterAll(async () => {
  await storage.close();
  await rm(folder, { recursive: true, force: true });
});

const insert = (rows: Parameters<typeof insertRows>[2]): Promise<void> =>
  storage.write(async (transaction) => insertRows(storage, 'kept_rows', rows, transaction));
const kept = async (): Promise<unknown[]> =>
  (await storage.sequelize.query('SELECT * FROM kept_rows ORDER BY rowid'))[0];

test('rows stand in the file as they were given, in their order: texts, numbers, nothing', async () => {
  await storage.sequelize.query(
    'CREATE TABLE kept_rows (some_text TEXT, some_real REAL, some_whole INTEGER)',
  );
  const rows = [
    { someText: "a “quoted” 'one', é, 🧶, \\ and\nlines", someReal: 0.1 + 0.2, someWhole: 1 },
    { someText: '{"json": [1, null]}', someReal: 1e-300, someWhole: null },
    { someText: '', someReal: null, someWhole: 9007199254740991 },
    { someText: '12', someReal: 1 / 3, someWhole: 0 },
  ];
  await insert(rows);
  expect(await kept()).toEqual(
    rows.map(({ someText, someReal, someWhole }) => ({
      some_text: someText,
      some_real: someReal,
      some_whole: someWhole,
    })),
  );
  await insert([]);
  expect(await kept()).toHaveLength(4);
});

test('one row that cannot be kept keeps the others out as well', async () => {
  await storage.sequelize.query('CREATE UNIQUE INDEX only_once ON kept_rows (some_text)');
  await expect(
    insert([
      { someText: 'new', someReal: 1, someWhole: 1 },
      { someText: '12', someReal: 1, someWhole: 1 },
    ]),
  ).rejects.toThrow();
  expect(await kept()).toHaveLength(4);
});
