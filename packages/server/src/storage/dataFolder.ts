import { constants } from 'node:fs';
import { access, mkdir, open } from 'node:fs/promises';
import path from 'node:path';

/** A data folder that cannot be used, in a sentence for the person who named it. */
export class DataFolderError extends Error {
  override readonly name = 'DataFolderError';
}

/** The data file inside a data folder. */
export const studioFile = (folder: string): string => path.join(folder, 'studio.sqlite');
/** Where copies of it are kept. */
export const copiesFolder = (folder: string): string => path.join(folder, 'backups');
/** Where a data file is got ready that is to take the studio's place. */
export const workFile = (folder: string): string => path.join(folder, 'unfinished.sqlite');
/** Files that SQLite keeps beside a data file while it is open. */
export const besides = (file: string): string[] => [`${file}-wal`, `${file}-shm`, `${file}-journal`];

/** Makes the folder where there is none. @throws DataFolderError when it cannot be written */
export async function writableFolder(folder: string): Promise<void> {
  try {
    await mkdir(folder, { recursive: true });
    await access(folder, constants.W_OK);
    await access(studioFile(folder), constants.W_OK).catch((error: NodeJS.ErrnoException) => {
      if (error.code !== 'ENOENT') throw error;
    });
  } catch (error) {
    throw new DataFolderError(
      `The data folder ${folder} cannot be written (${(error as NodeJS.ErrnoException).code ?? 'unknown'}). Choose another with YTHRION_DATA.`,
    );
  }
}

/** Waits until what was written of a file, or of a folder's list of files, is on the disk. */
export async function flush(place: string): Promise<void> {
  const handle = await open(place, 'r');
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}
