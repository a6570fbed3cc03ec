import type { Card } from '@/core/card';
import { texts } from '@/texts/tidy/faults';

import type { Fault } from './fault';

/** RFC 5321 §4.1.2, as far as addresses are met: a dot-atom, an @, a domain of two labels or more; Unicode by RFC 6531. */
const ADDRESS =
  /^[\p{L}\p{N}!#$%&'*+/=?^_`{|}~-]+(?:\.[\p{L}\p{N}!#$%&'*+/=?^_`{|}~-]+)*@(?:[\p{L}\p{N}](?:[\p{L}\p{N}-]{0,61}[\p{L}\p{N}])?\.)+[\p{L}\p{N}-]{2,63}$/u;

/** Mail addresses that no mail reaches; what only stands around them, or was mistyped plainly, is taken away. */
export function findMailFaults(card: Card): Fault[] {
  return Object.entries(card.emails ?? {}).flatMap(([id, { address }]): Fault[] => {
    if (ADDRESS.test(address)) return [];
    const path = ['emails', id, 'address'];
    const mended = mendAddress(address);
    return [
      {
        ...{ code: 'bad-mail', uid: card.uid, path, was: address, shown: address },
        says: address.includes('@') ? texts.isNotValidMail : texts.hasNo,
        ...(ADDRESS.test(mended)
          ? { mend: { edits: [{ path, before: address, after: mended }], shown: mended, isSure: true } }
          : {}),
      },
    ];
  });
}

/** Without "mailto:", brackets, a name before it, white space, points at its ends and two in a row; "," before an end as ".". */
function mendAddress(address: string): string {
  const inner = /<([^<>]+)>/.exec(address)?.[1] ?? address;
  return inner
    .replace(/^\s*mailto:/i, '')
    .replace(/\s+/g, '')
    .replace(/\.{2,}/g, '.')
    .replace(/,(?=[a-z]{2,6}$)/i, '.')
    .replace(/^[.,;:'"]+|[.,;:'"]+$/g, '')
    .replace(/\.@|@\./g, '@');
}
