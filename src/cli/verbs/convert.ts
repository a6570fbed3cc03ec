import { FORMATS, getFormat } from '@/core/formats';

import { readArgs } from '../input/readArgs';
import { readCardFile, UnusableInput, writeOutput } from '../input/readCardFile';

/** `convert IN OUT [--to FORMAT]`; without --to the ending of OUT decides, .vcf for vCard 4.0. */
export function convert(args: readonly string[]) {
  const { words, options } = readArgs(args, {
    usage: 'convert IN OUT [--to FORMAT]',
    words: 2,
    options: ['to'],
  });
  const [input, output = ''] = words;
  const wanted = options.to;
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
