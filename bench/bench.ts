import path from 'node:path';
import { browserTimes } from './browser';
import { colorTimes } from './color';
import { exchangeTimes } from './exchange';
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

const PARTS: Record<string, () => Measure[] | Promise<Measure[]>> = {
  plan: planTimes,
  fold: foldTimes,
  browser: () => browserTimes(root),
  server: () => serverTimes(root),
  exchange: () => exchangeTimes(root),
  color: colorTimes,
};
const wanted = process.argv.slice(2);

for (const [name, measured] of Object.entries(PARTS)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  for (const { what, measured: value, allowed, unit } of await measured())
    process.stdout.write(
      `${what.padEnd(88)} ${value.toFixed(2).padStart(9)} ${unit.padEnd(3)} ${(value / allowed).toFixed(2)} of the ${Number(allowed.toFixed(1))} ${unit} allowed\n`,
    );
}
