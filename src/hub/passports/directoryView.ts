import { createHash } from 'node:crypto';

import { TwinIndex } from '@/core/duplicates';

import { entriesFor } from '../directory/directoryEntries';
import type { HubDb } from '../store/openStore';
import { type DeviceView, hrefFor, type SeenCard } from './deviceView';
import type { Device } from './passports';

const BASE = 'http://cordialis.example/sync/directory/';

/**
 * The common directory as a device may read it; undefined where its passport doesn't let it, or whoever let it has no
 * access any more.
 *
 * @param today - ISO 8601: entries come and go by themselves with the days for which they are valid
 */
export async function directoryView(
  db: HubDb,
  device: Device,
  today: string,
): Promise<DeviceView | undefined> {
  if (device.directory === 0) return undefined;
  const user = await db
    .selectFrom('directoryUsers')
    .select('id')
    .where('id', '=', device.directory)
    .executeTakeFirst();
  if (!user) return undefined;
  const head = await db
    .selectFrom('directoryLog')
    .select(({ fn }) => fn.max('id').as('id'))
    .executeTakeFirst();
  const seq = head?.id ?? 0;
  // A device is nobody who edits: it sees what a reader sees.
  const seen = (await entriesFor(db, 'reader', today)).map(({ card }): SeenCard => {
    const etag = `"${createHash('sha256').update(JSON.stringify(card)).digest('hex').slice(0, 32)}"`;
    return { uid: card.uid, href: hrefFor(card.uid), etag, card };
  });
  return {
    ...{ seq, token: `${BASE}${seq}/${today}` },
    byUid: new Map(seen.map((one) => [one.uid, one])),
    byHref: new Map(seen.map((one) => [one.href, one])),
    twins: () => new TwinIndex(),
  };
}

/** Uids of entries that have changed, come or gone since a token; undefined for a token that is none of ours. */
export async function directoryChanges(
  db: HubDb,
  { token, seq, today }: { readonly token: string; readonly seq: number; readonly today: string },
): Promise<ReadonlySet<string> | undefined> {
  const [, number, day] =
    new RegExp(`^${BASE.replaceAll('.', '\\.')}(\\d{1,15})/(\\d{4}-\\d\\d-\\d\\d)$`).exec(token) ?? [];
  if (number === undefined || day === undefined || Number(number) > seq) return undefined;
  const logged = await db.selectFrom('directoryLog').select('uid').where('id', '>', Number(number)).execute();
  const [from, to] = [day, today].sort() as [string, string];
  const turned = await db
    .selectFrom('directoryEntries')
    .select('uid')
    .where(({ eb, and, or }) =>
      or([
        and([eb('validFrom', '>', from), eb('validFrom', '<=', to)]),
        and([eb('validTo', '>=', from), eb('validTo', '<', to)]),
      ]),
    )
    .execute();
  return new Set([...logged, ...turned].flatMap(({ uid }) => uid ?? []));
}
