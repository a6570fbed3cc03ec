import reactHooks from 'eslint-plugin-react-hooks';
import sort from 'eslint-plugin-simple-import-sort';
import tseslint from 'typescript-eslint';

const DEFAULT_EXPORT = { selector: 'ExportDefaultDeclaration', message: 'export it by its name' };

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

// Who may import whom is checked by scripts/checks/imports.cjs, which looks through indexes and takes a second.
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
    languageOptions: { parserOptions: { project: './tsconfig.json', tsconfigRootDir: import.meta.dirname } },
    plugins: {
      sort,
      'react-hooks': reactHooks,
      house: { rules: { 'document-exports': documentExports } },
    },
    rules: {
      'no-restricted-syntax': ['error', DEFAULT_EXPORT],
      'sort/imports': 'error',
      'sort/exports': 'error',
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
  {
    files: ['test/**/*.{ts,tsx}', 'scripts/**/*.ts'],
    plugins: { sort },
    rules: { 'sort/imports': 'error' },
  },
  {
    // What stands in for pieces of packages is read by Metro as those are: as modules of Node.
    files: ['scripts/metro/standins/*.js'],
    rules: {
      '@typescript-eslint/no-require-imports': 'off',
      '@typescript-eslint/no-extraneous-class': 'off',
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
        },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'house/document-exports': 'error',
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now' },
        { object: 'Math', property: 'random' },
      ],
      'no-restricted-syntax': [
        'error',
        DEFAULT_EXPORT,
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'take `now`' },
      ],
    },
  },
  { files: ['**/*.d.ts'], rules: { 'no-restricted-syntax': 'off' } },
  { files: ['src/app/**/*.tsx'], rules: { 'no-restricted-syntax': 'off', 'max-lines': lines(60) } },
  {
    files: ['**/*.test.*'],
    rules: { 'max-lines': 'off', 'max-lines-per-function': 'off' },
  },
  { files: ['*.js', '**/*.cjs', 'test/**/*.js'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
);
