import { Readable } from 'node:stream';
import type { Storage } from '../storage/storage';
import { BATCHES, LEFT_OUT } from './archiveFile';
import { momentOf, type Leaving, type Moment } from './leaving';

/** The whole studio as one open document, an item a line. Batches that cannot be read are left out and named in it. */
export async function writeDocument(storage: Storage): Promise<Leaving> {
  const moment = await momentOf(storage);
  return {
    stream: Readable.from(textOf(moment), { objectMode: false }),
    leftOut: moment.leftOut,
    close: moment.close,
  };
}

async function* textOf({ head, lists, batches, leftOut }: Moment): AsyncGenerator<string> {
  const listOf = (name: string, items: readonly unknown[]): string =>
    `,\n"${name}": [\n${items.map((item) => JSON.stringify(item)).join(',\n')}\n]`;
  yield JSON.stringify(head, null, 2).slice(0, -2);
  for (const [name, items] of lists) yield listOf(name, items);
  yield `,\n"${BATCHES}": [`;
  let between = '\n';
  for await (const some of batches())
    for (const batch of some) {
      yield between + batch;
      between = ',\n';
    }
  yield '\n]';
  if (leftOut.length > 0) yield listOf(LEFT_OUT, leftOut);
  yield '\n}\n';
}
