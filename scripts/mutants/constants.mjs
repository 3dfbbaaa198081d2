// Moves the numbers written in folders of core by a fifth, one at a time, and runs the tests that meet them: whatever is
// still green has a number that nobody checks.
//   npm run mutants -- constants [folder…] [--sample 300] [--minutes 60] [--shard 1/2] [--quick]
// With --quick, tests that take longer than four seconds are left out: then at least so many are noticed.
// What was noticed is kept in .cache/mutants and is not tried again until its file changes.
import { createHash } from 'node:crypto';
import {
  appendFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { runCLI } from 'jest';
import { run } from '../steps.mjs';
import { FOLDERS, importsOf, ROOT, sourcesOf, testsOfCore } from './folders.mjs';
import { literalsOf, movable } from './literals.mjs';
import { LOOKED_AT } from './lookedAt.mjs';
import { sampleOf } from './sample.mjs';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    sample: { type: 'string', default: '300' },
    minutes: { type: 'string', default: '60' },
    shard: { type: 'string', default: '1/1' },
    quick: { type: 'boolean', default: false },
  },
});
const cache = path.join(ROOT, '.cache/mutants');
mkdirSync(cache, { recursive: true });
const end = Date.now() + 60_000 * Number(values.minutes);
/** Tests that take longer are left out with --quick, s. */
const QUICK_S = 4;

const secondsFile = path.join(cache, 'seconds.json');
/** @type {Map<string, number>} how long each test file takes, s; as it was last time, before it has run */
const seconds = new Map(existsSync(secondsFile) ? JSON.parse(readFileSync(secondsFile, 'utf8')) : []);

/** @param {string} folder */
async function tryFolder(folder) {
  /** @type {Record<string, string>} */
  const texts = {};
  /** @type {(import('./literals.mjs').Literal & { id: number })[]} */
  const all = [];
  for (const file of sourcesOf(folder)) {
    const source = readFileSync(file, 'utf8');
    const literals = literalsOf(file, source);
    texts[file] = movable(source, literals, all.length);
    all.push(...literals.map((literal, i) => ({ ...literal, id: all.length + i })));
  }
  const textsFile = path.join(cache, `constants-${folder}-${process.pid}.json`);
  writeFileSync(textsFile, JSON.stringify(texts));
  process.env.YTHRION_MOVABLE = textsFile;
  const tests = testsOfCore().filter((test) => !values.quick || (seconds.get(test) ?? 0) < QUICK_S);
  const state = createHash('sha256').update(Object.values(texts).join('\n')).digest('hex').slice(0, 12);
  const kept = path.join(cache, `constants-${folder}.jsonl`);
  const results = new Map(
    existsSync(kept)
      ? readFileSync(kept, 'utf8')
          .trim()
          .split('\n')
          .map((line) => JSON.parse(line))
          .filter((result) => result.state === state)
          .map((result) => [result.id, result])
      : [],
  );
  const met = await metBy(folder, `${state}-${hashOf(tests)}`, tests);
  const sample = sampleOf(all, Number(values.sample));
  const [shard = 1, shards = 1] = values.shard.split('/').map(Number);
  let late = false;
  for (const literal of sample.filter((_, i) => i % shards === shard - 1)) {
    // What nobody noticed is tried again: a test may have come since.
    if (results.get(literal.id)?.killed || isLookedAt(literal)) continue;
    if (Date.now() > end) {
      late = true;
      break;
    }
    const meeting = tests
      .filter((test) =>
        literal.inFunction ? met.get(test)?.has(literal.id) : importsOf(test).has(literal.file),
      )
      .toSorted(
        (one, other) =>
          nearness(one, literal.file) - nearness(other, literal.file) || one.localeCompare(other),
      );
    process.env.YTHRION_MOVED = String(literal.id);
    const killed = await noticed(meeting);
    const result = {
      state,
      id: literal.id,
      killed,
      quick: values.quick,
      where: `${path.relative(ROOT, literal.file)}:${literal.line}`,
      number: literal.text,
    };
    appendFileSync(kept, `${JSON.stringify(result)}\n`);
    results.set(literal.id, result);
  }
  process.env.YTHRION_MOVED = '-1';
  rmSync(textsFile, { force: true });
  const same = sample.filter((literal) => isLookedAt(literal) && !results.get(literal.id)?.killed).length;
  const tried = sample
    .filter((literal) => !isLookedAt(literal) || results.get(literal.id)?.killed)
    .flatMap(({ id }) => results.get(id) ?? []);
  const survived = tried.filter(({ killed }) => !killed);
  console.log(
    `${folder}: ${tried.length - survived.length} of ${tried.length} moved numbers noticed (${percent(tried.length - survived.length, tried.length)}), of ${all.length} there are; ${same} change nothing that anybody sees${sample.length < all.length ? `, a seeded sample of ${sample.length}` : ''}${late ? '; time ran out' : ''}`,
  );
  for (const { where, number } of survived) console.log(`  not noticed: ${where}  ${number}`);
}

