import { existsSync } from 'node:fs';
import { copyFile, mkdir, stat } from 'node:fs/promises';
import path from 'node:path';
import { besides, copiesFolder, DataFolderError, flush, studioFile, workFile } from '../storage/dataFolder';
import { takeTheStudiosPlace } from '../storage/takeTheStudiosPlace';
import { copyInto, copyName, faultsIn, makeCopy } from '../storage/copies';

/** What was put in place, and where the studio that stood there before went; null when there was none. */
export interface Restored {
  from: string;
  keptAs: string | null;
}

/**
 * Puts a copy in the place of the studio. What stands there is copied aside first, sound or not; nobody may have it
 * open.
 * @param wanted name of a copy in the folder, or a path to a data file
 * @throws DataFolderError when there is no such copy or it is not sound; the studio is then as it was
 */
export async function restoreCopy(folder: string, wanted: string): Promise<Restored> {
  const file = await foundCopy(folder, wanted);
  const [fault] = await faultsIn(file);
  if (fault !== undefined)
    throw new DataFolderError(`${wanted} is not a sound copy of a studio (${fault}). Nothing was changed.`);
  const keptAs = await putAside(folder);
  await copyInto(file, workFile(folder));
  await takeTheStudiosPlace(folder, workFile(folder));
  return { from: path.basename(file), keptAs };
}

async function foundCopy(folder: string, wanted: string): Promise<string> {
  const inFolder = path.join(copiesFolder(folder), path.basename(wanted));
  const found = [inFolder, path.resolve(wanted)].find((candidate) => existsSync(candidate));
  if (found === undefined || !(await stat(found)).isFile())
    throw new DataFolderError(`There is no copy called ${wanted}. “ythrion copies” lists those there are.`);
  if (path.resolve(found) === path.resolve(studioFile(folder)))
    throw new DataFolderError(`${wanted} is the studio itself. Nothing was changed.`);
  return found;
}

/** A copy of the studio as it stands: a sound one whole, a damaged one byte for byte with what lies beside it. */
async function putAside(folder: string): Promise<string | null> {
  const studio = studioFile(folder);
  if (!existsSync(studio)) return null;
  const sound = (await stat(studio)).size > 0 && (await faultsIn(studio)).length === 0;
  if (sound) return (await makeCopy(folder, 'before-restore')).name;
  const place = copiesFolder(folder);
  await mkdir(place, { recursive: true });
  const name = copyName(Date.now(), 'before-restore').replace('studio-', 'damaged-');
  for (const [i, from] of [studio, ...besides(studio)].entries())
    if (existsSync(from)) await copyFile(from, path.join(place, i === 0 ? name : from.replace(studio, name)));
  await flush(place);
  return name;
}
