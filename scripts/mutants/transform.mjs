// Jest's own transform of TypeScript, with every number of one folder able to be moved while the tests run.
import { readFileSync } from 'node:fs';
import swcJest from '@swc/jest';

/** @type {any} */
const swc = swcJest.createTransformer({
  jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2022' },
  module: { type: 'commonjs' },
});
let from = '';
/** @type {Record<string, string>} */
let texts = {};
/** The text to run instead of a file's own; one process may go on to another folder. @param {string} file */
function movable(file) {
  const { YTHRION_MOVABLE = '' } = process.env;
  if (YTHRION_MOVABLE !== from) {
    from = YTHRION_MOVABLE;
    texts = JSON.parse(readFileSync(from, 'utf8'));
  }
  return texts[file];
}

export default {
  ...swc,
  /** @param {string} source @param {string} file @param {any} options */
  process: (source, file, options) => swc.process(movable(file) ?? source, file, options),
  /** @param {string} source @param {string} file @param {any} options */
  getCacheKey: (source, file, options) => swc.getCacheKey(movable(file) ?? source, file, options),
};
