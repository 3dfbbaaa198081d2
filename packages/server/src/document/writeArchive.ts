import { Readable } from 'node:stream';
import yazl from 'yazl';
import type { Storage } from '../storage/storage';
import { BATCHES, fileOf, HEAD, LEFT_OUT } from './archiveFile';
import { momentOf, type Leaving } from './leaving';

/**
 * The whole studio as a zip of lists, one item a line, as it stands at this moment: written while it is read, so that
 * its size does not matter. Batches that cannot be read are left out and named in it.
 */
export async function writeArchive(storage: Storage): Promise<Leaving> {
  const { head, lists, batches, leftOut, close } = await momentOf(storage);
  const zip = new yazl.ZipFile();
  const lines = (items: readonly unknown[]): Buffer =>
    Buffer.from(items.map((item) => `${JSON.stringify(item)}\n`).join(''));
  zip.addBuffer(Buffer.from(`${JSON.stringify(head, null, 2)}\n`), HEAD);
  for (const [name, items] of lists) zip.addBuffer(lines(items), fileOf(name));
  const lazily = (name: string, chunks: () => AsyncIterable<Buffer> | Iterable<Buffer>): void =>
    zip.addReadStreamLazy(fileOf(name), (done) => done(null, Readable.from(chunks(), { objectMode: false })));
  lazily(BATCHES, async function* () {
    for await (const some of batches())
      if (some.length > 0) yield Buffer.from(some.map((batch) => `${batch}\n`).join(''));
  });
  lazily(LEFT_OUT, function* () {
    yield lines(leftOut);
  });
  zip.end();
  const stream = zip.outputStream;
  zip.on('error', (error) => (stream as Readable).destroy(error as Error));
  return { stream, leftOut, close };
}
