import { strictWords } from '@/core/base';
import { type Card, latinWords, type Name, shownAs, type Uid } from '@/core/card';
import { texts } from '@/texts/tidy/merging';

/** The name that was chosen, else the fullest; what the others say beside it goes to the note. */
export function withName(merged: Card, all: readonly Card[], chosen: Uid | undefined, also: string[]): Card {
  const named = all.filter(({ name }) => name !== undefined);
  const fullness = (one: Card) => latinWords(shownAs(one)).length * 100 + shownAs(one).length;
  const fullest = [...named].sort((a, b) => fullness(b) - fullness(a))[0];
  const taken = named.find(({ uid }) => uid === chosen) ?? fullest;
  if (!taken?.name) return merged;
  const there = wordsOf(taken.name);
  // How a name sounds or is sorted is no name that it has.
  const written = writtenWords(taken.name);
  const isAmong = (words: ReadonlySet<string>) => (word: string) =>
    words.has(word) || ([...word].length === 1 && [...words].some((other) => other.startsWith(word)));
  for (const { name = {} } of named) {
    if (name === taken.name) continue;
    if ([...writtenWords(name)].every(isAmong(written)) && [...wordsOf(name)].every(isAmong(there))) continue;
    const shown = shownAs({ ...merged, name });
    also.push(`${texts.name}: ${shown}`);
    const said = new Set([...there, ...strictWords(shown)]);
    for (const text of textsIn(name))
      if (!strictWords(text).every((word) => said.has(word))) also.push(`${texts.name}: ${text}`);
  }
  return { ...merged, name: { ...saidElse(taken.name, named), ...taken.name } };
}

/** What other cards say of the same name: how it is divided, where this one doesn't say it, and how it is sorted. */
function saidElse(name: Name, named: readonly Card[]): Name {
  const words = wordsOf(name);
  const same = named.flatMap((one) => (one.name && isSameSet(wordsOf(one.name), words) ? one.name : []));
  const divided = name.components ? {} : (same.find(({ components }) => components !== undefined) ?? {});
  const sortAs = same.find((one) => one.sortAs !== undefined)?.sortAs;
  return { ...divided, ...(sortAs === undefined ? {} : { sortAs }) };
}

function isSameSet(a: ReadonlySet<string>, b: ReadonlySet<string>): boolean {
  return a.size === b.size && [...a].every((one) => b.has(one));
}

function wordsOf(name: Name): ReadonlySet<string> {
  return new Set(textsIn(name).flatMap(strictWords));
}

function writtenWords({ full = '', components = [] }: Name): ReadonlySet<string> {
  return new Set([full, ...components.map(({ value }) => value)].flatMap(strictWords));
}

/** Everything that a name says in words: as a whole, in its parts, as it is spoken and as it is sorted. */
function textsIn({ full, components = [], sortAs = {} }: Name): string[] {
  const parts = components.filter(({ kind }) => kind !== 'separator');
  const said = [full, ...parts.flatMap(({ value, phonetic }) => [value, phonetic]), ...Object.values(sortAs)];
  return said.filter((text) => text !== undefined);
}
