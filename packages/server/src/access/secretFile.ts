import { chmod, mkdir, open, readFile, rename } from 'node:fs/promises';
import path from 'node:path';

/** Folder of what opens the studio; beside the data file, in no copy of it, so that going back brings no old key back. */
export const accessFolder = (dataFolder: string): string => path.join(dataFolder, 'access');

/** The text of a file only the owner may read; null when there is none. */
export async function readSecret(file: string): Promise<string | null> {
  return readFile(file, 'utf8').catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return null;
    throw error;
  });
}

/** Writes such a file whole or not at all. */
export async function writeSecret(file: string, text: string): Promise<void> {
  await mkdir(path.dirname(file), { recursive: true, mode: 0o700 });
  const draft = `${file}.draft`;
  const handle = await open(draft, 'w', 0o600);
  try {
    await handle.writeFile(text);
    await handle.sync();
  } finally {
    await handle.close();
  }
  await chmod(draft, 0o600);
  await rename(draft, file);
}
