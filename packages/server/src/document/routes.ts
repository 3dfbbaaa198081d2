import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import type { IncomingMessage } from 'node:http';
import os from 'node:os';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import { API, DocumentError, type LiveMessages } from '@ythrion/core';
import { TooLarge } from '../refusals/refusals';
import type { Storage } from '../storage/storage';
import type { Exchange, Form } from './exchange';
import { importDocument } from './importDocument';

const MB = 1_048_576;
/** A document up to so many bytes, some batches of it, is read while its sender waits: sooner done than a process is started. */
const SMALL = 65_536;
/** The largest file that is taken in, MB: some years as one JSON text, decades as an archive. */
const LARGEST: Record<Form, number> = { document: 32, archive: 1024 };

/**
 * Whether a body is JSON that is parsed as it arrives. A whole studio of some size is not: it is laid aside as a file and
 * read where nobody waits for it.
 */
export function isReadAtOnce(request: IncomingMessage & { originalUrl?: string }): boolean {
  const { 'content-type': type = '', 'content-length': length = Infinity } = request.headers;
  if (!/^application\/json\b/i.test(type)) return false;
  return Number(length) <= SMALL || request.originalUrl?.split('?')[0] !== API.document;
}

/** Tells whoever listens how far the taking in is. */
export type Telling = (said: LiveMessages['comingIn']) => void;

/** All of the studio, out and in: as one open document, and as an archive of any size. */
export function documentRoutes(storage: Storage, exchange: Exchange, tell: Telling): Router {
  const router = Router();
  const out =
    (form: Form, name: string): RequestHandler =>
    async (request, response) => {
      response.attachment(name);
      if (request.method === 'HEAD') return void response.end();
      // Whoever goes away in the middle is not told; for others, what was cut short must not look whole.
      await exchange.out(form, response).catch((error: unknown) => {
        if (response.headersSent) return void response.destroy();
        response.removeHeader('Content-Disposition');
        throw error;
      });
    };
  const taken = async (form: Form, request: Request, response: Response): Promise<void> => {
    const most = LARGEST[form] * MB;
    if (Number(request.headers['content-length'] ?? 0) > most) throw new TooLarge(most);
    const stop = new AbortController();
    response.once('close', () => stop.abort(new Error('Whoever sent this went away.')));
    const folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-coming-in-'));
    try {
      const file = path.join(folder, 'studio');
      await pipeline(request, notOver(most), createWriteStream(file));
      const told = (batches: number): void => tell({ batches });
      response.status(201).json(await exchange.in(form, file, { told, stop: stop.signal }));
    } catch (error) {
      if (!stop.signal.aborted) throw error;
    } finally {
      tell({ batches: null });
      await rm(folder, { recursive: true, force: true });
    }
  };
  router.get(API.document, out('document', 'studio.ythrion.json'));
  router.get(API.archive, out('archive', 'studio.ythrion.zip'));
  router.post(API.document, async (request, response) => {
    if (request.body === undefined) await taken('document', request, response);
    else response.status(201).json(await importDocument(storage, request.body));
  });
  router.post(API.archive, async (request, response) => {
    if (request.is('zip') === false)
      throw new DocumentError([{ field: '', message: 'An archive is sent as application/zip.' }]);
    await taken('archive', request, response);
  });
  return router;
}

/** Lets so many bytes through. @throws TooLarge at the next */
function notOver(most: number): Transform {
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      if (bytes > most) done(new TooLarge(most));
      else done(null, chunk);
    },
  });
}
