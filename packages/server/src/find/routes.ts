import { Router } from 'express';
import { API, threeFigures, type Finding } from '@ythrion/core';
import { bookPage } from '../batches/book';
import { newestColorways } from '../colorways/store';
import { readShelf } from '../shelf/store';
import type { Storage } from '../storage/storage';

const MOST = 12;

/** One field that finds anything by name or code. */
export function findRoutes(storage: Storage): Router {
  const router = Router();
  router.get(
    API.find,
    async (request, response) =>
      void response.json(await findAnything(storage, String(request.query.q ?? ''))),
  );
  return router;
}

async function findAnything(storage: Storage, q: string): Promise<Finding[]> {
  const words = q.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const [shelf, colorways, book] = await Promise.all([
    readShelf(storage),
    newestColorways(storage),
    bookPage(storage, { q, offset: 0, limit: MOST }),
  ]);
  const dyeName = new Map(shelf.dyes.map((dye) => [dye.id, dye.name]));
  const all: Finding[] = [
    ...colorways.map(({ id, name, code }): Finding => ({ kind: 'colorway', id, name, code })),
    ...shelf.dyes.map(({ id, name, code }): Finding => ({ kind: 'dye', id, name, code })),
    ...shelf.stocks.map(({ id, code, dyeId, strengthPercent }): Finding => ({
      kind: 'stock',
      id,
      name: `${dyeName.get(dyeId) ?? ''} ${threeFigures(strengthPercent)} %`,
      code,
    })),
    ...shelf.bases.map(({ id, name, code }): Finding => ({ kind: 'base', id, name, code })),
    ...shelf.tools.map(({ id, name }): Finding => ({ kind: 'tool', id, name, code: '' })),
    ...shelf.pots.map(({ id, name }): Finding => ({ kind: 'pot', id, name, code: '' })),
  ];
  const found = all.filter(({ name, code }) =>
    words.every((word) => `${name} ${code}`.toLowerCase().includes(word)),
  );
  return [
    ...found,
    ...book.rows.map(({ id, name, code }): Finding => ({ kind: 'batch', id, name, code })),
  ].slice(0, MOST);
}
