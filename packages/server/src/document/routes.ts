import { Router } from 'express';
import { API } from '@ythrion/core';
import type { Storage } from '../storage/storage';
import { exportDocument } from './exportDocument';
import { importDocument } from './importDocument';

/** The open document, out and in. */
export function documentRoutes(storage: Storage): Router {
  const router = Router();
  router.get(API.document, async (_request, response) => {
    response.attachment('studio.ythrion.json').json(await exportDocument(storage));
  });
  router.post(
    API.document,
    async (request, response) => void response.status(201).json(await importDocument(storage, request.body)),
  );
  return router;
}
