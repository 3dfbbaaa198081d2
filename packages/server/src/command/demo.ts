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
import { SettingError } from './places';

const MARK = 'this-is-a-demo.txt';

/**
 * Makes a data folder fresh and loads the demo studio into it. Only a folder that is empty or was made by an
 * earlier demo is ever cleared.
 * @throws SettingError when the folder holds a studio of the user's own
 */
export async function loadDemo(folder: string, documentFile: string): Promise<void> {
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
  await importDocument(
    storage,
    bringToToday(readDocument(upgradeDocument(JSON.parse(await readFile(documentFile, 'utf8')))), Date.now()),
  );
  await storage.close();
  await giveBack();
}
