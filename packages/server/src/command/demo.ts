import { existsSync } from 'node:fs';
import { readFile, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { readDocument } from '@ythrion/core';
import { importDocument } from '../document/importDocument';
import { openStudio } from '../storage/openStudio';
import { copiesFolder, studioFile, writableFolder } from '../storage/dataFolder';
import { lockFolder } from '../storage/folderLock';
import { upgradeDocument } from '../upgrade/upgradeDocument';
import { bringToToday } from './demoDates';
import { demoSamples } from './demoSamples';
import { SettingError } from './places';

const MARK = 'this-is-a-demo.txt';

/**
 * Makes a data folder fresh and loads the demo studio into it. Only a folder that is empty or was made by an
 * earlier demo is ever cleared.
 * @param demo where the data of the demo lie
 * @throws SettingError when the folder holds a studio of the user's own
 */
export async function loadDemo(folder: string, demo: string): Promise<void> {
  if (existsSync(studioFile(folder)) && !existsSync(path.join(folder, MARK)))
    throw new SettingError(
      `${folder} holds a studio of your own. The demo never touches it; choose another folder with YTHRION_DATA.`,
    );
  await writableFolder(folder);
  const giveBack = await lockFolder(folder);
  for (const ending of ['', '-wal', '-shm']) await rm(`${studioFile(folder)}${ending}`, { force: true });
  await rm(copiesFolder(folder), { recursive: true, force: true });
  await writeFile(path.join(folder, MARK), 'This folder is made fresh by the demo. Nothing in it is kept.\n');
  const storage = await openStudio(folder, { locked: true });
  const studio = readDocument(upgradeDocument(await parsed(path.join(demo, 'studio.json'))));
  const samples = demoSamples(await parsed(path.join(demo, 'spectra.json')));
  await importDocument(storage, bringToToday({ ...studio, samples }, Date.now()));
  await storage.close();
  await giveBack();
}

const parsed = async (file: string): Promise<unknown> => JSON.parse(await readFile(file, 'utf8')) as unknown;
