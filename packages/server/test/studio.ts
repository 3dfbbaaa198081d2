import { mkdtemp, rm } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import express, { type Express } from 'express';
import { pino, type Logger } from 'pino';
import {
  baseSchema,
  dyeSchema,
  formulate,
  OWN_HEADER,
  recipeSchema,
  stockSchema,
  type BeginBatch,
  type Formulation,
} from '@ythrion/core';
import { LOOPBACK } from '../src/access/addresses';
import { Codes } from '../src/access/codes';
import { Devices } from '../src/access/devices';
import { Waits } from '../src/access/waits';
import { createApp } from '../src/http/app';
import { studioRoutes } from '../src/http/studioRoutes';
import { openStudio } from '../src/storage/openStudio';
import type { Storage } from '../src/storage/storage';

export const BASE = baseSchema.parse({
  id: 'wool',
  name: 'Sexton worsted',
  fibers: [{ fiber: 'wool', percent: 100 }],
  putUpGrams: 100,
});
export const DYE = dyeSchema.parse({ id: 'blue', name: 'Vault Blue', swatchHex: '#22449a' });

/** Something as files before version 3 had it: nothing was known of how a dye behaves. */
export const asOlder = <T>(value: T): T =>
  JSON.parse(JSON.stringify(value, (key, inner: unknown) => (key === 'behavior' ? undefined : inner))) as T;
export const JAR = stockSchema.parse({ id: 'blue-1', dyeId: 'blue', strengthPercent: 1, volumeMl: 500 });
export const RECIPE = recipeSchema.parse({
  goods: [{ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 }],
  wettingMinutes: 30,
  passes: [
    {
      id: 'p1',
      method: { kind: 'immersion' },
      dyes: [{ id: 'd1', dyeId: 'blue', entry: { school: 'depth', percent: 1 }, stockId: 'blue-1' }],
      water: { basis: 'ratio', value: 30 },
      acids: [{ material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1 }],
    },
  ],
  set: { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 120 },
});
export const FORMULATION: Formulation = formulate('Vesper', RECIPE, {
  bases: [BASE],
  dyes: [DYE],
  stocks: [JAR],
});

export function begin(id: string, changes: Partial<BeginBatch> = {}): BeginBatch {
  return {
    id,
    name: 'Vesper',
    colorwayId: null,
    colorwayVersion: null,
    againOf: null,
    loadOf: null,
    startedAt: '2026-03-01T10:00:00Z',
    formulation: FORMULATION,
    ...changes,
  };
}

export interface TestStudio {
  app: Express;
  storage: Storage;
  folder: string;
  reopen(): Promise<void>;
  remove(): Promise<void>;
}

/** The application as this machine itself sees it. */
export async function testApp(
  storage: Storage,
  folder: string,
  log: Logger,
  site?: string,
): Promise<Express> {
  const access = {
    dataFolder: folder,
    devices: await Devices.open(folder),
    codes: new Codes(),
    waits: new Waits(),
    lan: null,
  };
  return createApp(studioRoutes(storage), access, { hosts: new Set(LOOPBACK), open: true }, log, site);
}

/** Asked as our own pages ask: whatever a test sends, the header of our own is with it. */
export function fromOwnPage(app: Express): Express {
  const own = express();
  own.use((request, _response, next) => {
    request.headers[OWN_HEADER.toLowerCase()] ??= '1';
    next();
  });
  return own.use(app);
}

/** A studio in a temporary folder of its own, with one base, dye and jar when `stocked`. */
export async function testStudio(stocked = true): Promise<TestStudio> {
  const folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-test-'));
  const log = pino({ level: 'silent' });
  const open = async (): Promise<Pick<TestStudio, 'app' | 'storage'>> => {
    const storage = await openStudio(folder);
    return { storage, app: fromOwnPage(await testApp(storage, folder, log)) };
  };
  const studio: TestStudio = {
    ...(await open()),
    folder,
    async reopen() {
      await studio.storage.close();
      Object.assign(studio, await open());
    },
    async remove() {
      await studio.storage.close();
      await rm(folder, { recursive: true, force: true });
    },
  };
  if (stocked) {
    const { putItem } = await import('../src/shelf/store');
    await studio.storage.write(async (transaction) => {
      await putItem(studio.storage, 'bases', BASE, transaction);
      await putItem(studio.storage, 'dyes', DYE, transaction);
      await putItem(studio.storage, 'stocks', JAR, transaction);
    });
  }
  return studio;
}
