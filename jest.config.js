const webPreset = require('jest-expo/web/jest-preset');

const alias = {
  '^@/(.*)$': '<rootDir>/src/$1',
  // Jest doesn't follow a pattern among the exports of a package.
  '^chrono-node/en$': '<rootDir>/node_modules/chrono-node/dist/cjs/locales/en/index.js',
};

/** The icons as CommonJS: Jest doesn't turn ES modules of that ending into it. */
const icons = {
  '^lucide-react-native/icons/(.*)$': '<rootDir>/node_modules/lucide-react-native/dist/cjs/icons/$1.js',
};

/** What a test replaces modules in goes through Babel as Metro would call it. */
const transform = [
  '<rootDir>/test/jest/transform.cjs',
  {
    babel: {
      // Babel's own settings are Metro's, whose imports go past the indexes that tests replace.
      configFile: false,
      presets: [['babel-preset-expo', { jsxImportSource: 'nativewind' }]],
      caller: { name: 'metro', bundler: 'metro', platform: 'web' },
      // What is loaded when it is first needed is loaded like all else here.
      plugins: ['@babel/plugin-transform-dynamic-import'],
    },
  },
];

/** The preset's packages that stay as they are, but for those that have nothing but ES modules. */
const ignored = webPreset.transformIgnorePatterns.map((pattern) =>
  pattern.includes('(?!') ? pattern.replace('(?!', '(?!any-ascii|@noble|') : pattern,
);

/** Plain TypeScript in Node. */
const inNode = {
  testEnvironment: 'node',
  transform: { '\\.[jt]sx?$': transform },
  transformIgnorePatterns: [
    '/node_modules/(?!(comlink|any-ascii|@noble|@react-native-async-storage|expo.*|@expo.*|react-native.*)/)',
  ],
  moduleNameMapper: alias,
};

/** What keeps something in the hub's store is tried again on PostgreSQL, where scripts/postgres.mjs has started one. */
const onPostgres = {
  ...inNode,
  displayName: 'postgres',
  testMatch: [
    '<rootDir>/src/hub/{access,api,dav,directory,standins,store,sync}/**/*.test.ts',
    '<rootDir>/src/hub/{doctor,stageDirectory}.test.ts',
    '<rootDir>/test/unit/{restore,processes/*,convergence/convergence}.test.ts',
  ],
  // How SQLite itself is locked and fails.
  testPathIgnorePatterns: ['store/busy\\.test', 'api/answers\\.test'],
  setupFiles: ['<rootDir>/test/jest/onPostgres.cjs'],
};

/** Plain TypeScript runs in Node; what draws something runs with jest-expo's web preset. */
module.exports = {
  // Ends a test that hangs. How fast one is says nothing here: a busy machine is ten times slower.
  testTimeout: 180_000,
  projects: [
    {
      ...inNode,
      displayName: 'core',
      testMatch: [
        '<rootDir>/src/{core,cli,demo,hub,book,places,platform,texts,ui}/**/*.test.ts',
        '<rootDir>/test/unit/**/*.test.ts',
      ],
    },
    ...(process.env.TEST_POSTGRES === undefined ? [] : [onPostgres]),
    {
      displayName: 'ui',
      preset: 'jest-expo/web',
      testMatch: ['<rootDir>/src/{ui,places,app,platform}/**/*.test.tsx', '<rootDir>/src/book/**/*.test.tsx'],
      transform: {
        '^(?!.*/node_modules/).*\\.tsx?$': transform,
        '/node_modules/(any-ascii|@noble)/': transform,
      },
      transformIgnorePatterns: ignored,
      moduleNameMapper: {
        '^react-native$': 'react-native-web',
        ...alias,
        ...icons,
        '\\.css$': '<rootDir>/test/unit/emptyStyle.js',
      },
    },
  ],
};
