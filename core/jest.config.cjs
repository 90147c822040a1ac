module.exports = {
  displayName: 'core',
  testEnvironment: 'node',
  // the package's patterned exports are more than this resolver follows
  moduleNameMapper: { '^chrono-node/en$': require.resolve('chrono-node/en') },
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transform: {
    '^.+\\.ts$': ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'commonjs' } }],
    '^.+/node_modules/.+\\.m?js$': ['@swc/jest', { jsc: { target: 'es2022' }, module: { type: 'commonjs' } }],
  },
  transformIgnorePatterns: [],
};
