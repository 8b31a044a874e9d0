const swc = (jsx) => [
  '@swc/jest',
  {
    module: { type: 'commonjs' },
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx: jsx },
      transform: { react: { runtime: 'automatic' } },
    },
  },
]
const shared = {
  // The database's library changes the global Promise back and forth, some moments after a test's last word still: wrapped
  // as "deleted" by the runner, each change wraps it once more, until the stack is full.
  testEnvironmentOptions: { globalsCleanup: 'off' },
  roots: ['<rootDir>/src', '<rootDir>/server', '<rootDir>/demo', '<rootDir>/cases', '<rootDir>/study'],
  // These ship ES modules only; the rest of node_modules is left alone.
  transformIgnorePatterns: ['/node_modules/(?!(react-hotkeys-hook|@tanstack|uuid|@noble)/)'],
  moduleNameMapper: { '\\.css$': '<rootDir>/test/empty.cjs' },
}

export default {
  // A busy machine is no fault: a test that hangs is ended by this, one that is slow is not.
  testTimeout: 120_000,
  maxWorkers: '100%',
  projects: [
    {
      ...shared,
      displayName: 'node',
      testEnvironment: 'node',
      testMatch: ['**/*.test.ts'],
      transform: { '\\.[jt]sx?$': swc(false) },
    },
    {
      ...shared,
      displayName: 'screen',
      testEnvironment: '<rootDir>/test/browser-environment.cjs',
      testMatch: ['**/*.test.tsx'],
      transform: { '\\.[jt]sx?$': swc(true) },
    },
  ],
}
