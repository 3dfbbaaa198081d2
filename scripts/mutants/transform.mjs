// Jest's own transform of TypeScript, with every number of one folder able to be moved while the tests run.
import { readFileSync } from 'node:fs';
import swcJest from '@swc/jest';

/** @type {any} */
const swc = swcJest.createTransformer({
  jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2022' },
  module: { type: 'commonjs' },
});
/** @type {Record<string, string>} */
const texts = JSON.parse(readFileSync(process.env.YTHRION_MOVABLE ?? '', 'utf8'));

export default {
  ...swc,
  /** @param {string} source @param {string} file @param {any} options */
  process: (source, file, options) => swc.process(texts[file] ?? source, file, options),
  /** @param {string} source @param {string} file @param {any} options */
  getCacheKey: (source, file, options) => swc.getCacheKey(texts[file] ?? source, file, options),
};
