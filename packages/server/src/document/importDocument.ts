import type { Transaction } from 'sequelize';
import {
  DocumentError,
  powdersWithin,
  readDocument,
  SHELF_RESOURCES,
  type Batch,
  type ImportReport,
  type Problem,
  type Shelf,
  type ShelfResource,
  type StudioDocument,
} from '@ythrion/core';
import { asToday } from '../colorways/store';
import { insertBatch } from '../batches/begin';
import { readBatch } from '../batches/read';
import { upgradeDocument } from '../upgrade/upgradeDocument';
import { list, materials, putItem, putStudio, type ShelfItems } from '../shelf/store';
import { sameContent } from '../storage/sameContent';
import type { Storage } from '../storage/storage';

/**
 * Takes a document in, all or nothing. What is here already and the same is left; what is here and different
 * is refused, so that an import never rewrites a record.
 * @param value a parsed JSON value, not yet checked
 * @throws DocumentError with everything that stands in the way
 */
export function importDocument(storage: Storage, value: unknown): Promise<ImportReport> {
  return storage.write(async (transaction) => {
    const { report, studio } = await takeDocument(storage, value, transaction);
    await studio();
    return report;
  });
}

/** What came in, and what is still to be done when all the rest has. */
interface Taken {
  report: ImportReport;
  /** Batches that the document names as left out. */
  leftOut: readonly { id: string }[];
  studio: () => Promise<void>;
}

/** Takes a document in within a transaction. @throws DocumentError with everything that stands in the way */
export async function takeDocument(
  storage: Storage,
  value: unknown,
  transaction: Transaction,
): Promise<Taken> {
  const shelf = await materials(storage, transaction);
  const document = readDocument(upgradeDocument(value, shelf), shelf);
  const report: ImportReport = { added: 0, unchanged: 0 };
  const problems: Problem[] = [];
  for (const resource of SHELF_RESOURCES)
    await takeShelf(storage, resource, document, report, problems, transaction);
  await takeColorways(storage, document, report, problems, transaction);
  const take = batchTaker(
    storage,
    await materials(storage, transaction),
    document.leftOut ?? [],
    report,
    transaction,
  );
  for (const [i, batch] of document.batches.entries()) {
    const problem = await take(batch, i);
    if (problem) problems.push(problem);
  }
  if (problems.length > 0) throw new DocumentError(problems);
  return {
    report,
    leftOut: document.leftOut ?? [],
    studio: async () => {
      if (document.studio) await putStudio(storage, document.studio, transaction);
    },
  };
}

async function takeShelf<R extends ShelfResource>(
  storage: Storage,
  resource: R,
  document: StudioDocument,
  report: ImportReport,
  problems: Problem[],
  transaction: Transaction,
): Promise<void> {
  const here = new Map((await list(storage, resource, transaction)).map((item) => [item.id, item]));
  const items = document[resource] as ShelfItems[R][];
  for (const [i, item] of inOrder(resource, items, document)) {
    const known = here.get(item.id);
    if (known && sameContent(known, item)) report.unchanged += 1;
    else if (known)
      problems.push({
        field: `${resource}.${i}.id`,
        message: `“${item.id}” is on the shelf already, with other content.`,
      });
    else {
      await putItem(storage, resource, item, transaction);
      report.added += 1;
    }
  }
}

/** Premixes come after everything they are made of; the rest as it stands. */
function inOrder<R extends ShelfResource>(
  resource: R,
  items: readonly ShelfItems[R][],
  { dyes }: StudioDocument,
): [number, ShelfItems[R]][] {
  const all = [...items.entries()];
  if (resource !== 'dyes') return all;
  const known = new Set(dyes.map((dye) => dye.id));
  const size = new Map(
    dyes.map((dye) => [
      dye.id,
      dye.madeOf.every((part) => known.has(part.dyeId)) ? powdersWithin(dye.id, dyes).length : 1,
    ]),
  );
  return all.toSorted(([, a], [, b]) => (size.get(a.id) ?? 1) - (size.get(b.id) ?? 1));
}

async function takeColorways(
  storage: Storage,
  document: StudioDocument,
  report: ImportReport,
  problems: Problem[],
  transaction: Transaction,
): Promise<void> {
  const ordered = document.colorways
    .map((colorway, i) => ({ colorway, i }))
    .toSorted((a, b) => a.colorway.version - b.colorway.version);
  for (const { colorway, i } of ordered) {
    const { id, version } = colorway;
    const known = (await storage.models.colorways.findOne({ where: { id, version }, transaction }))?.get({
      plain: true,
    });
    if (!known) {
      await storage.models.colorways.create(
        { ...colorway, savedAt: new Date().toISOString() },
        { transaction },
      );
      report.added += 1;
      continue;
    }
    const { savedAt: _, ...kept } = asToday(known);
    if (sameContent(kept, colorway)) report.unchanged += 1;
    else
      problems.push({
        field: `colorways.${i}.version`,
        message: `Version ${version} of “${colorway.name}” is here already, with other content.`,
      });
  }
}

/**
 * Takes batches in one by one, checked before. What is here already and the same is left.
 * @param leftOut batches that could not be written down: one that repeats such a batch comes in without that
 * @returns for each what stands in its way, or null
 */
export function batchTaker(
  storage: Storage,
  shelf: Shelf,
  leftOut: readonly { id: string }[],
  report: ImportReport,
  transaction: Transaction,
): (batch: Batch, i: number) => Promise<Problem | null> {
  const unknown = new Set(leftOut.map(({ id }) => id));
  return async (written, i) => {
    const batch =
      written.againOf !== null && unknown.has(written.againOf) ? { ...written, againOf: null } : written;
    if ((await storage.models.batches.count({ where: { id: batch.id }, transaction })) > 0) {
      const known = await readBatch(storage, batch.id, transaction);
      if (!sameContent(known, { ...batch, code: batch.code || known.code }))
        return {
          field: `batches.${i}.id`,
          message: `Batch “${batch.name}” is here already, with other content.`,
        };
      report.unchanged += 1;
      return null;
    }
    const problem = await missing(storage, batch, i, transaction);
    if (problem) return problem;
    await insertBatch(storage, batch, transaction, shelf);
    report.added += 1;
    return null;
  };
}

async function missing(
  storage: Storage,
  batch: Batch,
  i: number,
  transaction: Transaction,
): Promise<Problem | null> {
  const { colorwayId, colorwayVersion, againOf, code } = batch;
  if (
    colorwayId !== null &&
    (await storage.models.colorways.count({
      where: { id: colorwayId, version: colorwayVersion ?? 0 },
      transaction,
    })) === 0
  )
    return {
      field: `batches.${i}.colorwayId`,
      message: `There is no version ${colorwayVersion ?? 'named'} of a colorway with the id “${colorwayId}”.`,
    };
  if (againOf !== null && !(await storage.models.batches.findByPk(againOf, { transaction })))
    return {
      field: `batches.${i}.againOf`,
      message: `There is no batch with the id “${againOf}” before this one.`,
    };
  if (code !== '' && (await storage.models.batches.findOne({ where: { code }, transaction })))
    return { field: `batches.${i}.code`, message: `The code ${code} belongs to another batch.` };
  return null;
}
