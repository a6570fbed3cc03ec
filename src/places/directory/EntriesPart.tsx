import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { z } from 'zod';

import { type AskDirectory, useDirectoryAnswer } from '@/book/directory';
import { useServices } from '@/book/state';
import { initialsOf, newCard, organisationOf, shownAs, townOf } from '@/core/card';
import { type DirectoryEntry, directoryEntrySchema, isInForce, mayDo, type Role } from '@/core/directory';
import { formatDay, localDay, saveFile } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/directory/directory';
import { Act, Download, Field, FileText, ListRow, Plus, Stamp, Txt } from '@/ui';

import { EntryForm } from './EntryForm';
import { EntrySheet } from './EntrySheet';
import { ImportEntriesSheet } from './ImportEntriesSheet';
import { useDirectoryAct } from './useDirectoryAct';

interface EntriesPartProps {
  readonly ask: AskDirectory;
  readonly role: Role;
}

/** Milliseconds after the last letter before the hub is asked. */
const PAUSE_MS = 150;

const entriesSchema = z.array(directoryEntrySchema);

type Open = { readonly kind: 'entry' | 'form'; readonly entry: DirectoryEntry } | { readonly kind: 'table' };

/** Everybody in the directory, looked up by any word; whoever keeps it adds and changes them here. */
export function EntriesPart({ ask, role }: EntriesPartProps) {
  const { newUid, utcNow } = useServices();
  const act = useDirectoryAct();
  const [query, setQuery] = useState('');
  const path = `/entries?q=${encodeURIComponent(query.trim())}`;
  const found = useDirectoryAnswer({ ask, path, schema: entriesSchema, pauseMs: PAUSE_MS });
  const { value: entries, fault, again } = found;
  const [opened, setOpen] = useState<Open>();
  const mayEdit = mayDo(role, 'edit');
  const { entry: wanted } = useLocalSearchParams<{ entry?: string }>();
  // An entry removed in the meantime isn't opened.
  const asked = useDirectoryAnswer({
    ...{ ask, schema: directoryEntrySchema },
    path: wanted === undefined ? undefined : `/entries/${encodeURIComponent(wanted)}`,
  }).value;
  const [closed, setClosed] = useState<string>();
  const isAsked = asked !== undefined && asked.card.uid === wanted && closed !== wanted;
  const open: Open | undefined = opened ?? (isAsked ? { kind: 'entry', entry: asked } : undefined);
  const close = () => {
    setOpen(undefined);
    setClosed(wanted);
  };
  const done = () => {
    close();
    again();
  };
  const save = (kind: 'ldif' | 'vcard') =>
    act(async () => {
      const text = z.string().parse(await ask({ path: `/export/${kind}` }));
      if (kind === 'ldif') saveFile('directory.ldif', text, 'text/ldif');
      else saveFile('directory.vcf', text, 'text/vcard');
    }, '');
  const fresh = (): DirectoryEntry => ({
    card: { ...newCard(newUid(), utcNow()), kind: 'individual' },
    ...{ isInside: false, isHidden: false },
  });
  return (
    <View className="gap-3">
      <Field
        label={texts.lookUp}
        value={query}
        onChange={setQuery}
        placeholder={texts.nameFirmTownPart}
        testID="directory-query"
      />
      <View className="flex-row flex-wrap gap-x-5">
        {mayEdit ? (
          <>
            <Act
              label={texts.newEntry}
              icon={Plus}
              onPress={() => setOpen({ kind: 'form', entry: fresh() })}
              testID="new-entry"
            />
            <Act
              label={texts.importTable}
              icon={FileText}
              onPress={() => setOpen({ kind: 'table' })}
              testID="take-in"
            />
          </>
        ) : null}
        <Act
          label={texts.saveAsLdif}
          icon={Download}
          tone="faded"
          onPress={() => void save('ldif')}
          testID="save-ldif"
        />
        <Act label={texts.saveAsVcard} icon={Download} tone="faded" onPress={() => void save('vcard')} />
      </View>
      {fault === '' ? null : <Txt tone="brick">{texts.notFound(fault)}</Txt>}
      <View testID="entries">
        {entries?.map((entry) => (
          <ListRow
            key={entry.card.uid}
            title={shownAs(entry.card) || shared.noName}
            second={secondOf(entry)}
            stamp={<Stamp initials={initialsOf(entry.card)} isOrg={entry.card.kind === 'org'} />}
            onPress={() => setOpen({ kind: 'entry', entry })}
            role="link"
          />
        ))}
        {entries?.length === 0 ? (
          <Txt font="serifItalic" tone="faded">
            {query.trim() === '' ? texts.nobodyIsInDirectory : texts.nobodyFound}
          </Txt>
        ) : null}
      </View>
      {open?.kind === 'entry' ? (
        <EntrySheet
          entry={open.entry}
          mayEdit={mayEdit}
          onEdit={() => setOpen({ kind: 'form', entry: open.entry })}
          onRemove={async () => {
            const path = `/entries/${encodeURIComponent(open.entry.card.uid)}`;
            const said = texts.removedFromDirectory(shownAs(open.entry.card));
            if (await act(() => ask({ method: 'DELETE', path }), said)) done();
          }}
          onClose={close}
        />
      ) : null}
      {open?.kind === 'form' ? (
        <EntryForm entry={open.entry} ask={ask} onDone={done} onClose={close} />
      ) : null}
      {open?.kind === 'table' ? <ImportEntriesSheet ask={ask} onDone={done} onClose={close} /> : null}
    </View>
  );
}

function secondOf(entry: DirectoryEntry): string {
  const { card, isInside, isHidden, validFrom, validTo } = entry;
  const post = Object.values(card.titles ?? {})[0]?.name ?? '';
  const day = (at: string) => formatDay(`${at}T12:00:00Z`);
  const marks = [
    isHidden ? 'hidden' : '',
    isInForce(entry, localDay())
      ? validTo === undefined
        ? ''
        : texts.untilDay(day(validTo))
      : validFrom !== undefined && validFrom > localDay()
        ? texts.fromDay(day(validFrom))
        : texts.ended(validTo === undefined ? '' : day(validTo)),
  ];
  return [
    isInside ? texts.internal : texts.external,
    post,
    organisationOf(card) ?? '',
    townOf(card) ?? '',
    ...marks,
  ]
    .filter(Boolean)
    .join(' · ');
}
