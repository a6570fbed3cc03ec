import { type Card, formatName, type Name, parseName } from '@/core/card';
import { texts } from '@/texts/tidy/faults';

import type { Fault } from './fault';

/** Particles that stay small in a name put into small letters. */
const SMALL = /^(?:von|van|de|der|den|del|della|di|da|dos|das|do|du|la|le|zu|zum|zur|ter|ten)$/i;

/** Names written all in capitals or all in small letters, and titles that have been typed into the given name. */
export function findNameFaults(card: Card): Fault[] {
  const { name, kind } = card;
  if (!name?.components || kind === 'org') return [];
  const faults: Fault[] = [];
  const shown = formatName(name);
  const titled = withoutTitle(name);
  const now = titled ?? name;
  const cased = withUsualCase(now);
  if (titled)
    faults.push(
      faultOf(card, name, titled, {
        code: 'title-in-name',
        says: texts.hasTitleAmongGiven,
        shown,
      }),
    );
  if (cased)
    faults.push(
      faultOf(card, name, withUsualCase(name) ?? cased, {
        ...{ code: 'capitals', shown },
        says: shown === shown.toUpperCase() ? texts.isWrittenAllInCapitals : texts.isWrittenAllInSmall,
      }),
    );
  // One at a time: a fix of a name must start from the current name.
  return faults.slice(0, 1);
}

function faultOf(card: Card, name: Name, mended: Name, some: Pick<Fault, 'code' | 'says' | 'shown'>): Fault {
  return {
    ...{ ...some, uid: card.uid, path: ['name'], was: name },
    mend: {
      edits: [{ path: ['name'], before: name, after: mended }],
      shown: formatName(mended),
      isSure: true,
    },
  };
}

/** "Dr. Anna" as a given name is a title and a given name. */
function withoutTitle(name: Name): Name | undefined {
  const components = name.components ?? [];
  const at = components.findIndex(({ kind }) => kind === 'given');
  const given = components[at];
  if (!given || !/\s/.test(given.value.trim())) return undefined;
  const parts = parseName(given.value)?.components ?? [];
  const titles = parts.filter(({ kind }) => kind === 'title');
  const rest = parts.filter(({ kind }) => kind !== 'title').map(({ value }) => value);
  if (titles.length === 0 || rest.length === 0) return undefined;
  const own = { ...given, value: rest.join(' ') };
  return { ...name, components: [...components.slice(0, at), ...titles, own, ...components.slice(at + 1)] };
}

/**
 * A name of which every letter is a capital, or none is, with capitals where they belong; undefined where it has
 * both.
 */
function withUsualCase(name: Name): Name | undefined {
  const proper = (name.components ?? []).filter(({ kind }) => /^(?:given|surname)/.test(kind));
  const letters = proper
    .map(({ value }) => value)
    .join('')
    .replace(/[^\p{L}]/gu, '');
  const [upper, lower] = [letters.toUpperCase(), letters.toLowerCase()];
  // Two letters may be initials; scripts without capitals have neither.
  const isCased = [...letters].every((letter) => letter.toUpperCase() !== letter.toLowerCase());
  if (letters.length < 4 || !isCased || (letters !== upper && letters !== lower)) return undefined;
  return {
    ...name,
    components: (name.components ?? []).map((part) =>
      /^(?:given|surname)/.test(part.kind) ? { ...part, value: usualCase(part.value) } : part,
    ),
  };
}

function usualCase(text: string): string {
  return text.replace(/[\p{L}\p{M}]+/gu, (word, at: number) => {
    // "van den Berg": never the last word, which may be somebody's whole surname.
    if (SMALL.test(word) && at + word.length < text.length) return word.toLowerCase();
    return word.charAt(0).toUpperCase() + word.slice(1).toLowerCase();
  });
}
