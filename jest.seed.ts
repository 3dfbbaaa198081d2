import fc from 'fast-check';

const { YTHRION_SEED = '20261126', YTHRION_MOST_MS } = process.env;

/**
 * Random cases are the same ones every time; another number in YTHRION_SEED tries others. Where every test is run hundreds
 * of times over, each stops trying after YTHRION_MOST_MS.
 */
fc.configureGlobal({
  seed: Number(YTHRION_SEED),
  ...(YTHRION_MOST_MS !== undefined && { interruptAfterTimeLimit: Number(YTHRION_MOST_MS) }),
});
