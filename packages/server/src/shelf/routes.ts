import { Router } from 'express';
import {
  API,
  baseSchema,
  dyeSchema,
  FieldError,
  patternSchema,
  potSchema,
  sampleSchema,
  SHELF_RESOURCES,
  soughtSchema,
  stockSchema,
  studioSchema,
  toolSchema,
  type ShelfResource,
} from '@ythrion/core';
import type { Storage } from '../storage/storage';
import { putItem, putStudio, readShelf, type ShelfItems } from './store';

const SCHEMAS: { [R in ShelfResource]: { parse(body: unknown): ShelfItems[R] } } = {
  bases: baseSchema,
  dyes: dyeSchema,
  stocks: stockSchema,
  pots: potSchema,
  tools: toolSchema,
  patterns: patternSchema,
  soughts: soughtSchema,
  samples: sampleSchema,
};

/** The shelf: read all of it at once; put one thing at a time under an id the client made. */
export function shelfRoutes(storage: Storage): Router {
  const router = Router();
  router.get(API.shelf, async (_request, response) => void response.json(await readShelf(storage)));
  router.put(API.studio, async (request, response) => {
    const studio = studioSchema.parse(request.body);
    await storage.write((transaction) => putStudio(storage, studio, transaction));
    response.json(studio);
  });
  for (const resource of SHELF_RESOURCES) {
    router.put(`/api/${resource}/:id`, async (request, response) => {
      const item = SCHEMAS[resource].parse(request.body);
      if (item.id !== request.params.id)
        throw new FieldError('id', 'The id in the address and in the body must be the same.');
      await storage.write((transaction) => putItem(storage, resource, item, transaction));
      response.json(item);
    });
  }
  return router;
}
