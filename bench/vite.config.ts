import { defineConfig } from 'vite';

/** The benchmarks as one file, with the sources they measure inside it. */
export default defineConfig({
  root: import.meta.dirname,
  build: { ssr: 'bench.ts', outDir: '../.cache/bench', emptyOutDir: true, target: 'node20' },
  ssr: { noExternal: ['@ythrion/core'] },
});
