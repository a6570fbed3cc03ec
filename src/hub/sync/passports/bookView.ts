import { inBatches } from '@/core/base';
import type { Card } from '@/core/card';
import { isRuleList } from '@/core/lists';
import { breathe } from '@/hub/base';
import { type HubDb, toCard } from '@/hub/store';

import type { DeviceView, PlacedHead, SeenCard, SeenHead } from './deviceView';
import { etagOf, isForLists, isLetThrough, type Marks, marksOf, servedCard } from './letThrough';
import { membersOf, sentMembers } from './membersOf';
import { Pages } from './pages';
import { type Device, listsOf } from './passports';
import { Seen } from './seen';
import { cardsWithShown, keepShown, shapeOf, type Shown } from './shown';
import { syncTokenOf } from './syncToken';

/** Cards asked for in one query: some milliseconds' work. */
const AT_ONCE = 500;
/** Cards of which something is made between two looks at what else is asked. */
const MADE_AT_ONCE = 30;
/** How much of it is written at once: writing waits for the disk. */
const KEPT_AT_ONCE = 100;

/** The part of an address that says it is the second at its place. */
const SECOND = '2-';

/** Cards, or what is known without looking at them. */
type Wanted = 'whole' | 'heads';

/** A card of the book, with what the device knows of it. */
interface Row {
  readonly uid: string;
  readonly seq: number;
  /** Its address where the device has named none. */
  readonly href: string;
  readonly kind: string;
  readonly place: string;
  /** null where it hasn't been made of this version. */
  readonly etag: string | null;
  readonly marks: string | null;
  readonly text: string | null;
  /** null where it isn't needed. */
  readonly card: string | null;
  /** The address under which the device knows it. */
  readonly known: string | null;
  /** Another card that the device has at its address. */
  readonly rival: string | null;
}

const pages = new Pages<Row>();

/** The book as a device may see it. */
export class BookView implements DeviceView {
  private readonly shape: string;
  private knowsOnce: Promise<readonly unknown[]> | undefined;
  private membersOnce: Promise<ReadonlySet<string>> | undefined;

  constructor(
    private readonly db: HubDb,
    private readonly device: Device,
    readonly seq: number,
  ) {
    this.shape = shapeOf(device);
  }

  get token(): string {
    return syncTokenOf(this.db, { seq: this.seq });
  }

  atEach(hrefs: readonly string[]): Promise<ReadonlyMap<string, SeenCard>> {
    return this.at(hrefs, 'whole');
  }

  headsAt(hrefs: readonly string[]): Promise<ReadonlyMap<string, SeenHead>> {
    return this.at(hrefs, 'heads');
  }

  ofEach(uids: readonly string[]): Promise<ReadonlyMap<string, SeenCard>> {
    return this.of(uids, 'whole');
  }

  headsOf(uids: readonly string[]): Promise<ReadonlyMap<string, SeenHead>> {
    return this.of(uids, 'heads');
  }

  private async at(hrefs: readonly string[], what: Wanted): Promise<Map<string, Seen>> {
    const found = new Map<string, Seen>();
    for (const some of inBatches(hrefs, AT_ONCE)) {
      const known = this.db
        .selectFrom('memory')
        .select('uid')
        .where('device', '=', this.device.id)
        .where('href', 'in', [...some]);
      const rows = await this.db
        .selectFrom('cards')
        .select('uid')
        .where('href', 'in', bareOf(some))
        .union(known)
        .execute();
      const seen = await this.of(
        rows.map(({ uid }) => uid),
        what,
      );
      const byHref = new Map([...seen.values()].map((one) => [one.href, one]));
      for (const href of some) {
        const one = byHref.get(href);
        if (one) found.set(href, one);
      }
    }
    return found;
  }

  private async of(uids: readonly string[], what: Wanted): Promise<Map<string, Seen>> {
    const found = new Map<string, Seen>();
    for (const some of inBatches(uids, AT_ONCE)) {
      const rows = await this.rows(what)
        .where('cards.uid', 'in', [...some])
        .execute();
      const byUid = new Map((await this.look(rows)).map((one) => [one.uid, one]));
      for (const uid of some) {
        const one = byUid.get(uid);
        if (one) found.set(uid, one);
      }
    }
    return found;
  }

