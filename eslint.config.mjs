import boundaries from 'eslint-plugin-boundaries';
import importX from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import sort from 'eslint-plugin-simple-import-sort';
import tseslint from 'typescript-eslint';

const part = (type, pattern) => ({ type, pattern: `src/${pattern}` });
const may = (from, ...to) => ({
  from: { element: { type: from } },
  allow: { to: { element: { types: { anyOf: to } } } },
});

/** A place may import its own files; another place's are another element of the same type. */
const ownPlace = {
  from: { element: { type: 'place' } },
  allow: { to: { element: { type: 'place', captured: { name: '{{ from.captured.name }}' } } } },
};

/** Type aliases on lines that follow each other share the comment at their head. */
const continuesGroup = (node) => {
  if (node.declaration.type !== 'TSTypeAliasDeclaration') return false;
  const { body } = node.parent;
  const before = body[body.indexOf(node) - 1];
  return (
    before?.declaration?.type === 'TSTypeAliasDeclaration' && before.loc.end.line === node.loc.start.line - 1
  );
};

const documentExports = {
  meta: { schema: [], messages: { missing: 'Say in /** … */ what {{name}} takes, gives and refuses.' } },
  create: (context) => ({
    ExportNamedDeclaration(node) {
      const last = context.sourceCode.getCommentsBefore(node).at(-1);
      if (!node.declaration || last?.value.startsWith('*') || continuesGroup(node)) return;
      const name = node.declaration.id?.name ?? node.declaration.declarations?.[0]?.id?.name ?? 'this';
      context.report({ node, messageId: 'missing', data: { name } });
    },
  }),
};
const lines = (max) => ['error', { max, skipBlankLines: true, skipComments: true }];

export default tseslint.config(
  {
    ignores: [
      '**/*.data.ts',
      '.bench',
      'dist',
      'node_modules',
      'coverage',
      'data',
      'test-results',
      'playwright-report',
    ],
  },
  tseslint.configs.strict,
  {
    files: ['src/**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: {
      boundaries,
      'import-x': importX,
      sort,
      'react-hooks': reactHooks,
      house: { rules: { 'document-exports': documentExports } },
    },
    settings: {
      // Without these settings no-cycle says nothing about TypeScript.
      ...importX.flatConfigs.typescript.settings,
      'import/resolver': { typescript: true },
      'boundaries/elements': [
        part('format', 'core/formats/*'),
        part('core', 'core'),
        part('platform', 'platform'),
        part('book', 'book'),
        part('ui', 'ui'),
        { ...part('place', 'places/*'), capture: ['name'] },
        part('entry', 'entry'),
        part('app', 'app'),
        part('hub', 'hub'),
        part('cli', 'cli'),
        part('demo', 'demo'),
      ],
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: [
            may('core', 'core', 'format'),
            may('format', 'core'),
            may('platform', 'platform', 'core'),
            may('book', 'book', 'core', 'platform'),
            may('ui', 'ui'),
            may('place', 'ui', 'book', 'core', 'platform'),
            ownPlace,
            may('app', 'place', 'ui', 'book', 'platform'),
            may('entry', 'platform'),
            may('hub', 'hub', 'core', 'demo'),
            may('cli', 'cli', 'core'),
            may('demo', 'demo', 'core'),
          ],
        },
      ],
      'boundaries/no-unknown-files': 'error',
      'import-x/no-cycle': 'error',
      'import-x/no-default-export': 'error',
      'sort/imports': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      // A copy without a key is made by copying and deleting; nothing that others hold is deleted from.
      '@typescript-eslint/no-dynamic-delete': 'off',
      'max-lines': lines(300),
      'max-lines-per-function': ['warn', lines(50)[1]],
      complexity: ['warn', 12],
    },
  },
  { files: ['src/{app,book,places,ui}/**/*.{ts,tsx}'], rules: reactHooks.configs.recommended.rules },
  {
    files: ['src/**'],
    ignores: ['src/core/**'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: 'lucide-react-native',
              message: 'its index brings every icon along; see ui/icons',
              allowTypeImports: true,
            },
          ],
          patterns: [
            { regex: '/core/(?!formats/)[^/]+/(?!index)', message: 'import core/<folder>, not a file in it' },
          ],
        },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'house/document-exports': 'error',
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: '^(node:|react|expo|express|@reduxjs)', message: 'core is pure' }] },
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now' },
        { object: 'Math', property: 'random' },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'take `now`' },
      ],
    },
  },
  { files: ['src/app/**/*.tsx'], rules: { 'import-x/no-default-export': 'off', 'max-lines': lines(60) } },
  {
    files: ['**/*.test.*'],
    rules: { 'max-lines': 'off', 'max-lines-per-function': 'off', 'boundaries/dependencies': 'off' },
  },
  { files: ['*.js', 'test/**/*.js'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
);
