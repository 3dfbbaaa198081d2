import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import type { Measure } from './bench';

/** Gzip size of the JavaScript the first page needs: what index.html names, and the quick pour with all it imports. */
export function firstLoadScript(root: string): Measure {
  const site = path.join(root, 'packages/web/dist');
  const assets = readdirSync(path.join(site, 'assets'));
  const queue = [...readFileSync(path.join(site, 'index.html'), 'utf8').matchAll(/assets\/([^"]+\.js)/g)].map(
    (found) => found[1] ?? '',
  );
  queue.push(...assets.filter((name) => name.startsWith('QuickPourScreen')));
  const loaded = new Set<string>();
  for (let name = queue.pop(); name !== undefined; name = queue.pop()) {
    if (loaded.has(name)) continue;
    loaded.add(name);
    const text = readFileSync(path.join(site, 'assets', name), 'utf8');
    for (const found of text.matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g)) queue.push(found[1] ?? '');
  }
  const bytes = [...loaded].reduce(
    (sum, name) => sum + gzipSync(readFileSync(path.join(site, 'assets', name))).length,
    0,
  );
  return {
    what: `JavaScript of the first page, ${loaded.size} files, gzip`,
    measured: bytes / 1000,
    allowed: 200,
    unit: 'kB',
  };
}
