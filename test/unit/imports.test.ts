// One planted fault for each rule about who imports whom, so that a rule that has gone silent is seen.
import { checkImports, dependentsOf } from '../../scripts/checks/imports.cjs';
import { readSources } from '../../scripts/checks/readSources.cjs';
import { checkTexts } from '../../scripts/checks/texts.cjs';

const files: ReadonlyMap<string, string> = readSources(['src']);

interface Planted {
  readonly name: string;
  /** Put beside the files there are. */
  readonly file: string;
  readonly text: string;
  /** The rule that must speak; none for what is allowed. */
  readonly rule?: string;
}

const cases: readonly Planted[] = [
  {
    name: 'core may not import React',
    file: 'src/core/card/planted.ts',
    text: "import { useState } from 'react';",
    rule: 'pure',
  },
  {
    name: 'core may not import Node',
    file: 'src/core/card/planted.ts',
    text: "import { readFileSync } from 'node:fs';",
    rule: 'pure',
  },
  {
    name: 'core may not import the state',
    file: 'src/core/card/planted.ts',
    text: "import { undo } from '@/book/commit';",
    rule: 'layers',
  },
  {
    name: 'a domain may not import a domain above it',
    file: 'src/core/card/planted.ts',
    text: "import { mergeCards } from '@/core/tidy';",
    rule: 'domains',
  },
  {
    name: 'a domain may import a domain below it',
    file: 'src/core/tidy/planted.ts',
    text: "import { shownAs } from '@/core/card';",
  },
  {
    name: 'another domain is entered by its index',
    file: 'src/core/tidy/planted.ts',
    text: "import { shownAs } from '@/core/card/name/shownAs';",
    rule: 'through the index',
  },
  {
    name: 'another domain is entered by its index, not by a path',
    file: 'src/core/tidy/planted.ts',
    text: "import { shownAs } from '../card';",
    rule: 'through the index',
  },
  {
    name: 'the state is entered by its indexes as well',
    file: 'src/places/tidy/planted.ts',
    text: "import { undo } from '@/book/commit/changeBook';",
    rule: 'through the index',
  },
  {
    name: 'files of one domain don’t go through its index',
    file: 'src/core/card/planted.ts',
    text: "import { shownAs } from '@/core/card';",
    rule: 'own files by path',
  },
  {
    name: 'a format may not import another format',
    file: 'src/core/formats/jscontact/planted.ts',
    text: "import { vcard4 } from '../vcard/vcardFormats';",
    rule: 'formats',
  },
  {
    name: 'the design system may not know the store',
    file: 'src/ui/parts/planted.ts',
    text: "import { undo } from '@/book/commit';",
    rule: 'layers',
  },
  {
    name: 'the design system may not know cards',
    file: 'src/ui/parts/planted.ts',
    text: "import { shownAs } from '@/core/card';",
    rule: 'layers',
  },
  {
    name: 'the state may not know screens',
    file: 'src/book/state/planted.ts',
    text: "import { Act } from '@/ui';",
    rule: 'layers',
  },
  {
    name: 'the hub may not import screens',
    file: 'src/hub/api/planted.ts',
    text: "import { Act } from '@/ui';",
    rule: 'layers',
  },
  {
    name: 'a place may not import another place',
    file: 'src/places/lists/planted.ts',
    text: "import { CardPage } from '@/places/card';",
    rule: 'places',
  },
  {
    name: 'a place may not use the texts of another domain',
    file: 'src/places/lists/planted.ts',
    text: "import { texts } from '@/texts/tidy/tidy';",
    rule: 'own texts',
  },
  {
    name: 'a place may use its own texts and those that all share',
    file: 'src/places/lists/planted.ts',
    text: "import { texts } from '@/texts/lists/lists';\nimport { texts as shared } from '@/texts/base/shared';",
  },
  {
    name: 'the texts know nothing of the application',
    file: 'src/texts/card/planted.ts',
    text: "import { shownAs } from '@/core/card';",
    rule: 'layers',
  },
  {
    name: 'texts stand in the folder of a domain',
    file: 'src/texts/misc/planted.ts',
    text: 'export const texts = {};',
    rule: 'known folder',
  },
  {
    name: 'the frame may import a place',
    file: 'src/places/frame/planted.ts',
    text: "import { QuickLine } from '@/places/find';",
  },
  {
    name: 'a folder of its own has to be one of the domains',
    file: 'src/core/misc/planted.ts',
    text: 'export const x = 1;',
    rule: 'known folder',
  },
  {
    name: 'a layer has to be one of the layers',
    file: 'src/misc/planted.ts',
    text: 'export const x = 1;',
    rule: 'known folder',
  },
  {
    name: 'an index says what its folder is',
    file: 'src/core/tidy/index.ts',
    text: "export { mergeCards } from './merging/mergeCards';",
    rule: 'index',
  },
  {
    name: 'an index declares nothing',
    file: 'src/core/tidy/index.ts',
    text: '/** Tidy. */\nexport const x = 1;',
    rule: 'index',
  },
];

