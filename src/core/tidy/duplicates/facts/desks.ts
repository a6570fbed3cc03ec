/** Mailboxes that belong to a desk, not to a person (common practice). */
const DESKS =
  /^(info|office|contact|kontakt|mail|post|hello|hallo|admin|sales|booking|bookings|press|presse|team|service|support|reception|secretary|sekretariat|boxoffice|no-?reply)@/;

/** Whether a mail address is a desk's. */
export function isDesk(mail: string): boolean {
  return DESKS.test(mail);
}
