// One planted fault for each rule of the layers, so that a rule that has gone silent is seen.
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
    name: 'core may not import React',
    file: 'src/core/card/date.ts',
    text: "import { useState } from 'react';\n/** x */\nexport const x = useState;",
    rules: ['no-restricted-imports'],
  },
  {
    name: 'core may not import Node',
    file: 'src/core/card/date.ts',
    text: "import { readFileSync } from 'node:fs';\n/** x */\nexport const x = readFileSync;",
    rules: ['no-restricted-imports'],
  },
  {
    name: 'core may not read the clock',
    file: 'src/core/card/date.ts',
    text: '/** x */\nexport const x = () => [Date.now(), new Date()];',
    rules: ['no-restricted-properties', 'no-restricted-syntax'],
  },
  {
    name: 'core may not throw dice',
    file: 'src/core/card/date.ts',
    text: '/** x */\nexport const x = () => Math.random();',
    rules: ['no-restricted-properties'],
  },
  {
    name: 'core may not import the state',
    file: 'src/core/card/date.ts',
    text: "import { undo } from '@/book';\n/** x */\nexport const x = undo;",
    rules: ['boundaries/dependencies'],
  },
  {
    name: 'core documents what it exports',
    file: 'src/core/card/date.ts',
    text: 'export const x = 1;',
    rules: ['house/document-exports'],
  },
  {
    name: 'a format may not import another format',
    file: 'src/core/formats/jscontact/index.ts',
    text: "import { vcard4 } from '../vcard';\n/** x */\nexport const x = vcard4;",
    rules: ['boundaries/dependencies'],
  },
  {
    name: 'the design system may not know the store',
    file: 'src/ui/parts/Act.tsx',
    text: "import { undo } from '@/book';\n\nexport const x = undo;",
    rules: ['boundaries/dependencies'],
  },
  {
    name: 'the design system may not know cards',
    file: 'src/ui/parts/Act.tsx',
    text: "import { shownAs } from '@/core/card';\n\nexport const x = shownAs;",
    rules: ['boundaries/dependencies'],
  },
  {
    name: 'the state may not know screens',
    file: 'src/book/actions.ts',
    text: "import { Act } from '@/ui';\n\nexport const x = Act;",
    rules: ['boundaries/dependencies'],
  },
  {
    name: 'a place may not import another place',
    file: 'src/places/book/BookRow.tsx',
    text: "import { CardPage } from '../card/CardPage';\n\nexport const x = CardPage;",
    rules: ['boundaries/dependencies'],
  },
  {
    name: 'a place may import its own files',
    file: 'src/places/book/BookRow.tsx',
    text: "import { BookHead } from './BookHead';\n\nexport const x = BookHead;",
    rules: [],
  },
  {
    name: 'the hub may not import screens',
    file: 'src/hub/api/demoApi.ts',
    text: "import { Act } from '@/ui';\n\nexport const x = Act;",
    rules: ['boundaries/dependencies'],
  },
  {
    name: 'nobody reaches past the index of a core folder',
    file: 'src/book/actions.ts',
    text: "import { shownAs } from '@/core/card/name/shownAs';\n\nexport const x = shownAs;",
    rules: ['@typescript-eslint/no-restricted-imports'],
  },
  {
    name: 'nobody imports every icon',
    file: 'src/ui/parts/Act.tsx',
    text: "import { Sun } from 'lucide-react-native';\n\nexport const x = Sun;",
    rules: ['@typescript-eslint/no-restricted-imports'],
  },
  {
    name: 'files may not import each other in a circle',
    file: 'src/core/json.ts',
    text: "import { newCard } from './card';\n/** x */\nexport const isObject = newCard, isSameJson = newCard, own = newCard;",
    rules: ['import-x/no-cycle'],
  },
  {
    name: 'no default export',
    file: 'src/book/actions.ts',
    text: 'export default 1;',
    rules: ['import-x/no-default-export'],
  },
  {
    name: 'imports are sorted',
    file: 'src/book/actions.ts',
    text: "import b from 'zod';\nimport a from 'comlink';\n\nexport const x = [a, b];",
    rules: ['sort/imports'],
  },
  {
    name: 'a promise is not left alone',
    file: 'src/book/actions.ts',
    text: 'Promise.resolve(1);',
    rules: ['@typescript-eslint/no-floating-promises'],
  },
  {
    name: 'a switch has every case',
    file: 'src/book/actions.ts',
    text: "export function x(y: 'a' | 'b') {\n  switch (y) {\n    case 'a':\n      return 1;\n  }\n  return 2;\n}",
    rules: ['@typescript-eslint/switch-exhaustiveness-check'],
  },
  {
    name: 'a file stays under 300 lines',
    file: 'src/book/actions.ts',
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
    const eslint = new ESLint({ cwd: ${JSON.stringify(ROOT)} });
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
}, 180_000);

for (const { name, rules } of cases) {
  test(`lint: ${name}`, () => {
    if (rules.length === 0) expect(found[name]).toEqual([]);
    else expect(found[name]).toEqual(expect.arrayContaining([...rules]));
  });
}
