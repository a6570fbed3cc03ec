// Checks who imports whom, and ends with 1 where a rule is broken.
import imports from './checks/imports.cjs';
import sources from './checks/readSources.cjs';

const problems = imports.checkImports(sources.readSources(['src']));
for (const { file, line, rule, message } of problems) console.error(`${file}:${line}  ${rule}: ${message}`);
if (problems.length > 0)
  console.error(`\n${problems.length} imports break the rules in scripts/checks/imports.cjs.`);
process.exit(problems.length > 0 ? 1 : 0);
