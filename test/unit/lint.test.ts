// One planted fault for each rule of the linter's that is set here, so that a rule that has gone silent is seen.
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';

const ROOT = join(__dirname, '../..');

interface Planted {
  readonly name: string;
  /** A file there is, whose text is replaced by the planted one. */
  readonly file: string;
  readonly text: string;
  /** The rules that must speak; none for what is allowed. */
  readonly rules: readonly string[];
}

const cases: readonly Planted[] = [
  {
    name: 'core may not read the clock',
    file: 'src/core/card/row.ts',
    text: '/** x */\nexport const x = () => [Date.now(), new Date()];',
    rules: ['no-restricted-properties', 'no-restricted-syntax'],
  },
  {
    name: 'core may not throw dice',
    file: 'src/core/card/row.ts',
    text: '/** x */\nexport const x = () => Math.random();',
    rules: ['no-restricted-properties'],
  },
  {
    name: 'core documents what it exports',
    file: 'src/core/card/row.ts',
    text: 'export const x = 1;',
    rules: ['house/document-exports'],
  },
  {
    name: 'nobody imports every icon',
    file: 'src/ui/parts/Act.tsx',
    text: "import { Sun } from 'lucide-react-native';\n\nexport const x = Sun;",
    rules: ['@typescript-eslint/no-restricted-imports'],
  },
  {
    name: 'no default export',
    file: 'src/book/state/actions.ts',
    text: 'export default 1;',
    rules: ['no-restricted-syntax'],
  },
  {
    name: 'imports are sorted',
    file: 'src/book/state/actions.ts',
    text: "import b from 'zod';\nimport a from 'comlink';\n\nexport const x = [a, b];",
    rules: ['sort/imports'],
  },
  {
    name: 'a promise is not left alone',
    file: 'src/book/state/actions.ts',
    text: 'Promise.resolve(1);',
    rules: ['@typescript-eslint/no-floating-promises'],
  },
  {
    name: 'a switch has every case',
    file: 'src/book/state/actions.ts',
    text: "export function x(y: 'a' | 'b') {\n  switch (y) {\n    case 'a':\n      return 1;\n  }\n  return 2;\n}",
    rules: ['@typescript-eslint/switch-exhaustiveness-check'],
  },
  {
    name: 'a file stays under 300 lines',
    file: 'src/book/state/actions.ts',
    text: Array.from({ length: 301 }, (_, i) => `export const x${i} = 1;`).join('\n'),
    rules: ['max-lines'],
  },
  {
    name: 'a route is thin',
    file: 'src/app/settings.tsx',
    text: Array.from({ length: 61 }, (_, i) => `export const x${i} = 1;`).join('\n'),
    rules: ['max-lines'],
  },
];

/** ESLint in a process of its own: it is an ES module, which Jest's world does not load. */
function lint(): Record<string, string[]> {
  const script = `
    import { ESLint } from 'eslint';
    // The command reads all files at once, from the disk; a text that stands in no file takes the service.
    const parserOptions = { project: null, projectService: true };
    const overrideConfig = [{ files: ['src/**/*.{ts,tsx}'], languageOptions: { parserOptions } }];
    const eslint = new ESLint({ cwd: ${JSON.stringify(ROOT)}, overrideConfig });
    const found = {};
    for (const { name, file, text } of ${JSON.stringify(cases)}) {
      const [result] = await eslint.lintText(text, { filePath: ${JSON.stringify(`${ROOT}/`)} + file });
      found[name] = result.messages.filter(({ severity }) => severity === 2).map(({ ruleId, message }) => ruleId ?? message);
    }
    console.log(JSON.stringify(found));`;
  const printed = execFileSync(process.execPath, ['--input-type=module', '-e', script], {
    cwd: ROOT,
    encoding: 'utf8',
  });
  return JSON.parse(printed.slice(printed.indexOf('{"'))) as Record<string, string[]>;
}

let found: Record<string, string[]>;
beforeAll(() => {
  found = lint();
});

for (const { name, rules } of cases) {
  test(`lint: ${name}`, () => {
    if (rules.length === 0) expect(found[name]).toEqual([]);
    else expect(found[name]).toEqual(expect.arrayContaining([...rules]));
  });
}
