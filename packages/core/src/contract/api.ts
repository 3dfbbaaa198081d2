import type { Batch } from '../record/batch';
import type { ShelfColors } from '../color/shelfColors';
import type { BatchSummary } from '../record/summary';
import type { Colorway } from '../recipe/recipe';
import type { ExpectedColor } from '../recipe/expectedColor';
import type { Base } from '../shelf/base';
import type { Dye } from '../shelf/dye';
import type { Pot } from '../shelf/pot';
import type { Tool } from '../shelf/tool';
import type { Stock } from '../shelf/stock';
import type { Pattern } from '../recipe/pattern';
import type { Sought } from '../shelf/sought';
import type { Studio } from '../shelf/studio';

/** Where everything lives; the one place both sides take the paths from. */
export const API = {
  shelf: '/api/shelf',
  studio: '/api/studio',
  colorways: '/api/colorways',
  batches: '/api/batches',
  running: '/api/running',
  cups: '/api/cups',
  soughts: '/api/soughts',
  /** What colors the samples of the shelf give. */
  colors: '/api/colors',
  expected: '/api/colors/expected',
  orders: '/api/orders',
  find: '/api/find',
  document: '/api/document',
  /** The same as an archive, for any size. */
  archive: '/api/archive',
  copies: '/api/copies',
  check: '/api/check',
  health: '/api/health',
  /** What arrived after a cursor. */
  events: '/api/events',
  /** Everything that happens, and what instruments show: server-sent events. */
  live: '/api/live',
  scale: '/api/instruments/scale',
} as const;

/** GET /api/shelf */
export interface ShelfResponse {
  studio: Studio;
  bases: Base[];
  dyes: Dye[];
  stocks: Stock[];
  /** What each jar still holds, mL, by id: what it was made with, less every standing pour; below zero when overdrawn. */
  stockLeft: Record<string, number>;
  /** The last arrival that is counted in what is left. */
  countedTo: number;
  pots: Pot[];
  tools: Tool[];
  patterns: Pattern[];
  /** Colors that are looked for. */
  soughts: Sought[];
}

/** GET /api/colors/expected: the color of a recipe; null where one of its dyes was never measured. */
export type ExpectedResponse = ExpectedColor | null;

/** GET /api/colors: what the dyes of the shelf look like; null where none was measured. */
export type ColorsResponse = ShelfColors | null;

/** GET /api/colorways: the newest version of each. */
export interface ColorwayOnList extends Colorway {
  savedAt: string;
}

/** GET /api/batches */
export interface BookPage {
  total: number;
  rows: BatchSummary[];
}

/** GET /api/batches/:id and each of GET /api/running */
export type BatchResponse = Batch;

/** GET /api/find */
export interface Finding {
  kind: 'colorway' | 'batch' | 'dye' | 'stock' | 'base' | 'pot' | 'tool' | 'sought';
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

/** The instruments of the bench, as GET /api/live names them. */
export const INSTRUMENTS = {
  scale: 'scale',
  phMeter: (batchId: string): string => `ph:${batchId}`,
} as const;

/** What the scale shows. */
export interface ScaleReading {
  grams: number;
  stable: boolean;
}

/** What the pH meter shows, its electrode in the bath of a batch. */
export interface PhReading {
  pH: number;
  stable: boolean;
}
