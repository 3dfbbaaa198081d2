import sqlite3 from 'sqlite3';

/** A connection of its own to a data file, beside the one the studio works through. */
export interface RawFile {
  exec(sql: string): Promise<void>;
  all<T extends object>(sql: string, values?: unknown[]): Promise<T[]>;
  close(): Promise<void>;
}

/** Opens a data file by itself. @param mode `read` never makes or changes a file */
export async function openRaw(file: string, mode: 'read' | 'write'): Promise<RawFile> {
  const flags = mode === 'read' ? sqlite3.OPEN_READONLY : sqlite3.OPEN_READWRITE | sqlite3.OPEN_CREATE;
  const database = await new Promise<sqlite3.Database>((resolve, reject) => {
    const opened = new sqlite3.Database(file, flags, (error) => (error ? reject(error) : resolve(opened)));
  });
  database.configure('busyTimeout', 5000);
  return {
    exec: (sql) =>
      new Promise((resolve, reject) => database.exec(sql, (error) => (error ? reject(error) : resolve()))),
    all: <T extends object>(sql: string, values: unknown[] = []) =>
      new Promise<T[]>((resolve, reject) =>
        database.all(sql, values, (error, rows) => (error ? reject(error) : resolve(rows as T[]))),
      ),
    close: () =>
      new Promise((resolve, reject) => database.close((error) => (error ? reject(error) : resolve()))),
  };
}

/** What SQLite finds wrong in the pages and rows of a file; empty when it is sound. */
export async function faultsOf(file: RawFile): Promise<string[]> {
  const rows = await file.all<Record<string, string>>('PRAGMA integrity_check(5)');
  return rows.map((row) => String(Object.values(row)[0])).filter((said) => said !== 'ok');
}

/** Tables of a file with rows that refer to something that is not there. */
export async function looseTables(file: RawFile): Promise<string[]> {
  const rows = await file.all<{ table: string }>('PRAGMA foreign_key_check');
  return [...new Set(rows.map(({ table }) => table))];
}

/** The plain reason in an error of SQLite's. */
export const reasonOf = (error: unknown): string => (error as Error).message.replace(/^SQLITE_[A-Z_]+: /, '');
