import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { readDocument, type Batch } from '@ythrion/core';
import { insertBatch } from '../packages/server/src/batches/store';
import { importDocument } from '../packages/server/src/document/importDocument';
import { openStudio } from '../packages/server/src/storage/openStudio';
import type { Measure } from './bench';

const BATCHES = 10_000;

/** First page of the Book with 10,000 batches, and the start of the server on that file. */
export async function serverTimes(root: string): Promise<Measure[]> {
  const folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-bench-'));
  try {
    await fill(folder, path.join(root, 'demo/studio.json'));
    const from = performance.now();
    const child = spawn(process.execPath, [path.join(root, 'packages/server/dist/main.js'), 'serve'], {
      env: { ...process.env, PORT: '0', YTHRION_DATA: folder },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    const [chunk] = (await once(child.stdout, 'data')) as [Buffer];
    const start = performance.now() - from;
    const url = /http:\/\/\S+/.exec(chunk.toString())?.[0] ?? '';
    const page = await median(() => fetch(`${url}/api/batches?limit=40`));
    const search = await median(() => fetch(`${url}/api/batches?limit=40&q=curfew+ratchet`));
    child.kill();
    await once(child, 'exit');
    return [
      {
        what: 'first page of the Book, 10,000 batches, at the server',
        measured: page,
        allowed: 100,
        unit: 'ms',
      },
      {
        what: 'search of the Book, 10,000 batches, at the server',
        measured: search,
        allowed: 100,
        unit: 'ms',
      },
      { what: 'start of the server on that file', measured: start, allowed: 2000, unit: 'ms' },
    ];
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

async function fill(folder: string, demo: string): Promise<void> {
  const document = readDocument(JSON.parse(await readFile(demo, 'utf8')));
  const storage = await openStudio(folder);
  await importDocument(storage, document);
  const models = document.batches.filter((batch) => batch.entries.some((entry) => entry.kind === 'closed'));
  for (let done = 0; done < BATCHES; done += 500)
    await storage.write(async (transaction) => {
      for (let i = done; i < done + 500; i += 1)
        await insertBatch(storage, copyOf(models[i % models.length] as Batch, i), transaction);
    });
  await storage.close();
}

/** A closed batch under ids of its own, with the few entries that make its record. */
function copyOf(batch: Batch, i: number): Batch {
  const entries = batch.entries
    .filter((entry) => entry.kind === 'poured' || entry.kind === 'closed')
    .map((entry) => ({ ...entry, id: `x${i}-${entry.id}` }));
  return { ...batch, id: `x${i}`, code: `99-${i}`, againOf: null, entries };
}

async function median(ask: () => Promise<Response>): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < 21; i += 1) {
    const from = performance.now();
    await (await ask()).arrayBuffer();
    times.push(performance.now() - from);
  }
  return times.toSorted((a, b) => a - b)[10] ?? 0;
}
