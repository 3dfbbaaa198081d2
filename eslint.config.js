import js from '@eslint/js';
import tseslint from 'typescript-eslint';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';

/** One direction only: web -> core, server -> core. Core knows neither, nor any input or output. */
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
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage'],
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
  {
    files: ['scripts/**/*.mjs', '**/*.config.{js,ts}', 'bench/**', 'e2e/**'],
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: { 'no-console': 'off' },
  },
  { files: ['**/*.test.{ts,tsx}', 'e2e/**'], rules: { '@typescript-eslint/no-non-null-assertion': 'off' } },
);
