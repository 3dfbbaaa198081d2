import { QueryTypes, type Transaction } from 'sequelize';
import {
  DocumentError,
  powdersWithin,
  readDocument,
  SHELF_RESOURCES,
  type Batch,
  type CupRecord,
  type ImportReport,
  type Problem,
  type Shelf,
  type ShelfResource,
  type StudioDocument,
} from '@ythrion/core';
import { asToday } from '../colorways/store';
import { nextCode } from '../batches/begin';
import { insertBatches } from '../batches/insert';
import { readBatch } from '../batches/read';
import { upgradeDocument } from '../upgrade/upgradeDocument';
import { refuseHiddenText } from '../refusals/hiddenText';
import { insertRecords } from '../events/insertEvent';
import { readCup } from '../cups/read';
import { list, materials, putItem, putStudio, type ShelfItems } from '../shelf/store';
import { sameContent } from '../storage/sameContent';
import type { Storage } from '../storage/storage';

/** What whoever takes a studio in may hear meanwhile, and by what it ends early. */
export interface Watched {
  /** Told now and then how many batches have come. */
  told?: (batches: number) => void;
  /** Once this is aborted, nothing comes in. */
  stop?: AbortSignal;
}

/**
 * Takes a document in, all or nothing. What is here already and the same is left; what is here and different
 * is refused, so that an import never rewrites a record.
 * @param value a parsed JSON value, not yet checked
 * @throws DocumentError with everything that stands in the way
 */
export function importDocument(
  storage: Storage,
  value: unknown,
  watched: Watched = {},
): Promise<ImportReport> {
  return storage.write(async (transaction) => {
    const { report, studio } = await takeDocument(storage, value, watched, transaction);
    await studio();
    return report;
  });
}

/** What came in, and what is still to be done when all the rest has. */
interface Taken {
  report: ImportReport;
  /** What is on the shelf by now. */
  shelf: Shelf;
  /** Takes in the batches that do not stand in the document itself. */
  taker: BatchTaker;
  studio: () => Promise<void>;
}

