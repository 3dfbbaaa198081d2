import { Router } from 'express';
import { API, colorwaySchema } from '@ythrion/core';
import type { Storage } from '../storage/storage';
import { newestColorways, saveVersion, versionsOf } from './store';

/** Colorways: list, open with all versions, save the next version. */
export function colorwayRoutes(storage: Storage): Router {
  const router = Router();
  router.get(API.colorways, async (_request, response) => void response.json(await newestColorways(storage)));
  router.get(
    `${API.colorways}/:id`,
    async (request, response) => void response.json(await versionsOf(storage, request.params.id)),
  );
  router.post(API.colorways, async (request, response) => {
    const colorway = colorwaySchema.parse(request.body);
    response
      .status(201)
      .json(await storage.write((transaction) => saveVersion(storage, colorway, transaction)));
  });
  return router;
}
