import { constants, existsSync } from 'node:fs';
import { access, mkdir } from 'node:fs/promises';
import path from 'node:path';
import { SequelizeStorage, Umzug } from 'umzug';
import { MIGRATIONS } from './migrations';
import { connect, type Storage } from './storage';

/** A data folder that cannot be used, in a sentence for the person who named it. */
export class DataFolderError extends Error {
  override readonly name = 'DataFolderError';
}

/** The data file inside a data folder. */
export const studioFile = (folder: string): string => path.join(folder, 'studio.sqlite');

/**
 * Opens the studio in a data folder, making an empty one where there is none, and brings an older file up to
 * date after putting a copy of it aside in `backups/`.
 * @throws DataFolderError when the folder cannot be written or the file is not a sound data file
 */
export async function openStudio(folder: string, options: { mustExist?: boolean } = {}): Promise<Storage> {
  const file = studioFile(folder);
  const isNew = !existsSync(file);
  if (isNew && options.mustExist)
    throw new DataFolderError(`There is no studio in ${folder}: the file studio.sqlite is missing.`);
  await writable(folder);
  const storage = await sound(file);
  try {
    await migrate(storage, folder, isNew);
  } catch (error) {
    await storage.close();
    throw error;
  }
  return storage;
}

async function writable(folder: string): Promise<void> {
  try {
    await mkdir(folder, { recursive: true });
    await access(folder, constants.W_OK);
    const file = studioFile(folder);
    if (existsSync(file)) await access(file, constants.W_OK);
  } catch (error) {
    throw new DataFolderError(
      `The data folder ${folder} cannot be written (${(error as NodeJS.ErrnoException).code ?? 'unknown'}). Choose another with YTHRION_DATA.`,
    );
  }
}

async function sound(file: string): Promise<Storage> {
  let storage: Storage | undefined;
  try {
    storage = await connect(file);
    const [rows] = await storage.sequelize.query('PRAGMA quick_check(1)');
    const verdict = Object.values((rows[0] ?? {}) as Record<string, string>)[0];
    if (verdict !== 'ok') throw new Error(verdict);
    return storage;
  } catch (error) {
    await storage?.close();
    const why = (error as Error).message.replace(/^SQLITE_[A-Z]+: /, '');
    throw new DataFolderError(
      `The data file ${file} is damaged or not a studio (${why}). It was left as it is; copies from before earlier updates are in the folder backups beside it.`,
    );
  }
}

async function migrate(storage: Storage, folder: string, isNew: boolean): Promise<void> {
  const history = new SequelizeStorage({ sequelize: storage.sequelize, tableName: 'migrations' });
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, statements }) => ({
      name,
      up: () =>
        storage.write(async (transaction) => {
          for (const statement of statements) await storage.sequelize.query(statement, { transaction });
        }),
    })),
    storage: history,
    logger: undefined,
  });
  const executed = await history.executed();
  const unknown = executed.filter((done) => !MIGRATIONS.some((migration) => migration.name === done));
  if (unknown.length > 0)
    throw new DataFolderError(
      `The data file in ${folder} was written by a newer Ythrion (${unknown[0]}). Use that version to open it.`,
    );
  const pending = await umzug.pending();
  if (pending.length === 0) return;
  if (!isNew) await putCopyAside(storage, folder, pending[0]?.name ?? '');
  await umzug.up();
}

/** A whole, consistent copy, whatever still sits in the write-ahead log. */
async function putCopyAside(storage: Storage, folder: string, before: string): Promise<void> {
  const backups = path.join(folder, 'backups');
  await mkdir(backups, { recursive: true });
  const stamp = new Date().toISOString().replaceAll(/[:.]/g, '-');
  await storage.sequelize.query('VACUUM INTO ?', {
    replacements: [path.join(backups, `before-${before}-${stamp}.sqlite`)],
  });
}
