import { shownAs } from '@/core/card';
import { generateMail, generateStrangersMail, OWN_ADDRESS } from '@/demo';
import {
  addStandIn,
  editHeld,
  findStandIn,
  keepStandIn,
  STAND_INS,
  type StandInKind,
  visitNow,
} from '@/hub/standins';
import { allCards, type HubDb } from '@/hub/store';
import { stageMails } from '@/hub/write';

/**
 * Fills the demo's mailbox, sets up its three devices and syncs them once; then one value is changed on two of them,
 * differently, so that there is something to settle.
 */
export async function stageDemo(db: HubDb, base: string, today: string): Promise<void> {
  await stageMails(db, `${generateMail(today)}\n${generateStrangersMail(today)}`, OWN_ADDRESS);
  for (const kind of ['phone', 'mail', 'computer'] as const) {
    await addStandIn(db, kind);
    await visitNow(db, kind, base);
  }
  // A person with one mail address and one number, who is on every device.
  const someone = (await allCards(db)).find(
    ({ kind, emails, phones }) =>
      kind === 'individual' &&
      Object.keys(emails ?? {}).length === 1 &&
      Object.keys(phones ?? {}).length === 1,
  );
  const [mail] = Object.values(someone?.emails ?? {});
  if (!someone || !mail) return;
  const [box = 'post'] = mail.address.split('@');
  await typeMail(db, 'computer', someone.uid, {
    name: shownAs(someone),
    mail: `${box}@harbour-mail.example`,
  });
  await visitNow(db, 'computer', base);
  await typeMail(db, 'phone', someone.uid, { name: shownAs(someone), mail: `${box}.new@example.org` });
  await visitNow(db, 'phone', base);
}

async function typeMail(
  db: HubDb,
  kind: StandInKind,
  uid: string,
  { name, mail }: { readonly name: string; readonly mail: string },
): Promise<void> {
  const state = await findStandIn(db, kind);
  const phones = Object.values(state?.cards[uid]?.card.phones ?? {}).map(({ number }) => number);
  if (state)
    await keepStandIn(db, kind, editHeld(STAND_INS[kind], state, uid, { name, phones, mails: [mail] }));
}
