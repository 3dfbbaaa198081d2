import { Router } from 'express';
import { API, cursorSchema, liveQuerySchema, sinceQuerySchema } from '@ythrion/core';
import { arrivalsSince } from '../batches/arrivals';
import { liveStream, type LiveSources } from './liveStream';

/** What arrived since, once or as it happens. */
export function liveRoutes(sources: LiveSources): Router {
  const { gate, storage } = sources;
  const router = Router();
  router.get(API.events, async (request, response) => {
    const { since } = sinceQuerySchema.parse(request.query);
    response.json(await gate.through(() => arrivalsSince(storage, since)));
  });
  // Whoever only asks what it is gets no stream that never ends.
  router.head(API.live, (_request, response) => void response.type('text/event-stream').end());
  router.get(API.live, async (request, response) => {
    const { since, listen } = liveQuerySchema.parse(request.query);
    // A stream that broke says by itself where it was.
    const left = cursorSchema.safeParse(request.get('Last-Event-ID'));
    await liveStream(response, sources, left.data ?? since ?? null, listen);
  });
  return router;
}
