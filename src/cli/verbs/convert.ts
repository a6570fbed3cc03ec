import { FORMATS, getFormat } from '@/core/formats';

import { readCardFile, UnusableInput, writeOutput } from '../input/readCardFile';

/** `convert IN OUT [--to FORMAT]`; without --to the ending of OUT decides, .vcf for vCard 4.0. */
export function convert(args: readonly string[]) {
  const flag = args.indexOf('--to');
  const [input, output] = flag === -1 ? args : args.slice(0, flag);
  if (output === undefined) throw new UnusableInput('usage: book convert IN OUT [--to FORMAT]');
  const wanted = flag === -1 ? undefined : args[flag + 1];
  const format =
    wanted === undefined
      ? FORMATS.find(({ extension }) => output.toLowerCase().endsWith(`.${extension}`))
      : getFormat(wanted);
  if (!format) {
    const known = FORMATS.map(({ id }) => id).join(', ');
    throw new UnusableInput(`${wanted ?? output}: no format that can be written; there are ${known}`);
  }
  const { cards, problems } = readCardFile(input);
  writeOutput(output, format.write(cards));
  return {
    read: cards.length,
    written: cards.length,
    problems: problems.map(({ line, message }) => ({ line, message })),
  };
}
