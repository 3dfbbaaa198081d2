import { text } from 'node:stream/consumers';
import { documentSchema, type StudioDocument } from '@ythrion/core';
import { writeDocument } from '../src/document/writeDocument';
import type { Storage } from '../src/storage/storage';

/** All of a studio as the document that goes out, read back. */
export async function wholeDocument(storage: Storage): Promise<StudioDocument> {
  const { stream, close } = await writeDocument(storage);
  try {
    return documentSchema.parse(JSON.parse(await text(stream as never)));
  } finally {
    await close();
  }
}
