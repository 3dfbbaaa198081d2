import type { Transaction } from 'sequelize';
import type { Storage } from './storage';

/**
 * Writes many rows with one statement. A model asks for one statement a row, or spells every value out in the statement's
 * text, and takes as long over that as the file takes to write them.
 * @param rows all with the same fields: the columns of the table, in camelCase
 */
export async function insertRows<T extends Record<keyof T, string | number | null>>(
  { sequelize }: Pick<Storage, 'sequelize'>,
  table: string,
  rows: readonly T[],
  transaction: Transaction,
): Promise<void> {
  const [first] = rows;
  if (!first) return;
  const fields = Object.keys(first) as (keyof T & string)[];
  const values = JSON.stringify(rows.map((row) => fields.map((field) => row[field])));
  await sequelize.query(
    `INSERT INTO ${table} (${fields.map(columnOf).join()})
     SELECT ${fields.map((_, i) => `value ->> ${i}`).join()} FROM json_each($values) ORDER BY key`,
    { bind: { values }, transaction },
  );
}

const columnOf = (field: string): string =>
  field.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
