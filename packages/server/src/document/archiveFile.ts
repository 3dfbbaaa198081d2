import { createInterface } from 'node:readline';
import type { Readable } from 'node:stream';
import { promisify } from 'node:util';
import { DocumentError, SHELF_RESOURCES } from '@ythrion/core';
import yauzl, { type Entry, type ZipFile } from 'yauzl';

/** What says what an archive is, and holds the studio itself. */
export const HEAD = 'studio.json';
/** The lists of an archive, each a file of JSON texts, one a line; what others name comes first. */
export const LISTS = [...SHELF_RESOURCES, 'colorways', 'cups'] as const;
export const BATCHES = 'batches';
export const LEFT_OUT = 'leftOut';
export const fileOf = (list: string): string => `${list}.ndjson`;

/** The longest line that is read, characters: a record of a thousand entries has about a million. */
const LONGEST_LINE = 32_000_000;
/** The largest head that is read, bytes. */
const LARGEST_HEAD = 1_000_000;

/** A zip that lies there, its files read one after the other. */
export interface ArchiveFile {
  /** The whole text of a small file. @throws DocumentError when it is missing or no JSON */
  head: () => Promise<unknown>;
  /** What stands on the lines of a list, counted from 0; nothing where there is no such list. @throws DocumentError */
  items: (list: string) => AsyncGenerator<unknown>;
  close: () => void;
}

const openZip = promisify<string, yauzl.Options, ZipFile>(yauzl.open);

/** @throws DocumentError when the file is no archive */
export async function openArchive(file: string): Promise<ArchiveFile> {
  const zip = await openZip(file, { lazyEntries: true, autoClose: false }).catch(() => {
    throw wrong('', 'This file is neither JSON nor a whole zip. Take the archive as Ythrion wrote it.');
  });
  const entries = new Map<string, Entry>();
  await new Promise<void>((resolve, reject) => {
    zip.on('entry', (entry: Entry) => {
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.on('end', resolve);
    zip.on('error', () => reject(wrong('', 'The list of files in this zip cannot be read; it is torn.')));
    zip.readEntry();
  }).catch((error: unknown) => {
    zip.close();
    throw error;
  });
  const lines = async function* (name: string): AsyncGenerator<string> {
    const entry = entries.get(name);
    if (!entry) return;
    const stream = await new Promise<Readable>((resolve, reject) =>
      zip.openReadStream(entry, (error, opened) => (error ? reject(error) : resolve(opened))),
    );
    // Errors come from the stream or from its reader, during the reading or after whoever reads has turned away.
    let torn: unknown = null;
    const note = (error: unknown): void => void (torn = error);
    stream.on('error', note);
    const reader = createInterface({ input: stream, crlfDelay: Infinity }).on('error', note);
    try {
      for await (const line of reader) yield line;
    } catch (error) {
      note(error);
    } finally {
      stream.destroy();
    }
    if (torn !== null) throw wrong('', `The file ${name} in this zip is torn: it does not unpack whole.`);
  };
  return {
    async head() {
      const entry = entries.get(HEAD);
      if (!entry || entry.uncompressedSize > LARGEST_HEAD)
        throw wrong('', `This zip is no archive of a studio: it has no ${HEAD}.`);
      const text: string[] = [];
      for await (const line of lines(HEAD)) text.push(line);
      return parsed(text.join('\n'), HEAD, null);
    },
    async *items(list) {
      let line = 0;
      for await (const text of lines(fileOf(list))) {
        if (text.trim() !== '') yield parsed(text, fileOf(list), line);
        line += 1;
      }
    },
    close: () => zip.close(),
  };
}

function parsed(text: string, name: string, line: number | null): unknown {
  const where = line === null ? name : `${name}, line ${line + 1}`;
  if (text.length > LONGEST_LINE) throw wrong('', `${where} is too long to be a record.`);
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw wrong('', `${where} is not JSON.`);
  }
}

const wrong = (field: string, message: string): DocumentError => new DocumentError([{ field, message }]);
