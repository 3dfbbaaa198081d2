import { Router } from 'express';
import { API, beginBatchSchema, bookQuerySchema, entrySchema } from '@ythrion/core';
import type { Storage } from '../storage/storage';
import { addEntry, beginBatch, bookPage, readBatch, runningBatches } from './store';

/** The Book and what is wet now: begin a batch, add to its record, look it up. */
export function batchRoutes(storage: Storage): Router {
  const router = Router();
  router.get(API.running, async (_request, response) => void response.json(await runningBatches(storage)));
  router.get(
    API.batches,
    async (request, response) =>
      void response.json(await bookPage(storage, bookQuerySchema.parse(request.query))),
  );
  router.get(
    `${API.batches}/:id`,
    async (request, response) => void response.json(await readBatch(storage, request.params.id)),
  );
  router.post(API.batches, async (request, response) => {
    const begin = beginBatchSchema.parse(request.body);
    response.status(201).json(await storage.write((transaction) => beginBatch(storage, begin, transaction)));
  });
  router.post(`${API.batches}/:id/entries`, async (request, response) => {
    const entry = entrySchema.parse(request.body);
    response
      .status(201)
      .json(await storage.write((transaction) => addEntry(storage, request.params.id, entry, transaction)));
  });
  return router;
}
