import { readFile, writeFile } from 'node:fs/promises';
import { DocumentError, documentJsonSchema, planDocument, readDocument } from '@ythrion/core';
import { exportDocument } from '../document/exportDocument';
import { importDocument } from '../document/importDocument';
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

/** Writes the whole studio to a file, or to standard output. */
export async function exportTo(folder: string, file: string | undefined): Promise<void> {
  const storage = await openStudio(folder, { mustExist: true });
  const document = await exportDocument(storage);
  await storage.close();
  const text = `${JSON.stringify(document, null, 2)}\n`;
  for (const { code, name, why } of document.leftOut ?? [])
    process.stderr.write(`Left out: batch ${code} “${name}” cannot be read (${why}).\n`);
  if (file === undefined) process.stdout.write(text);
  else await writeFile(file, text);
}

/** Writes the JSON Schema of the document to a file, or to standard output. */
export async function writeSchema(file: string | undefined): Promise<void> {
  const text = `${JSON.stringify(documentJsonSchema(), null, 2)}\n`;
  if (file === undefined) process.stdout.write(text);
  else await writeFile(file, text);
}

/** Takes a document into the studio of a data folder. */
export async function importFrom(folder: string, file: string): Promise<void> {
  const report = await inDocument(file, async (value) => {
    const storage = await openStudio(folder);
    try {
      return await importDocument(storage, value);
    } finally {
      await storage.close();
    }
  });
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
