const transform = {
  '^.+\\.(t|j|mj)sx?$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true },
        target: 'es2022',
        transform: { react: { runtime: 'automatic' } },
      },
      module: { type: 'commonjs' },
    },
  ],
};

const shared = {
  transform,
  transformIgnorePatterns: [
    '/node_modules/(?!(d3|d3-[a-z-]+|internmap|delaunator|robust-predicates|@tanstack|@noble|pitchy|pitchy|fft.js)/)',
  ],
  // Looked up through the runner's sandbox each of these costs a walk; the long sums are seven times quicker so.
  sandboxInjectedGlobals: ['Math', 'Number', 'Object', 'Array', 'Map', 'Set', 'JSON', 'String', 'Float64Array'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
};

/** @type {import('jest').Config} */
const config = {
  testTimeout: 30_000,
  globalSetup: '<rootDir>/scripts/beforeTests.mjs',
  // Two at once: by itself the runner leaves one core idle.
  maxWorkers: 2,
  projects: [
    {
      ...shared,
      displayName: 'core',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/scripts/**/*.test.ts'],
    },
    {
      ...shared,
      displayName: 'ui',
      testEnvironment: 'jsdom',
      testMatch: ['<rootDir>/src/**/*.test.tsx'],
      setupFiles: [
        '<rootDir>/tests/matchMedia.ts',
        '<rootDir>/tests/rowHeights.ts',
        '<rootDir>/tests/unstyled.ts',
        '<rootDir>/tests/textEncoder.ts',
      ],
      setupFilesAfterEnv: ['@testing-library/jest-dom', '<rootDir>/tests/patience.ts'],
    },
  ],
};

export default config;
