/** @jest-environment node */
// Two devices with the same cards, with and without conditions and fetching in between, over restarts of the hub: what each is
// answered is so, and what crosses is put together or kept to settle. Compared with a plain model after each answer.
import { createHash } from 'node:crypto';

import fc from 'fast-check';

import { findCard } from '@/hub/store';
import { addDevice, type Credentials } from '@/hub/sync';
import { askAs, movingClock, startTestHub, TEST_NOW, type TestHub } from '@/hub/testing';

const RUNS = Number(process.env['HISTORIES'] ?? 100);

/** What the first device types, and the second; whoever makes a card types both. */
type Fields = readonly [mail: string, phone: string];

/** What a device knows of a card: where, and as what. */
interface Known {
  readonly href: string;
  base: Fields;
}

let hub: TestHub;
beforeAll(async () => {
  hub = await startTestHub(undefined, movingClock());
});
afterAll(() => hub.stop());

const hrefFor = (uid: string) => `${createHash('sha256').update(uid).digest('hex').slice(0, 40)}.vcf`;
const mail = (n: number) => `m${n}@example.org`;
const phone = (n: number) => `+4420794${String(60000 + n).padStart(6, '0')}`;

const ask = (who: Credentials, method: string, href: string, more: Parameters<typeof askAs>[4]) =>
  askAs(hub.base, who, method, href, more);

const vcard = (uid: string, name: string, [one, other]: Fields) =>
  [
    ...['BEGIN:VCARD', 'VERSION:4.0', `UID:${uid}`, `FN:${name}`, `EMAIL:${one}`, `TEL:${other}`],
    ...['END:VCARD', ''],
  ].join('\r\n');
const fieldsIn = (text: string): Fields => [
  /^EMAIL[^:]*:(.*)\r$/m.exec(text)?.[1] ?? '',
  /^TEL[^:]*:(?:tel:)?(.*)\r$/m.exec(text)?.[1] ?? '',
];

const step = fc.record({
  kind: fc.constantFrom(...(['put', 'put', 'put', 'delete', 'get', 'get', 'restart'] as const)),
  who: fc.constantFrom(0 as const, 1 as const),
  at: fc.constantFrom(0, 1),
  condition: fc.constantFrom(...(['none', 'none', 'right', 'wrong', 'new'] as const)),
  isOtherUid: fc.boolean(),
});
type Step = typeof step extends fc.Arbitrary<infer T> ? T : never;

class Model {
  private readonly book = new Map<number, Fields>();
  private readonly known: [Map<number, Known>, Map<number, Known>] = [new Map(), new Map()];
  private count = 0;

  constructor(
    private readonly run: number,
    private readonly devices: readonly [Credentials, Credentials],
  ) {}

  private uid(at: number): string {
    return `u${this.run}-${at}`;
  }

  async act({ kind, who, at, condition, isOtherUid }: Step): Promise<void> {
    if (kind === 'restart') hub = await hub.restart();
    else if (kind === 'get') await this.get(who, at);
    else if (kind === 'delete') await this.remove(who, at, condition);
    else await this.put(who, at, condition, isOtherUid);
    await this.check();
  }

  private async get(who: 0 | 1, at: number): Promise<string> {
    const now = this.book.get(at);
    const href = this.known[who].get(at)?.href ?? hrefFor(this.uid(at));
    const { status, text, etag } = await ask(this.devices[who], 'GET', href, {
      headers: { Accept: 'text/vcard; version=4.0' },
    });
    expect([status, now && fieldsIn(text)]).toEqual(now ? [200, now] : [404, undefined]);
    if (now) this.known[who].set(at, { href, base: now });
    return etag;
  }

