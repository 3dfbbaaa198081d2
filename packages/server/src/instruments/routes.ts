import { Router } from 'express';
import { API, handSchema } from '@ythrion/core';
import type { Instruments } from './instruments';

/** What can be done to the scale: set it to zero, and the simulated hand that lays powder on it. */
export function instrumentRoutes({ scale }: Instruments): Router {
  const router = Router();
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
  return router;
}
