const core = require('../core/jest.config.cjs');
// the editors' programme against a real server: real SQLite, real HTTP
module.exports = {
  ...core,
  displayName: 'sync',
  testMatch: ['<rootDir>/sync/**/*.test.ts'],
  moduleNameMapper: { ...core.moduleNameMapper, '^@/(.*)$': '<rootDir>/../client/src/$1' },
};
