import { Readable } from 'node:stream';
import { DOCUMENT_VERSION, type StudioDocument } from '@ythrion/core';
import yazl from 'yazl';
import { everyRecord, readable, textOf } from '../batches/read';
import { allVersions } from '../colorways/store';
import { list, readStudio } from '../shelf/store';
import { studioFile } from '../storage/dataFolder';
import { openRaw, type RawFile } from '../storage/rawFile';
import type { Storage } from '../storage/storage';
import { BATCHES, fileOf, HEAD, LEFT_OUT, LISTS } from './archiveFile';

type LeftOut = NonNullable<StudioDocument['leftOut']>;

/** An archive on its way out. */
export interface Archive {
  stream: NodeJS.ReadableStream;
  /** Batches that cannot be read, once the stream has ended. */
  leftOut: LeftOut;
  /** To be called once the stream has ended or is not wanted any more. */
  close: () => Promise<void>;
}

/**
 * The whole studio as a zip of lists, one item a line, as it stands at this moment: written while it is read, so that
 * its size does not matter. Batches that cannot be read are left out and named in it.
 */
export async function writeArchive(storage: Storage): Promise<Archive> {
  const moment = await openRaw(studioFile(storage.folder), 'read');
  try {
    await moment.exec('BEGIN');
    // The moment begins with the first question. Shelf and colorways are asked for after it: they hold all it names.
    await moment.all('SELECT id FROM batches LIMIT 1');
    return await archiveOf(storage, moment);
  } catch (error) {
    await moment.close();
    throw error;
  }
}

async function archiveOf(storage: Storage, moment: RawFile): Promise<Archive> {
  const leftOut: LeftOut = [];
  const zip = new yazl.ZipFile();
  zip.addBuffer(
    Buffer.from(
      `${JSON.stringify({ format: 'ythrion', version: DOCUMENT_VERSION, studio: await readStudio(storage) }, null, 2)}\n`,
    ),
    HEAD,
  );
  for (const name of LISTS) {
    const items: readonly unknown[] =
      name === 'colorways' ? await allVersions(storage) : await list(storage, name);
    zip.addBuffer(Buffer.from(items.map((item) => `${JSON.stringify(item)}\n`).join('')), fileOf(name));
  }
  const lazily = (name: string, chunks: () => AsyncIterable<Buffer> | Iterable<Buffer>): void =>
    zip.addReadStreamLazy(fileOf(name), (done) => done(null, Readable.from(chunks(), { objectMode: false })));
  lazily(BATCHES, async function* () {
    for await (const some of everyRecord((sql, values) => moment.all(sql, values))) {
      const lines = some.flatMap((record) => {
        const { damaged } = readable(record);
        if (damaged) leftOut.push({ ...damaged.batch, why: damaged.why });
        return damaged ? [] : `${textOf(record)}\n`;
      });
      if (lines.length > 0) yield Buffer.from(lines.join(''));
    }
  });
  lazily(LEFT_OUT, function* () {
    for (const one of leftOut) yield Buffer.from(`${JSON.stringify(one)}\n`);
  });
  zip.end();
  const stream = zip.outputStream;
  zip.on('error', (error) => (stream as Readable).destroy(error as Error));
  return { stream, leftOut, close: () => moment.close() };
}
