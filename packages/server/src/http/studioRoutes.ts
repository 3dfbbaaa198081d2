import { Router } from 'express';
import { backupRoutes } from '../backup/routes';
import { batchRoutes } from '../batches/routes';
import { cupRoutes } from '../cups/routes';
import { colorwayRoutes } from '../colorways/routes';
import { exchangeHere, type Exchange } from '../document/exchange';
import { documentRoutes } from '../document/routes';
import { findRoutes } from '../find/routes';
import { createGate } from '../gate/gate';
import { createInstruments } from '../instruments/instruments';
import { instrumentRoutes } from '../instruments/routes';
import { createHub } from '../live/hub';
import { liveRoutes } from '../live/routes';
import { colorsHere, type FindColors } from '../samples/colors';
import { sampleRoutes } from '../samples/routes';
import { shelfRoutes } from '../shelf/routes';
import type { CopyFile } from '../storage/copies';
import type { Storage } from '../storage/storage';

/**
 * Everything a studio can be asked for, behind whichever door. Every door leads to the same one, so that all hear of what
 * any of them changed.
 * @param copy how copies that are asked for are written; by this process itself when left out
 * @param exchange how all of it goes out and in as one file; likewise
 * @param colors how the colors of its samples are found; likewise
 */
export function studioRoutes(
  storage: Storage,
  copy?: CopyFile,
  exchange: Exchange = exchangeHere(storage),
  colors: FindColors = colorsHere,
): Router {
  const router = Router();
  const instruments = createInstruments(storage);
  router.use(instrumentRoutes(instruments));
  const gate = createGate();
  const hub = createHub();
  // A stream never ends by itself, so nobody waits for it: it passes the gate for each look it takes.
  router.use(liveRoutes({ storage, gate, hub, instruments }));
  router.use('/api', gate.pass, hub.watch);
  router.use(
    backupRoutes(storage, gate, copy),
    shelfRoutes(storage),
    colorwayRoutes(storage),
    batchRoutes(storage),
    cupRoutes(storage),
    documentRoutes(storage, exchange, (said) => hub.tell('comingIn', said)),
    findRoutes(storage),
    sampleRoutes(storage, colors),
  );
  return router;
}