/** Whether a number is one that no test need notice. @param {import('./literals.mjs').Literal} literal */
function isLookedAt({ file, line }) {
  const text = readFileSync(file, 'utf8').split('\n')[line - 1] ?? '';
  return LOOKED_AT.some((one) => file.endsWith(one.file) && one.line.test(text));
}

/** @param {string[]} files */
const hashOf = (files) =>
  createHash('sha256')
    .update(files.map((file) => readFileSync(file, 'utf8')).join('\n'))
    .digest('hex')
    .slice(0, 12);

/** @param {number} part @param {number} whole */
const percent = (part, whole) => (whole === 0 ? '–' : `${((100 * part) / whole).toFixed(0)} %`);

/** Tests beside a file come first, then those that are cheap. @param {string} test @param {string} file */
function nearness(test, file) {
  if (test === file.replace(/\.ts$/, '.test.ts')) return -2;
  if (path.dirname(test) === path.dirname(file)) return -1;
  return seconds.get(test) ?? 1;
}

/**
 * Which numbers each test file meets while it runs.
 * @param {string} folder @param {string} state @param {string[]} tests
 */
async function metBy(folder, state, tests) {
  const hits = path.join(cache, `met-${folder}-${state}`);
  const done = path.join(hits, 'done');
  if (!existsSync(done)) {
    process.env.YTHRION_HITS = hits;
    process.env.YTHRION_MOVED = '-1';
    if (!(await green(tests, true))) throw new Error('The tests must be green before numbers are moved.');
    delete process.env.YTHRION_HITS;
    writeFileSync(done, '');
    writeFileSync(secondsFile, JSON.stringify([...seconds]));
  }
  return new Map(
    readdirSync(hits)
      .filter((name) => name !== 'done')
      .map((name) => JSON.parse(readFileSync(path.join(hits, name), 'utf8')))
      .map((/** @type {{ test: string; met: number[] }} */ { test, met }) => [test, new Set(met)]),
  );
}

/** Whether any of these tests fails; more of them at once the longer none does. @param {string[]} tests */
async function noticed(tests) {
  for (let from = 0, size = 1; from < tests.length; from += size, size *= 2)
    if (!(await green(tests.slice(from, from + size), false))) return true;
  return false;
}

/** Whether tests pass. @param {string[]} tests @param {boolean} first of all, while nothing is moved */
async function green(tests, first) {
  process.env.YTHRION_ORDER = tests.join('\n');
  const { results } = await runCLI(
    /** @type {any} */ ({
      config: path.join(ROOT, 'scripts/mutants/jest.config.mjs'),
      runTestsByPath: true,
      _: tests,
      runInBand: true,
      silent: true,
      reporters: [],
      testSequencer: path.join(ROOT, 'scripts/mutants/inTurn.mjs'),
      $0: 'mutants',
    }),
    [ROOT],
  );
  if (first && !results.success)
    for (const { testFilePath, failureMessage } of results.testResults)
      if (failureMessage) console.log(testFilePath, failureMessage.slice(0, 1500));
  for (const { testFilePath, perfStats } of results.testResults)
    if (first) seconds.set(testFilePath, perfStats.runtime / 1000);
  return results.success;
}

const [only, ...more] = positionals.length > 0 ? positionals : FOLDERS;
if (only && more.length === 0) await tryFolder(only);
else
  // One process each: Jest keeps what it has transformed as long as its process lasts.
  for (const folder of [only, ...more])
    run(process.execPath, [
      fileURLToPath(import.meta.url),
      ...process.argv.slice(2).filter((word) => !positionals.includes(word)),
      String(folder),
    ]);
