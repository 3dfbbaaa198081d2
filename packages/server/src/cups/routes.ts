import { Router } from 'express';
import { API, CURSOR_HEADER, eventSchema } from '@ythrion/core';
import { lastCursor } from '../batches/arrivals';
import { NotFound } from '../refusals/refusals';
import type { Storage } from '../storage/storage';
import { addCupEvent } from './events';
import { cupsAtHand, readCup } from './read';

/** Mixing cups: those at hand, one with its record, and what happens to it. */
export function cupRoutes(storage: Storage): Router {
  const router = Router();
  router.get(API.cups, async (_request, response) => {
    response.set(CURSOR_HEADER, await lastCursor(storage));
    response.json(await cupsAtHand(storage));
  });
  router.get(`${API.cups}/:id`, async (request, response) => {
    response.set(CURSOR_HEADER, await lastCursor(storage));
    const cup = await readCup(storage, request.params.id);
    if (cup.events.length === 0) throw new NotFound(`There is no cup with the id “${request.params.id}”.`);
    response.json(cup);
  });
  router.post(`${API.cups}/:id/events`, async (request, response) => {
    const event = eventSchema.parse(request.body);
    response
      .status(201)
      .json(
        await storage.write((transaction) => addCupEvent(storage, request.params.id, event, transaction)),
      );
  });
  return router;
}
