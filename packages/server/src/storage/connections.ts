import type { Sequelize } from 'sequelize';

/** A connection as sequelize holds it; inside a transaction it bears the transaction's id. */
interface Connection {
  uuid?: string;
  exec(sql: string, done: (error: Error | null) => void): void;
  close(done: (error: Error | null) => void): void;
}

/** What sequelize opens and closes connections with; only these of it are of use here. */
interface Connections {
  connections: Record<string, Connection>;
  getConnection(options: { uuid?: string }): Promise<Connection>;
  releaseConnection(connection: Connection): Promise<void>;
  close(): Promise<void>;
}

/** How many read at once: a question that takes long does not hold up those behind it. */
const READERS = 3;

/**
 * Sees to the connections of a data file: each is set to durable commits before its first statement, and the one of a
 * transaction is kept for the next. Sequelize by itself opens the file anew for every transaction, which costs more than
 * what is then done in it: the whole schema is read again, and every page. Writes come one after the other, so one
 * connection serves them all. At the end they are closed one after the other: two that close at once each take the other
 * for one still at work, and neither brings the log into the file.
 *
 * What is read outside of a transaction goes to whichever of a few connections has the least to do; sequelize would ask
 * all of it of one, which answers one question at a time.
 */
export function keepConnections(sequelize: Sequelize): void {
  const connections = (sequelize as unknown as { connectionManager: Connections }).connectionManager;
  const open = connections.getConnection.bind(connections);
  const close = connections.releaseConnection.bind(connections);
  const ready = new WeakMap<Connection, Promise<void>>();
  const opened = async (options: { uuid?: string }): Promise<Connection> => {
    const connection = await open(options);
    const setting = ready.get(connection) ?? durable(connection);
    ready.set(connection, setting);
    await setting;
    return connection;
  };
  let spare: Connection | null = null;
  const readers = Array.from({ length: READERS }, (_, i) => ({ uuid: `reader ${i}`, asked: 0 }));
  const reads = new Map<Connection, (typeof readers)[number]>();
  const leastAsked = (): (typeof readers)[number] =>
    readers.reduce((least, reader) => (reader.asked < least.asked ? reader : least));
  connections.getConnection = async (options) => {
    if (options.uuid === undefined) {
      const reader = leastAsked();
      reader.asked += 1;
      try {
        const connection = await opened({ ...options, uuid: reader.uuid });
        reads.set(connection, reader);
        return connection;
      } catch (error) {
        reader.asked -= 1;
        throw error;
      }
    }
    const taken = spare ?? (await opened(options));
    spare = null;
    return taken;
  };
  connections.releaseConnection = async (connection) => {
    const reader = reads.get(connection);
    if (reader) reader.asked -= 1;
    else if (spare === null) spare = connection;
    else await close(connection);
  };
  const end = connections.close.bind(connections);
  connections.close = async () => {
    for (const [id, connection] of Object.entries(connections.connections)) {
      Reflect.deleteProperty(connections.connections, id);
      await new Promise<void>((resolve, reject) => {
        connection.close((error) => (error ? reject(error) : resolve()));
      });
    }
    await end();
  };
}

/** A commit is on the disk before it is acknowledged; references are kept; whoever finds the file locked waits. */
async function durable(connection: Connection): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    connection.exec(
      'PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON; PRAGMA busy_timeout = 5000;',
      (error) => (error ? reject(error) : resolve()),
    );
  });
}
