import { rm } from 'node:fs/promises';
import { copyInto, faultsIn, makeCopy } from './copies';
import { UpgradeError } from '../upgrade/recordsToEvents';
import { besides, DataFolderError, studioFile, workFile } from './dataFolder';
import { lockFolder } from './folderLock';
import { looseTables, openRaw, reasonOf } from './rawFile';
import { connect, type Storage } from './storage';
import { takeTheStudiosPlace } from './takeTheStudiosPlace';

/** Takes away what an interrupted upgrade or way back left behind; the studio itself was not touched by it. */
export async function clearUnfinishedWork(folder: string): Promise<void> {
  for (const file of [workFile(folder), ...besides(workFile(folder))]) await rm(file, { force: true });
}

/**
 * Brings a closed, older data file up to date: a copy of it is kept in `backups`, another one is migrated and checked,
 * and only then takes the file's place.
 * @param locked the folder is taken for this process already
 * @throws DataFolderError when it cannot be done; the studio is then as it was
 */
export async function upgradeOnACopy(
  folder: string,
  migrate: (storage: Storage) => Promise<void>,
  locked = false,
): Promise<void> {
  const giveBack = locked ? null : await lockFolder(folder);
  try {
    const kept = await makeCopy(folder, 'before-upgrade');
    const file = workFile(folder);
    await copyInto(studioFile(folder), file);
    await migrateFile(file, migrate);
    const [fault] = [...(await faultsIn(file)), ...(await looseIn(file))];
    if (fault !== undefined) throw new UpgradeError(fault);
    await takeTheStudiosPlace(folder, file);
    process.stderr.write(`The studio was brought to today’s format; the old file is kept as ${kept.name}.\n`);
  } catch (error) {
    await clearUnfinishedWork(folder);
    if (error instanceof DataFolderError) throw error;
    throw new DataFolderError(
      `The studio in ${folder} could not be brought to today’s format: ${reasonOf(error)}. It is as it was; the version before this one still opens it.`,
    );
  } finally {
    await giveBack?.();
  }
}

async function looseIn(file: string): Promise<string[]> {
  const opened = await openRaw(file, 'read');
  const tables = await looseTables(opened);
  await opened.close();
  return tables.map((table) => `rows of ${table} would refer to something that is not there`);
}

async function migrateFile(file: string, migrate: (storage: Storage) => Promise<void>): Promise<void> {
  const storage = await connect(file);
  try {
    await migrate(storage);
  } finally {
    await storage.close();
  }
}
