import { Router, type Response } from 'express';
import {
  API,
  beginBatchSchema,
  CURSOR_HEADER,
  bookQuerySchema,
  dyeAgainSchema,
  eventSchema,
  openBatchSchema,
} from '@ythrion/core';
import type { Storage } from '../storage/storage';
import { beginAgain } from './again';
import { attemptsAt } from './attempts';
import { lastCursor } from './arrivals';
import { beginBatch } from './begin';
import { bookPage } from './book';
import { beginOpen } from './open';
import { addEvent } from './events';
import { openOrders, orderOf } from './orders';
import { readBatch, runningBatches } from './read';
import { wentInto } from './wentInto';

/** The Book and what is wet now: begin a batch, add to its record, look it up. */
export function batchRoutes(storage: Storage): Router {
  const router = Router();
  /** How far the events of an answer reach at least: read before they are. */
  const sayCursor = async (response: Response): Promise<void> =>
    void response.set(CURSOR_HEADER, await lastCursor(storage));
  router.get(API.running, async (_request, response) => {
    await sayCursor(response);
    response.json(await runningBatches(storage));
  });
  router.get(
    API.batches,
    async (request, response) =>
      void response.json(await bookPage(storage, bookQuerySchema.parse(request.query))),
  );
  router.get(`${API.batches}/:id`, async (request, response) => {
    await sayCursor(response);
    response.json(await readBatch(storage, request.params.id));
  });
  router.get(
    `${API.batches}/:id/went-into`,
    async (request, response) => void response.json(await wentInto(storage, request.params.id)),
  );
  router.get(
    `${API.soughts}/:id/attempts`,
    async (request, response) => void response.json(await attemptsAt(storage, request.params.id)),
  );
  router.get(API.orders, async (_request, response) => void response.json(await openOrders(storage)));
  router.get(
    `${API.orders}/:id`,
    async (request, response) => void response.json(await orderOf(storage, request.params.id)),
  );
  router.post(API.batches, async (request, response) => {
    const begin = beginBatchSchema.parse(request.body);
    response.status(201).json(await storage.write((transaction) => beginBatch(storage, begin, transaction)));
  });
  router.post(`${API.batches}/open`, async (request, response) => {
    const ask = openBatchSchema.parse(request.body);
    response.status(201).json(await storage.write((transaction) => beginOpen(storage, ask, transaction)));
  });
  router.post(`${API.batches}/:id/again`, async (request, response) => {
    const ask = dyeAgainSchema.parse(request.body);
    response
      .status(201)
      .json(await storage.write((transaction) => beginAgain(storage, request.params.id, ask, transaction)));
  });
  router.post(`${API.batches}/:id/events`, async (request, response) => {
    const event = eventSchema.parse(request.body);
    const arrival = await storage.write((transaction) =>
      addEvent(storage, request.params.id, event, transaction),
    );
    response.status(201).json(arrival);
  });
  return router;
}
