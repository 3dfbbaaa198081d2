// Which number is moved in this run, and which were met by this test file.
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const scope = globalThis as unknown as { __hits: Uint8Array; __moved: number };
scope.__hits = new Uint8Array(8192);
scope.__moved = Number(process.env.YTHRION_MOVED ?? -1);
const folder = process.env.YTHRION_HITS;
if (folder)
  afterAll(() => {
    const test = expect.getState().testPath ?? '';
    mkdirSync(folder, { recursive: true });
    const met = [...scope.__hits.keys()].filter((id) => scope.__hits[id] === 1);
    writeFileSync(
      path.join(folder, `${path.basename(test)}-${test.length}.json`),
      JSON.stringify({ test, met }),
    );
  });
