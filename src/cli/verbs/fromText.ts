import { parseArgs } from 'node:util';

import { decodeText, errorMessage, hashText } from '@/core/base';
import { type Card, newCard } from '@/core/card';
import { extractCard } from '@/core/extract';

import { readBytes, UnusableInput } from '../input/readCardFile';

/** `from-text IN.txt [--country GB]`: a card read out of a text; its uid is the same for the same text. */
export function fromText(args: readonly string[]): Card {
  const { positionals, values } = readArgs(args);
  const [input] = positionals;
  if (input === undefined) throw new UnusableInput('from-text needs a file: from-text IN.txt [--country GB]');
  const country = values.country?.toUpperCase();
  if (country !== undefined && !/^[A-Z]{2}$/.test(country))
    throw new UnusableInput(`--country takes two letters (ISO 3166-1), not "${values.country}"`);
  const { text } = decodeText(readBytes(input));
  return extractCard(
    text,
    newCard(`lifted-${hashText(text)}`, new Date().toISOString()),
    country ? { country } : {},
  ).card;
}

function readArgs(args: readonly string[]) {
  try {
    return parseArgs({ args: [...args], allowPositionals: true, options: { country: { type: 'string' } } });
  } catch (error) {
    throw new UnusableInput(errorMessage(error));
  }
}
