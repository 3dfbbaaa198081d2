import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Router } from 'express';
import { API, DocumentError } from '@ythrion/core';
import type { Storage } from '../storage/storage';
import { exportDocument } from './exportDocument';
import { importArchive } from './importArchive';
import { importDocument } from './importDocument';
import { writeArchive } from './writeArchive';

/** The largest archive that is taken in, bytes: decades of batches. */
const LARGEST_ARCHIVE = 1_073_741_824;

/** All of the studio, out and in: as one open document, and as an archive of any size. */
export function documentRoutes(storage: Storage): Router {
  const router = Router();
  router.get(API.document, async (_request, response) => {
    response.attachment('studio.ythrion.json').json(await exportDocument(storage));
  });
  router.post(
    API.document,
    async (request, response) => void response.status(201).json(await importDocument(storage, request.body)),
  );
  router.get(API.archive, async (_request, response) => {
    const archive = await writeArchive(storage);
    response.attachment('studio.ythrion.zip');
    // Whoever goes away in the middle is not told; what was opened is closed all the same.
    await pipeline(archive.stream, response)
      .catch(() => undefined)
      .finally(archive.close);
  });
  router.post(API.archive, async (request, response) => {
    if (request.is('zip') === false)
      throw new DocumentError([{ field: '', message: 'An archive is sent as application/zip.' }]);
    const folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-archive-'));
    try {
      const file = path.join(folder, 'studio.zip');
      await pipeline(request, notOver(LARGEST_ARCHIVE), createWriteStream(file));
      response.status(201).json(await importArchive(storage, file));
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  });
  return router;
}

/** Lets so many bytes through. @throws DocumentError at the next */
function notOver(most: number): Transform {
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      if (bytes > most) done(new DocumentError([{ field: '', message: 'This archive is over 1 GB.' }]));
      else done(null, chunk);
    },
  });
}
