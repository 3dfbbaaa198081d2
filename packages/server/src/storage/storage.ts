import path from 'node:path';
import { Sequelize, Transaction } from 'sequelize';
import { defineModels, type Models } from './models';

/** The open data file: reads go straight to the models, writes one after the other, each all or nothing. */
export interface Storage {
  /** The folder the data file lies in. */
  readonly folder: string;
  readonly sequelize: Sequelize;
  readonly models: Models;
  /**
   * Runs `work` in one transaction, after every earlier write. Once it resolves, the change is on the disk:
   * WAL with synchronous=FULL flushes before a commit is acknowledged.
   */
  write<T>(work: (transaction: Transaction) => Promise<T>): Promise<T>;
  /** Closes the file, does `work`, and opens whatever file stands there then. Nobody else may be at it meanwhile. */
  whileClosed<T>(work: () => Promise<T>): Promise<T>;
  close(): Promise<void>;
}

/** Opens a file without migrating it. Foreign keys are on for every connection. */
export async function connect(file: string): Promise<Storage> {
  let open = await opened(file);
  let last: Promise<unknown> = Promise.resolve();
  let closed = false;
  return {
    folder: path.dirname(file),
    get sequelize() {
      return open.sequelize;
    },
    get models() {
      return open.models;
    },
    write(work) {
      const next = last.then(() => open.sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, work));
      last = next.catch(() => undefined);
      return next;
    },
    async whileClosed(work) {
      await last;
      await open.sequelize.close();
      try {
        return await work();
      } finally {
        open = await opened(file);
      }
    },
    async close() {
      await last;
      if (closed) return;
      closed = true;
      await open.sequelize.close();
    },
  };
}

async function opened(file: string): Promise<{ sequelize: Sequelize; models: Models }> {
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    storage: file,
    logging: false,
    hooks: { afterConnect: durable },
  });
  await sequelize.query('PRAGMA journal_mode = WAL');
  return { sequelize, models: defineModels(sequelize) };
}

/** Every connection sequelize opens, its transactions' own ones included, is set to durable commits. */
async function durable(connection: unknown): Promise<void> {
  const database = connection as { exec(sql: string, done: (error: Error | null) => void): void };
  await new Promise<void>((resolve, reject) => {
    database.exec(
      'PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON; PRAGMA busy_timeout = 5000;',
      (error) => (error ? reject(error) : resolve()),
    );
  });
}
