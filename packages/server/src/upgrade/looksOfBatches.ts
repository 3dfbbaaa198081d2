import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { batchSchema, dyedSummary, dyeTotals, type Dye } from '@ythrion/core';

interface Record {
  id: string;
  name: string;
  startedAt: string;
  formulation: string;
  card: string;
}

/** Tells of every batch how its goods are drawn. One that cannot be read goes on in the one color it has. */
export async function looksOfBatches(sequelize: Sequelize, transaction: Transaction): Promise<void> {
  const select = <T extends object>(sql: string, replacements: unknown[] = []): Promise<T[]> =>
    sequelize.query<T>(sql, { replacements, transaction, type: QueryTypes.SELECT, raw: true });
  const dyes = await select<Pick<Dye, 'id' | 'name' | 'swatchHex' | 'swatchDosPercent'>>(
    'SELECT id, name, swatch_hex AS swatchHex, swatch_dos_percent AS swatchDosPercent FROM dyes',
  );
  for (const { id } of await select<{ id: string }>('SELECT id FROM batches')) {
    const records = await select<Record>(
      `SELECT b.id, b.name, b.started_at AS startedAt, p.formulation, p.card
       FROM batches b JOIN batch_plans p ON p.batch_id = b.id WHERE b.id = ?`,
      [id],
    );
    const events = await select<{ body: string }>('SELECT body FROM events WHERE batch_id = ? ORDER BY seq', [
      id,
    ]);
    const look = records.map((record) => lookOf(record, events, dyes as Dye[]))[0];
    if (look)
      await sequelize.query('UPDATE batches SET look = ? WHERE id = ?', {
        replacements: [look, id],
        transaction,
      });
  }
}

function lookOf(
  { formulation, card, ...record }: Record,
  events: readonly { body: string }[],
  dyes: readonly Dye[],
): string | null {
  try {
    const batch = batchSchema.parse({
      ...record,
      formulation: JSON.parse(formulation) as unknown,
      card: JSON.parse(card) as unknown,
      events: events.map(({ body }) => JSON.parse(body) as unknown),
    });
    return JSON.stringify(dyedSummary(batch, dyeTotals(batch.events), dyes).look);
  } catch {
    return null;
  }
}
