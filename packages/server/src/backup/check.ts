import { QueryTypes } from 'sequelize';
import {
  asItStands,
  dyeTotals,
  ledgerOf,
  summarizeBatch,
  type Batch,
  type CheckResponse,
  type Dye,
} from '@ythrion/core';
import { everyBatch } from '../batches/read';
import { everyCup } from '../cups/read';
import { list } from '../shelf/store';
import { studioFile } from '../storage/dataFolder';
import { faultsOf, looseTables, openRaw } from '../storage/rawFile';
import type { Storage } from '../storage/storage';

/**
 * Looks the whole studio over: the file page by page, that everything refers to something, that every record can be
 * read, and that what is kept ready beside the records (jar levels, the Book's lines) agrees with them.
 */
export async function checkStudio(storage: Storage): Promise<CheckResponse> {
  const faults = await fileFaults(storage);
  const dyes = await list(storage, 'dyes');
  const drawn = new Map<string, number>();
  let batches = 0;
  let events = 0;
  for await (const { batch, damaged } of everyBatch(storage)) {
    batches += 1;
    if (damaged) faults.push(damaged.message);
    if (!batch) continue;
    events += batch.events.length;
    for (const { stockId, ml } of ledgerOf(batch.events)) drawn.set(stockId, (drawn.get(stockId) ?? 0) + ml);
    faults.push(...(await bookFaults(storage, batch, dyes)));
  }
  for (const cup of await everyCup(storage)) {
    events += cup.events.length;
    for (const { stockId, ml } of ledgerOf(cup.events)) drawn.set(stockId, (drawn.get(stockId) ?? 0) + ml);
  }
  faults.push(...(await jarFaults(storage, drawn)));
  return { faults, missing: await missingEntries(storage), batches, events };
}

/**
 * What is wrong with the file itself. Looked at anew: a connection that has read the lists of words before may take what
 * was written beside it since for damage (SQLite 3.52, `PRAGMA integrity_check` over FTS5).
 */
async function fileFaults({ folder }: Storage): Promise<string[]> {
  const file = await openRaw(studioFile(folder), 'read');
  try {
    return [
      ...(await faultsOf(file)),
      ...(await looseTables(file)).map((table) => `Rows of ${table} refer to something that is not there.`),
    ];
  } finally {
    await file.close();
  }
}

/** Jars whose level does not agree with what the records poured from them; those of unreadable records apart. */
async function jarFaults({ sequelize }: Storage, drawn: ReadonlyMap<string, number>): Promise<string[]> {
  const rows = await sequelize.query<{ id: string; ml: number }>(
    `SELECT d.stock_id AS id, SUM(d.ml) AS ml FROM jar_draws d JOIN events e ON e.id = d.event_id
      WHERE e.batch_id IS NULL OR e.batch_id NOT IN (SELECT batch_id FROM batch_plans WHERE card = 'null') GROUP BY d.stock_id`,
    { type: QueryTypes.SELECT },
  );
  const kept = new Map(rows.map(({ id, ml }) => [id, ml]));
  const known = await sequelize.query<{ id: string }>('SELECT id FROM stocks', { type: QueryTypes.SELECT });
  return known.flatMap(({ id }) => {
    const ledger = kept.get(id) ?? 0;
    const told = drawn.get(id) ?? 0;
    return Math.abs(ledger - told) > 1e-6
      ? [`Jar ${id}: its ledger says ${ledger} mL were poured, the records say ${told} mL.`]
      : [];
  });
}

/** Entries that a device counted and that never arrived, though later ones did. */
async function missingEntries({ sequelize }: Storage): Promise<string[]> {
  const gaps = await sequelize.query<{ device: string; from: number; to: number }>(
    `SELECT device, before + 1 AS "from", count - 1 AS "to" FROM (
       SELECT device, count, LAG(count) OVER (PARTITION BY device ORDER BY count) AS before
       FROM events WHERE sent = 1)
     WHERE count > before + 1 ORDER BY device, count`,
    { type: QueryTypes.SELECT },
  );
  return gaps.map(({ device, from, to }) =>
    from === to
      ? `Device ${device}: its entry ${from} never arrived here.`
      : `Device ${device}: its entries ${from} to ${to} never arrived here.`,
  );
}

async function bookFaults({ models }: Storage, batch: Batch, dyes: readonly Dye[]): Promise<string[]> {
  const row = (await models.batches.findByPk(batch.id))?.get({ plain: true });
  const kept = await models.batchDyes.findAll({ where: { batchId: batch.id }, raw: true });
  const told = summarizeBatch(asItStands(batch, batch.events), dyes);
  const faults: string[] = [];
  if (!row || Math.abs(row.dosPercent - told.dosPercent) > 1e-6)
    faults.push(
      `Batch ${batch.code}: the Book shows ${row?.dosPercent ?? 'nothing'} %, its record comes to ${told.dosPercent} %.`,
    );
  if (row && (row.outcome !== told.outcome || row.closedAt !== told.closedAt))
    faults.push(`Batch ${batch.code}: the Book shows another verdict than its record.`);
  const totals = dyeTotals(batch.events);
  const same = totals.every((total) =>
    kept.some((one) => {
      const { pass, line, dyeId, grams } = one as unknown as typeof total;
      return (
        pass === total.pass &&
        line === total.line &&
        dyeId === total.dyeId &&
        Math.abs(grams - total.grams) < 1e-6
      );
    }),
  );
  if (!same || kept.length !== totals.length)
    faults.push(`Batch ${batch.code}: the dye kept ready for the Book is not that of its record.`);
  return faults;
}
