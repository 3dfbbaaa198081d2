import { existsSync } from 'node:fs';
import { mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import path from 'node:path';
import type { CopyReason, StudioCopy } from '@ythrion/core';
import { besides, copiesFolder, DataFolderError, flush, studioFile } from './dataFolder';
import { faultsOf, openRaw, reasonOf } from './rawFile';

const NAME =
  /^studio-(\d{4}-\d{2}-\d{2}T\d{2}-\d{2}-\d{2}-\d{3}Z)-(daily|asked|before-upgrade|before-restore)\.sqlite$/;
const UNFINISHED = 'unfinished-';

/** The file name of a copy. @param at milliseconds since 1970 */
export const copyName = (at: number, why: CopyReason): string =>
  `studio-${new Date(at).toISOString().replaceAll(/[:.]/g, '-')}-${why}.sqlite`;

/** The copies of a data folder, newest first. Files that are none of ours are left alone and not named. */
export async function listCopies(folder: string): Promise<StudioCopy[]> {
  const place = copiesFolder(folder);
  const names = existsSync(place) ? await readdir(place) : [];
  const copies = await Promise.all(
    names.map(async (name): Promise<StudioCopy | null> => {
      const found = NAME.exec(name);
      if (!found) return null;
      const [day = '', time = ''] = (found[1] ?? '').split('T');
      const [hours, minutes, seconds, thousandths] = time.replace('Z', '').split('-');
      return {
        name,
        at: `${day}T${hours}:${minutes}:${seconds}.${thousandths}Z`,
        why: found[2] as CopyReason,
        bytes: (await stat(path.join(place, name))).size,
      };
    }),
  );
  return copies.filter((copy) => copy !== null).toSorted((a, b) => (a.at < b.at ? 1 : -1));
}

/** Writes a whole, checked copy of a data file that may be in use. @throws Error when it is not sound */
export type CopyFile = (from: string, to: string) => Promise<void>;

/**
 * Copies the studio as it stands this moment, through a connection of its own: whoever is logging goes on. The copy is
 * opened and checked page by page, and only then gets its name.
 * @param copy how the file is copied: here, or where it holds nobody up
 * @throws DataFolderError when the copy cannot be written or is not sound
 */
export async function makeCopy(
  folder: string,
  why: CopyReason,
  copy: CopyFile = copyInto,
  now = Date.now(),
): Promise<StudioCopy> {
  const place = copiesFolder(folder);
  const name = copyName(now, why);
  const unfinished = path.join(place, `${UNFINISHED}${name}`);
  try {
    await mkdir(place, { recursive: true });
    await copy(studioFile(folder), unfinished);
    await flush(unfinished);
    await rename(unfinished, path.join(place, name));
    await flush(place);
  } catch (error) {
    await rm(unfinished, { force: true }).catch(() => undefined);
    throw new DataFolderError(
      `No copy of the studio was made: ${reasonOf(error)}. The studio itself is as it was.`,
    );
  }
  const made = (await listCopies(folder)).find((one) => one.name === name);
  if (!made) throw new DataFolderError(`No copy of the studio was made: ${name} is missing.`);
  return made;
}

/** Writes a whole, consistent copy of a data file, whatever still sits in its log. @throws when it is not sound */
export async function copyInto(from: string, to: string): Promise<void> {
  for (const file of [to, ...besides(to)]) await rm(file, { force: true });
  const source = await openRaw(from, 'read');
  try {
    // Without flushes of its own, so that nobody’s commit waits for this one; whoever wants the copy flushes it whole.
    await source.exec('PRAGMA synchronous = OFF');
    await source.all('VACUUM INTO ?', [to]);
  } finally {
    await source.close();
  }
  const [fault] = await faultsIn(to);
  if (fault !== undefined) throw new Error(fault);
}

/** What is wrong with a data file, every page read; empty when it is sound. */
export async function faultsIn(file: string): Promise<string[]> {
  let opened;
  try {
    opened = await openRaw(file, 'read');
    const [found] = await opened.all<{ name: string }>(
      `SELECT name FROM sqlite_master WHERE type = 'table' AND name = 'migrations'`,
    );
    return found ? await faultsOf(opened) : ['it holds no studio'];
  } catch (error) {
    return [reasonOf(error)];
  } finally {
    await opened?.close();
  }
}

/** The newest copy that is sound; null when there is none. */
export async function newestGood(folder: string): Promise<StudioCopy | null> {
  for (const copy of await listCopies(folder))
    if ((await faultsIn(path.join(copiesFolder(folder), copy.name))).length === 0) return copy;
  return null;
}

/** Takes away what an interrupted copy left behind. */
export async function clearUnfinished(folder: string): Promise<void> {
  const place = copiesFolder(folder);
  if (!existsSync(place)) return;
  for (const name of await readdir(place))
    if (name.startsWith(UNFINISHED)) await rm(path.join(place, name), { force: true });
}
