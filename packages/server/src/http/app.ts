import { existsSync } from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { API, NOW_HEADER } from '@ythrion/core';
import { backupRoutes } from '../backup/routes';
import { batchRoutes } from '../batches/routes';
import { colorwayRoutes } from '../colorways/routes';
import { documentRoutes } from '../document/routes';
import { findRoutes } from '../find/routes';
import { createInstruments } from '../instruments/instruments';
import { instrumentRoutes } from '../instruments/routes';
import { createHub } from '../live/hub';
import { liveRoutes } from '../live/routes';
import { shelfRoutes } from '../shelf/routes';
import type { CopyFile } from '../storage/copies';
import type { Storage } from '../storage/storage';
import { createGate } from '../gate/gate';
import { NotFound, refusals } from '../refusals/refusals';

const JSON_LIMIT = '1mb';
const DOCUMENT_LIMIT = '32mb';
const REQUESTS_PER_MINUTE = 6000;

/** What an application may be given beside its studio. */
export interface AppOptions {
  /** Folder of the built screens; left out where only the API is wanted. */
  site?: string;
  /** How copies that are asked for are written; by this process itself when left out. */
  copy?: CopyFile;
}

/** The HTTP face of a studio. */
export function createApp(storage: Storage, log: Logger, { site, copy }: AppOptions = {}): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: { 'style-src': ["'self'", "'unsafe-inline'"], 'upgrade-insecure-requests': null },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.use(
    '/api',
    rateLimit({
      windowMs: 60_000,
      limit: REQUESTS_PER_MINUTE,
      standardHeaders: true,
      legacyHeaders: false,
      message: { message: 'Too many requests. Wait a minute.', problems: [] },
    }),
  );
  app.use(API.document, express.json({ limit: DOCUMENT_LIMIT, strict: false }));
  app.use('/api', express.json({ limit: JSON_LIMIT, strict: false }));
  app.use('/api', (_request, response, next) => {
    response.set(NOW_HEADER, new Date().toISOString());
    next();
  });
  app.get(API.health, (_request, response) => void response.json({ ok: true }));
  const instruments = createInstruments(storage);
  app.use(instrumentRoutes(instruments));
  const gate = createGate();
  const hub = createHub();
  // A stream never ends by itself, so nobody waits for it: it passes the gate for each look it takes.
  app.use(liveRoutes({ storage, gate, hub, instruments }));
  app.use('/api', gate.pass, hub.watch);
  app.use(
    backupRoutes(storage, gate, copy),
    shelfRoutes(storage),
    colorwayRoutes(storage),
    batchRoutes(storage),
    documentRoutes(storage),
    findRoutes(storage),
  );
  app.use('/api', () => {
    throw new NotFound('There is nothing at this address.');
  });
  if (site !== undefined && existsSync(site)) serveSite(app, site);
  app.use(refusals(log));
  return app;
}

function serveSite(app: Express, site: string): void {
  app.use('/assets', express.static(path.join(site, 'assets'), { immutable: true, maxAge: '1y' }));
  app.use(express.static(site, { index: false }));
  app.get(/.*/, (_request, response) => response.sendFile(path.join(site, 'index.html')));
}
