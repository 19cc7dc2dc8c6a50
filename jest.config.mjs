/** Unit tests stand beside their source; the browser tests of e2e/ belong to Playwright. */
const config = {
  testEnvironment: 'node',
  testMatch: ['<rootDir>/{src,cli,scripts}/**/*.test.{ts,tsx}'],
  testTimeout: 30000,
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
      },
    ],
  },
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '^@content/(.*)$': '<rootDir>/content/$1' },
  modulePathIgnorePatterns: ['<rootDir>/.next/'],
};
export default config;
