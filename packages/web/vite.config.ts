import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { withoutJsonSchema } from './withoutJsonSchema.ts';

/**
 * The screens. Routes load when first opened, paper and its fonts (the one large part) when a sheet is made; `npm run dev`
 * says where its server is. All but paper is kept by the browser, so that the bench opens though the server is away.
 */
export default defineConfig({
  plugins: [
    react(),
    withoutJsonSchema(),
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Ythrion',
        short_name: 'Ythrion',
        description: 'Formulate acid dye colorways, run the dye day, keep a record that can be dyed again.',
        display: 'standalone',
        start_url: '/',
        background_color: '#fafafa',
        theme_color: '#141414',
        icons: [
          { src: '/mark-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/mark-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,woff2,svg}'],
        globIgnores: ['**/pdfmake-*', '**/vfs_fonts-*'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        inlineWorkboxRuntime: true,
        sourcemap: false,
      },
    }),
  ],
  build: {
    outDir: 'dist',
    target: 'es2022',
    sourcemap: false,
    chunkSizeWarningLimit: 1600,
    // What most screens share packs better in two files than in sixty.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'core', test: /packages.core/, minShareCount: 10 },
            {
              name: 'ui',
              test: /node_modules.(@mui.(material|system|utils|styled-engine)|@emotion)/,
              minShareCount: 10,
            },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env.YTHRION_SERVER ?? 4780}` } },
});
