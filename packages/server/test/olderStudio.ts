import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import { studioFile } from '../src/storage/dataFolder';
import { openRaw, type RawFile } from '../src/storage/rawFile';

const older = (name: string): string => path.join(__dirname, 'older', name);

/** A recipe as the very first version wrote it: one immersion pass, one acid, depths only. */
export const FIRST_RECIPE = {
  goods: [{ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 }],
  wettingMinutes: 30,
  passes: [
    {
      id: 'p1',
      method: 'immersion',
      dyes: [{ id: 'd1', dyeId: 'blue', dosPercent: 1, stockId: 'blue-1' }],
      water: { basis: 'ratio', value: 30 },
      acid: { material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1, when: 'start' },
    },
  ],
  set: { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 120 },
};

/** A folder with a data file that version 0.1.0 wrote: its demo, and records of every way of dyeing. */
export async function olderStudio(): Promise<string> {
  const folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-older-'));
  await writeFile(studioFile(folder), gunzipSync(await readFile(older('studio-0.1.0.sqlite.gz'))));
  return folder;
}

/** The same studio as a document of version 2. */
export const olderDocument = async (): Promise<Record<string, unknown>> =>
  JSON.parse(gunzipSync(await readFile(older('studio-2.json.gz'))).toString()) as Record<string, unknown>;

/** Works on the data file of a folder as it lies there. */
export async function inFile<T>(folder: string, work: (file: RawFile) => Promise<T>): Promise<T> {
  const file = await openRaw(studioFile(folder), 'write');
  try {
    return await work(file);
  } finally {
    await file.close();
  }
}
