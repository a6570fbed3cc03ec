import { useEffect, useState } from 'react';
import { Pressable } from 'react-native';

import { type MailDraft, type MailDraftNow, useServices } from '@/book';
import type { Hit } from '@/core/search';
import { localDay } from '@/platform';
import { Field, Txt } from '@/ui';

/** People and lists offered at once. */
const OFFERED = 6;
/** "Bo Ek <bo@example.org>", or the address alone. */
const ADDRESS = /^(.*?)[\s,;]*<?([^\s<>,;@]+@[^\s<>,;@]+)>?\s*$/;

interface ToFieldProps {
  readonly draft: MailDraft;
  readonly set: MailDraftNow['set'];
}

/** Addresses the message to people and lists by the beginning of a name, or to an address nobody has. */
export function ToField({ draft, set }: ToFieldProps) {
  const { search } = useServices();
  const [text, setText] = useState('');
  const [found, setFound] = useState<{ text: string; hits: readonly Hit[] }>({ text: '', hits: [] });
  const typed = text.trim();
  useEffect(() => {
    let isCurrent = true;
    if (typed !== '')
      void search.find(typed, OFFERED + 10, localDay()).then(({ hits }) => {
        if (isCurrent) setFound({ text: typed, hits });
      });
    return () => {
      isCurrent = false;
    };
  }, [search, typed]);
  const add = (one: MailDraft['to'][number]) => {
    setText('');
    const isKnown = draft.to.some((known) => JSON.stringify(known) === JSON.stringify(one));
    if (!isKnown) set({ to: [...draft.to, one] });
  };
  const hits = (found.text === typed && typed !== '' ? found.hits : []).slice(0, OFFERED);
  const [, before = '', address] = ADDRESS.exec(typed) ?? [];
  return (
    <>
      <Field
        label="To people and lists"
        value={text}
        onChange={setText}
        placeholder="A name, a list, or an address"
        testID="write-to"
      />
      {hits.map((hit) => (
        <Offer
          key={hit.uid}
          title={hit.shown}
          second={hit.kind === 'list' ? 'Everybody on this list' : hit.field === 'name' ? '' : hit.value}
          onPress={() =>
            add(hit.kind === 'list' ? { kind: 'list', uid: hit.uid } : { kind: 'card', uid: hit.uid })
          }
        />
      ))}
      {address === undefined ? null : (
        <Offer
          title={address}
          second="This address"
          onPress={() => add({ kind: 'address', address, name: before.trim() })}
        />
      )}
    </>
  );
}

interface OfferProps {
  readonly title: string;
  readonly second: string;
  readonly onPress: () => void;
}

function Offer({ title, second, onPress }: OfferProps) {
  return (
    <Pressable
      role="button"
      aria-label={`Write to ${title}`}
      onPress={onPress}
      className="min-h-[44px] justify-center border-b border-rule pl-3 hover:bg-leaf active:bg-leaf"
    >
      <Txt font="serif" size="strong" lines={1}>
        {title}
      </Txt>
      {second === '' ? null : (
        <Txt size="small" tone="faded" lines={1}>
          {second}
        </Txt>
      )}
    </Pressable>
  );
}
