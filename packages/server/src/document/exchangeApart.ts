import { spawn, type ChildProcessWithoutNullStreams } from 'node:child_process';
import { once } from 'node:events';
import os from 'node:os';
import { createInterface } from 'node:readline';
import type { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { DocumentError, type ImportReport, type Problem } from '@ythrion/core';
import { isFull } from '../refusals/refusals';
import { studioFile } from '../storage/dataFolder';
import { inTurn } from '../storage/inTurn';
import { connect, type Storage } from '../storage/storage';
import { takeIn, takeOut, type Exchange, type Form } from './exchange';

/** The commands by which the program is asked to take a studio out or in for one that is serving it. */
export const OUT_APART = 'out-apart';
export const IN_APART = 'in-apart';

/** What the process that takes in says, a line each. */
interface Said {
  batches?: number;
  report?: ImportReport;
  problems?: readonly Problem[];
  /** There is no room on the disk for it. */
  full?: true;
}

/**
 * Takes the studio out and in in a process of its own, which stands back when others want the processor: a large file
 * is read, checked and packed for seconds or minutes, and whoever logs a pour or asks for a page does not wait for that.
 * @param program file of the program that knows the commands
 */
export const exchangeApart = (program: string, storage: Storage): Exchange => {
  const start = (...words: string[]): ChildProcessWithoutNullStreams => {
    const child = spawn(process.execPath, [program, ...words], { stdio: 'pipe' });
    if (child.pid !== undefined) os.setPriority(child.pid, os.constants.priority.PRIORITY_BELOW_NORMAL);
    return child;
  };
  const turn = inTurn();
  return {
    // One after the other, however many ask; whoever has gone by then is not written to.
    out: (form, to) =>
      turn(async () => {
        if (!to.destroyed) await takenOut(start(OUT_APART, storage.folder, form), to);
      }),
    in: (form, file, { told, stop }) =>
      storage.byAnother(async () => {
        stop?.throwIfAborted();
        const child = start(IN_APART, storage.folder, form, file);
        const ended = endOf(child);
        const end = (): void => void child.kill('SIGKILL');
        stop?.addEventListener('abort', end);
        let said: Said = {};
        try {
          for await (const line of createInterface({ input: child.stdout })) {
            said = JSON.parse(line) as Said;
            if (said.batches !== undefined) told?.(said.batches);
          }
          await ended;
        } finally {
          stop?.removeEventListener('abort', end);
          await ended.catch(() => undefined);
          stop?.throwIfAborted();
        }
        if (said.full) throw Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
        if (said.problems) throw new DocumentError(said.problems);
        if (!said.report) throw new Error('the taking in was cut short');
        return said.report;
      }),
  };
};

/** Passes on what a process writes, and ends it when nobody takes that any more. */
async function takenOut(child: ChildProcessWithoutNullStreams, to: Writable): Promise<void> {
  const ended = endOf(child);
  try {
    // The end of what it writes counts only once it has ended well: a torn file must not look whole.
    await pipeline(child.stdout, to, { end: false });
    await ended;
    to.end();
  } finally {
    child.kill('SIGKILL');
    await ended.catch(() => undefined);
  }
}

/** The end of a process. @throws Error with what it said went wrong */
async function endOf(child: ChildProcessWithoutNullStreams): Promise<void> {
  let said = '';
  child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
  const [code] = (await once(child, 'close')) as [number | null];
  if (code !== 0) throw new Error(said.trim() || 'the process was cut short');
}

/** The taking out itself, to standard output. It ends at once when the process that asked for it does. */
export const outForAnother = (folder: string, form: Form): Promise<void> =>
  forAnother(folder, async (storage) => void (await takeOut(storage, form, process.stdout)));

/** The taking in itself. It ends at once when the process that asked for it does, and then nothing has come in. */
export const inForAnother = (folder: string, form: Form, file: string): Promise<void> =>
  forAnother(folder, async (storage) => {
    const say = (said: Said): void => void process.stdout.write(`${JSON.stringify(said)}\n`);
    try {
      say({ report: await takeIn(storage, form, file, { told: (batches) => say({ batches }) }) });
    } catch (error) {
      if (isFull(error)) say({ full: true });
      else if (error instanceof DocumentError) say({ problems: error.problems });
      else throw error;
    }
  });

async function forAnother(folder: string, work: (storage: Storage) => Promise<void>): Promise<void> {
  process.stdin.on('end', () => process.kill(process.pid, 'SIGKILL')).resume();
  const storage = await connect(studioFile(folder));
  try {
    await work(storage);
  } finally {
    await storage.close();
    process.stdin.destroy();
  }
}
