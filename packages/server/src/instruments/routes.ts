import { Router, type Response } from 'express';
import { API, handSchema } from '@ythrion/core';
import { expectedBathPh } from '../batches/bathPh';
import type { Storage } from '../storage/storage';
import type { Instrument } from './instrument';
import { SimulatedPhMeter } from './simulatedPhMeter';
import { SimulatedScale } from './simulatedScale';

/** The bench's instruments, as streams of readings (server-sent events), and the simulated hand at the scale. */
export function instrumentRoutes(storage: Storage): Router {
  const router = Router();
  const scale = new SimulatedScale();
  router.get(API.scale, (_request, response) => stream(scale, response));
  router.post(`${API.scale}/tare`, (_request, response) => {
    scale.tare();
    response.json({ ok: true });
  });
  router.post(`${API.scale}/hand`, (request, response) => {
    const { grams } = handSchema.parse(request.body);
    if (grams === null) scale.clear();
    else scale.lay(grams);
    response.json({ ok: true });
  });
  router.get(`${API.phMeter}/:batchId`, async (request, response) => {
    const { batchId } = request.params;
    stream(new SimulatedPhMeter(await expectedBathPh(storage, batchId), batchId), response);
  });
  return router;
}

/** Sends every reading as one event until the listener goes away. */
function stream<Reading>(instrument: Instrument<Reading>, response: Response): void {
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-cache, no-transform',
    Connection: 'keep-alive',
  });
  const stop = instrument.listen((reading) => response.write(`data: ${JSON.stringify(reading)}\n\n`));
  response.on('close', stop);
}
