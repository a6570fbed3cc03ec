import type { DuplicateFacts } from './facts/facts';
import type { ReadName } from './facts/nameWords';

/** What two cards say together, as if they were one. */
export function joinFacts(a: DuplicateFacts, b: DuplicateFacts): DuplicateFacts {
  const union = (mine: readonly string[], theirs: readonly string[]) => [...new Set([...mine, ...theirs])];
  return {
    ...a,
    name: joinNames(a.name, b.name),
    house: a.house.length >= b.house.length ? a.house : b.house,
    nicknames: union(a.nicknames, b.nicknames),
    mails: union(a.mails, b.mails),
    phones: [...a.phones, ...b.phones],
    birth: fuller(a.birth, b.birth),
    employers: union(a.employers, b.employers),
    titles: union(a.titles, b.titles),
    streets: union(a.streets, b.streets),
    towns: union(a.towns, b.towns),
    placeScript: a.towns.length === 0 ? b.placeScript : a.placeScript,
    hosts: union(a.hosts, b.hosts),
    apart: new Set([...a.apart, ...b.apart]),
  };
}

function joinNames(a: ReadName, b: ReadName): ReadName {
  const known = new Set(a.words.map(({ text }) => text));
  return {
    words: [...a.words, ...b.words.filter(({ text }) => !known.has(text))],
    generation: a.generation || b.generation,
    script: a.words.length === 0 ? b.script : a.script,
    handle: a.handle || b.handle,
    particles: a.particles + b.particles,
    others: [...a.others, ...b.others],
  };
}

function fuller<T extends DuplicateFacts['birth']>(a: T, b: T): T {
  return Object.values(a ?? {}).length >= Object.values(b ?? {}).length ? a : b;
}
