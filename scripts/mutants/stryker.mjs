// Turns branches, comparisons, sums and returns of folders of core round, one at a time, and runs the tests that cover them.
//   npm run mutants -- stryker [folder…] [--sample 300]
// Reports lie in .cache/mutants/stryker; what was tried is not tried again until its file or a test changes.
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { runLocal } from '../steps.mjs';
import { FOLDERS, ROOT, sourcesOf } from './folders.mjs';
import { NOT_TURNED } from './lookedAt.mjs';
import { sampleOf } from './sample.mjs';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { sample: { type: 'string', default: '300' } },
});

/** Kinds of change that are made; texts are not turned round, sentences have tests of their own. */
const LEFT_OUT = [
  'StringLiteral',
  'Regex',
  'ObjectLiteral',
  'ArrayDeclaration',
  'BlockStatement',
  'OptionalChaining',
  'MethodExpression',
  'UpdateOperator',
];

for (const folder of positionals.length > 0 ? positionals : FOLDERS) {
  const out = path.join(ROOT, '.cache/mutants/stryker');
  mkdirSync(out, { recursive: true });
  const files = sourcesOf(folder).map((file) => path.relative(ROOT, file));
  const lines = files.flatMap((file) =>
    readFileSync(path.join(ROOT, file), 'utf8')
      .split('\n')
      .map((text, i) => ({ file, text, line: i + 1 }))
      .filter(
        ({ text }) =>
          /[-+*/<>=?&|]|return|if/.test(text) &&
          !/^\s*(\*|\/|import|export type)/.test(text) &&
          !NOT_TURNED.some((one) => file.endsWith(one.file) && one.line.test(text)),
      ),
  );
  const sample = sampleOf(lines, Number(values.sample));
  const report = path.join(out, `${folder}.json`);
  const config = {
    testRunner: 'jest',
    jest: { configFile: 'scripts/mutants/stryker.jest.config.mjs', enableFindRelatedTests: false },
    coverageAnalysis: 'perTest',
    mutate: sample.map(({ file, line }) => `${file}:${line}-${line}`),
    mutator: { excludedMutations: LEFT_OUT },
    // Constants are moved by the other script.
    ignoreStatic: true,
    incremental: true,
    incrementalFile: path.join(out, `${folder}-tried.json`),
    reporters: ['progress-append-only', 'clear-text', 'json'],
    clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
    jsonReporter: { fileName: report },
    concurrency: 2,
    timeoutMS: 60_000,
    ignorePatterns: ['.cache', 'e2e', 'bench', 'docs', 'packages/*/dist', 'test-results'],
    tempDirName: '.cache/stryker-tmp',
    plugins: ['@stryker-mutator/jest-runner'],
    allowEmpty: true,
  };
  forgetUnnoticed(config.incrementalFile);
  const file = path.join(out, `${folder}.config.json`);
  writeFileSync(file, JSON.stringify(config, null, 1));
  process.env.YTHRION_FOLDER = folder;
  runLocal('stryker', ['run', file]);
  if (!existsSync(report)) continue;
  const { files: told } = JSON.parse(readFileSync(report, 'utf8'));
  const statuses = Object.values(told).flatMap((/** @type {any} */ one) =>
    one.mutants.map((/** @type {any} */ mutant) => mutant.status),
  );
  const killed = statuses.filter((status) => status === 'Killed' || status === 'Timeout').length;
  // What cannot run at all is no change that a test could notice.
  const counted = statuses.filter(
    (status) => !['Ignored', 'CompileError', 'RuntimeError'].includes(status),
  ).length;
  console.log(
    `${folder}: ${killed} of ${counted} changes noticed (${((100 * killed) / Math.max(1, counted)).toFixed(0)} %), on ${sample.length < lines.length ? `a seeded sample of ${sample.length} of ` : ''}${lines.length} lines`,
  );
}

/** What was not noticed is tried again: a test may have come since, and Stryker does not know of it. @param {string} tried */
function forgetUnnoticed(tried) {
  if (!existsSync(tried)) return;
  const report = JSON.parse(readFileSync(tried, 'utf8'));
  for (const one of Object.values(report.files))
    one.mutants = one.mutants.filter(
      (/** @type {any} */ { status }) => !['Survived', 'NoCoverage'].includes(status),
    );
  writeFileSync(tried, JSON.stringify(report));
}
