import { Op, type Transaction } from 'sequelize';
import {
  admitEntry,
  FieldError,
  formulate,
  formulationSchema,
  planFormulation,
  summarizeBatch,
  upgradeRecipe,
  type Batch,
  type BatchSummary,
  type BeginBatch,
  type BookPage,
  type BookQuery,
  type Dye,
  type Entry,
  type Plan,
} from '@ythrion/core';
import { Conflict, NotFound } from '../http/refusals';
import { list } from '../shelf/store';
import type { BatchRow } from '../storage/models';
import { sameContent } from '../storage/sameContent';
import type { Storage } from '../storage/storage';

const SUMMARY_FIELDS = [
  'id',
  'code',
  'name',
  'colorwayId',
  'startedAt',
  'closedAt',
  'wogGrams',
  'dosPercent',
  'bases',
  'dyes',
  'undyedHex',
  'hex',
  'outcome',
  'standing',
];

/** A page of the Book, newest first; every word of the search must be found in name, code, bases, dyes or verdict. */
export async function bookPage(storage: Storage, { q, offset, limit }: BookQuery): Promise<BookPage> {
  const words = q.toLowerCase().split(/\s+/).filter(Boolean);
  const where =
    words.length === 0
      ? {}
      : { [Op.and]: words.map((word) => ({ search: { [Op.like]: `%${word.replaceAll(/[%_]/g, '')}%` } })) };
  const [total, rows] = await Promise.all([
    storage.models.batches.count({ where }),
    storage.models.batches.findAll({
      attributes: SUMMARY_FIELDS,
      where,
      order: [['startedAt', 'DESC'], 'id'],
      offset,
      limit,
      raw: true,
    }),
  ]);
  return { total, rows: rows as unknown as BatchSummary[] };
}

/** Batches that are wet: begun and not closed. */
export async function runningBatches(storage: Storage): Promise<Batch[]> {
  const rows = await storage.models.batches.findAll({ where: { closedAt: null }, order: ['startedAt'] });
  return Promise.all(
    rows.map(async (row) =>
      toBatch(row.get({ plain: true }), await entriesOf(storage, row.get('id') as string)),
    ),
  );
}

/** One batch with its whole record. @throws NotFound */
export async function readBatch(storage: Storage, id: string, transaction?: Transaction): Promise<Batch> {
  const row = (await storage.models.batches.findByPk(id, { transaction }))?.get({ plain: true });
  if (!row) throw new NotFound(`There is no batch with the id “${id}”.`);
  return toBatch(row, await entriesOf(storage, id, transaction));
}

/** Every batch, oldest first, for export. */
export async function allBatches(storage: Storage): Promise<Batch[]> {
  const rows = await storage.models.batches.findAll({ order: ['startedAt', 'id'] });
  const entries = await storage.models.entries.findAll({ order: ['seq'] });
  const record = new Map<string, Entry[]>();
  for (const row of entries) {
    const { batchId, body } = row.get({ plain: true });
    const known = record.get(batchId);
    if (known) known.push(body);
    else record.set(batchId, [body]);
  }
  return rows.map((row) => row.get({ plain: true })).map((row) => toBatch(row, record.get(row.id) ?? []));
}

/**
 * Begins a batch and gives it a code: year and running number. Sending the same batch again changes nothing.
 * @throws FieldError when the formulation does not hold together; Conflict when the id is another batch
 */
export async function beginBatch(
  storage: Storage,
  begin: BeginBatch,
  transaction: Transaction,
): Promise<Batch> {
  const existing = await storage.models.batches.findByPk(begin.id, { transaction });
  if (existing) {
    const kept = await readBatch(storage, begin.id, transaction);
    const { entries: _, code: __, ...same } = kept;
    if (!sameContent(same, begin)) throw new Conflict('id', 'Another batch already has this id.');
    return kept;
  }
  const stops = planFormulation(begin.formulation).notices.find((notice) => notice.blocks);
  if (stops) throw new FieldError('formulation', stops.text);
  return insertBatch(
    storage,
    { ...begin, code: await nextCode(storage, begin.startedAt, transaction), entries: [] },
    transaction,
  );
}

/** Writes a whole batch, as an import does. The document has been checked before. */
export async function insertBatch(storage: Storage, batch: Batch, transaction: Transaction): Promise<Batch> {
  const { formulation } = batch;
  formulate(batch.name, formulation.recipe, { ...formulation, pots: [], studio: undefined });
  const dyes = await list(storage, 'dyes', transaction);
  const coded =
    batch.code === '' ? { ...batch, code: await nextCode(storage, batch.startedAt, transaction) } : batch;
  const summary = summarizeBatch(coded, coded.entries, dyes);
  await storage.models.batches.create(toRow(coded, summary), { transaction });
  const plan = planFormulation(formulation);
  for (const [i, entry] of coded.entries.entries())
    await insertEntry(storage, coded, entry, plan, coded.entries.slice(0, i), transaction);
  return coded;
}

