import { existsSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import type { Transaction } from 'sequelize';
import { besides, studioFile } from './dataFolder';
import { openStudio } from './openStudio';
import type { Storage } from './storage';

let folder: string;
let storage: Storage;
beforeEach(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-connections-'));
  storage = await openStudio(folder);
});
afterEach(async () => {
  await storage.close();
  await rm(folder, { recursive: true, force: true });
});

const settingsOf = async (transaction?: Transaction): Promise<unknown[]> => {
  const settings = [];
  for (const name of ['synchronous', 'foreign_keys', 'busy_timeout']) {
    const [rows] = await storage.sequelize.query(`SELECT * FROM pragma_${name}`, { transaction });
    settings.push(Object.values(rows[0] as object)[0]);
  }
  return settings;
};
const count = async (): Promise<number> => storage.models.tools.count();
const tool = (id: string) => ({
  id,
  name: `Syringe ${id}`,
  kind: 'syringe' as const,
  capacity: 1,
  graduation: 0.01,
  note: '',
  retired: false,
});

test('commits are durable, references kept and locks waited for, in a transaction and out of one', async () => {
  expect(await settingsOf()).toEqual([2, 1, 5000]);
  expect(await storage.write(settingsOf)).toEqual([2, 1, 5000]);
});

test('one connection serves every write, and a write that failed leaves it fit for the next', async () => {
  const used = new Set<unknown>();
  const write = (id: string, fails: boolean): Promise<void> =>
    storage.write(async (transaction) => {
      used.add((transaction as unknown as { connection: unknown }).connection);
      await storage.models.tools.create(tool(id), { transaction });
      if (fails) throw new Error('no');
    });
  await write('a', false);
  await expect(write('b', true)).rejects.toThrow('no');
  await Promise.all([write('c', false), write('d', false)]);
  expect(used.size).toBe(1);
  expect(await count()).toBe(3);
  expect(await storage.models.tools.findByPk('b')).toBeNull();
});

test('a write is seen by every read after it, and by none before it', async () => {
  await storage.write(async (transaction) => {
    await storage.models.tools.create(tool('a'), { transaction });
    expect(await count()).toBe(0);
  });
  expect(await count()).toBe(1);
});

test('once closed, everything is in the file itself: no log is left beside it', async () => {
  for (let i = 0; i < 40; i++) {
    await storage.write((transaction) => storage.models.tools.create(tool(`t${i}`), { transaction }));
    expect(await count()).toBe(i + 1);
    await storage.close();
    expect(besides(studioFile(folder)).filter((beside) => existsSync(beside))).toEqual([]);
    storage = await openStudio(folder);
  }
});

test('a question that takes long does not hold up the one behind it', async () => {
  const ended: string[] = [];
  const ask = async (name: string, upTo: number): Promise<void> => {
    await storage.sequelize.query(
      `WITH RECURSIVE n(k) AS (SELECT 1 UNION ALL SELECT k + 1 FROM n WHERE k < ${upTo}) SELECT max(k) FROM n`,
    );
    ended.push(name);
  };
  await Promise.all([ask('long', 2_000_000), ask('short', 1)]);
  expect(ended).toEqual(['short', 'long']);
});