  private async put(
    who: 0 | 1,
    at: number,
    condition: Step['condition'],
    isOtherUid: boolean,
  ): Promise<void> {
    const now = this.book.get(at);
    // Nobody changes what they haven't seen.
    if (now && !this.known[who].has(at)) return void (await this.get(who, at));
    const etag = now && condition === 'right' ? await this.get(who, at) : '"wrong"';
    const known = this.known[who].get(at);
    this.count += 1;
    const typed: Fields = [mail(this.run * 100 + this.count), phone(this.run * 100 + this.count)];
    const href = now && known ? known.href : `${this.uid(at)}.vcf`;
    const sent: Fields =
      !now || !known ? typed : who === 0 ? [typed[0], known.base[1]] : [known.base[0], typed[1]];
    const uid = now && isOtherUid ? `o${this.run}-${this.count}` : this.uid(at);
    const headers = conditionFor(condition, etag, now !== undefined);
    const body = vcard(uid, `Somebody ${this.run} ${at}`, sent);
    const { status } = await ask(this.devices[who], 'PUT', href, { body, headers });
    if (condition === 'wrong' || (condition === 'new' && now)) return expect(status).toBe(412);
    // RFC 6352 §6.3.2.1: one card is not put in the place of another.
    if (uid !== this.uid(at)) return expect(status).toBe(409);
    expect(status).toBe(now ? 204 : 201);
    if (!now || !known) this.book.set(at, sent);
    // What somebody else has changed meanwhile stands, and the other value is kept to settle.
    else if (now[who] === known.base[who])
      this.book.set(at, who === 0 ? [sent[0], now[1]] : [now[0], sent[1]]);
    else await this.checkSettled(at, sent[who]);
    this.known[who].set(at, { href, base: sent });
  }

  private async remove(who: 0 | 1, at: number, condition: Step['condition']): Promise<void> {
    const now = this.book.get(at);
    const etag = now && condition === 'right' ? await this.get(who, at) : '"wrong"';
    const known = this.known[who].get(at);
    if (now && !known) return;
    const headers = condition === 'new' ? {} : conditionFor(condition, etag, now !== undefined);
    const { status } = await ask(this.devices[who], 'DELETE', known?.href ?? hrefFor(this.uid(at)), {
      headers,
    });
    if (!now || !known) return expect(status).toBe(404);
    if (condition === 'wrong') return expect(status).toBe(412);
    const isAsKnown = known.base.join() === now.join();
    expect(status).toBe(isAsKnown ? 204 : 409);
    if (!isAsKnown) return;
    this.book.delete(at);
    this.known[who].delete(at);
  }

  private async checkSettled(at: number, value: string): Promise<void> {
    const rows = await hub.db.selectFrom('settle').select('theirs').where('uid', '=', this.uid(at)).execute();
    expect(rows.map(({ theirs }) => theirs)).toContain(JSON.stringify(value));
  }

  /** The book itself. */
  private async check(): Promise<void> {
    for (const at of [0, 1]) {
      const card = await findCard(hub.db, this.uid(at));
      const fields = card && [
        Object.values(card.emails ?? {}).map(({ address }) => address),
        Object.values(card.phones ?? {}).map(({ number }) => number),
      ];
      expect(fields).toEqual(this.book.get(at)?.map((one) => [one]));
    }
  }
}

function conditionFor(condition: Step['condition'], etag: string, isThere: boolean): Record<string, string> {
  if (condition === 'wrong') return { 'If-Match': '"wrong"' };
  if (condition === 'new') return { 'If-None-Match': '*' };
  return condition === 'right' && isThere ? { 'If-Match': etag } : {};
}

test('histories of two devices agree with a plain model after each answer (law)', async () => {
  const device = (name: string) => addDevice(hub.db, { name, direction: 'both' }, TEST_NOW);
  const devices = [await device('Phone'), await device('Client')] as const;
  let run = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 3, maxLength: 16 }), async (steps) => {
      // Cards of its own each time, which nobody has known before.
      const model = new Model((run += 1), devices);
      for (const one of steps) await model.act(one);
    }),
    { numRuns: RUNS, ...(process.env['SEED'] === undefined ? {} : { seed: Number(process.env['SEED']) }) },
  );
}, 3_600_000);
