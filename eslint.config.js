import js from '@eslint/js';
import tseslint from 'typescript-eslint';
import hooks from 'eslint-plugin-react-hooks';
import boundaries from 'eslint-plugin-boundaries';
import node from 'eslint-plugin-n';
import globals from 'globals';

/**
 * The floors of each package, lowest first. A folder may use itself and what stands before it; a group in brackets holds
 * folders that may not use each other.
 */
const FLOORS = {
  core: [
    'units',
    'figure',
    'materials',
    'shelf',
    ['acid', 'amounts', 'heat', 'color'],
    'skein',
    'process',
    'method',
    'recipe',
    'plan',
    'record',
    'words',
    'document',
    'contract',
  ],
  server: [
    ['upgrade', 'gate', 'threads'],
    'storage',
    'refusals',
    'access',
    'shelf',
    'events',
    ['colorways', 'batches'],
    'cups',
    ['find', 'instruments', 'document', 'backup', 'samples'],
    'live',
    'http',
    'command',
  ],
  web: [
    'theme',
    'api',
    'parts',
    'outbox',
    'studio',
    'batch',
    'find',
    ['book', 'colorways', 'cups', 'pots', 'pour', 'shelf'],
    'frame',
  ],
};

/** Folders as the rule of floors knows them. */
const elements = Object.entries(FLOORS).flatMap(([name, floors]) =>
  floors.flat().map((folder) => ({
    type: `${name}-${folder}`,
    pattern: `packages/${name}/src/${folder}`,
  })),
);

/** What each folder may use. */
const policies = Object.entries(FLOORS).flatMap(([name, floors]) =>
  floors.flatMap((floor, i) =>
    [floor].flat().map((folder) => ({
      from: { element: { type: `${name}-${folder}` } },
      allow: {
        to: {
          element: {
            types: { anyOf: [folder, ...floors.slice(0, i).flat()].map((other) => `${name}-${other}`) },
          },
        },
      },
    })),
  ),
);

/** No part of the house reaches outside its floors. */
const floors = {
  files: ['packages/*/src/*/**/*.{ts,tsx}'],
  ignores: ['**/*.test.{ts,tsx}', 'packages/server/src/upgrade/frozen/**'],
  plugins: { boundaries },
  settings: {
    'boundaries/elements': elements,
    'import/resolver': { node: { extensions: ['.ts', '.tsx'] } },
  },
  rules: {
    'boundaries/dependencies': [
      'error',
      {
        default: 'disallow',
        policies: [{ allow: { to: { module: { origin: ['external', 'core'] } } } }, ...policies],
        message: 'This folder stands below the one it uses. See ARCHITECTURE.md.',
      },
    ],
  },
};

/** What is imported is declared by its own package. */
const declared = {
  files: ['packages/*/src/**/*.{ts,tsx}'],
  plugins: { n: node },
  rules: { 'n/no-extraneous-import': 'error' },
};

const forbid = (patterns, message) => ({
  'no-restricted-imports': ['error', { patterns: [{ group: patterns, message }] }],
});

export default tseslint.config(
  {
    ignores: [
      'packages/server/src/upgrade/frozen/**',
      '**/dist/**',
      '**/node_modules/**',
      'test-results/**',
      '.cache/**',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-console': 'error',
    },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      ...forbid(
        [
          '@ythrion/server*',
          '@ythrion/web*',
          '**/server/**',
          '**/web/**',
          'node:*',
          'fs',
          'path',
          'react*',
          '@mui/*',
          'express',
          'sequelize',
        ],
        'core is pure: no screens, no server, no input or output.',
      ),
      'no-restricted-globals': [
        'error',
        ...['window', 'document', 'process', 'localStorage', 'performance', 'crypto'],
        ...['fetch', 'XMLHttpRequest', 'WebSocket', 'setTimeout', 'setInterval'],
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'core has no clock: take the instant as an argument.' },
        {
          object: 'Math',
          property: 'random',
          message: 'core has no chance: take what is drawn as an argument.',
        },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
          message: 'core has no clock: take the instant as an argument.',
        },
      ],
    },
  },
  {
    files: ['packages/server/**/*.ts'],
    rules: forbid(
      ['@ythrion/web*', '**/web/**', 'react*', '@mui/*'],
      'server depends on core only; web and server meet in the HTTP contract.',
    ),
  },
  {
    files: ['packages/web/**/*.{ts,tsx}'],
    // A server that fails on purpose stands in for the real one in tests.
    ignores: ['packages/web/test/**'],
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      ...forbid(
        ['@ythrion/server*', '**/server/**', 'node:*', 'express', 'sequelize'],
        'web depends on core only; web and server meet in the HTTP contract.',
      ),
    },
    languageOptions: { globals: globals.browser },
  },
  floors,
  declared,
  {
    files: ['scripts/**/*.mjs', '**/*.config.{js,ts}', 'bench/**', 'e2e/**'],
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: { 'no-console': 'off' },
  },
  { files: ['**/*.test.{ts,tsx}', 'e2e/**'], rules: { '@typescript-eslint/no-non-null-assertion': 'off' } },
);
