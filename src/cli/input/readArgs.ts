import { parseArgs } from 'node:util';

import { errorMessage } from '@/core/base';

import { UnusableInput } from './readCardFile';

/** What a verb takes, as it says itself. */
export interface Takes<Name extends string> {
  /** As it is typed: `search IN QUERY [--today DAY]`. */
  readonly usage: string;
  /** How many files or words stand there beside the options. */
  readonly words: number;
  /** Options, each of which has a value. */
  readonly options?: readonly Name[];
}

/** The words and options that a verb was given. @throws UnusableInput for one too many, one missing, and an option it doesn't have */
export function readArgs<Name extends string>(args: readonly string[], takes: Takes<Name>) {
  const usage = `usage: book ${takes.usage}`;
  const options = Object.fromEntries(
    (takes.options ?? []).map((name) => [name, { type: 'string' as const }]),
  );
  const { positionals, values } = parse(args, options, usage);
  if (positionals.length !== takes.words)
    throw new UnusableInput(
      positionals.length < takes.words ? usage : `"${positionals[takes.words]}" is one too many; ${usage}`,
    );
  return { words: positionals, options: values as Readonly<Partial<Record<Name, string>>>, usage };
}

function parse(args: readonly string[], options: Record<string, { type: 'string' }>, usage: string) {
  try {
    return parseArgs({ args: [...args], allowPositionals: true, options });
  } catch (error) {
    throw new UnusableInput(`${errorMessage(error).split('. ')[0] ?? ''}; ${usage}`);
  }
}

/** An ISO day of the calendar. @throws UnusableInput for 30 February too */
export function readDay(text: string, option: string, usage: string): string {
  const time = /^\d{4}-\d\d-\d\d$/.test(text) ? Date.parse(`${text}T00:00:00Z`) : NaN;
  if (Number.isNaN(time) || new Date(time).toISOString().slice(0, 10) !== text)
    throw new UnusableInput(`--${option} "${text}": is no day such as 2026-11-25; ${usage}`);
  return text;
}

/** The two letters of a country (ISO 3166-1), as capitals. @throws UnusableInput for anything else */
export function readCountry(text: string | undefined): string | undefined {
  if (text !== undefined && !/^[a-z]{2}$/i.test(text))
    throw new UnusableInput(`--country takes two letters (ISO 3166-1), not "${text}"`);
  return text?.toUpperCase();
}
