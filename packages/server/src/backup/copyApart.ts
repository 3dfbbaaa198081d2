import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync } from 'node:fs';
import os from 'node:os';
import { setInterval } from 'node:timers/promises';
import { flush } from '../storage/dataFolder';
import { copyInto, type CopyFile } from '../storage/copies';

/** The command by which the program is asked to copy for one that is serving. */
export const COPY_APART = 'copy-apart';

const FLUSH_EVERY = 50;

/**
 * Copies in a process of its own, which stands back when others want the processor: whoever logs a pour meanwhile does
 * not wait for the copy. It never stands back altogether: on a machine that is always busy there must be copies too.
 * @param program file of the program that knows the command
 */
export const copyApart =
  (program: string): CopyFile =>
  async (from, to) => {
    const copier = spawn(process.execPath, [program, COPY_APART, from, to], {
      stdio: ['pipe', 'ignore', 'pipe'],
    });
    let said = '';
    copier.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
    const ended = once(copier, 'close') as Promise<[number | null]>;
    if (copier.pid !== undefined) os.setPriority(copier.pid, os.constants.priority.PRIORITY_BELOW_NORMAL);
    const [code] = await ended;
    if (code !== 0) throw new Error(said.trim() || 'the copying was cut short');
  };

/** The copying itself. It ends at once when the process that asked for it does. */
export async function copyForAnother(from: string, to: string): Promise<void> {
  process.stdin.on('end', () => process.kill(process.pid, 'SIGKILL')).resume();
  const done = new AbortController();
  const flushed = flushAsItGrows(to, done.signal);
  try {
    await copyInto(from, to);
  } catch (error) {
    process.stderr.write((error as Error).message);
    process.exit(1);
  } finally {
    done.abort();
  }
  await flushed;
  process.exit(0);
}

/** Brings a file to the disk in small parts, so that no commit of the studio’s waits behind a large one. */
async function flushAsItGrows(file: string, done: AbortSignal): Promise<void> {
  try {
    for await (const _ of setInterval(FLUSH_EVERY, undefined, { signal: done }))
      if (existsSync(file)) await flush(file);
  } catch (error) {
    if (!done.aborted) throw error;
  }
}
