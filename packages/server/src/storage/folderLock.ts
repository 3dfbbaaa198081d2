import path from 'node:path';
import { DataFolderError } from './dataFolder';
import { openRaw } from './rawFile';

/**
 * Takes a data folder for one process alone, until it is given back or the process ends in whatever way: the lock is
 * the operating system's on a small file, so that a killed server never leaves one behind.
 * @throws DataFolderError while another process has it
 */
export async function lockFolder(folder: string): Promise<() => Promise<void>> {
  const lock = await openRaw(path.join(folder, 'in-use'), 'write');
  try {
    await lock.exec('PRAGMA busy_timeout = 0; PRAGMA locking_mode = EXCLUSIVE; BEGIN EXCLUSIVE');
  } catch {
    await lock.close();
    throw new DataFolderError(
      `Another Ythrion has the data folder ${folder} open. Stop it first, or use the screen it serves.`,
    );
  }
  return () => lock.close();
}
