import type { z } from 'zod';

import type { cardSchema } from './cardSchema';

/** The keys that a schema names; an index signature, which lets unknown properties through, is none. */
type NamedKeys<T> = keyof { [K in keyof T as string extends K ? never : K]: T[K] };

/** The same shape without the index signatures of loose objects, so that a mistyped property is an error. */
type Named<T> = T extends readonly [unknown, ...unknown[]]
  ? T
  : T extends readonly (infer U)[]
    ? Named<U>[]
    : T extends object
      ? [NamedKeys<T>] extends [never]
        ? { [K in keyof T]: Named<T[K]> }
        : { [K in keyof T as string extends K ? never : K]: Named<T[K]> }
      : T;

/** One person, organisation, list or thing (RFC 9553 §2). Unknown properties are kept though not typed. */
export type Card = Named<z.infer<typeof cardSchema>>;

type Entry<K extends keyof Card> = NonNullable<Card[K]> extends Record<string, infer E> ? E : never;

/** The entries of a card, by their names in RFC 9553. */
export type Name = NonNullable<Card['name']>;
export type NameComponent = NonNullable<Name['components']>[number];
export type Nickname = Entry<'nicknames'>;
export type Organization = Entry<'organizations'>;
export type Title = Entry<'titles'>;
export type Email = Entry<'emails'>;
export type Phone = Entry<'phones'>;
export type OnlineService = Entry<'onlineServices'>;
export type Address = Entry<'addresses'>;
export type AddressComponent = NonNullable<Address['components']>[number];
export type Link = Entry<'links'>;
export type Media = Entry<'media'>;
export type Anniversary = Entry<'anniversaries'>;
export type AnniversaryDate = Anniversary['date'];
export type Note = Entry<'notes'>;

/** The uid of a card; any text, most often urn:uuid:… */
export type Uid = string;
