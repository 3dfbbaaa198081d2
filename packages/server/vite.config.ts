import { defineConfig } from 'vite';

/** The server as one file with the core inside it; registry packages stay in node_modules. */
export default defineConfig({
  build: { ssr: 'src/main.ts', outDir: 'dist', target: 'node20', sourcemap: true },
  ssr: { noExternal: ['@ythrion/core'] },
});
