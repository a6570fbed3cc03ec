import { entriesFor } from '@/hub/directory';
import { hrefFor, type HubDb } from '@/hub/store';

import type { DeviceView, SeenCard } from './deviceView';
import { etagOf } from './letThrough';
import { ListedView } from './listedView';
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
  const { photoSide } = device;
  const token = `${BASE}${seq}/${today}`;
  const views = kept.get(db) ?? new Map<Device['photoSide'], DeviceView>();
  kept.set(db, views);
  const known = views.get(photoSide);
  if (known?.token === token) return known;
  // A device never edits the directory: it sees what a reader sees.
  const seen = (await entriesFor(db, 'reader', today)).map(({ card }): SeenCard => {
    return { uid: card.uid, href: hrefFor(card.uid), etag: etagOf(card, device), card, seq };
  });
  const view = new ListedView(seq, token, seen);
  views.set(photoSide, view);
  return view;
}

/** The last view for each size of pictures, kept from request to request: it is the same for every device. */
const kept = new WeakMap<HubDb, Map<Device['photoSide'], DeviceView>>();

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
