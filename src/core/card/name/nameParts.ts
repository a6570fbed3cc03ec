import type { Name } from '../schema/types';
import { isOneOf, PARTICLES } from './nameWords';

/** The values of one kind of component, joined by spaces; '' where there is none. */
export function nameParts(name: Name | undefined, ...kinds: readonly string[]): string {
  return (name?.components ?? [])
    .filter(({ kind }) => kinds.includes(kind))
    .map(({ value }) => value)
    .join(' ')
    .trim();
}

/**
 * Parts a surname from the particles before it: "van der Berg" → "van der", "Berg".
 * A surname made of particles only stays whole.
 */
export function splitParticles(surname: string): { particles: string; stem: string } {
  const elided = /^(d['’]|l['’]|al-|el-)(?=\p{L})/iu.exec(surname);
  if (elided) return { particles: elided[0], stem: surname.slice(elided[0].length) };
  const words = surname.split(' ');
  const start = words.findIndex((word) => !isOneOf(word, PARTICLES));
  if (start <= 0) return { particles: '', stem: surname };
  return { particles: words.slice(0, start).join(' '), stem: words.slice(start).join(' ') };
}
