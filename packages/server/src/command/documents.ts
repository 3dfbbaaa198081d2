import { createWriteStream } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import {
  colorRequestJsonSchema,
  DocumentError,
  documentJsonSchema,
  planDocument,
  readDocument,
  type ImportReport,
} from '@ythrion/core';
import { takeIn, takeOut, type Form } from '../document/exchange';
import { importDocument } from '../document/importDocument';
import type { Storage } from '../storage/storage';
import { parseDocumentText, withLines } from '../document/parseDocumentText';
import { upgradeDocument } from '../upgrade/upgradeDocument';
import { openStudio } from '../storage/openStudio';
import { SettingError } from './places';

/** Prints the full plan of a colorway document. */
export async function planFile(file: string, colorwayId: string | undefined): Promise<void> {
  const plan = await inDocument(file, async (value) =>
    planDocument(readDocument(upgradeDocument(value)), colorwayId),
  );
  process.stdout.write(`${JSON.stringify(plan, null, 2)}\n`);
}

/** Writes the whole studio to a file: an archive where its name ends in .zip, else one document; or to standard output. */
export async function exportTo(folder: string, file: string | undefined): Promise<void> {
  const storage = await openStudio(folder, { mustExist: true });
  try {
    const to = file === undefined ? process.stdout : createWriteStream(file);
    for (const { code, name, why } of await takeOut(storage, formOf(file), to))
      process.stderr.write(`Left out: batch ${code} “${name}” cannot be read (${why}).\n`);
  } finally {
    await storage.close();
  }
}

const formOf = (file = ''): Form => (file.toLowerCase().endsWith('.zip') ? 'archive' : 'document');

/** Writes the JSON Schema of the document, or of a request to the color command, to a file or to standard output. */
export async function writeSchema(file: string | undefined, color: boolean): Promise<void> {
  const schema = color ? colorRequestJsonSchema() : documentJsonSchema();
  const text = `${JSON.stringify(schema, null, 2)}\n`;
  if (file === undefined) process.stdout.write(text);
  else await writeFile(file, text);
}

/** Takes a document or an archive into the studio of a data folder. */
export async function importFrom(folder: string, file: string): Promise<void> {
  const into = async (take: (storage: Storage) => Promise<ImportReport>): Promise<ImportReport> => {
    const storage = await openStudio(folder);
    try {
      return await take(storage);
    } finally {
      await storage.close();
    }
  };
  const report =
    formOf(file) === 'archive'
      ? await into((storage) => takeIn(storage, 'archive', file))
      : await inDocument(file, (value) => into((storage) => importDocument(storage, value)));
  process.stdout.write(`Taken in: ${report.added} new, ${report.unchanged} already here.\n`);
}

/** Reads a document file and says in which line anything is wrong. */
async function inDocument<T>(file: string, work: (value: unknown) => Promise<T>): Promise<T> {
  const text = await readFile(file, 'utf8').catch((error: NodeJS.ErrnoException) => {
    throw new SettingError(`The file ${file} cannot be read (${error.code ?? 'unknown'}).`);
  });
  try {
    return await work(parseDocumentText(text));
  } catch (error) {
    if (error instanceof DocumentError) throw new DocumentError(withLines(text, error.problems));
    throw error;
  }
}
