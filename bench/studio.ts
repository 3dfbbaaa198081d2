import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtemp, rm } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { largeStudio } from './largeStudio';

/** A server on a studio of its own. */
export interface Studio {
  url: string;
  folder: string;
  startMs: number;
  pid: number;
}

/**
 * Does work with a server on the demo and so many batches more; on an empty studio where there are none.
 * @param plans how many of these keep their card and recipe
 */
export async function withStudio<T>(
  root: string,
  batches: number,
  plans: number,
  work: (studio: Studio) => Promise<T>,
): Promise<T> {
  const folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-bench-'));
  let child: ChildProcess | undefined;
  try {
    if (batches > 0) await largeStudio(folder, path.join(root, 'demo/studio.json'), batches, plans);
    const from = performance.now();
    const started = spawn(process.execPath, [path.join(root, 'packages/server/dist/main.js'), 'serve'], {
      env: { ...process.env, PORT: '0', YTHRION_DATA: folder },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    child = started;
    const [chunk] = (await once(started.stdout, 'data')) as [Buffer];
    const url = /http:\/\/\S+/.exec(chunk.toString())?.[0] ?? '';
    const startMs = performance.now() - from;
    // The daily copy comes a few seconds after the start: it is not to be measured.
    await fetch(`${url}/api/copies`, { method: 'POST', headers: { 'X-Ythrion': '1' } });
    return await work({ url, folder, startMs, pid: started.pid ?? 0 });
  } finally {
    child?.kill();
    if (child) await once(child, 'exit');
    await rm(folder, { recursive: true, force: true });
  }
}
