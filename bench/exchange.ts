import { createWriteStream, openAsBlob } from 'node:fs';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream } from 'node:stream/web';
import type { Measure } from './bench';
import { withStudio, type Studio } from './studio';

/** All of a studio out and in as an archive, while somebody asks the server whether it is there. */
export async function exchangeTimes(root: string): Promise<Measure[]> {
  const folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-bench-archive-'));
  const file = path.join(folder, 'studio.zip');
  try {
    const out = await withStudio(root, 50_000, 50_000, (studio) =>
      watched(studio, () => takeOut(studio, file)),
    );
    await withStudio(root, 5000, 5000, (studio) => takeOut(studio, file));
    const into = await withStudio(root, 0, 0, (studio) => watched(studio, () => takeIn(studio, file)));
    return [
      ...measures('export of 50,000 batches', out, 20_000),
      ...measures('import of 5,000 batches', into, 30_000),
    ];
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

interface Watched {
  took: number;
  longest: number;
  /** The same while nothing else was asked, for three seconds. */
  without: number;
  /** Of the server itself, MB. */
  grownBy: number;
}

const measures = (what: string, { took, longest, without, grownBy }: Watched, allowed: number): Measure[] => [
  { what, measured: took, allowed, unit: 'ms' },
  { what: `longest wait of a health request meanwhile`, measured: longest, allowed: 50, unit: 'ms' },
  { what: `the same with nothing else to do`, measured: without, allowed: 50, unit: 'ms' },
  { what: `memory that the server took more`, measured: grownBy, allowed: 50, unit: 'MB' },
];

async function watched(studio: Studio, work: () => Promise<void>): Promise<Watched> {
  let going = true;
  let longest = 0;
  const asking = (async () => {
    while (going) {
      const from = performance.now();
      await (await fetch(`${studio.url}/api/health`)).arrayBuffer();
      longest = Math.max(longest, performance.now() - from);
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  })();
  await new Promise((resolve) => setTimeout(resolve, 3000));
  const without = longest;
  longest = 0;
  const before = await memoryOf(studio);
  const from = performance.now();
  await work();
  const took = performance.now() - from;
  going = false;
  await asking;
  return { took, longest, without, grownBy: (await memoryOf(studio)) - before };
}

/** What a server holds in memory, MB. Linux only. */
async function memoryOf({ pid }: Studio): Promise<number> {
  const status = await readFile(`/proc/${pid}/status`, 'utf8');
  return Number(/VmRSS:\s+(\d+) kB/.exec(status)?.[1] ?? 0) / 1024;
}

async function takeOut({ url }: Studio, file: string): Promise<void> {
  const { body } = await fetch(`${url}/api/archive`);
  await pipeline(Readable.fromWeb(body as ReadableStream), createWriteStream(file));
}

async function takeIn({ url }: Studio, file: string): Promise<void> {
  const answer = await fetch(`${url}/api/archive`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/zip', 'X-Ythrion': '1' },
    body: await openAsBlob(file),
  });
  if (!answer.ok) throw new Error(`The archive was refused: ${answer.status}`);
}
