/** Unit tests: the core beside the code, the server against a real PostgreSQL. */
const transform = {
  '^.+\\.[mc]?[tj]sx?$': [
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
// Packages that are ES modules only are translated too.
const transformIgnorePatterns = [
  '/node_modules/(?!(fractional-indexing|parse5|entities|@noble|@capsizecss|fontkitten|@marcbachmann|make-plural)/)',
];

export default {
  // A machine shared with others may stand still for seconds.
  testTimeout: 60_000,
  // Left to itself it keeps one of two processors free.
  maxWorkers: 2,
  projects: [
    {
      displayName: 'core',
      rootDir: import.meta.dirname,
      roots: ['<rootDir>/core', '<rootDir>/demo', '<rootDir>/web'],
      testMatch: ['**/*.test.ts'],
      transform,
      transformIgnorePatterns,
    },
    {
      // Parts of the interface as a browser has them, without laying anything out.
      displayName: 'interface',
      rootDir: import.meta.dirname,
      roots: ['<rootDir>/web'],
      testMatch: ['**/*.test.tsx'],
      testEnvironment: 'jsdom',
      setupFiles: ['<rootDir>/web/test/browser.ts'],
      setupFilesAfterEnv: ['@testing-library/jest-dom'],
      moduleNameMapper: { '\\.css$': '<rootDir>/web/test/no-style.ts' },
      transform,
      transformIgnorePatterns,
    },
    {
      displayName: 'server',
      rootDir: import.meta.dirname,
      roots: ['<rootDir>/server'],
      testMatch: ['**/*.test.ts'],
      transform,
      transformIgnorePatterns,
    },
  ],
};
