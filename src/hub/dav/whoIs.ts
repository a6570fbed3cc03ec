import { createHash } from 'node:crypto';

import type { Request } from 'express';

import { type HubDb, ifPossible, type Limit, mayTry, wasRight } from '@/hub/store';
import { type Device, knownLately, signIn } from '@/hub/sync';
import { texts } from '@/texts/sync/dav';

import { DavError } from './davError';

const TEN_MINUTES_MS = 600_000;
/** Wrong passwords for one name from one address. */
const PER_NAME: Limit = { name: 'device', most: 10, withinMs: TEN_MINUTES_MS };
/** The same for all names from one address. */
const PER_ADDRESS: Limit = { name: 'devices', most: 60, withinMs: TEN_MINUTES_MS };

/** Says which device asks. Tries are counted before a password is looked at, so that none is free by coming at once. */
export class Doorkeeper {
  /** The same password for the same name is looked at once, however many requests bring it at the same time. */
  private readonly underWay = new Map<string, Promise<Device | undefined>>();

  constructor(private readonly db: HubDb) {}

  /** @throws DavError 401 for a wrong name or password, 429 for too many of them */
  async whoIs(request: Request): Promise<Device> {
    const [, encoded = ''] = /^Basic +([A-Za-z0-9+/=]+) *$/i.exec(request.get('authorization') ?? '') ?? [];
    if (encoded === '') throw new DavError(401, texts.deviceSignsIn);
    const [, user = '', password = ''] =
      /^([^:]*):(.*)$/s.exec(Buffer.from(encoded, 'base64').toString('utf8')) ?? [];
    // Whoever was let in a moment ago is, whatever others try under the same name.
    const known = await knownLately(this.db, user, password);
    if (known) return known;
    const key = createHash('sha256').update(encoded).digest('hex');
    const asked = this.underWay.get(key) ?? this.look(request.ip ?? '', user, password);
    this.underWay.set(key, asked);
    const device = await asked.finally(() => this.underWay.delete(key));
    if (!device) throw new DavError(401, texts.noPassport);
    return device;
  }

  private async look(from: string, user: string, password: string): Promise<Device | undefined> {
    const [byName, byAddress] = [[PER_NAME, `${user} ${from}`] as const, [PER_ADDRESS, from] as const];
    if (!(await mayTry(this.db, Date.now(), byName, byAddress)))
      throw new DavError(429, texts.tooManyWrongPasswords);
    const device = await signIn(this.db, user, password);
    if (device) await ifPossible(wasRight(this.db, byName, byAddress));
    return device;
  }
}