test('the files as they are break no rule', () => {
  expect(files.size).toBeGreaterThan(700);
  expect(checkImports(files)).toEqual([]);
});

for (const { name, file, text, rule } of cases) {
  test(name, () => {
    const found = checkImports(new Map([...files, [file, text]])).map((problem) => problem.rule);
    if (rule === undefined) expect(found).toEqual([]);
    else expect(found).toContain(rule);
  });
}

const cycles: readonly { name: string; rule: string; planted: Record<string, string> }[] = [
  {
    name: 'two files',
    rule: 'no cycle of files',
    planted: {
      'src/core/card/one.ts': "import type { two } from './two';\nexport const one = 1;",
      'src/core/card/two.ts': "import { one } from './one';\nexport const two = one;",
    },
  },
  {
    name: 'two folders, by files that make no circle themselves',
    rule: 'no cycle of folders',
    planted: {
      'src/core/card/one/a.ts': "import { b } from '../two/b';\nexport const a = b;",
      'src/core/card/two/b.ts': 'export const b = 1;',
      'src/core/card/two/c.ts': "import { d } from '../one/d';\nexport const c = d;",
      'src/core/card/one/d.ts': 'export const d = 1;',
    },
  },
  {
    name: 'two domains, through their indexes',
    rule: 'no cycle of domains',
    planted: {
      'src/book/lists/one.ts': "import { mergeInBook } from '@/book/tidy';\nexport const one = mergeInBook;",
      'src/book/tidy/two.ts': "import { useOnList } from '@/book/lists';\nexport const two = useOnList;",
    },
  },
];
for (const { name, rule, planted } of cycles) {
  test(`a cycle of ${name} is found`, () => {
    const found = checkImports(new Map([...files, ...Object.entries(planted)]));
    expect(found.map((problem) => problem.rule)).toContain(rule);
  });
}

test('what has to be tried again after a change is whatever imports it, and not the rest of its domain', () => {
  const planted = new Map([
    ['src/core/card/index.ts', "export { a } from './a';\nexport { b } from './b';"],
    ['src/core/card/a.ts', 'export const a = 1;'],
    ['src/core/card/b.ts', 'export const b = 1;'],
    ['src/core/tidy/usesA.ts', "import { a } from '@/core/card';\nexport const c = a;"],
    ['src/core/tidy/usesA.test.ts', "import { c } from './usesA';"],
    ['src/core/tidy/usesB.test.ts', "import { b } from '@/core/card';"],
  ]);
  expect(dependentsOf(planted, ['src/core/card/a.ts']).sort()).toEqual([
    'src/core/card/a.ts',
    'src/core/tidy/usesA.test.ts',
    'src/core/tidy/usesA.ts',
  ]);
});

test('no screen has a text that is not in the catalogue', () => {
  expect(checkTexts(files)).toEqual([]);
});

for (const [name, part, count] of [
  ['between tags', '<Txt>No cards yet</Txt>', 1],
  ['as a label', '<Act label="Save" onPress={save} />', 1],
  ['on either side of a choice', "<Txt>{isOn ? 'On' : 'Off'}</Txt>", 2],
  ['around a value', '<Txt>{`Late: ${name}`}</Txt>', 1],
  ['of the catalogue', '<Act label={texts.save} className="flex-1" testID="save" />', 0],
] as const)
  test(`a text ${name} is ${count === 0 ? 'right' : 'seen'}`, () => {
    const planted = new Map([['src/places/lists/Planted.tsx', `export const Planted = () => ${part};`]]);
    expect(checkTexts(planted)).toHaveLength(count);
  });
