import { useState } from 'react';
import { View } from 'react-native';

import type { AskDirectory } from '@/book/directory';
import { type Card, parseName, shownAs } from '@/core/card';
import type { DirectoryEntry } from '@/core/directory';
import { texts } from '@/texts/directory/directory';
import { Choice, Field, NextAct, Sheet, Switch, Txt } from '@/ui';

import { useDirectoryAct } from './useDirectoryAct';

interface EntryFormProps {
  readonly entry: DirectoryEntry;
  readonly ask: AskDirectory;
  readonly onDone: () => void;
  readonly onClose: () => void;
}

const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** What is typed of an entry; what else its card holds stays as it is. */
export function EntryForm({ entry, ask, onDone, onClose }: EntryFormProps) {
  const { card } = entry;
  const act = useDirectoryAct();
  const [typed, setTyped] = useState({
    name: shownAs(card),
    organisation: firstOf(card.organizations)?.name ?? '',
    post: firstOf(card.titles)?.name ?? '',
    mail: firstOf(card.emails)?.address ?? '',
    number: firstOf(card.phones)?.number ?? '',
    from: entry.validFrom ?? '',
    to: entry.validTo ?? '',
  });
  const [isOrg, setOrg] = useState(card.kind === 'org');
  const [isInside, setInside] = useState(entry.isInside);
  const [isHidden, setHidden] = useState(entry.isHidden);
  const set = (some: Partial<typeof typed>) => setTyped({ ...typed, ...some });
  const badDay = (text: string) => (text === '' || DAY.test(text) ? undefined : texts.daySuchAs2026);
  const isBad = badDay(typed.from) !== undefined || badDay(typed.to) !== undefined;
  const save = async () => {
    const body = {
      ...{ isInside, isHidden },
      ...(typed.from === '' ? {} : { validFrom: typed.from }),
      ...(typed.to === '' ? {} : { validTo: typed.to }),
      card: writtenCard(card, typed, isOrg),
    };
    const path = `/entries/${encodeURIComponent(card.uid)}`;
    if (await act(() => ask({ method: 'PUT', path, body }), texts.isInDirectory(typed.name))) onDone();
  };
  return (
    <Sheet title={shownAs(card) || texts.newEntry} isOpen onClose={onClose}>
      <View className="gap-4" testID="entry-form">
        <Field
          label={texts.name}
          value={typed.name}
          onChange={(name) => set({ name })}
          isFirst
          testID="entry-name"
        />
        <Choice
          name={texts.kind}
          options={[
            ['person', texts.person],
            ['org', texts.organisation],
          ]}
          value={isOrg ? 'org' : 'person'}
          onChange={(kind) => setOrg(kind === 'org')}
        />
        {isOrg ? null : (
          <>
            <Field
              label={texts.organisationTitle}
              value={typed.organisation}
              onChange={(organisation) => set({ organisation })}
              testID="entry-organisation"
            />
            <Field label={texts.post} value={typed.post} onChange={(post) => set({ post })} />
          </>
        )}
        <Field
          label={texts.mail}
          value={typed.mail}
          onChange={(mail) => set({ mail })}
          kind="email"
          testID="entry-mail"
        />
        <Field label={texts.phone} value={typed.number} onChange={(number) => set({ number })} kind="tel" />
        <Choice
          name={texts.belongsTo}
          options={[
            ['outside', texts.externalVendorConsultantOrPartner],
            ['inside', texts.internalYourOrganisation],
          ]}
          value={isInside ? 'inside' : 'outside'}
          onChange={(side) => setInside(side === 'inside')}
        />
        <Switch label={texts.hiddenFromReaders} isOn={isHidden} onChange={setHidden} testID="entry-hidden" />
        <View className="flex-row gap-4">
          <View className="min-w-0 flex-1">
            <Field
              label={texts.from}
              value={typed.from}
              onChange={(from) => set({ from })}
              error={badDay(typed.from)}
            />
          </View>
          <View className="min-w-0 flex-1">
            <Field
              label={texts.until}
              value={typed.to}
              onChange={(to) => set({ to })}
              error={badDay(typed.to)}
            />
          </View>
        </View>
        <Txt size="small" tone="faded">
          {texts.readersSeeEntryBetween}
        </Txt>
        <NextAct
          label={texts.save}
          isDisabled={typed.name.trim() === '' || isBad}
          onPress={() => void save()}
          testID="save-entry"
        />
      </View>
    </Sheet>
  );
}

interface Typed {
  readonly name: string;
  readonly organisation: string;
  readonly post: string;
  readonly mail: string;
  readonly number: string;
}

function writtenCard(card: Card, typed: Typed, isOrg: boolean): Card {
  const name = typed.name.trim();
  const same = name === shownAs(card) && isOrg === (card.kind === 'org');
  const written: Card = {
    ...card,
    kind: isOrg ? 'org' : 'individual',
    ...(same ? {} : { name: isOrg ? { full: name } : (parseName(name) ?? { full: name }) }),
    emails: withFirst(card.emails, 'e1', typed.mail, (address) => ({ address })),
    phones: withFirst(card.phones, 'p1', typed.number, (number) => ({ number })),
    organizations: withFirst(card.organizations, 'g1', isOrg ? '' : typed.organisation, (text) => ({
      name: text,
    })),
    titles: withFirst(card.titles, 't1', isOrg ? '' : typed.post, (text) => ({ name: text })),
  };
  // An empty collection is no property.
  const kept = Object.entries(written).filter(
    ([, value]) => typeof value !== 'object' || value === null || Object.keys(value).length > 0,
  );
  return Object.fromEntries(kept) as Card;
}

/** A collection with another value in its first entry, which keeps what else it says; none for an empty text. */
function withFirst<T extends object>(
  entries: Readonly<Record<string, T>> | undefined,
  usualId: string,
  text: string,
  make: (text: string) => Partial<T>,
): Record<string, T> {
  const [first] = Object.entries(entries ?? {});
  const [id, known] = first ?? [usualId, undefined];
  const { [id]: _, ...others } = entries ?? {};
  return text.trim() === '' ? others : { [id]: { ...known, ...make(text.trim()) } as T, ...others };
}

function firstOf<T>(entries: Readonly<Record<string, T>> | undefined): T | undefined {
  return Object.values(entries ?? {})[0];
}
