import { existsSync } from 'node:fs';
import { stat } from 'node:fs/promises';
import { SequelizeStorage, Umzug } from 'umzug';
import { clearUnfinished, newestGood } from './copies';
import { DataFolderError, studioFile, writableFolder } from './dataFolder';
import { MIGRATIONS } from './migrations';
import { reasonOf } from './rawFile';
import { connect, type Storage } from './storage';
import { clearUnfinishedWork, upgradeOnACopy } from './upgradeOnACopy';

/** How a data folder is opened. */
export interface OpenOptions {
  /** Refuse to make an empty studio where there is none. */
  mustExist?: boolean;
  /** The folder is taken for this process already. */
  locked?: boolean;
  /** Refuse to bring an older file up to date. */
  asItIs?: boolean;
}

/**
 * Opens the studio in a data folder, making an empty one where there is none, and brings an older file up to date: on
 * a copy, which takes its place only once it has been checked; the old file stays in `backups`.
 * @throws DataFolderError when the folder cannot be written or the file is not a sound data file
 */
export async function openStudio(folder: string, options: OpenOptions = {}): Promise<Storage> {
  const file = studioFile(folder);
  const isNew = !existsSync(file);
  if (isNew && options.mustExist)
    throw new DataFolderError(`There is no studio in ${folder}: the file studio.sqlite is missing.`);
  await writableFolder(folder);
  if (isNew) await nothingLost(folder);
  else if ((await stat(file)).size === 0) throw await unusable(folder, 'is empty, 0 bytes long');
  await clearUnfinished(folder);
  await clearUnfinishedWork(folder);
  const storage = await sound(folder);
  try {
    const pending = await pendingOf(storage, folder);
    if (pending.length === 0) return storage;
    if (isNew) {
      await migrate(storage);
      return storage;
    }
  } catch (error) {
    await storage.close();
    throw error;
  }
  await storage.close();
  if (options.asItIs)
    throw new DataFolderError(
      `The data file in ${folder} is of an older version. Start Ythrion on it once; that brings it up to date on a copy.`,
    );
  await upgradeOnACopy(folder, migrate, options.locked);
  return sound(folder);
}

/** A folder that has copies but no studio has lost it: an empty one in its place would hide that. */
async function nothingLost(folder: string): Promise<void> {
  const good = await newestGood(folder);
  if (good)
    throw new DataFolderError(
      `The file studio.sqlite is missing from ${folder}, though there are copies of it. ${wayBack(good.name)} To begin anew, move the folder away.`,
    );
}

const wayBack = (name: string): string =>
  `The newest good copy is ${name}; “ythrion restore ${name}” puts it in its place.`;

async function unusable(folder: string, what: string): Promise<DataFolderError> {
  const good = await newestGood(folder);
  return new DataFolderError(
    `The data file ${studioFile(folder)} ${what}. It was left as it is. ${good ? wayBack(good.name) : 'There is no good copy of it in the folder backups beside it.'}`,
  );
}

async function sound(folder: string): Promise<Storage> {
  let storage: Storage | undefined;
  try {
    storage = await connect(studioFile(folder));
    const [rows] = await storage.sequelize.query('PRAGMA quick_check(1)');
    const verdict = Object.values((rows[0] ?? {}) as Record<string, string>)[0];
    if (verdict !== 'ok') throw new Error(verdict);
    return storage;
  } catch (error) {
    await storage?.close();
    const reason = reasonOf(error);
    if (/full/.test(reason))
      throw new DataFolderError(`The disk that ${folder} lies on is full. Make room, then start again.`);
    throw await unusable(folder, `is damaged or not a studio (${reason})`);
  }
}

function history({ sequelize }: Storage): SequelizeStorage {
  return new SequelizeStorage({ sequelize, tableName: 'migrations' });
}

/** Migrations that the file has not seen. @throws DataFolderError when it has seen one this version does not know */
async function pendingOf(storage: Storage, folder: string): Promise<string[]> {
  const executed = await history(storage).executed();
  const unknown = executed.filter((done) => !MIGRATIONS.some((migration) => migration.name === done));
  if (unknown.length > 0)
    throw new DataFolderError(
      `The data file in ${folder} was written by a newer Ythrion (${unknown[0]}). Use that version to open it.`,
    );
  return MIGRATIONS.map(({ name }) => name).filter((name) => !executed.includes(name));
}

/** Brings an open file up to date, each migration all or nothing. */
export async function migrate(storage: Storage): Promise<void> {
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, steps }) => ({
      name,
      up: () =>
        storage.write(async (transaction) => {
          for (const step of steps)
            if (typeof step === 'string') await storage.sequelize.query(step, { transaction });
            else await step(storage.sequelize, transaction);
        }),
    })),
    storage: history(storage),
    logger: undefined,
  });
  await umzug.up();
}
