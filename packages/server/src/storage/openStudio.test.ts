import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { openStudio } from './openStudio';
import { DataFolderError, studioFile } from './dataFolder';
import { connect } from './storage';

let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-open-'));
});
afterEach(() => rm(folder, { recursive: true, force: true }));

test('a new folder gets an empty studio in WAL mode with foreign keys on and durable commits', async () => {
  const storage = await openStudio(path.join(folder, 'new'));
  const pragma = async (name: string): Promise<unknown> =>
    Object.values(
      ((await storage.sequelize.query(`SELECT * FROM pragma_${name}`))[0] as object[])[0] ?? {},
    )[0];
  expect([await pragma('journal_mode'), await pragma('foreign_keys'), await pragma('synchronous')]).toEqual([
    'wal',
    1,
    2,
  ]);
  await storage.close();
});

test('a write transaction’s own connection has durable commits and foreign keys too', async () => {
  const storage = await openStudio(folder);
  const seen = await storage.write(async (transaction) => {
    const [sync] = await storage.sequelize.query('SELECT * FROM pragma_synchronous', { transaction });
    const [keys] = await storage.sequelize.query('SELECT * FROM pragma_foreign_keys', { transaction });
    return [Object.values(sync[0] as object)[0], Object.values(keys[0] as object)[0]];
  });
  expect(seen).toEqual([2, 1]);
  await storage.close();
});

test('a damaged file is named, and left as it is', async () => {
  await writeFile(studioFile(folder), 'this was a database once, and is none now');
  await expect(openStudio(folder)).rejects.toThrow(/is damaged or not a studio/);
  expect(await readFile(studioFile(folder), 'utf8')).toBe('this was a database once, and is none now');
});

test('a missing file is named where one must be there', async () => {
  await expect(openStudio(folder, { mustExist: true })).rejects.toThrow(DataFolderError);
});

test('a folder that cannot be one is named', async () => {
  const file = path.join(folder, 'plain-file');
  await writeFile(file, '');
  await expect(openStudio(path.join(file, 'data'))).rejects.toThrow(/cannot be written/);
});

test('a file from a later version is refused', async () => {
  await (await openStudio(folder)).close();
  const raw = await connect(studioFile(folder));
  await raw.sequelize.query(`INSERT INTO migrations (name) VALUES ('999-later')`);
  await raw.close();
  await expect(openStudio(folder)).rejects.toThrow(/written by a newer Ythrion/);
});

test.each(['events', 'batch_plans', 'colorway_versions', 'shelf_revisions', 'jar_draws'])(
  '%s can only be added to',
  async (table) => {
    const storage = await openStudio(folder);
    const [triggers] = await storage.sequelize.query(
      `SELECT name FROM sqlite_master WHERE type = 'trigger' AND tbl_name = '${table}' AND name LIKE '%\\_no\\_%' ESCAPE '\\'`,
    );
    expect((triggers as { name: string }[]).map(({ name }) => name).toSorted()).toEqual([
      `${table}_no_delete`,
      `${table}_no_update`,
    ]);
    await storage.close();
  },
);