/**
 * Adds one entry to a batch's record. The same entry sent again is acknowledged and changes nothing.
 * @throws FieldError when it may not join the record; Conflict when its id is another entry; NotFound
 */
export async function addEntry(
  storage: Storage,
  batchId: string,
  entry: Entry,
  transaction: Transaction,
): Promise<Batch> {
  const batch = await readBatch(storage, batchId, transaction);
  const twin = await storage.models.entries.findOne({ where: { id: entry.id }, transaction });
  if (twin) {
    if (twin.batchId !== batchId || !sameContent(twin.get({ plain: true }).body, entry))
      throw new Conflict('id', 'Another entry already has this id.');
    return batch;
  }
  const dyes = await list(storage, 'dyes', transaction);
  const plan = planFormulation(batch.formulation);
  admitEntry(entry, plan, knownDyes(batch, dyes), batch.entries);
  await insertEntry(storage, batch, entry, plan, batch.entries, transaction);
  const entries = [...batch.entries, entry];
  const summary = summarizeBatch(batch, entries, dyes);
  await storage.models.batches.update(toRow(batch, summary), { where: { id: batchId }, transaction });
  return { ...batch, entries };
}

const knownDyes = (batch: Batch, dyes: readonly Dye[]): Dye[] => [...batch.formulation.dyes, ...dyes];

async function insertEntry(
  storage: Storage,
  batch: Batch,
  entry: Entry,
  plan: Plan,
  earlier: readonly Entry[],
  transaction: Transaction,
): Promise<void> {
  await storage.models.entries.create(
    {
      id: entry.id,
      batchId: batch.id,
      at: entry.at,
      receivedAt: new Date().toISOString(),
      kind: entry.kind,
      body: entry,
    },
    { transaction },
  );
  const draw =
    entry.kind === 'struck'
      ? giveBack(
          earlier.find((other) => other.id === entry.entryId),
          plan,
        )
      : drawOf(entry, plan);
  if (!draw || !(await storage.models.stocks.findByPk(draw.stockId, { transaction }))) return;
  await storage.models.draws.create({ ...draw, entryId: entry.id }, { transaction });
}

/** What an entry takes out of a jar, mL. */
function drawOf(entry: Entry, plan: Plan): { stockId: string; ml: number } | null {
  if ((entry.kind !== 'poured' && entry.kind !== 'added') || entry.unit !== 'mL') return null;
  const material =
    entry.kind === 'added'
      ? entry.material
      : plan.steps.find((step) => step.id === entry.stepId)?.measure?.material;
  if (material?.kind === 'dilution') return { stockId: material.stockId, ml: entry.amount };
  if (material?.kind !== 'dye' || material.stockId === null) return null;
  // What is poured from a working dilution left the jar when the dilution was made.
  return 'diluted' in material && material.diluted ? null : { stockId: material.stockId, ml: entry.amount };
}

function giveBack(entry: Entry | undefined, plan: Plan): { stockId: string; ml: number } | null {
  const draw = entry ? drawOf(entry, plan) : null;
  return draw && { ...draw, ml: -draw.ml };
}

async function entriesOf(storage: Storage, batchId: string, transaction?: Transaction): Promise<Entry[]> {
  const rows = await storage.models.entries.findAll({ where: { batchId }, order: ['seq'], transaction });
  return rows.map((row) => row.get({ plain: true }).body);
}

async function nextCode(storage: Storage, startedAt: string, transaction: Transaction): Promise<string> {
  const year = startedAt.slice(2, 4);
  const [rows] = await storage.sequelize.query(
    `SELECT MAX(CAST(SUBSTR(code, 4) AS INTEGER)) AS last FROM batches WHERE code LIKE ?`,
    { replacements: [`${year}-%`], transaction },
  );
  const last = (rows[0] as { last: number | null } | undefined)?.last ?? 0;
  return `${year}-${String(last + 1).padStart(3, '0')}`;
}

function toRow(batch: Omit<Batch, 'entries'>, summary: BatchSummary): BatchRow {
  return {
    ...summary,
    colorwayVersion: batch.colorwayVersion,
    againOf: batch.againOf,
    formulation: batch.formulation,
    search: [summary.name, summary.code, summary.bases, summary.dyes, summary.outcome, summary.standing]
      .filter(Boolean)
      .join(' ')
      .toLowerCase(),
  };
}

function toBatch(row: BatchRow, entries: Entry[]): Batch {
  return {
    id: row.id,
    code: row.code,
    name: row.name,
    colorwayId: row.colorwayId,
    colorwayVersion: row.colorwayVersion,
    againOf: row.againOf,
    startedAt: row.startedAt,
    // Read through its schema, so that what later versions added takes its default in an older record.
    formulation: formulationSchema.parse({
      ...row.formulation,
      recipe: upgradeRecipe(row.formulation.recipe),
    }),
    entries,
  };
}
