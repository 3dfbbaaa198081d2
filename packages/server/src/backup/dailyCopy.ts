import type { Logger } from 'pino';
import type { StudioCopy } from '@ythrion/core';
import { clearOutlived } from './keep';
import { listCopies, makeCopy, type CopyFile } from '../storage/copies';

const DAY = 24 * 3_600_000;
const LOOK_EVERY = 15 * 60_000;
const FIRST_LOOK = 5_000;

/** The newest copy that was made for its own sake, not before a change of the file. */
const newestUsual = (copies: readonly StudioCopy[]): StudioCopy | undefined =>
  copies.find(({ why }) => why === 'daily' || why === 'asked');

/** Whether the daily copies have stopped coming. @param copies newest first */
export function isOverdue(copies: readonly StudioCopy[], now: number): boolean {
  const newest = newestUsual(copies);
  return newest !== undefined && now - Date.parse(newest.at) > 2 * DAY;
}

/** Makes a copy when the newest is a day old, and takes away those that have served their time. @returns whether one was made */
export async function copyWhenDue(folder: string, copy?: CopyFile, now = Date.now()): Promise<boolean> {
  const newest = newestUsual(await listCopies(folder));
  if (newest && now - Date.parse(newest.at) < DAY) return false;
  await makeCopy(folder, 'daily', copy, now);
  await clearOutlived(folder);
  return true;
}

/** Looks now and then, for as long as the server runs, whether a copy is due. @returns how to stop it */
export function copyDaily(folder: string, log: Logger, copy: CopyFile): () => void {
  const look = (): void => {
    copyWhenDue(folder, copy).catch((error: unknown) => log.error({ err: error }, 'no daily copy was made'));
  };
  const first = setTimeout(look, FIRST_LOOK);
  const later = setInterval(look, LOOK_EVERY);
  first.unref();
  later.unref();
  return () => {
    clearTimeout(first);
    clearInterval(later);
  };
}
