import { existsSync } from 'node:fs';
import { copyFile } from 'node:fs/promises';
import path from 'node:path';
import { checkStudio } from '../backup/check';
import { listCopies, makeCopy } from '../storage/copies';
import { goBackTo } from '../backup/goBackTo';
import { clearOutlived } from '../backup/keep';
import { copiesFolder, DataFolderError, flush, studioFile, writableFolder } from '../storage/dataFolder';
import { lockFolder } from '../storage/folderLock';
import { openStudio } from '../storage/openStudio';
import { SettingError } from './places';

const MEGABYTE = 1_048_576;
const print = (line: string): void => void process.stdout.write(`${line}\n`);

/** Copies the studio, in use or not. @param file a second place for the copy; never over another file */
export async function backup(folder: string, file: string | undefined): Promise<void> {
  if (!existsSync(studioFile(folder))) throw new DataFolderError(`There is no studio in ${folder} to copy.`);
  if (file !== undefined && existsSync(file))
    throw new SettingError(`${file} is there already, and a copy never takes another file’s place.`);
  const copy = await makeCopy(folder, 'asked');
  await clearOutlived(folder);
  if (file !== undefined) {
    await copyFile(path.join(copiesFolder(folder), copy.name), file);
    await flush(file);
  }
  print(`Copied and checked: ${file ?? path.join(copiesFolder(folder), copy.name)}`);
}

/** Prints the copies there are. */
export async function copies(folder: string): Promise<void> {
  const all = await listCopies(folder);
  if (all.length === 0) print('There are no copies yet. “ythrion backup” makes one.');
  for (const { name, bytes } of all) print(`${name}  ${(bytes / MEGABYTE).toFixed(1)} MB`);
}

/** Puts a copy in the studio's place, while nobody has the folder open. */
export async function restore(folder: string, wanted: string): Promise<void> {
  await writableFolder(folder);
  const giveBack = await lockFolder(folder);
  try {
    const { from, keptAs } = await goBackTo(folder, wanted);
    print(`The studio is as it was in ${from}.`);
    if (keptAs !== null) print(`What stood there is kept as ${keptAs}.`);
  } finally {
    await giveBack();
  }
}

/** Looks the whole studio over and says what is wrong; ends with code 1 when something is. */
export async function check(folder: string): Promise<void> {
  const storage = await openStudio(folder, { mustExist: true, asItIs: true });
  const { faults, missing, batches, events } = await checkStudio(storage);
  await storage.close();
  for (const said of [...faults, ...missing]) print(said);
  print(
    faults.length === 0
      ? `Sound: ${batches} batches with ${events} events, every record readable, jars and Book agree with them.`
      : `${faults.length} faults in ${batches} batches. The newest copies: ythrion copies.`,
  );
  if (faults.length > 0) process.exitCode = 1;
}
