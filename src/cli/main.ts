import { UnusableInput } from './input/readCardFile';
import { convert } from './verbs/convert';
import { duplicates } from './verbs/duplicates';
import { fromText } from './verbs/fromText';
import { line } from './verbs/line';
import { merge } from './verbs/merge';
import { search } from './verbs/search';
import { upcoming } from './verbs/upcoming';

/** What the tool can do; a verb takes its arguments and gives the one value that is printed, or will be. */
const VERBS: Readonly<Record<string, (args: readonly string[]) => unknown>> = {
  convert,
  duplicates,
  'from-text': fromText,
  line,
  merge,
  search,
  upcoming,
};

/** One JSON value on stdout and exit 0; unusable input: one line on stderr and exit 2. */
async function main([verb = '', ...args]: readonly string[]): Promise<void> {
  const run = Object.hasOwn(VERBS, verb) ? VERBS[verb] : undefined;
  try {
    if (!run)
      throw new UnusableInput(`usage: book ${Object.keys(VERBS).join('|')} …; "${verb}" is none of them`);
    process.stdout.write(`${JSON.stringify(await run(args))}\n`);
  } catch (error) {
    if (!(error instanceof UnusableInput)) throw error;
    process.stderr.write(`${error.message.replace(/\s*\n\s*/g, ' ')}\n`);
    process.exitCode = 2;
  }
}

void main(process.argv.slice(2));
