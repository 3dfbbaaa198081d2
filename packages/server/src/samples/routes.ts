import { Router } from 'express';
import {
  API,
  expectedColor,
  expectedQuerySchema,
  type ColorsResponse,
  type ExpectedResponse,
} from '@ythrion/core';
import type { Storage } from '../storage/storage';
import { colorsOfStudio, type FindColors } from './colors';

/** What the samples of the shelf give: the colors of dyes and bases, and what a recipe is expected to come out as. */
export function sampleRoutes(storage: Storage, find: FindColors): Router {
  const router = Router();
  const found = colorsOfStudio(storage, find);
  // They are found before anybody asks; what goes wrong is told to whoever does.
  found().catch(() => undefined);
  router.get(API.colors, async (_request, response) => {
    const colors: ColorsResponse = (await found())?.colors ?? null;
    response.json(colors);
  });
  router.get(API.expected, async (request, response) => {
    const { recipe } = expectedQuerySchema.parse(request.query);
    const known = await found();
    const expected: ExpectedResponse = known && expectedColor(known, recipe.baseId, recipe.dyes);
    response.json(expected);
  });
  return router;
}
