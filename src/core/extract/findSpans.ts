import { foldText } from '@/core/base';

import { countryOf } from './countries';
import { findAddresses } from './findAddresses';
import { findBirthday } from './findBirthday';
import { findPhones } from './findPhones';
import { findPhoneticNames } from './findPhoneticNames';
import { findReach } from './findReach';
import { findWho } from './findWho';
import { homeOf } from './homeOf';
import { plainText } from './plainText';
import { readableLines } from './readableLines';
import { type ExtractOptions, inOrder, type TextSpan } from './spans';
import type { Segment } from './textLines';

/**
 * Finds what a text says of a person or an organisation: a signature, a whole mail, an imprint, a printed card.
 *
 * Source: common practice of signatures and cards in English, German, French, Spanish, Italian, Dutch, Polish,
 * Portuguese, Swedish, Japanese and Chinese; numbers by the plans that libphonenumber knows.
 *
 * @param text - any text; '' gives no marks. Line ends may be of any kind.
 * @returns marks in the order of the text, none within another
 */
export function findSpans(text: string, { country }: ExtractOptions = {}): TextSpan[] {
  const plain = plainText(text);
  const { lines, sender, isSignature } = readableLines(plain);
  const own = findReach(lines);
  const head = sender ? senderMarks(sender, own, plain) : [];
  // What the head says again stands in the signature, if it stands there.
  const sure = [...own, ...findBirthday(lines)];
  const home = homeOf(plain, lines, sure, country);
  const phones = findPhones(lines, sure, home);
  const addresses = findAddresses(lines, [...sure, ...phones], home);
  const nation = addresses.find(({ field }) => field === 'country');
  const wanted = nation ? countryOf(plain.slice(nation.start, nation.end)) : undefined;
  // Numbers are read by the country of the address, which is known only now.
  const read = wanted === undefined || wanted === home ? phones : findPhones(lines, sure, wanted);
  const taken = [...sure, ...read, ...addresses];
  const who = findWho(lines, taken, {
    ...{ text: plain, isSignature },
    ...wordsOfReach(plain, [...head, ...own]),
  });
  const name = who.find(({ field }) => field === 'name');
  const sent = head.find(({ field }) => field === 'name');
  // "Yaël" under a mail is short for who the head says has sent it.
  const isSent =
    sent !== undefined &&
    (!name || isPartOf(plain.slice(name.start, name.end), plain.slice(sent.start, sent.end)));
  const fromHead = head.filter(({ field }) => field === 'mail' || isSent);
  const named = who.filter(
    (mark) =>
      !(isSent && mark === name) &&
      // "Petra" under a mail of Petra Kahler is no firm.
      !(
        sent &&
        mark.field === 'organisation' &&
        isPartOf(plain.slice(mark.start, mark.end), plain.slice(sent.start, sent.end))
      ),
  );
  return inOrder([...fromHead, ...taken, ...named, ...findPhoneticNames(plain, lines, name)]);
}

function isPartOf(short: string, full: string): boolean {
  return short.length < full.length && short.split(' ').every((word) => full.split(' ').includes(word));
}

/** Name and address of who sent the mail; an address that the signature has too isn't marked twice. */
function senderMarks(sender: Segment, own: readonly TextSpan[], plain: string): TextSpan[] {
  const match = /^"?([^"<]*?)"?\s*[<[(](?:mailto:)?([^>\])]+@[^>\])]+)[>\])]/.exec(sender.text);
  if (!match) return findReach([{ ...sender, index: 0, segments: [sender] }]);
  const [, name = '', address = ''] = match;
  const at = sender.start + sender.text.indexOf(address);
  const isKnown = own.some(
    ({ start, end }) => plain.slice(start, end).toLowerCase() === address.toLowerCase(),
  );
  const nameAt = sender.start + sender.text.indexOf(name);
  return [
    ...(name.trim() === '' || name.includes('@')
      ? []
      : [{ start: nameAt, end: nameAt + name.trimEnd().length, field: 'name' as const }]),
    ...(isKnown ? [] : [{ start: at, end: at + address.length, field: 'mail' as const }]),
  ];
}

/** Words of addresses that names and firms are known again by. */
function wordsOfReach(plain: string, marks: readonly TextSpan[]): { locals: string[]; domains: string[] } {
  const locals: string[] = [];
  const domains: string[] = [];
  for (const { start, end, field } of marks) {
    const value = foldText(plain.slice(start, end));
    if (field === 'mail')
      locals.push(...(value.split(/[@([]/)[0] ?? '').split(/[^\p{L}]+/u).filter((word) => word.length > 1));
    if (field !== 'mail' && field !== 'link') continue;
    const host =
      field === 'mail'
        ? (value.split(/[@\])]/).at(-1) ?? '')
        : value.replace(/^https?:\/\//, '').replace(/[/?#].*/, '');
    const parts = host
      .trim()
      .split('.')
      .filter((part) => part !== 'www' && part !== 'mail');
    // "firm.co.uk", "firm.example.org": the part that names somebody is the longest before the end.
    domains.push(
      ...parts
        .slice(0, -1)
        .filter((part) => part.length > 2 && part !== 'example')
        .map((part) => part.replaceAll('-', '')),
    );
  }
  return { locals, domains };
}
