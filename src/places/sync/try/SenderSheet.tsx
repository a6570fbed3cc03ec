import { useState } from 'react';
import { View } from 'react-native';

import { changeBook } from '@/book/commit';
import { addExtracted, storeTextToRead, useExtract } from '@/book/extract';
import { edited } from '@/book/history';
import { selectCardsByUid, selectLists, useAppDispatch, useAppSelector, useServices } from '@/book/state';
import { type Card, normalizeAddress, shownAs } from '@/core/card';
import { isRuleList, withMembers } from '@/core/lists';
import { cardPath, localDay } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/try';
import { Act, Field, List, NotebookPen, Plus, ScanText, Sheet, Tick, Txt } from '@/ui';

interface SenderSheetProps {
  readonly person: { readonly name: string; readonly address: string };
  /** What they have written; '' where the message is ours. */
  readonly text: string;
  readonly onClose: () => void;
}

/** Who somebody is: their card with what can be done, or one that is read out of what they have written. */
export function SenderSheet({ person, text, onClose }: SenderSheetProps) {
  const cards = useAppSelector(selectCardsByUid);
  const wanted = normalizeAddress(person.address);
  const card = cards
    .values()
    .find((one) =>
      Object.values(one.emails ?? {}).some(({ address }) => normalizeAddress(address) === wanted),
    );
  const title = card ? shownAs(card) : person.name === '' ? person.address : person.name;
  return (
    <Sheet title={title} isOpen onClose={onClose}>
      <View testID="sender-sheet" className="gap-2">
        {card ? <KnownSender card={card} onClose={onClose} /> : <NewSender text={wholeText(person, text)} />}
      </View>
    </Sheet>
  );
}

/** What a card is read out of: who wrote by the header, and how they sign. Quoted lines are somebody else's. */
function wholeText({ name, address }: SenderSheetProps['person'], text: string): string {
  const own = text.split('\n').filter((line) => !line.startsWith('>'));
  const said = own.join('\n').trim();
  return said.includes(name) && name !== '' ? `${said}\n${address}` : `${said}\n\n${name}\n${address}`;
}

function KnownSender({ card, onClose }: { readonly card: Card; readonly onClose: () => void }) {
  const dispatch = useAppDispatch();
  const { newUid } = useServices();
  const lists = useAppSelector(selectLists).filter((list) => !isRuleList(list));
  const [isListing, setListing] = useState(false);
  const [said, setSaid] = useState<string>();
  const { titles, organizations } = card;
  const work = [Object.values(titles ?? {})[0]?.name, Object.values(organizations ?? {})[0]?.name];
  const put = (list: Card) =>
    void dispatch(
      changeBook({
        cause: 'edit',
        label: texts.addedTo(shownAs(card), shownAs(list)),
        edits: [edited(list.uid, (now) => withMembers(now, [card.uid]))],
      }),
    );
  const note = async () => {
    const talk = { kind: 'mail', direction: 'in', day: localDay(), with: [card.uid] } as const;
    const after = { ...talk, id: newUid(), with: [card.uid], said: said?.trim() ?? '' };
    await dispatch(
      changeBook({ cause: 'edit', label: texts.notedTalkWith(shownAs(card)), talks: [{ after }] }),
    );
    onClose();
  };
  return (
    <>
      <Txt tone="faded">{work.filter(Boolean).join(', ') || texts.cardOfYourBook}</Txt>
      <Act label={texts.openCard} onPress={() => go(cardPath(card.uid))} testID="sender-open" />
      <Act label={texts.addToList} icon={List} onPress={() => setListing(!isListing)} testID="sender-list" />
      {isListing
        ? lists.map((list) => (
            <Tick
              key={list.uid}
              name={shownAs(list)}
              isOn={list.members?.[card.uid] === true}
              onChange={() => put(list)}
            >
              <Txt>{shownAs(list)}</Txt>
            </Tick>
          ))
        : null}
      {said === undefined ? (
        <Act label={shared.noteTalk} icon={NotebookPen} onPress={() => setSaid('')} testID="sender-note" />
      ) : (
        <>
          <Field
            label={shared.whatWasSaid}
            value={said}
            onChange={setSaid}
            isLong
            isFirst
            testID="sender-said"
          />
          <Act
            label={texts.saveNote}
            isDisabled={said.trim() === ''}
            onPress={() => void note()}
            testID="sender-keep"
          />
        </>
      )}
    </>
  );
}

/** The card as it was read, to be added as it is or looked at first. */
function NewSender({ text }: { readonly text: string }) {
  const dispatch = useAppDispatch();
  const services = useServices();
  const extracted = useExtract(text, NO_CORRECTIONS);
  const card = extracted?.card;
  const lines = card
    ? [
        [Object.values(card.titles ?? {})[0]?.name, Object.values(card.organizations ?? {})[0]?.name]
          .filter(Boolean)
          .join(', '),
        ...Object.values(card.phones ?? {}).map(({ number }) => number),
        ...Object.values(card.emails ?? {}).map(({ address }) => address),
      ].filter(Boolean)
    : [];
  const add = async () => {
    if (!card) return;
    await dispatch(addExtracted(card));
    go(cardPath(card.uid));
  };
  const look = () => {
    storeTextToRead(services, text);
    go('/import/text');
  };
  return (
    <>
      <Txt tone="faded">{texts.nobodyInYourBook}</Txt>
      <View className="border-l-2 border-rule pl-3" testID="sender-extracted">
        <Txt font="serif" size="strong">
          {card ? shownAs(card) : texts.reading}
        </Txt>
        {lines.map((line) => (
          <Txt key={line} isFigures>
            {line}
          </Txt>
        ))}
      </View>
      <Act
        label={texts.addThisCard}
        icon={Plus}
        isDisabled={!card}
        onPress={() => void add()}
        testID="sender-add"
      />
      <Act label={texts.checkItWordByWord} icon={ScanText} tone="faded" onPress={look} testID="sender-look" />
    </>
  );
}

const NO_CORRECTIONS = [] as const;
