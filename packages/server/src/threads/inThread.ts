import { once } from 'node:events';
import { parentPort, Worker, workerData } from 'node:worker_threads';

/**
 * Lets a thread of its own do some work: whoever logs a pour meanwhile does not wait for it.
 * @param program file of this program @param command that it is started with; it ends in `asThread`
 * @param given what the work is done with, copied
 * @throws Error when the work fails or the thread ends without having done it
 */
export async function inThread<T>(program: string, command: string, given: unknown): Promise<T> {
  const thread = new Worker(program, { argv: [command], workerData: given });
  const cut = once(thread, 'exit').then(() => {
    throw new Error(`the thread “${command}” was cut short`);
  });
  cut.catch(() => undefined);
  const [done] = (await Promise.race([once(thread, 'message'), cut])) as [T];
  await thread.terminate();
  return done;
}

/** The work itself, in the thread. */
export function asThread<G, T>(work: (given: G) => T): void {
  parentPort?.postMessage(work(workerData as G));
}
