import { useDeferredValue, useMemo } from 'react';

import { useCardGetter } from '@/book/state';
import type { MailDraftNow } from '@/book/write';
import {
  type cardToSend,
  fieldsIn,
  labelsOf,
  missingFields,
  type OutMessage,
  type Recipient,
  type TemplateWords,
} from '@/core/write';
import { LOCALE } from '@/platform';

import { messageTo, messageToAll } from './outMessages';

/** What greets people, and what of a card others get. */
export interface WriteWork extends TemplateWords {
  readonly cardToSend: typeof cardToSend;
}

/** What a draft becomes: for whom, what each gets, what their cards lack. */
export interface Out {
  readonly people: readonly Recipient[];
  /** How many messages it is. */
  readonly count: number;
  /** One of them; made when it is asked for, as a text to thousands is typed letter by letter. */
  readonly messageAt: (at: number) => OutMessage | undefined;
  /** Whose cards lack something that the text asks for, with what. */
  readonly missing: readonly { readonly at: number; readonly fields: readonly string[] }[];
  /** Whether something is to be filled in where there is one message to all. */
  readonly hasOpenFields: boolean;
  /** Whether the text itself has something to be filled in. */
  readonly isFilledIn: boolean;
  /** Labels of fields that the user has made on the cards of those who get it. */
  readonly labels: readonly string[];
}

/** Works that out. @param work - undefined until it has been loaded */
export function useOut({ draft, recipients, placeOf }: MailDraftNow, work: WriteWork | undefined): Out {
  const getCard = useCardGetter();
  const people = recipients.people.filter(({ key }) => placeOf(key) !== 'off');
  const cardOf = ({ uid }: Recipient) => (uid === undefined ? undefined : getCard(uid));
  const key = people.map((one) => one.key).join('\n');
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the key stands for the people
  const labels = useMemo(() => labelsOf(people.flatMap((one) => cardOf(one) ?? [])), [key, getCard]);
  const { subject = '', body = '', isEach = false } = draft ?? {};
  const context = { locale: LOCALE, words: work, labels };
  // Looked for a moment after what was typed has been drawn.
  const settled = useDeferredValue(subject + body);
  const missing = useMemo(
    () =>
      isEach
        ? people.flatMap((one, at) => {
            const fields = missingFields(settled, cardOf(one), context);
            return fields.length === 0 ? [] : [{ at, fields }];
          })
        : [],
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the key stands for the people
    [settled, isEach, key, labels, work, getCard],
  );
  const text = { subject, body };
  return {
    ...{ people, missing, labels },
    count: isEach ? people.length : 1,
    messageAt: (at) => {
      if (!isEach) return at === 0 ? messageToAll(people, placeOf, text) : undefined;
      const one = people[at];
      return one && messageTo(one, cardOf(one), text, context);
    },
    hasOpenFields: !isEach && fieldsIn(subject + body, context).length > 0,
    isFilledIn: fieldsIn(body, context).length > 0,
  };
}
