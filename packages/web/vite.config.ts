import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** The screens. Routes load when first opened, paper and its fonts (the one large part) when a sheet is made; `npm run dev` says where its server is. */
export default defineConfig({
  plugins: [react()],
  build: { outDir: 'dist', target: 'es2022', sourcemap: false, chunkSizeWarningLimit: 1600 },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env.YTHRION_SERVER ?? 4780}` } },
});
