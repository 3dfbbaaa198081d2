import { DOCUMENT_VERSION, type StudioDocument } from '@ythrion/core';
import { allBatches } from '../batches/store';
import { allVersions } from '../colorways/store';
import { list, readStudio } from '../shelf/store';
import type { Storage } from '../storage/storage';

/** The whole studio as one open document. */
export async function exportDocument(storage: Storage): Promise<StudioDocument> {
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
    batches: await allBatches(storage),
  };
}
