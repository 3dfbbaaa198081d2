import fc from 'fast-check';

/** Random cases are the same ones every time; another number in YTHRION_SEED tries others. */
fc.configureGlobal({ seed: Number(process.env.YTHRION_SEED ?? 20_261_126) });
