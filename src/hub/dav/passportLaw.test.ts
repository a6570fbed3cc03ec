/** @jest-environment node */
// Whatever a device puts, names, moves or asks, and whatever becomes of the book meanwhile: it gets nothing that its passport
// doesn't let through at that time.
import fc from 'fast-check';

import type { Card } from '@/core/card';
import { findCard, type HubDb, putCard } from '@/hub/store';
import { addDevice, type Credentials, type Passport } from '@/hub/sync';
import { startTestHub, TEST_NOW, type TestHub, testPerson } from '@/hub/testing';

let hub: TestHub;
let db: HubDb;
beforeAll(async () => {
  let second = 0;
  hub = await startTestHub(undefined, () => {
    second += 1000;
    return new Date(Date.parse(TEST_NOW) + second).toISOString().replace('.000', '');
  });
  ({ db } = hub);
});
afterAll(() => hub.stop());

/** Cards of each history. */
const CARDS = 3;
const XML = 'xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:carddav"';
const WISH = '<d:prop><d:getetag/><c:address-data/></d:prop>';

interface Known {
  isTagged: boolean;
  isPrivate: boolean;
  isArchived: boolean;
  isOnList: boolean;
  isKept: boolean;
}

/** Passports, and by what of a card each lets it through, said apart from the hub. */
const passports: readonly (readonly [Partial<Passport>, (card: Known) => boolean])[] = [
  [{}, () => true],
  [{ groups: true }, () => true],
  [{ tag: 'choir' }, ({ isTagged }) => isTagged],
  [{ own: true }, ({ isKept }) => isKept],
  [{ scope: 'lists', lists: ['list'], groups: true }, ({ isOnList }) => isOnList],
  [{ scope: 'lists', lists: [] }, () => false],
  [{ scope: 'nothing' }, () => false],
  [{ direction: 'in' }, () => false],
  [{ direction: 'out', tag: 'choir' }, ({ isTagged }) => isTagged],
];

const act = fc.oneof(
  fc.record({
    kind: fc.constantFrom('tag', 'private', 'archived', 'list', 'kept'),
    card: fc.nat(CARDS - 1),
    href: fc.constant(0),
    isTagged: fc.boolean(),
  }),
  fc.record({
    kind: fc.constantFrom(
      'put',
      'put',
      'put',
      'get',
      'delete',
      'sync',
      'since',
      'multiget',
      'propfind',
      'query',
    ),
    card: fc.nat(CARDS - 1),
    href: fc.nat(CARDS),
    isTagged: fc.boolean(),
  }),
);

let runs = 0;

/** A device with a passport, in a book of its own cards, and what is asked and changed. */
class History {
  readonly known: Known[] = [];
  private readonly run = (runs += 1);
  private token = '';
  constructor(
    private readonly who: Credentials,
    private readonly name: string,
  ) {}

  uid = (i: number) => `urn:uuid:0000${String(this.run).padStart(4, '0')}-0000-4000-8000-00000000000${i}`;
  secret = (i: number) => `secret-${this.run}-${i}.`;
  /** The addresses that the hub would give the cards, and one of the device's own. */
  private href = (i: number) =>
    i === CARDS ? `own-${this.run}.vcf` : `${this.uid(i).slice('urn:uuid:'.length)}.vcf`;
  private list = () => `list-${this.run}`;

  async begin(): Promise<void> {
    for (let i = 0; i < CARDS; i += 1) {
      this.known.push({
        isTagged: false,
        isPrivate: false,
        isArchived: false,
        isOnList: false,
        isKept: false,
      });
      await this.write(i);
    }
  }

  /** Writes a card of the book anew, as it is to be now. */
  async write(i: number): Promise<void> {
    const is = this.known[i];
    if (!is) return;
    const card: Card = testPerson(this.uid(i), `Person ${this.run} ${i}`, {
      notes: { n1: { note: this.secret(i) } },
      ...(is.isTagged ? { keywords: { choir: true as const } } : {}),
      ...(is.isPrivate ? { 'cordialis.example:private': true as const } : {}),
      ...(is.isArchived ? { 'cordialis.example:archived': true as const } : {}),
      ...(is.isKept ? { 'cordialis.example:sources': { [this.name]: true as const } } : {}),
    });
    await this.put(card);
    const members = this.known.flatMap(({ isOnList }, at) =>
      isOnList ? [[this.uid(at), true as const]] : [],
    );
    await this.put({
      ...testPerson(this.list(), `List ${this.run}`),
      kind: 'group',
      members: Object.fromEntries(members),
    });
  }

