import { View } from 'react-native';

import { changeBook } from '@/book/commit';
import { added } from '@/book/history';
import { useAppDispatch, useServices } from '@/book/state';
import { type Card, formatAddress, shownAs } from '@/core/card';
import type { DirectoryEntry } from '@/core/directory';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/directory/directory';
import { Act, LabelledRow, LinkAct, Mail, Pencil, Phone, Plus, Sheet, Trash, Txt } from '@/ui';

interface EntrySheetProps {
  readonly entry: DirectoryEntry;
  readonly mayEdit: boolean;
  readonly onEdit: () => void;
  readonly onRemove: () => Promise<void>;
  readonly onClose: () => void;
}

/** An entry of the directory: reaching them, copying them into the Book; editing for those who may. */
export function EntrySheet({ entry: { card }, mayEdit, onEdit, onRemove, onClose }: EntrySheetProps) {
  const dispatch = useAppDispatch();
  const { newUid } = useServices();
  const name = shownAs(card) || shared.noName;
  const copy = () => {
    // A card of one's own, which says where it comes from.
    const own: Card = { ...card, uid: newUid(), 'cordialis.example:directory': card.uid };
    void dispatch(changeBook({ cause: 'add', label: texts.copiedIntoBook(name), edits: [added(own)] }));
    onClose();
  };
  const mail = Object.values(card.emails ?? {})[0]?.address;
  const number = Object.values(card.phones ?? {})[0]?.number;
  return (
    <Sheet title={name} isOpen onClose={onClose}>
      <View className="gap-3" testID="entry">
        <View className="flex-row flex-wrap gap-x-5">
          {number === undefined ? null : (
            <LinkAct label={texts.call} icon={Phone} uri={`tel:${number.replace(/[^+\d]/g, '')}`} />
          )}
          {mail === undefined ? null : (
            <LinkAct
              label={texts.write}
              icon={Mail}
              uri={`mailto:${encodeURIComponent(mail).replace('%40', '@')}`}
            />
          )}
          <Act label={texts.copyIntoBook} icon={Plus} onPress={copy} testID="copy-entry" />
        </View>
        <View>
          {valuesOf(card).map(([label, text]) => (
            <LabelledRow key={`${label} ${text}`} label={label}>
              <Txt>{text}</Txt>
            </LabelledRow>
          ))}
        </View>
        {mayEdit ? (
          <View className="flex-row flex-wrap gap-x-5">
            <Act label={texts.edit} icon={Pencil} onPress={onEdit} testID="edit-entry" />
            <Act
              label={texts.removeFromDirectory}
              icon={Trash}
              tone="brick"
              onPress={() => void onRemove()}
              testID="remove-entry"
            />
          </View>
        ) : null}
      </View>
    </Sheet>
  );
}

function valuesOf(card: Card): (readonly [label: string, text: string])[] {
  const each = <T,>(
    label: string,
    entries: Readonly<Record<string, T>> | undefined,
    of: (entry: T) => string,
  ) => Object.values(entries ?? {}).map((entry) => [label, of(entry)] as const);
  return [
    ...each(texts.organisationTitle, card.organizations, ({ name = '' }) => name),
    ...each(texts.post, card.titles, ({ name }) => name),
    ...each(texts.phone, card.phones, ({ number }) => number),
    ...each(texts.mail, card.emails, ({ address }) => address),
    ...each(texts.address, card.addresses, (address) => formatAddress(address).join(', ')),
    ...each(texts.web, card.links, ({ uri }) => uri),
    ...each(texts.note, card.notes, ({ note }) => note),
  ].filter(([, text]) => text !== '');
}
