// Checks who imports whom, and ends with 1 where a rule is broken.
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';

import imports from './checks/imports.cjs';
import { ROOT } from './setup.mjs';

const files = new Map(
  readdirSync(join(ROOT, 'src'), { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath ?? entry.path, entry.name))
    .map((path) => [relative(ROOT, path).replaceAll('\\', '/'), readFileSync(path, 'utf8')]),
);
const problems = imports.checkImports(files);
for (const { file, line, rule, message } of problems) console.error(`${file}:${line}  ${rule}: ${message}`);
if (problems.length > 0)
  console.error(`\n${problems.length} imports break the rules in scripts/checks/imports.cjs.`);
process.exit(problems.length > 0 ? 1 : 0);
