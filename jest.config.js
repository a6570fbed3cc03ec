const alias = { '^@/(.*)$': '<rootDir>/src/$1' };

/** Plain TypeScript runs in Node; what draws something runs with jest-expo's web preset. */
module.exports = {
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      testMatch: [
        '<rootDir>/src/{core,cli,demo,hub,book,platform}/**/*.test.ts',
        '<rootDir>/test/unit/**/*.test.ts',
      ],
      transform: {
        '\\.[jt]sx?$': ['babel-jest', { caller: { name: 'metro', bundler: 'metro', platform: 'web' } }],
      },
      transformIgnorePatterns: [
        '/node_modules/(?!(comlink|@react-native-async-storage|expo.*|@expo.*|react-native.*)/)',
      ],
      moduleNameMapper: alias,
    },
    {
      displayName: 'ui',
      preset: 'jest-expo/web',
      testMatch: ['<rootDir>/src/{ui,places,app}/**/*.test.tsx', '<rootDir>/src/book/**/*.test.tsx'],
      moduleNameMapper: { ...alias, '\\.css$': '<rootDir>/test/unit/emptyStyle.js' },
    },
  ],
};
