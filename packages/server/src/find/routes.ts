import { Router } from 'express';
import { QueryTypes } from 'sequelize';
import { API, codeOfTag, findQuerySchema, threeFigures, type Finding } from '@ythrion/core';
import type { Storage } from '../storage/storage';
import { anyWordBeginning } from '../storage/fullText';

const MOST = 12;

/** One field that finds anything by name or code. */
export function findRoutes(storage: Storage): Router {
  const router = Router();
  router.get(
    API.find,
    async (request, response) =>
      void response.json(await findAnything(storage, codeOfTag(findQuerySchema.parse(request.query).q))),
  );
  return router;
}

const SHELF = `
  SELECT 'dye' AS kind, id, name, code, NULL AS strength FROM dyes UNION ALL
  SELECT 'stock', s.id, d.name, s.code, s.strength_percent FROM stocks s JOIN dyes d ON d.id = s.dye_id UNION ALL
  SELECT 'base', id, name, code, NULL FROM bases UNION ALL
  SELECT 'tool', id, name, '', NULL FROM tools UNION ALL
  SELECT 'pot', id, name, '', NULL FROM pots UNION ALL
  SELECT 'sought', id, name, '', NULL FROM soughts`;

/** A shelf is hundreds of things: they are looked through. Colorways and batches are of years: their words are indexed. */
async function findAnything({ sequelize }: Storage, q: string): Promise<Finding[]> {
  const match = anyWordBeginning(q);
  if (match === null) return [];
  const select = <T extends object>(sql: string): Promise<T[]> =>
    sequelize.query<T>(sql, { replacements: { match, most: MOST }, type: QueryTypes.SELECT, raw: true });
  const [colorways, shelf, batches] = await Promise.all([
    select<Finding>(
      `SELECT 'colorway' AS kind, id, name, code FROM newest_colorways
       WHERE line IN (SELECT rowid FROM colorway_words WHERE colorway_words MATCH :match) ORDER BY name LIMIT :most`,
    ),
    select<Finding & { strength: number | null }>(SHELF),
    select<Finding>(
      `SELECT 'batch' AS kind, id, name, code FROM batches WHERE line IN
         (SELECT rowid FROM batch_words WHERE batch_words MATCH :match ORDER BY rowid DESC LIMIT :most) ORDER BY line DESC`,
    ),
  ]);
  const words = q.toLowerCase().split(/\s+/).filter(Boolean);
  const onShelf = shelf
    .map(({ strength, name, ...thing }) => ({
      ...thing,
      name: strength === null ? name : `${name} ${threeFigures(strength)} %`,
    }))
    .filter(({ name, code }) => words.every((word) => `${name} ${code}`.toLowerCase().includes(word)));
  return [...colorways, ...onShelf, ...batches].slice(0, MOST);
}
