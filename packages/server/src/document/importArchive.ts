import { DocumentError, readBatchOfDocument, type ImportReport, type Problem } from '@ythrion/core';
import { refuseHiddenText } from '../refusals/hiddenText';
import type { Storage } from '../storage/storage';
import { BATCHES, LEFT_OUT, LISTS, openArchive, type ArchiveFile } from './archiveFile';
import { takeDocument, type Watched } from './importDocument';

/** Once so many things are wrong, the rest is not looked for. */
const MOST_PROBLEMS = 20;

/**
 * Takes an archive in, all or nothing, batch by batch: what is held in memory does not grow with it.
 * @param file where the zip lies
 * @throws DocumentError with what stands in the way
 */
export async function importArchive(
  storage: Storage,
  file: string,
  watched: Watched = {},
): Promise<ImportReport> {
  const archive = await openArchive(file);
  try {
    const rest = await withoutBatches(archive);
    return await storage.write(async (transaction) => {
      const { report, shelf, taker, studio } = await takeDocument(storage, rest, watched, transaction);
      const problems: Problem[] = [];
      let at = 0;
      for await (const item of archive.items(BATCHES)) {
        try {
          refuseHiddenText(item, `${BATCHES}.${at}`);
          const problem = await taker.take(readBatchOfDocument(item, `${BATCHES}.${at}`, shelf.dyes), at);
          if (problem) problems.push(problem);
        } catch (error) {
          if (!(error instanceof DocumentError)) throw error;
          problems.push(...error.problems);
        }
        if (problems.length >= MOST_PROBLEMS) break;
        at += 1;
      }
      if (problems.length > 0) throw new DocumentError(problems);
      await taker.finish();
      await studio();
      return report;
    });
  } finally {
    archive.close();
  }
}

/** Everything in an archive but its batches, as the document it would be without them. */
async function withoutBatches(archive: ArchiveFile): Promise<object> {
  const head = await archive.head();
  if (typeof head !== 'object' || head === null)
    throw new DocumentError([{ field: '', message: 'The head of this archive is no studio.' }]);
  const lists: Record<string, unknown[]> = {};
  for (const list of [...LISTS, LEFT_OUT]) {
    const items: unknown[] = [];
    for await (const item of archive.items(list)) items.push(item);
    if (items.length > 0) lists[list] = items;
  }
  return { ...head, ...lists };
}
