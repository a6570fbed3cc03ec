// Documents that name files: what they name is there.
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import { checkImports } from '../../scripts/checks/imports.cjs';

const ROOT = join(__dirname, '../..');
const read = (file: string) => readFileSync(join(ROOT, file), 'utf8');

for (const document of ['docs/architecture.md', 'CONTRIBUTING.md', 'README.md', 'docs/wording.md'])
  test(`every file that ${document} names is there`, () => {
    const named = [
      ...read(document).matchAll(/`((?:src|scripts|test|docs)\/[^`*<…]+)`|\]\((docs\/[^)]+)\)/g),
    ].map(([, code, link]) => code ?? link ?? '');
    if (document === 'docs/architecture.md') expect(named.length).toBeGreaterThan(30);
    expect(named.filter((file) => !existsSync(join(ROOT, file)))).toEqual([]);
  });

test('every domain of the core stands in the table of docs/architecture.md', () => {
  const page = read('docs/architecture.md');
  const domains = readdirSync(join(ROOT, 'src/core'), { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map(({ name }) => name);
  expect(domains.length).toBeGreaterThan(8);
  expect(domains.filter((domain) => !page.includes(`| ${domain} |`))).toEqual([]);
});

test('what docs/architecture.md says of the order of domains is what is checked', () => {
  const planted = (from: string, to: string) =>
    checkImports(
      new Map([
        [`src/core/${from}/planted.ts`, `import { x } from '@/core/${to}';`],
        [`src/core/${to}/index.ts`, "/** x */\nexport { x } from './x';"],
        [`src/core/${to}/x.ts`, 'export const x = 1;'],
      ]),
    ).map(({ rule }) => rule);
  expect(planted('tidy', 'card')).toEqual([]);
  expect(planted('card', 'tidy')).toEqual(['domains']);
  expect(planted('talks', 'find')).toEqual(['domains']);
  expect(planted('directory', 'base')).toEqual([]);
});
