import { z } from 'zod';
import { batchSchema, type Batch } from '../batch/batch';
import type { BatchSummary } from '../batch/summary';
import type { Colorway } from '../recipe/recipe';
import type { Base } from '../shelf/base';
import type { Dye } from '../shelf/dye';
import type { Pot } from '../shelf/pot';
import type { Stock } from '../shelf/stock';
import type { Studio } from '../shelf/studio';

/** Where everything lives; the one place both sides take the paths from. */
export const API = {
  shelf: '/api/shelf',
  studio: '/api/studio',
  colorways: '/api/colorways',
  batches: '/api/batches',
  running: '/api/running',
  find: '/api/find',
  document: '/api/document',
  health: '/api/health',
} as const;

export const SHELF_RESOURCES = ['bases', 'dyes', 'stocks', 'pots'] as const;
export type ShelfResource = (typeof SHELF_RESOURCES)[number];

/** A jar and what is left in it: what it was made with, less every standing pour. */
export type StockOnShelf = Stock & { remainingMl: number };

/** GET /api/shelf */
export interface ShelfResponse {
  studio: Studio;
  bases: Base[];
  dyes: Dye[];
  stocks: StockOnShelf[];
  pots: Pot[];
}

/** GET /api/colorways: the newest version of each. */
export interface ColorwayOnList extends Colorway {
  savedAt: string;
}

/** GET /api/batches */
export const bookQuerySchema = z.object({
  q: z.string().max(200).default(''),
  offset: z.coerce
    .number({ error: 'offset must be a number.' })
    .int()
    .min(0, { error: 'offset cannot be negative.' })
    .default(0),
  limit: z.coerce
    .number({ error: 'limit must be a number.' })
    .int()
    .min(1, { error: 'limit must be at least 1.' })
    .max(200, { error: 'limit cannot be over 200.' })
    .default(60),
});
export type BookQuery = z.infer<typeof bookQuerySchema>;

export interface BookPage {
  total: number;
  rows: BatchSummary[];
}

/** POST /api/batches: begin a batch. The code is given by the server. */
export const beginBatchSchema = batchSchema.omit({ entries: true, code: true });
export type BeginBatch = z.infer<typeof beginBatchSchema>;

/** GET /api/batches/:id and each of GET /api/running */
export type BatchResponse = Batch;

/** GET /api/find */
export interface Finding {
  kind: 'colorway' | 'batch' | 'dye' | 'stock' | 'base' | 'pot';
  id: string;
  name: string;
  code: string;
}

/** Every refusal: a sentence, and the fields it concerns. */
export interface Refusal {
  message: string;
  problems: { field: string; message: string }[];
}

/** POST /api/document */
export interface ImportReport {
  added: number;
  /** Already here and the same. */
  unchanged: number;
}
