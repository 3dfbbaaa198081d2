import path from 'node:path';
import { Sequelize, Transaction } from 'sequelize';
import { keepConnections } from './connections';
import { inTurn } from './inTurn';
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
  /** Lets another process write: does `work` after every earlier write and before every later one. */
  byAnother<T>(work: () => Promise<T>): Promise<T>;
  /** Closes the file, does `work`, and opens whatever file stands there then. Nobody else may be at it meanwhile. */
  whileClosed<T>(work: () => Promise<T>): Promise<T>;
  close(): Promise<void>;
}

/** Opens a file without migrating it. Foreign keys are on for every connection. */
export async function connect(file: string): Promise<Storage> {
  let open = await opened(file);
  const turn = inTurn();
  let closed = false;
  return {
    folder: path.dirname(file),
    get sequelize() {
      return open.sequelize;
    },
    get models() {
      return open.models;
    },
    write: (work) => turn(() => open.sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, work)),
    byAnother: turn,
    async whileClosed(work) {
      await turn.ended();
      await open.sequelize.close();
      try {
        return await work();
      } finally {
        open = await opened(file);
      }
    },
    async close() {
      await turn.ended();
      if (closed) return;
      closed = true;
      await open.sequelize.close();
    },
  };
}

async function opened(file: string): Promise<{ sequelize: Sequelize; models: Models }> {
  const sequelize = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
  keepConnections(sequelize);
  await sequelize.query('PRAGMA journal_mode = WAL');
  const models = defineModels(sequelize);
  readPlainly(sequelize, models);
  return { sequelize, models };
}

/**
 * Sequelize asks for a table's column types before each of its queries, to read yes-or-no and JSON columns by them. The
 * tables of the record have none of these, and are asked many times an event.
 */
function readPlainly(sequelize: Sequelize, { batches, batchPlans, batchDyes, events, draws }: Models): void {
  const plain = new Set<unknown>([batches, batchPlans, batchDyes, events, draws]);
  sequelize.addHook('beforeQuery', (_options: unknown, query: unknown) => {
    const { model, options } = query as { model?: unknown; options: { tableNames?: string[] } };
    if (plain.has(model)) options.tableNames = [];
  });
}
