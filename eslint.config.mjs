import boundaries from 'eslint-plugin-boundaries';
import next from 'eslint-config-next/core-web-vitals';
import nextTypescript from 'eslint-config-next/typescript';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';

/** What each layer may import besides itself; imports point down only. */
const MAY_IMPORT = {
  core: [],
  model: ['core'],
  sim: ['core', 'model'],
  worker: ['core'],
  store: ['model', 'core'],
  ui: ['model', 'core'],
  features: ['core', 'model', 'sim', 'worker', 'store', 'ui'],
  // A route handler asks the threads; pages ask through the features.
  app: ['features', 'ui', 'worker', 'core'],
};

const layers = Object.keys(MAY_IMPORT);
const NO_TABLES = {
  group: [
    '**/core/registry',
    '**/core/reckon',
    '**/core/**/data/*',
    '@/core/registry',
    '@/core/reckon',
    '@/core/**/data/*',
  ],
  message: 'Only the worker, the command line and the HTTP route may pull the tables in; ask through the worker.',
};

export default tseslint.config(
  { ignores: ['.next/**', 'node_modules/**', 'next-env.d.ts', 'test-results/**', 'playwright-report/**'] },
  ...next,
  ...nextTypescript,
  {
    files: ['**/*.ts', '**/*.tsx'],
    extends: [...tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { projectService: true } },
    // Props and surroundings are plain functions written in method form; none uses `this`.
    rules: {
      '@typescript-eslint/unbound-method': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
  {
    files: ['src/**/*.ts', 'src/**/*.tsx'],
    plugins: { boundaries },
    settings: {
      'boundaries/elements': layers.map((type) => ({ type, pattern: `src/${type}` })),
      'import/resolver': { typescript: { alwaysTryTypes: true } },
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: layers.map((type) => ({
            from: { element: { type } },
            allow: [type, ...MAY_IMPORT[type]].map((to) => ({ to: { element: { type: to } } })),
          })),
        },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['react', 'react-*', 'next', 'next/*', '@mui/*', 'localforage', 'comlink', 'zustand'],
              message: 'The core has no interface, storage or framework.',
            },
          ],
        },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'localStorage',
        'sessionStorage',
        'indexedDB',
        'fetch',
        'navigator',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'A seed comes in; the same input gives the same output.' },
        { object: 'Date', property: 'now', message: 'The core has no clock; today comes in.' },
      ],
    },
  },
  {
    files: ['src/model/**/*', 'src/store/**/*', 'src/ui/**/*', 'src/features/**/*', 'src/app/**/*.tsx'],
    rules: { 'no-restricted-imports': ['error', { patterns: [NO_TABLES] }] },
  },
  {
    // Photographs are blobs of this browser, which no image service can reach.
    files: ['src/features/photos/StepPhotos.tsx'],
    rules: { '@next/next/no-img-element': 'off' },
  },
  prettier,
);
