import { mkdtemp, readFile, rm } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { readDocument } from '@ythrion/core';
import { openStudio } from '../storage/openStudio';
import { loadDemo } from './demo';
import { upgradeDocument } from '../upgrade/upgradeDocument';
import { bringToToday } from './demoDates';

const DEMO = path.resolve(__dirname, '../../../../demo');
const NOW = Date.parse('2027-05-03T14:00:00Z');
const demo = async () =>
  readDocument(upgradeDocument(JSON.parse(await readFile(path.join(DEMO, 'studio.json'), 'utf8'))));
let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-demo-'));
});
afterEach(() => rm(folder, { recursive: true, force: true }));

test('the demo studio is a good document and feels lived in', async () => {
  const document = await demo();
  expect(document.dyes.filter((dye) => dye.madeOf.length === 0)).toHaveLength(12);
  expect(document.bases).toHaveLength(6);
  expect(new Set(document.colorways.map((colorway) => colorway.id)).size).toBe(10);
  expect(document.batches).toHaveLength(15);
});

test('its days are brought to today: the wet pots minutes ago, the closed batches at their own hour', async () => {
  const document = await demo();
  const today = bringToToday(document, NOW);
  const times = today.batches.flatMap((batch) => batch.events.map((event) => Date.parse(event.at)));
  expect((NOW - Math.max(...times)) / 60_000).toBeCloseTo(30, 6);
  expect(today.batches[0]!.startedAt.slice(11, 16)).toBe(document.batches[0]!.startedAt.slice(11, 16));
  expect(readDocument(JSON.parse(JSON.stringify(today))).batches).toHaveLength(15);
});

test('it is loaded fresh each time, and never over a studio of the user’s own', async () => {
  await loadDemo(folder, DEMO);
  await loadDemo(folder, DEMO);
  const storage = await openStudio(folder);
  expect(await storage.models.batches.count()).toBe(15);
  expect(await storage.models.batches.count({ where: { closedAt: null } })).toBe(2);
  await storage.close();
  const own = path.join(folder, 'own');
  await (await openStudio(own)).close();
  await expect(loadDemo(own, DEMO)).rejects.toThrow(/a studio of your own/);
});
