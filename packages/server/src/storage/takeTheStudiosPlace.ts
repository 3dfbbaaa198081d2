import { existsSync } from 'node:fs';
import { rename, rm } from 'node:fs/promises';
import { openRaw } from './rawFile';
import { besides, DataFolderError, flush, studioFile } from './dataFolder';

/**
 * Puts a finished, closed data file in the place of the studio's, in one step of the file system: whenever this is cut
 * short, the old file stands there whole, or the new one does. Nobody may have either open.
 */
export async function takeTheStudiosPlace(folder: string, file: string): Promise<void> {
  const studio = studioFile(folder);
  await settle(file);
  const open = besides(file).find((beside) => existsSync(beside) && !beside.endsWith('-shm'));
  if (open !== undefined) throw new DataFolderError(`${file} was not closed: ${open} is still there.`);
  await flush(file);
  // A log of the old file must never be read into the new one: what is in it goes into the old file first.
  if (existsSync(studio)) await settle(studio);
  for (const beside of besides(studio)) await rm(beside, { force: true });
  await rename(file, studio);
  await flush(folder);
}

/** Brings everything of a file's log into the file itself. A damaged one stays as it is; its copy was put aside before. */
async function settle(file: string): Promise<void> {
  try {
    const opened = await openRaw(file, 'write');
    try {
      await opened.all('PRAGMA wal_checkpoint(TRUNCATE)');
    } finally {
      await opened.close();
    }
  } catch {
    return;
  }
}
