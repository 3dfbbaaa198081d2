import { DOCUMENT_VERSION, type StudioDocument } from '@ythrion/core';
import { everyBatch } from '../batches/read';
import { allVersions } from '../colorways/store';
import { list, readStudio } from '../shelf/store';
import type { Storage } from '../storage/storage';

/** The whole studio as one open document. Batches that cannot be read are left out and named in it. */
export async function exportDocument(storage: Storage): Promise<StudioDocument> {
  const batches: StudioDocument['batches'] = [];
  const leftOut: NonNullable<StudioDocument['leftOut']> = [];
  for await (const { batch, damaged } of everyBatch(storage)) {
    if (batch) batches.push(batch);
    if (damaged) leftOut.push({ ...damaged.batch, why: damaged.why });
  }
  return {
    format: 'ythrion',
    version: DOCUMENT_VERSION,
    studio: await readStudio(storage),
    bases: await list(storage, 'bases'),
    dyes: await list(storage, 'dyes'),
    stocks: await list(storage, 'stocks'),
    pots: await list(storage, 'pots'),
    tools: await list(storage, 'tools'),
    patterns: await list(storage, 'patterns'),
    colorways: await allVersions(storage),
    batches,
    ...(leftOut.length > 0 && { leftOut }),
  };
}
