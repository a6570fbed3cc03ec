import { isRuleList } from '@/core/lists';
import { CARDS_AT_ONCE, type Pull } from '@/core/sync';
import { type HubDb, lastMail, lastSeq, toCard, withPictures } from '@/hub/store';

import { type Device, listDevices, listsOf } from '../passports/passports';
import type { Browser } from './pairing';

/** Changes since a change, the oldest first, without the browser's own that still stand. */
export async function answerPull(db: HubDb, browser: Browser, since: number): Promise<Pull> {
  const head = await lastSeq(db);
  const latest = db
    .selectFrom('changes')
    .select(({ fn }) => ['uid', fn.max('seq').as('seq')])
    .where('seq', '>', since)
    .groupBy('uid')
    .as('latest');
  const rows = await db
    .selectFrom(latest)
    .innerJoin('changes', 'changes.seq', 'latest.seq')
    .leftJoin('cards', 'cards.uid', 'latest.uid')
    .leftJoin('devices', 'devices.id', 'changes.device')
    .leftJoin('browsers', 'browsers.id', 'changes.browser')
    .leftJoin('sent', (join) => join.onRef('sent.uid', '=', 'latest.uid').on('sent.browser', '=', browser.id))
    .select(['latest.uid', 'latest.seq', 'cards.card', 'devices.name as device', 'browsers.name as browser'])
    .where(({ eb, or }) =>
      or([eb('sent.seq', 'is', null), eb('sent.isSame', '=', 0), eb('sent.seq', '<', eb.ref('latest.seq'))]),
    )
    .orderBy('latest.seq')
    .limit(CARDS_AT_ONCE + 1)
    .execute();
  const isMore = rows.length > CARDS_AT_ONCE;
  const page = rows.slice(0, CARDS_AT_ONCE);
  const { count } = await db
    .selectFrom('settle')
    .select(({ fn }) => fn.countAll<number>().as('count'))
    .executeTakeFirstOrThrow();
  const devices = await listDevices(db);
  const lists = [...devices.flatMap(listsOf), ...(await ruleListsFor(db, devices))];
  const there = page.flatMap(({ card }) => (card === null ? [] : toCard(card)));
  const cards = new Map((await withPictures(db, there)).map((card) => [card.uid, card]));
  return {
    cards: page.map(({ uid, device, browser: other }) => ({
      uid,
      card: cards.get(uid) ?? null,
      by: device ?? other,
    })),
    seq: isMore ? (page.at(-1)?.seq ?? head) : head,
    isMore,
    lists: [...new Set(lists)],
    toSettle: count,
    mail: await lastMail(db),
  };
}

/** Rule lists that some device gets as group cards. */
async function ruleListsFor(db: HubDb, devices: readonly Device[]): Promise<string[]> {
  const takers = devices.filter(({ groups, tag, paused }) => groups === 1 && tag === null && paused === 0);
  if (!takers.some((device) => listsOf(device).length === 0)) return [];
  const rows = await db.selectFrom('cards').select(['uid', 'card']).where('kind', '=', 'group').execute();
  return rows.flatMap(({ uid, card }) => (isRuleList(toCard(card)) ? uid : []));
}
