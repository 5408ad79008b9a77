/** Unit tests run with swc so that decorators keep their metadata; tests of shop/ and data/ get a database from globalSetup. */
const config = {
  testEnvironment: 'node',
  roots: ['<rootDir>/src'],
  setupFiles: ['reflect-metadata', '<rootDir>/scripts/jestBrowser.mjs'],
  moduleNameMapper: { '\\.module\\.css$': '<rootDir>/scripts/jestCss.mjs', '^@/(.*)$': '<rootDir>/src/$1' },
  transform: {
    '^.+\\.(t|j|mj)sx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true, decorators: true },
          transform: {
            legacyDecorator: true,
            decoratorMetadata: true,
            useDefineForClassFields: false,
            react: { runtime: 'automatic' },
          },
          target: 'es2022',
          keepClassNames: true,
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!tinyqueue|stemmer|p-limit|yocto-queue|@tanstack|react-hotkeys-hook)'],
  // Patience for a slow machine: no test asks how long a thing takes.
  testTimeout: 240_000,
};

export default config;
