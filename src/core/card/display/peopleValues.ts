import { texts } from '@/texts/card/display';

import { shownAs } from '../name/shownAs';
import { dialUri, formatPhone } from '../phone/formatPhone';
import { relationLabel } from '../relations/relationWords';
import type { Card } from '../schema/types';
import { type CardValue, each, joined, type ShowOptions, used } from './cardValue';
import { smsUri } from './reachOf';

/** Numbers, each to dial and to send a message to. */
export function phones(card: Card, country: string): CardValue[] {
  return Object.entries(card.phones ?? {}).map(([id, phone]) => {
    const shown = formatPhone(phone.number, country);
    const uris = { uri: dialUri(phone.number, country), messageUri: smsUri(phone.number, country) };
    return {
      collection: 'phones',
      id,
      lines: [shown],
      copy: shown,
      preferable: 'phones',
      ...used(phone),
      ...uris,
    };
  });
}

/** What the head of the page doesn't say already: further posts, departments, and organisations that have a card. */
export function work(card: Card, { organisationOf }: ShowOptions): CardValue[] {
  const [, ...posts] = each(
    card.titles,
    'titles',
    ({ name }) => [name],
    ({ kind }) => (kind === 'role' ? 'role' : ''),
  );
  const houses = Object.entries(card.organizations ?? {}).flatMap(([id, { name = '', units = [] }], i) => {
    const lines = [joined(name, ...units.map((unit) => unit.name))].filter(Boolean);
    const uid = card.kind === 'org' ? undefined : organisationOf?.(name)?.uid;
    const isSaid = i === 0 && units.length === 0 && (name === shownAs(card) || uid === undefined);
    if (isSaid || lines.length === 0) return [];
    const value: CardValue = { collection: 'organizations', id, lines, second: '', copy: lines.join('') };
    return [uid === undefined ? value : { ...value, cardUid: uid }];
  });
  return [...posts, ...houses];
}

/** Numbers of somebody's organisation, to be reached there. */
export function phonesThere(card: Card, options: ShowOptions): CardValue[] {
  if (card.kind === 'org') return [];
  return Object.values(card.organizations ?? {}).flatMap(({ name = '' }) => {
    const house = options.organisationOf?.(name);
    return house ? phones(house, options.country).map((value) => ofHouse(house, value)) : [];
  });
}

/** A value that stands on the organisation's card and is edited there. */
function ofHouse(house: Card, { preferable: _, isPreferred: __, ...value }: CardValue): CardValue {
  return {
    ...value,
    collection: 'organizations',
    id: `${house.uid} ${value.id}`,
    second: joined(shownAs(house), value.second),
  };
}

/** Who names an organisation as theirs, and as what. */
export function peopleThere(card: Card, { peopleOf, nameOf }: ShowOptions): CardValue[] {
  if (card.kind !== 'org' || !peopleOf) return [];
  const name = shownAs(card);
  return peopleOf(name).map((person) => {
    const shown = nameOf?.(person.uid) ?? shownAs(person);
    const departments = Object.values(person.organizations ?? {}).flatMap(({ units = [] }) =>
      units.map((unit) => unit.name),
    );
    const posts = Object.values(person.titles ?? {}).map((title) => title.name);
    const second = joined(...posts, ...departments);
    return { collection: 'people', id: person.uid, lines: [shown], copy: shown, second, cardUid: person.uid };
  });
}

/** Other cards; an entry whose card isn't in the book is shown by what it says itself. */
export function relations(card: Card, { nameOf }: ShowOptions): CardValue[] {
  return Object.entries(card.relatedTo ?? {}).map(([uid, { relation }]) => {
    const name = nameOf?.(uid);
    const shown = name ?? uid;
    return {
      collection: 'relatedTo',
      id: uid,
      lines: [shown],
      copy: shown,
      second: joined(relationLabel(relation), name === undefined ? texts.notInBook : ''),
      ...(name === undefined ? {} : { cardUid: uid }),
    };
  });
}
