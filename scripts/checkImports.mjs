// Checks who imports whom and where the texts of the interface are written; ends with 1 where a rule is broken.
import imports from './checks/imports.cjs';
import sources from './checks/readSources.cjs';
import texts from './checks/texts.cjs';

const files = sources.readSources(['src']);
const problems = [...imports.checkImports(files), ...texts.checkTexts(files)];
for (const { file, line, rule, message } of problems) console.error(`${file}:${line}  ${rule}: ${message}`);
if (problems.length > 0) console.error(`\n${problems.length} places break the rules in scripts/checks.`);
process.exit(problems.length > 0 ? 1 : 0);
