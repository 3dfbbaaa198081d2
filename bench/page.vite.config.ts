import { defineConfig } from 'vite';

/** The plan's benchmark as one script for a page. */
export default defineConfig({
  root: import.meta.dirname,
  build: {
    lib: { entry: 'page.ts', formats: ['iife'], name: 'bench', fileName: () => 'plan.js' },
    outDir: '../.cache/bench-page',
    emptyOutDir: true,
  },
});