  async *heads(after = ''): AsyncGenerator<readonly PlacedHead[]> {
    const here = new Set<string>();
    let haveLists = false;
    // Lists come last: who is on them is known by then, where all others have been looked at.
    for (let last = after; ;) {
      const rows = await this.page(last);
      // A list may be on another one.
      if (!haveLists && rows.some(({ kind }) => kind === 'group')) {
        for (const uid of (await this.listsIn(await this.listRows())).keys()) here.add(uid);
        haveLists = true;
      }
      const isMade = rows.every(({ kind, etag }) => kind === 'group' || etag !== null);
      const made: Shown[] = [];
      for (const some of inBatches(rows, isMade ? AT_ONCE : MADE_AT_ONCE)) {
        const seen = await this.look(some, { made, ...(after === '' ? { here } : {}) });
        if (made.length >= KEPT_AT_ONCE) await keepShown(this.db, made.splice(0));
        yield seen;
        // Others are answered between two: a database in this process lets nobody in by itself.
        await breathe();
      }
      await keepShown(this.db, made);
      if (rows.length < AT_ONCE) return;
      last = rows.at(-1)?.place ?? '';
    }
  }

  /** The cards after a place, with what the device knows of them. */
  private async page(after: string): Promise<readonly Row[]> {
    const { db, seq, shape } = this;
    const read = () =>
      this.shared('heads')
        .select(({ val }) => [val<string | null>(null).as('known'), val<string | null>(null).as('rival')])
        .where('cards.place', '>', after)
        .orderBy('cards.place')
        .limit(AT_ONCE)
        .execute();
    const rows = await pages.of(
      db,
      { key: `${shape} ${after}`, seq, isWhole: ({ kind, etag }) => kind === 'group' || etag !== null },
      read,
    );
    const own = await this.addressesIn(rows);
    if (!own) return rows;
    return rows.map((row) => {
      const rival = own.byHref.get(row.href) ?? null;
      return { ...row, known: own.byUid.get(row.uid) ?? null, rival: rival === row.uid ? null : rival };
    });
  }

  /** Where the device has some cards, and what else at their addresses; undefined for one that has nothing yet. */
  private async addressesIn(rows: readonly Row[]) {
    const own = this.db.selectFrom('memory').select(['uid', 'href']).where('device', '=', this.device.id);
    this.knowsOnce ??= own.limit(1).execute();
    if ((await this.knowsOnce).length === 0) return undefined;
    const [uids, hrefs] = [rows.map(({ uid }) => uid), rows.map(({ href }) => href)];
    const there = rows.length === 0 ? [] : await own.where('uid', 'in', uids).execute();
    const others = rows.length === 0 ? [] : await own.where('href', 'in', hrefs).execute();
    return {
      byUid: new Map(there.map(({ uid, href }) => [uid, href])),
      byHref: new Map(others.map(({ uid, href }) => [href, uid])),
    };
  }

  async lists(): Promise<readonly SeenHead[]> {
    return this.look(await this.listRows());
  }

  /** Cards with what is known of them. @param what - whether what is on them is wanted, or only where nothing has been made of it */
  private rows(what: Wanted) {
    const { id } = this.device;
    return this.shared(what)
      .leftJoin('memory as own', (join) => join.onRef('own.uid', '=', 'cards.uid').on('own.device', '=', id))
      .leftJoin('memory as other', (join) =>
        join
          .onRef('other.href', '=', 'cards.href')
          .onRef('other.uid', '<>', 'cards.uid')
          .on('other.device', '=', id),
      )
      .select(['own.href as known', 'other.uid as rival']);
  }

  /** The same for all who see the same of cards. */
  private shared(what: Wanted) {
    return cardsWithShown(this.db, this.shape)
      .select(['cards.uid', 'cards.seq', 'cards.href', 'cards.kind', 'cards.place'])
      .select(['shown.etag', 'shown.marks'])
      .select(({ eb, val }) => {
        const isNeeded = eb.or([eb('shown.uid', 'is', null), eb('cards.kind', '=', 'group')]);
        return what === 'whole'
          ? [eb.ref('cards.card').as('card'), eb.ref('shown.text').as('text')]
          : [
              eb.case().when(isNeeded).then(eb.ref('cards.card')).end().as('card'),
              val<string | null>(null).as('text'),
            ];
      });
  }

  /**
   * What the device sees of some cards, without those that its passport doesn't let through.
   *
   * @param options - those who are known to be seen, to which these are added; where what is made of cards is put
   */
  private async look(
    rows: readonly Row[],
    { here, made }: { readonly here?: Set<string>; readonly made?: Shown[] } = {},
  ): Promise<Seen[]> {
    const [lists, members] = [await this.listsIn(rows), await this.members()];
    const seen: Seen[] = [];
    const inside = [...lists.values()].flatMap(({ members = {} }) => Object.keys(members));
    const visible = here ?? (await this.visible(inside));
    for (const row of rows) {
      const { uid, seq, place } = row;
      if (row.kind === 'group') {
        const list = lists.get(uid);
        if (!list) continue;
        const card = servedCard({ ...list, members: among(list, visible) }, this.device);
        const head = { uid, seq, place, href: await this.addressOf(row), etag: etagOf(card, this.device) };
        seen.push(new Seen(head, this.device, { card }));
        continue;
      }
      const { marks, etag, served } = this.shownOf(row, made);
      if (!isLetThrough(this.device, marks, members)) continue;
      // Few have anything else at their addresses: nobody waits for those.
      const href = row.known ?? (row.rival === null ? row.href : await this.addressOf(row));
      const { shape } = this;
      here?.add(uid);
      const head = { uid, seq, place, href, etag };
      seen.push(new Seen(head, this.device, { card: served, raw: row.card, text: row.text, shape }));
    }
    return seen;
  }

