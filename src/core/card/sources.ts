import type { Card } from './schema/types';

/** The card as kept at a server, or no longer. @param name - the server's name here */
export function withSource(card: Card, name: string, isOn: boolean): Card {
  const { 'cordialis.example:sources': known = {}, ...rest } = card;
  if ((known[name] === true) === isOn) return card;
  const { [name]: _, ...others } = known;
  const sources = isOn ? { ...known, [name]: true as const } : others;
  return Object.keys(sources).length === 0 ? rest : { ...rest, 'cordialis.example:sources': sources };
}
