import { openStudio } from '../storage/openStudio';
import { restoreCopy, type Restored } from './restore';

/**
 * Puts a copy in place and makes sure that it opens, older formats brought up to date. One that does not open goes
 * again, and the studio stands as it did.
 * @throws DataFolderError saying what was wrong with the copy
 */
export async function goBackTo(folder: string, wanted: string): Promise<Restored> {
  const restored = await restoreCopy(folder, wanted);
  try {
    await (await openStudio(folder, { locked: true })).close();
  } catch (error) {
    // What stood there may have been damaged: then it cannot come back, and the reason to say is still this one.
    if (restored.keptAs !== null) await restoreCopy(folder, restored.keptAs).catch(() => undefined);
    throw error;
  }
  return restored;
}
