// Shared by every command of the project. Node's own modules only: this runs before anything is installed.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const CACHE = path.join(ROOT, '.cache');

/**
 * Says what is going on without touching standard output, which belongs to the command itself.
 * @param {string} words
 */
export const say = (words) => process.stderr.write(`${words}\n`);

/**
 * Runs a command in the project; ends this process with its code when it fails.
 * @param {string} command
 * @param {string[]} args
 * @param {import('node:child_process').SpawnSyncOptions & { quiet?: boolean }} options
 */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, {
    cwd: ROOT,
    stdio: ['inherit', options.quiet ? 2 : 'inherit', 'inherit'],
    ...options,
  });
  if (done.error || done.status !== 0) {
    say(`${command} ${args.join(' ')} did not succeed${done.error ? `: ${done.error.message}` : ''}.`);
    process.exit(done.status ?? 1);
  }
}

/**
 * Runs a program that npm installed.
 * @param {string} program
 * @param {string[]} args
 * @param {import('node:child_process').SpawnSyncOptions & { quiet?: boolean }} [options]
 */
export const runLocal = (program, args, options) =>
  run(path.join(ROOT, 'node_modules/.bin', program), args, options);

/**
 * Does `work` unless the given files are as they were when it last succeeded and `made` is there.
 * @param {string} name
 * @param {string[]} inputs
 * @param {string} made
 * @param {() => void} work
 */
export function unlessUpToDate(name, inputs, made, work) {
  const stamp = path.join(CACHE, `${name}.stamp`);
  const now = fingerprint(inputs);
  if (existsSync(path.join(ROOT, made)) && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  work();
  mkdirSync(CACHE, { recursive: true });
  writeFileSync(stamp, now);
}

/** @param {string[]} inputs */
function fingerprint(inputs) {
  const hash = createHash('sha256').update(process.version);
  for (const file of inputs.flatMap((input) => filesIn(path.join(ROOT, input))).toSorted())
    hash.update(path.relative(ROOT, file)).update(readFileSync(file));
  return hash.digest('hex');
}

/**
 * @param {string} place
 * @returns {string[]}
 */
function filesIn(place) {
  if (!existsSync(place)) return [];
  if (statSync(place).isFile()) return [place];
  return readdirSync(place, { withFileTypes: true })
    .filter((entry) => entry.name !== 'node_modules' && entry.name !== 'dist')
    .flatMap((entry) => filesIn(path.join(place, entry.name)));
}
