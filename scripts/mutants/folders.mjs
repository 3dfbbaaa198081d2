import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');
const CORE = path.join(ROOT, 'packages/core/src');

/** Folders of core whose numbers and branches the tests must notice. */
export const FOLDERS = ['process', 'method', 'acid', 'amounts', 'heat'];

/** @param {string} folder @returns {string[]} every file below it */
function filesBelow(folder) {
  return readdirSync(folder)
    .toSorted()
    .flatMap((name) => {
      const file = path.join(folder, name);
      return statSync(file).isDirectory() ? filesBelow(file) : [file];
    });
}

/** Source files of a folder of core, tests apart. @param {string} folder */
export const sourcesOf = (folder) =>
  filesBelow(path.join(CORE, folder)).filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'));

/** Every test file of core. */
export const testsOfCore = () =>
  [...filesBelow(CORE), ...filesBelow(path.join(ROOT, 'packages/core/test'))].filter((file) =>
    file.endsWith('.test.ts'),
  );

/** Everything a file imports, and what those import, by path. @param {string} file @param {Set<string>} [seen] */
export function importsOf(file, seen = new Set()) {
  if (seen.has(file)) return seen;
  seen.add(file);
  for (const [, from] of readFileSync(file, 'utf8').matchAll(/from '(\.[^']*)'/g)) {
    const target = resolved(path.resolve(path.dirname(file), from ?? ''));
    if (target) importsOf(target, seen);
  }
  return seen;
}

/** @param {string} base */
function resolved(base) {
  return [`${base}.ts`, path.join(base, 'index.ts')].find((file) => {
    try {
      return statSync(file).isFile();
    } catch {
      return false;
    }
  });
}
