import { decodeText, hashText } from '@/core/base';
import { type Card, newCard } from '@/core/card';
import { extractCard } from '@/core/extract';

import { readArgs, readCountry } from '../input/readArgs';
import { readBytes } from '../input/readCardFile';

/** `from-text IN.txt [--country GB]`: a card read out of a text; its uid is the same for the same text. */
export function fromText(args: readonly string[]): Card {
  const { words, options } = readArgs(args, {
    usage: 'from-text IN.txt [--country GB]',
    words: 1,
    options: ['country'],
  });
  const [input = ''] = words;
  const country = readCountry(options.country);
  const { text } = decodeText(readBytes(input));
  return extractCard(
    text,
    newCard(`lifted-${hashText(text)}`, new Date().toISOString()),
    country ? { country } : {},
  ).card;
}
