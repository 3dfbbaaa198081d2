import { DocumentError, type Shelf } from '@ythrion/core';
import { DocumentError as OldDocumentError, readDocument } from './frozen/planner';
import { readOldBatch, upgradeBatch } from './upgradeBatch';

const isOld = (value: unknown): boolean =>
  typeof value === 'object' &&
  value !== null &&
  'version' in value &&
  (value.version === 1 || value.version === 2);

/**
 * A document of version 1 or 2 in today's shape: read and checked as the version that wrote it did, its batches turned
 * into cards and events. Anything else comes back as it is: the schema says what is wrong with it.
 * @param known what is already on the shelf
 * @throws DocumentError with everything wrong with the old document
 */
export function upgradeDocument(value: unknown, known: Shelf = { bases: [], dyes: [], stocks: [] }): unknown {
  if (!isOld(value)) return value;
  try {
    const old = readDocument(value, known);
    const dyes = [...old.dyes, ...known.dyes];
    return {
      ...old,
      version: 3,
      batches: old.batches.map((batch) => upgradeBatch(readOldBatch(batch), dyes)),
    };
  } catch (error) {
    if (error instanceof OldDocumentError) throw new DocumentError(error.problems);
    throw error;
  }
}
