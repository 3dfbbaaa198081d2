import { existsSync } from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import type { Logger } from 'pino';
import { API, NOW_HEADER } from '@ythrion/core';
import { ownPagesOnly } from '../access/ownPages';
import { accessRoutes, type Access } from '../access/routes';
import { safeHeaders } from '../access/safeHeaders';
import { isReadAtOnce } from '../document/routes';
import { readableAddress, readableTexts } from './readable';
import { NotFound, refusals } from '../refusals/refusals';

const ACCESS_LIMIT = '10kb';
const JSON_LIMIT = '1mb';
const REQUESTS_PER_MINUTE = 6000;

/** One way into the studio. */
export interface Door {
  /** Names and addresses by which it may be called, without ports. */
  hosts: ReadonlySet<string>;
  /** True where nobody signs in: only for this machine itself. */
  open: boolean;
}

/** The HTTP face of a studio behind one door. @param site folder of the built screens; left out where only the API is wanted */
export function createApp(
  studio: RequestHandler,
  access: Access,
  { hosts, open }: Door,
  log: Logger,
  site?: string,
): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(safeHeaders(["'self'", "'unsafe-inline'"]));
  app.use(ownPagesOnly(hosts));
  app.use(readableAddress);
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
  app.use('/api', (_request, response, next) => {
    response.set(NOW_HEADER, new Date().toISOString());
    next();
  });
  app.get(API.health, (_request, response) => void response.json({ ok: true }));
  app.use('/api/access', express.json({ limit: ACCESS_LIMIT }));
  app.use(accessRoutes(access, open));
  app.use('/api', express.json({ limit: JSON_LIMIT, strict: false, type: isReadAtOnce }));
  app.use('/api', readableTexts);
  app.use(studio);
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
