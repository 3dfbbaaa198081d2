import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** The core's schemas, and what they are made of. */
const schemas = new Set<string>();
const isSchema = (id: string): boolean => schemas.has(id);

/**
 * The screens. Routes load when first opened, paper and its fonts (the one large part) when a sheet is made; `npm run dev`
 * says where its server is. All but paper is kept by the browser, so that the bench opens though the server is away.
 */
export default defineConfig({
  plugins: [
    react(),
    notedSchemas(),
    withoutJsonSchema(),
    withoutUnusedParts(),
    withoutUnusedComponents(),
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
  // The package hands its build for developers to everybody; this is the same without their warnings.
  resolve: {
    alias: [
      {
        find: /^react-router$/,
        replacement: new URL('../production/index.mjs', import.meta.resolve('react-router')).pathname,
      },
    ],
  },
  build: {
    outDir: 'dist',
    target: 'es2022',
    sourcemap: false,
    chunkSizeWarningLimit: 1600,
    rolldownOptions: {
      treeshake: { propertyReadSideEffects: false },
      output: {
        codeSplitting: {
          groups: [
            // How a card reads is asked for at the pots and in the book, never by Pour.
            {
              name: 'card',
              test: /core\/src\/words\/(lineWords|vesselWords|jarToMake)\.ts$/,
              includeDependenciesRecursively: false,
              priority: 3,
            },
            // What runs along the lower edge while anything is wet, and what enters into a record: one file, not a dozen.
            {
              name: 'wet',
              test: /web\/src\/(frame\/(Hob|Ring)|batch\/(usePot|potView|useRecord|enterInto)|parts\/(Vessel|useNow|restKeys|SaidHere|AskedFor))\.tsx?$|core\/src\/record\/(due|recordState|newEvent|momentOf)\.ts$/,
              includeDependenciesRecursively: false,
              priority: 4,
            },
            // What most screens share packs better in one file than in sixty.
            { name: 'shared', minShareCount: 9, test: (id) => !isSchema(id), priority: 2 },
            // Schemas and what reads them are a fifth of the whole, and the bench asks for none.
            { name: 'schemas', test: isSchema, includeDependenciesRecursively: false, priority: 1 },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env.YTHRION_SERVER ?? 4780}` } },
});

/**
 * Leaves out of the screens what zod makes JSON Schemas with: every schema refers to it, none of the screens asks for it,
 * and it is a fifth of zod. Whoever does ask is told.
 */
function withoutJsonSchema(): Plugin {
  const refused = `() => { throw new Error('JSON Schemas are made by the server, not by the screens.'); }`;
  return {
    name: 'without-json-schema',
    apply: 'build',
    transform(_code, id) {
      if (/zod\/v4\/core\/to-json-schema\.js$/.test(id))
        return `const no = ${refused};
          export const createToJSONSchemaMethod = () => no, createStandardJSONSchemaMethod = () => no;
          export const initializeContext = no, processSchema = no, process = no, extractDefs = no, finalize = no, handleUnrepresentable = no;`;
      if (/zod\/v4\/core\/json-schema-(processors|generator)\.js$/.test(id)) {
        const names = [..._code.matchAll(/export (?:const|function|class) (\w+)/g)].map((found) => found[1]);
        return `const no = ${refused}; export const ${names.map((name) => `${name} = no`).join(', ')};`;
      }
      return null;
    },
  };
}

const GROWING_TEXT = `import { createElement, forwardRef } from 'react';
  export default forwardRef(({ minRows = 2, maxRows, style, ...props }, ref) =>
    createElement('textarea', { ...props, ref, rows: minRows, style: { ...style, fieldSizing: 'content' } }));`;

/**
 * Leaves out what packages bring along and no screen uses: the theme turns the ripple of MUI's buttons off, no button has
 * a spinner of its own, every field has its outline, and no component is wrapped by `withTheme`, which alone copies
 * another's statics. Whoever wants one of them takes its name out of here.
 */
function withoutUnusedParts(): Plugin {
  return {
    name: 'without-unused-parts',
    apply: 'build',
    transform(_code, id) {
      if (
        /@mui\/material\/(ButtonBase\/TouchRipple|CircularProgress\/CircularProgress|Input\/Input)\.m?js$/.test(
          id,
        )
      )
        return 'export default function Unseen() { return null; }';
      // A browser lets a text grow by itself.
      if (/@mui\/material\/TextareaAutosize\/TextareaAutosize\.m?js$/.test(id)) return GROWING_TEXT;
      // No list here is fetched page by page.
      if (/@tanstack\/query-core\/build\/modern\/infiniteQueryBehavior\.js$/.test(id))
        return 'const no = () => undefined; export { no as hasNextPage, no as hasPreviousPage, no as infiniteQueryBehavior };';
      return /hoist-non-react-statics\/dist\/[\w.-]*js$/.test(id)
        ? 'export default (target) => target;'
        : null;
    },
  };
}

/**
 * Lets what packages make of React and nobody uses fall away: that making a component or a context does nothing else is
 * said where they do not say it, and the names they give for the developer's eye, each of which keeps one alive, are left out.
 */
function withoutUnusedComponents(): Plugin {
  return {
    name: 'without-unused-components',
    apply: 'build',
    transform(code, id) {
      if (!id.includes('node_modules') || !/from ['"]react['"]/.test(code)) return null;
      return code
        .replace(/^\w+\.displayName = ["'][^"']*["'];$/gm, '')
        .replace(
          /= (?=(?:React\d*\.)?(?:forwardRef\d*|memo|createContext|createElement)\()/g,
          '= /* @__PURE__ */ ',
        );
    },
  };
}

/** Notes which modules those are, as they come by. */
function notedSchemas(): Plugin {
  return {
    name: 'noted-schemas',
    apply: 'build',
    transform(code, id) {
      if (
        id.includes('node_modules/zod/') ||
        (id.includes('packages/core/src/') && /from ["']zod["']/.test(code))
      )
        schemas.add(id);
      return null;
    },
  };
}
