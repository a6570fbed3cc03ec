/** @jest-environment node */
// A hub that is killed at any moment, while devices put, delete and put again: what was answered is so afterwards.
// `npm run bench -- kills` does it two hundred times.
import { openStore } from '@/hub/store';
import { addDevice, type Credentials } from '@/hub/sync';

import { HubProcess } from '../hubProcess';
import { randomOf } from '../randomOf';

const KILLS = Number(process.env['KILLS'] ?? 5);
const DEVICES = 4;
const PLACES = 5;
const NOW = '2026-11-26T10:00:00Z';

const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

/** What is known of one address of a device. */
interface Place {
  readonly href: string;
  readonly uid: string;
  /** The value that was answered last; undefined for deleted. */
  value: string | undefined;
  /** The values that what wasn't answered may have left. */
  open: (string | undefined)[];
}

class Load {
  answered = 0;
  deletions = 0;
  again = 0;
  private isOver = false;
  private count = 0;

  constructor(
    private readonly hub: HubProcess,
    private readonly random: () => number,
  ) {}

  ask({ user, password }: Credentials, method: string, href: string, body?: string, headers: object = {}) {
    return fetch(`${this.hub.base}/dav/books/${user}/cards/${href}`, {
      method,
      headers: {
        Authorization: `Basic ${btoa(`${user}:${password}`)}`,
        'Content-Type': 'text/vcard',
        ...headers,
      },
      ...(body === undefined ? {} : { body }),
    });
  }

  stop(): void {
    this.isOver = true;
  }

  /** A device works until the hub is gone. */
  async work(who: Credentials, places: readonly Place[]): Promise<void> {
    while (!this.isOver) {
      const place = places[Math.floor(this.random() * places.length)];
      if (!place) return;
      const isDeletion = place.value !== undefined && this.random() < 0.35;
      const value = isDeletion ? undefined : `${who.user} ${(this.count += 1)}`;
      place.open = [value];
      const had = place.value;
      try {
        const answer = isDeletion
          ? await this.ask(who, 'DELETE', place.href)
          : await this.ask(who, 'PUT', place.href, vcard(place.uid, value ?? ''));
        await answer.arrayBuffer();
        if (![201, 204].includes(answer.status)) throw new Error(`answered ${answer.status}`);
        place.value = value;
        place.open = [];
        this.answered += 1;
        if (isDeletion) this.deletions += 1;
        else if (had === undefined) this.again += 1;
      } catch (error) {
        // Nobody to talk to any more: what was under way may have been done or not.
        if (error instanceof Error && /answered/.test(error.message)) throw error;
        return;
      }
    }
  }
}

const vcard = (uid: string, value: string) =>
  ['BEGIN:VCARD', 'VERSION:4.0', `UID:${uid}`, `FN:${value}`, `NOTE:${value}`, 'END:VCARD', ''].join('\r\n');

/** Somebody who only looks, and keeps what a sync tells. */
class Observer {
  readonly here = new Map<string, string>();
  private token = '';

  constructor(
    private readonly hub: HubProcess,
    private readonly who: Credentials,
  ) {}

  async sync(from = this.token): Promise<Map<string, string>> {
    const { user, password } = this.who;
    const told = new Map<string, string>();
    for (let token = from; ;) {
      const response = await fetch(`${this.hub.base}/dav/books/${user}/cards/`, {
        method: 'REPORT',
        headers: { Authorization: `Basic ${btoa(`${user}:${password}`)}` },
        body: `<d:sync-collection xmlns:d="DAV:"><d:sync-token>${token}</d:sync-token><d:limit><d:nresults>7</d:nresults></d:limit><d:prop><d:getetag/></d:prop></d:sync-collection>`,
      });
      const text = await response.text();
      if (response.status !== 207) throw new Error(`the sync answered ${response.status}`);
      for (const [, href = '', etag] of text.matchAll(
        /<d:href>([^<]*)<\/d:href>(?:<d:propstat><d:prop><d:getetag>([^<]*)|<d:status>HTTP\/1.1 404)/g,
      )) {
        told.delete(href);
        if (etag !== undefined) told.set(href, etag);
        if (from !== '') this.apply(href, etag);
      }
      token = /<d:sync-token>([^<]*)</.exec(text)?.[1] ?? '';
      if (text.includes('507 Insufficient')) continue;
      if (from !== '' || this.token === '') this.token = token;
      return told;
    }
  }