  private async put(card: Card): Promise<void> {
    const before = await findCard(db, card.uid);
    const source = { at: TEST_NOW, device: null, says: 'put' };
    await putCard(db, card.uid, { ...card, created: before?.created ?? TEST_NOW }, source);
  }

  /** What the device gets for an act. */
  async ask(kind: string, card: number, href: number, isTagged: boolean): Promise<string> {
    const at = this.href(href);
    const own = `/dav/books/${this.who.user}/cards/`;
    const report = (body: string, depth = '1') => this.send('REPORT', own, body, depth);
    if (kind === 'get' || kind === 'delete') return this.send(kind.toUpperCase(), own + at);
    if (kind === 'put') {
      const more = isTagged ? 'CATEGORIES:choir\r\n' : '';
      const text = `BEGIN:VCARD\r\nVERSION:4.0\r\nUID:${this.uid(card)}\r\nFN:Put ${this.run}\r\n${more}END:VCARD\r\n`;
      return this.send('PUT', own + at, text);
    }
    if (kind === 'propfind') return this.send('PROPFIND', own, `<d:propfind ${XML}>${WISH}</d:propfind>`);
    if (kind === 'query')
      return report(`<c:addressbook-query ${XML}>${WISH}<c:filter/></c:addressbook-query>`);
    if (kind === 'multiget')
      return report(
        `<c:addressbook-multiget ${XML}>${WISH}<d:href>${own}${at}</d:href></c:addressbook-multiget>`,
      );
    const from = kind === 'since' ? this.token : '';
    const text = await report(
      `<d:sync-collection ${XML}><d:sync-token>${from}</d:sync-token><d:sync-level>1</d:sync-level>${WISH}</d:sync-collection>`,
      '0',
    );
    this.token = /<d:sync-token>([^<]*)</.exec(text)?.[1] ?? this.token;
    return text;
  }

  private async send(method: string, path: string, body?: string, depth = '1'): Promise<string> {
    const response = await fetch(hub.base + path, {
      method,
      ...(body === undefined ? {} : { body }),
      headers: {
        Authorization: `Basic ${btoa(`${this.who.user}:${this.who.password}`)}`,
        'Content-Type': method === 'PUT' ? 'text/vcard; charset=utf-8' : 'application/xml',
        Depth: depth,
      },
    });
    return response.text();
  }
}

const FLAGS = {
  tag: 'isTagged',
  private: 'isPrivate',
  archived: 'isArchived',
  list: 'isOnList',
  kept: 'isKept',
} as const;

test('no device receives a byte that its passport doesn’t let through (law over histories)', async () => {
  let asked = 0;
  let told = 0;
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom(...passports),
      fc.array(act, { minLength: 4, maxLength: 24 }),
      async ([passport, lets], acts) => {
        const list = `list-${runs + 1}`;
        const wish = passport.lists && passport.lists.length > 0 ? { ...passport, lists: [list] } : passport;
        const name = `Device ${runs + 1}`;
        const history = new History(
          await addDevice(db, { name, direction: 'both', ...wish }, TEST_NOW),
          name,
        );
        await history.begin();
        for (const { kind, card, href, isTagged } of acts) {
          const flag = kind in FLAGS ? FLAGS[kind as keyof typeof FLAGS] : undefined;
          if (flag) {
            const is = history.known[card];
            if (is) is[flag] = isTagged;
            await history.write(card);
            continue;
          }
          const text = await history.ask(kind, card, href, isTagged);
          asked += 1;
          history.known.forEach((is, i) => {
            const isSaid = text.includes(history.secret(i));
            if (isSaid) told += 1;
            if (isSaid) expect([kind, !is.isPrivate && !is.isArchived && lets(is)]).toEqual([kind, true]);
          });
        }
      },
    ),
    { numRuns: 60 },
  );
  // The law would hold of a hub that says nothing at all.
  expect(asked).toBeGreaterThan(200);
  expect(told).toBeGreaterThan(20);
}, 120_000);
