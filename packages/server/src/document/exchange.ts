import { readFile } from 'node:fs/promises';
import type { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ImportReport } from '@ythrion/core';
import type { Storage } from '../storage/storage';
import { importArchive } from './importArchive';
import { importDocument, type Watched } from './importDocument';
import type { Leaving, LeftOut } from './leaving';
import { parseDocumentText } from './parseDocumentText';
import { writeArchive } from './writeArchive';
import { writeDocument } from './writeDocument';

/** How the whole studio stands in a file: a zip of lists, or one JSON text. */
export type Form = 'archive' | 'document';
export const FORMS: readonly Form[] = ['archive', 'document'];

/** Takes the whole studio out and in. */
export interface Exchange {
  /** Writes all of it to a stream and ends that. */
  out(form: Form, to: Writable): Promise<void>;
  /** Takes a file in, all or nothing. @throws DocumentError with what stands in the way */
  in(form: Form, file: string, watched: Watched): Promise<ImportReport>;
}

/** Takes it out and in in this process. */
export const exchangeHere = (storage: Storage): Exchange => ({
  out: async (form, to) => void (await takeOut(storage, form, to)),
  in: (form, file, watched) => takeIn(storage, form, file, watched),
});

const WRITE: Record<Form, (storage: Storage) => Promise<Leaving>> = {
  archive: writeArchive,
  document: writeDocument,
};

/** Writes the whole studio to a stream and ends that. @returns batches that cannot be read and are not in it */
export async function takeOut(storage: Storage, form: Form, to: Writable): Promise<LeftOut> {
  const leaving = await WRITE[form](storage);
  await pipeline(leaving.stream, to).finally(leaving.close);
  return leaving.leftOut;
}

/** Takes a file in, all or nothing. @throws DocumentError with what stands in the way */
export async function takeIn(
  storage: Storage,
  form: Form,
  file: string,
  watched: Watched = {},
): Promise<ImportReport> {
  return form === 'archive'
    ? importArchive(storage, file, watched)
    : importDocument(storage, parseDocumentText(await readFile(file, 'utf8')), watched);
}
