import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtemp, rm } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';

const MAIN = path.resolve(import.meta.dirname, '../packages/server/dist/main.js');

/** What our own pages send with every change. */
export const OWN = { 'X-Ythrion': '1' };

/** The built application, running on a free port with a data folder of its own. */
export interface Application {
  url: string;
  folder: string;
  /** What it printed since it was started. */
  said(): string;
  /** Ends it as a power cut would. */
  kill(): Promise<void>;
  /** Starts it again on the same data and the same port. */
  restart(): Promise<void>;
  remove(): Promise<void>;
}

/** @param kept a data folder that is there already; a fresh one when left out */
export async function startApplication(
  command: 'serve' | 'demo',
  kept?: string,
  options: string[] = [],
): Promise<Application> {
  const folder = kept ?? (await mkdtemp(path.join(os.tmpdir(), 'ythrion-e2e-')));
  let child = await listening([command, ...options], folder, '0');
  const application: Application = {
    url: child.url,
    folder,
    said: () => child.said(),
    async kill() {
      child.process.kill('SIGKILL');
      if (child.process.exitCode === null && child.process.signalCode === null)
        await once(child.process, 'exit');
    },
    async restart() {
      child = await listening(['serve', ...options], folder, new URL(application.url).port);
    },
    async remove() {
      await application.kill();
      await rm(folder, { recursive: true, force: true });
    },
  };
  return application;
}

async function listening(
  args: string[],
  folder: string,
  port: string,
): Promise<{ process: ChildProcess; url: string; said: () => string }> {
  const process_ = spawn(process.execPath, [MAIN, ...args], {
    env: { ...process.env, PORT: port, YTHRION_DATA: folder },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  const url = await new Promise<string>((resolve, reject) => {
    process_.stdout.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const found = /http:\/\/\S+/.exec(said);
      if (found) resolve(found[0]);
    });
    process_.once('exit', (code) => reject(new Error(`The application ended with ${code}: ${said}`)));
  });
  return { process: process_, url, said: () => said };
}

/** Runs one command of the application to its end. */
export async function command(
  args: string[],
  env: Record<string, string> = {},
): Promise<{ code: number | null; out: string; err: string }> {
  const child = spawn(process.execPath, [MAIN, ...args], {
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let out = '';
  let err = '';
  child.stdout.setEncoding('utf8').on('data', (chunk: string) => (out += chunk));
  child.stderr.setEncoding('utf8').on('data', (chunk: string) => (err += chunk));
  const [code] = (await once(child, 'close')) as [number | null];
  return { code, out, err };
}

/** Starts a command and ends it as a power cut would after so many milliseconds, if it has not ended by itself. */
export async function cutShort(args: string[], folder: string, afterMs: number): Promise<void> {
  const child = spawn(process.execPath, [MAIN, ...args], {
    env: { ...process.env, PORT: '0', YTHRION_DATA: folder },
    stdio: 'ignore',
  });
  const cut = setTimeout(() => child.kill('SIGKILL'), afterMs);
  if (child.exitCode === null) await once(child, 'exit');
  clearTimeout(cut);
}