  private apply(href: string, etag: string | undefined): void {
    if (etag === undefined) this.here.delete(href);
    else this.here.set(href, etag);
  }
}

test(`a hub that is killed ${KILLS} times under load has lost nothing that it had answered`, async () => {
  const random = randomOf(20261126);
  const hub = await HubProcess.make();
  const db = await openStore(hub.data);
  const devices: { who: Credentials; places: Place[] }[] = [];
  for (let d = 0; d < DEVICES; d += 1) {
    // Each gets its own cards only, so that what crosses is another test's.
    const name = `Device ${d}`;
    const who = await addDevice(db, { name, direction: 'both', scope: 'kept', own: true }, NOW);
    const places = Array.from({ length: PLACES }, (_, i) => ({
      ...{ href: `${d}-${i}.vcf`, uid: `uid-${d}-${i}` },
      ...{ value: undefined, open: [] },
    }));
    devices.push({ who, places });
  }
  const watching = await addDevice(db, { name: 'Watching', direction: 'out' }, NOW);
  await db.destroy();
  await hub.start();
  const observer = new Observer(hub, watching);
  for (const [href, etag] of await observer.sync('')) observer.here.set(href, etag);
  let [answered, deletions, again] = [0, 0, 0];
  for (let kill = 0; kill < KILLS; kill += 1) {
    const load = new Load(hub, random);
    const work = devices.map(({ who, places }) => load.work(who, places));
    // However slow the machine is, something has been done of each kind.
    let isEnded = false;
    const end = () => void (isEnded = true);
    void Promise.race(work).then(end, end);
    while (!isEnded && (load.answered < 15 || load.deletions < 2)) await pause(10);
    await pause(random() * 400);
    await hub.kill();
    load.stop();
    await Promise.all(work);
    await hub.start();
    for (const { who, places } of devices)
      for (const place of places) {
        const response = await load.ask(who, 'GET', place.href);
        const text = await response.text();
        const now = response.status === 404 ? undefined : /^NOTE:(.*)\r$/m.exec(text)?.[1];
        const allowed = [place.value, ...place.open];
        // For the device, and in one piece.
        expect([place.href, allowed.includes(now), now, allowed]).toEqual([place.href, true, now, allowed]);
        if (now !== undefined) expect(text).toContain(`FN:${now}\r`);
        place.value = now;
        place.open = [];
      }
    // For everybody else: what is told piece by piece adds up to what is there.
    await observer.sync();
    const whole = await observer.sync('');
    expect([...observer.here].sort()).toEqual([...whole].sort());
    const there = devices.flatMap(({ places }) => places.filter(({ value }) => value !== undefined));
    expect(whole.size).toBe(there.length);
    [answered, deletions, again] = [answered + load.answered, deletions + load.deletions, again + load.again];
  }
  // It was worth something.
  expect(deletions).toBeGreaterThan(KILLS);
  expect(again).toBeGreaterThan(KILLS);
  if (process.env['KILLS'] !== undefined)
    console.log(JSON.stringify({ kills: KILLS, answered, deletions, madeAgain: again, lost: 0 }));
  await hub.remove();
}, 3_600_000);

test('a second hub doesn’t take a store that is in use, and one that was killed leaves nothing in the way', async () => {
  const hub = await HubProcess.make();
  await hub.start();
  const second = await hub.beside();
  await expect(second.start()).rejects.toThrow(/another hub is using/);
  await hub.kill();
  await hub.start();
  await hub.remove();
});
