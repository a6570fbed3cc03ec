import { type Card, organisationWords } from '@/core/card';

/** What firms are by law, as it ends their names; only forms that end nobody's own name. Common practice. */
const FORM =
  /(?:^|[\s,])(?:ltd|limited|llc|llp|inc|incorporated|corp|plc|gmbh(?: & co\.? kg)?|ohg|gbr|e\.? ?v|sarl|s\.a\.r\.l|sas|s\.? ?r\.? ?l|s\.p\.a|spa|s\.a|s\.l|b\.? ?v|n\.v|lda|ab|oy|a\.s|s\.r\.o|sp\. ?z ?o\. ?o|kft|d\.o\.o|pty)\.?$/i;

/**
 * Whether a card is an organisation's: it says so, or says nothing and has the name of one: a legal form, or no name but
 * that of the organisation.
 */
export function isFirm({ kind, name, organizations, titles, anniversaries }: Card): boolean {
  if (kind !== undefined) return kind === 'org';
  if (titles !== undefined || anniversaries !== undefined) return false;
  const full = (name?.full ?? name?.components?.map(({ value }) => value).join(' ') ?? '').trim();
  const [firm] = Object.values(organizations ?? {});
  if (full === '') return firm?.name !== undefined;
  if (FORM.test(full)) return true;
  return (
    firm?.name !== undefined && organisationWords(full).join(' ') === organisationWords(firm.name).join(' ')
  );
}