  /** What has been made of a card, or is made now. */
  private shownOf(row: Row, made?: Shown[]): { marks: Marks; etag: string; served?: Card } {
    const { uid, seq, place } = row;
    // Written below only.
    if (row.marks !== null && row.etag !== null)
      return { marks: JSON.parse(row.marks) as Marks, etag: row.etag };
    const card = toCard(row.card ?? '{}');
    const [marks, served] = [marksOf(card), servedCard(card, this.device)];
    const etag = etagOf(served, this.device);
    made?.push({
      ...{ shape: this.shape, place, uid, seq, etag, marks: JSON.stringify(marks) },
      ...{ asked: null, text: null },
    });
    return { marks, etag, served };
  }

  /** The lists among some cards that go through, with all who are on them. */
  private async listsIn(rows: readonly Row[]): Promise<ReadonlyMap<string, Card>> {
    const [lists, members] = [new Map<string, Card>(), await this.members()];
    for (const { uid, kind, card } of rows) {
      if (kind !== 'group' || card === null) continue;
      const list = toCard(card);
      if (!isLetThrough(this.device, list, members)) continue;
      const filled = isRuleList(list) ? await this.filled(list) : list;
      if (filled) lists.set(uid, filled);
    }
    return lists;
  }

  /** A rule list with the members that the application last reported; undefined before the first report. */
  private async filled(list: Card): Promise<Card | undefined> {
    const uids = await sentMembers(this.db, list.uid);
    return uids && { ...list, members: Object.fromEntries(uids.map((uid) => [uid, true as const])) };
  }

  /** All lists, where the device gets any. */
  private async listRows(): Promise<readonly Row[]> {
    if (this.device.groups === 0) return [];
    return this.rows('heads').where('cards.kind', '=', 'group').execute();
  }

  /** Which of some cards the device may know of. */
  private async visible(uids: readonly string[]): Promise<ReadonlySet<string>> {
    const [visible, members] = [new Set<string>(), await this.members()];
    for (const some of inBatches([...new Set(uids)], AT_ONCE)) {
      const rows = await this.rows('heads')
        .where('cards.uid', 'in', [...some])
        .execute();
      const lists = await this.listsIn(rows);
      for (const row of rows) {
        const isSeen =
          row.kind === 'group'
            ? lists.has(row.uid)
            : isLetThrough(this.device, this.shownOf(row).marks, members);
        if (isSeen) visible.add(row.uid);
      }
    }
    return visible;
  }

  private members(): Promise<ReadonlySet<string>> {
    this.membersOnce ??= isForLists(this.device)
      ? membersOf(this.db, listsOf(this.device))
      : Promise.resolve(NOBODY);
    return this.membersOnce;
  }

  /** The address under which the device knows a card; else its own, or another one where the device sees something else there. */
  private async addressOf({ uid, href, known, rival }: Row): Promise<string> {
    if (known !== null) return known;
    if (rival === null || !(await this.visible([rival])).has(rival)) return href;
    for (let other = SECOND + href; ; other = SECOND + other) {
      const taken = await this.db
        .selectFrom('memory')
        .select('uid')
        .where('device', '=', this.device.id)
        .where('href', '=', other)
        .where('uid', '<>', uid)
        .executeTakeFirst();
      if (!taken) return other;
    }
  }
}

const NOBODY: ReadonlySet<string> = new Set();

/** Addresses, and those of which they may be the second. */
function bareOf(hrefs: readonly string[]): string[] {
  return hrefs.flatMap((href) => {
    const all = [href];
    for (let bare = href; bare.startsWith(SECOND);) {
      bare = bare.slice(SECOND.length);
      all.push(bare);
    }
    return all;
  });
}

/** Those on a list that a device may know of. */
function among({ members = {} }: Card, visible: ReadonlySet<string>): Record<string, true> {
  const uids = Object.keys(members).filter((uid) => visible.has(uid));
  return Object.fromEntries(uids.map((uid) => [uid, true as const]));
}