/** Takes a document in within a transaction. @throws DocumentError with everything that stands in the way */
export async function takeDocument(
  storage: Storage,
  value: unknown,
  watched: Watched,
  transaction: Transaction,
): Promise<Taken> {
  refuseHiddenText(value);
  const shelf = await materials(storage, transaction);
  const document = readDocument(upgradeDocument(value, shelf), shelf);
  const report: ImportReport = { added: 0, unchanged: 0 };
  const problems: Problem[] = [];
  for (const resource of SHELF_RESOURCES)
    await takeShelf(storage, resource, document, report, problems, transaction);
  await takeColorways(storage, document, report, problems, transaction);
  const stocked = await materials(storage, transaction);
  await takeCups(storage, document, stocked, report, problems, transaction);
  const taker = await batchTaker(storage, stocked, document.leftOut ?? [], report, watched, transaction);
  for (const [i, batch] of document.batches.entries()) {
    const problem = await taker.take(batch, i);
    if (problem) problems.push(problem);
  }
  if (problems.length > 0) throw new DocumentError(problems);
  await taker.finish();
  return {
    report,
    shelf: stocked,
    taker,
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

/** Cups with their records; one that is here already and the same is left. */
async function takeCups(
  storage: Storage,
  { cups }: StudioDocument,
  { stocks }: Shelf,
  report: ImportReport,
  problems: Problem[],
  transaction: Transaction,
): Promise<void> {
  const missing: CupRecord[] = [];
  for (const [i, cup] of cups.entries()) {
    const known = await readCup(storage, cup.id, transaction);
    if (known.events.length === 0) missing.push(cup);
    else if (sameContent(known, cup)) report.unchanged += 1;
    else
      problems.push({
        field: `cups.${i}.id`,
        message: `The cup “${cup.id}” is here already, with another record.`,
      });
  }
  await insertRecords(storage, missing, stocks, transaction);
  report.added += missing.length;
}

/** Batches written at once: enough that writing costs little, few enough that they are little to hold. */
const AT_ONCE = 50;

/** Takes batches in, checked before; what is here already and the same is left. */
interface BatchTaker {
  /** @returns what stands in the batch's way, or null */
  take(batch: Batch, i: number): Promise<Problem | null>;
  /** Writes what has been taken and not yet written. */
  finish(): Promise<void>;
}

/** @param leftOut batches that could not be written down: one that repeats such a batch comes in without that */
async function batchTaker(
  storage: Storage,
  shelf: Shelf,
  leftOut: readonly { id: string }[],
  report: ImportReport,
  { told, stop }: Watched,
  transaction: Transaction,
): Promise<BatchTaker> {
  const unknown = new Set(leftOut.map(({ id }) => id));
  const here = await namesHere(storage, transaction);
  let waiting: Batch[] = [];
  const finish = async (): Promise<void> => {
    await insertBatches(storage, waiting, shelf, transaction);
    waiting = [];
  };
  const take = async (written: Batch, i: number): Promise<Problem | null> => {
    stop?.throwIfAborted();
    if (i % AT_ONCE === 0) told?.(i);
    let batch = {
      ...written,
      startedAt: utc(written.startedAt),
      againOf: written.againOf !== null && unknown.has(written.againOf) ? null : written.againOf,
    };
    if (here.batches.has(batch.id)) {
      await finish();
      const known = await readBatch(storage, batch.id, transaction);
      if (!sameContent(known, { ...batch, code: batch.code || known.code }))
        return {
          field: `batches.${i}.id`,
          message: `Batch “${batch.name}” is here already, with other content.`,
        };
      report.unchanged += 1;
      return null;
    }
    const problem = missing(batch, i, here);
    if (problem) return problem;
    if (batch.code === '') {
      await finish();
      batch = { ...batch, code: await nextCode(storage, batch.startedAt, transaction) };
    }
    here.batches.add(batch.id);
    here.codes.add(batch.code);
    waiting.push(batch);
    report.added += 1;
    if (waiting.length >= AT_ONCE) await finish();
    return null;
  };
  return { take, finish };
}

/** A moment in UTC, in which the Book keeps its order by the text alone; one that is stays as it was written. */
const utc = (moment: string): string => (moment.endsWith('Z') ? moment : new Date(moment).toISOString());

/** What batches are named by, and may name. */
interface Names {
  batches: Set<string>;
  codes: Set<string>;
  /** Versions of colorways, as `id version`. */
  versions: Set<string>;
}

const versionOf = (id: string, version: number | null): string => `${id} ${version ?? 0}`;

async function namesHere({ sequelize }: Storage, transaction: Transaction): Promise<Names> {
  const select = <T extends object>(sql: string): Promise<T[]> =>
    sequelize.query<T>(sql, { type: QueryTypes.SELECT, raw: true, transaction });
  const batches = await select<{ id: string; code: string }>('SELECT id, code FROM batches');
  const versions = await select<{ id: string; version: number }>('SELECT id, version FROM colorway_versions');
  return {
    batches: new Set(batches.map(({ id }) => id)),
    codes: new Set(batches.map(({ code }) => code)),
    versions: new Set(versions.map(({ id, version }) => versionOf(id, version))),
  };
}

function missing(
  { colorwayId, colorwayVersion, againOf, code }: Batch,
  i: number,
  { batches, codes, versions }: Names,
): Problem | null {
  if (colorwayId !== null && !versions.has(versionOf(colorwayId, colorwayVersion)))
    return {
      field: `batches.${i}.colorwayId`,
      message: `There is no version ${colorwayVersion ?? 'named'} of a colorway with the id “${colorwayId}”.`,
    };
  if (againOf !== null && !batches.has(againOf))
    return {
      field: `batches.${i}.againOf`,
      message: `There is no batch with the id “${againOf}” before this one.`,
    };
  if (codes.has(code))
    return { field: `batches.${i}.code`, message: `The code ${code} belongs to another batch.` };
  return null;
}
