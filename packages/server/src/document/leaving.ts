import { DOCUMENT_VERSION, type StudioDocument } from '@ythrion/core';
import { everyRecord, textOf } from '../batches/read';
import { allVersions } from '../colorways/store';
import { everyCup } from '../cups/read';
import { list, readStudio } from '../shelf/store';
import { studioFile } from '../storage/dataFolder';
import { openRaw } from '../storage/rawFile';
import type { Storage } from '../storage/storage';
import { LISTS } from './archiveFile';

export type LeftOut = NonNullable<StudioDocument['leftOut']>;

/** The whole studio on its way out, as bytes. */
export interface Leaving {
  stream: NodeJS.ReadableStream;
  /** Batches that cannot be read, once the stream has ended. */
  leftOut: LeftOut;
  /** To be called once the stream has ended or is not wanted any more. */
  close: () => Promise<void>;
}

/** The whole studio as it stands at one moment, read while it is written down. */
export interface Moment {
  head: { format: 'ythrion'; version: number; studio: StudioDocument['studio'] };
  lists: ReadonlyMap<string, readonly unknown[]>;
  /**
   * Every batch as JSON, oldest first, some at a time. Those that are torn go to `leftOut`; whether the others fit their
   * schema is for whoever takes them in: what does not is better out and named there than lost.
   */
  batches: () => AsyncGenerator<string[]>;
  leftOut: LeftOut;
  close: () => Promise<void>;
}

export async function momentOf(storage: Storage): Promise<Moment> {
  const file = await openRaw(studioFile(storage.folder), 'read');
  try {
    await file.exec('BEGIN');
    // The moment begins with the first question. Shelf and colorways are asked for after it: they hold all it names.
    await file.all('SELECT id FROM batches LIMIT 1');
    const lists = new Map<string, readonly unknown[]>();
    for (const name of LISTS)
      lists.set(
        name,
        name === 'colorways'
          ? await allVersions(storage)
          : name === 'cups'
            ? await everyCup(storage)
            : await list(storage, name),
      );
    const leftOut: LeftOut = [];
    return {
      head: { format: 'ythrion', version: DOCUMENT_VERSION, studio: await readStudio(storage) },
      lists,
      leftOut,
      async *batches() {
        for await (const some of everyRecord((sql, values) => file.all(sql, values)))
          yield some.flatMap((record) => {
            const { id, code, name } = record.row;
            if (!record.whole) leftOut.push({ id, code, name, why: 'it is torn' });
            return record.whole ? textOf(record) : [];
          });
      },
      close: () => file.close(),
    };
  } catch (error) {
    await file.close();
    throw error;
  }
}
