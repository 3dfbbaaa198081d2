import path from 'node:path';
import { browserTimes } from './browser';
import { firstLoadScript } from './firstLoad';
import { foldTimes } from './fold';
import { planTimes } from './plan';
import { serverTimes } from './server';

/** One measured speed against what is allowed. */
export interface Measure {
  what: string;
  measured: number;
  allowed: number;
  unit: string;
}

const root = path.resolve(import.meta.dirname, '../..');

for (const { what, measured, allowed, unit } of [
  ...planTimes(),
  ...foldTimes(),
  ...(await browserTimes(root)),
  ...(await serverTimes(root)),
  firstLoadScript(root),
])
  process.stdout.write(
    `${what.padEnd(88)} ${measured.toFixed(2).padStart(9)} ${unit.padEnd(3)} ${(measured / allowed).toFixed(2)} of the ${Number(allowed.toFixed(1))} ${unit} allowed\n`,
  );
