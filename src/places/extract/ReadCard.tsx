import { View } from 'react-native';

import type { ExtractResult } from '@/book/clients';
import { addExtracted, addExtractedTo } from '@/book/extract';
import { selectRowsByUid, selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import { type Card, type cardValues, shownAs, type Uid, withFile } from '@/core/card';
import type { Cluster } from '@/core/tidy';
import { cardPath, localDay, LOCALE } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/extract/extract';
import { texts as pictures } from '@/texts/extract/picture';
import { Act, LabelledRow, NextAct, Pencil, Plus, Txt, useLoaded, UserPlus } from '@/ui';

/** Loads what displays the values of a card. */
export type LoadShowing = () => Promise<{ readonly cardValues: typeof cardValues }>;

interface ReadCardProps {
  readonly extracted: ExtractResult;
  readonly loadShowing: LoadShowing;
  /** The picture that it was read from, where it is to be kept; a data: URI. */
  readonly picture?: string;
}

/** The card that was read, whom of the book it looks like, and what can be done with it. */
export function ReadCard({ extracted, loadShowing, picture }: ReadCardProps) {
  const { card: read, duplicates, hasMarks } = extracted;
  const dispatch = useAppDispatch();
  const { country, leapDay } = useAppSelector(selectSettings);
  const show = useLoaded(loadShowing);
  const groups =
    show?.cardValues(read, {
      country,
      leapDay,
      locale: LOCALE,
      today: localDay(),
      isToKeep: false,
      nameOf: () => undefined,
    }) ?? [];
  const name = shownAs(read);
  const card = picture === undefined ? read : withFile(read, pictures.fileLabel(name), picture);
  const work = workOf(read);
  const add = async (isEdited: boolean) => {
    await dispatch(addExtracted(card));
    go(isEdited ? `${cardPath(card.uid)}/edit` : cardPath(card.uid), 'replace');
  };
  if (!hasMarks) return <Txt tone="faded">{texts.nothingWasRecognisedPress}</Txt>;
  return (
    <View className="gap-3" testID="read-card">
      <Txt font="serif" size="title" heading={2}>
        {name || shared.noNameYet}
      </Txt>
      {work === '' ? null : <Txt tone="faded">{work}</Txt>}
      {duplicates.slice(0, 3).map((duplicate) => (
        <Duplicate
          key={duplicate.uids.join(' ')}
          duplicate={duplicate}
          mine={card.uid}
          onAdd={(uid) => void dispatch(addExtractedTo(card, uid)).then(() => go(cardPath(uid), 'replace'))}
        />
      ))}
      <View>
        {groups.map(({ label, values }) => (
          <LabelledRow key={label} label={label}>
            {values.map(({ id, lines }) => (
              <Txt key={id}>{lines.join(', ')}</Txt>
            ))}
          </LabelledRow>
        ))}
      </View>
      <NextAct
        label={texts.addToBook}
        icon={UserPlus}
        onPress={() => void add(false)}
        testID="add-extracted"
      />
      <View className="flex-row">
        <Act
          label={texts.addAndEdit}
          icon={Pencil}
          onPress={() => void add(true)}
          testID="add-extracted-edit"
        />
      </View>
    </View>
  );
}

/** What somebody does, and where. */
function workOf({ titles = {}, organizations = {} }: Card): string {
  const houses = Object.values(organizations).flatMap(({ name, units = [] }) => [
    ...units.map((unit) => unit.name),
    name,
  ]);
  return [...Object.values(titles).map(({ name }) => name), ...houses].filter(Boolean).join(', ');
}

interface DuplicateProps {
  readonly duplicate: Cluster;
  readonly mine: Uid;
  readonly onAdd: (uid: Uid) => void;
}

/** Somebody of the book whom the card looks like. */
function Duplicate({ duplicate: { uids, evidence, grade }, mine, onAdd }: DuplicateProps) {
  const rows = useAppSelector(selectRowsByUid);
  const uid = uids.find((one) => one !== mine);
  const row = uid === undefined ? undefined : rows.get(uid);
  if (uid === undefined || !row) return null;
  const why = evidence
    .filter(({ bits }) => bits > 0)
    .slice(0, 2)
    .map(({ words }) => words)
    .join(', ');
  return (
    <View className="border-l-2 border-ochre pl-3" testID="extract-duplicate">
      <Txt>{(grade === 'possible' ? texts.mayBe : texts.looksLike)(row.shown, why)}</Txt>
      <View className="flex-row flex-wrap gap-x-5">
        <Act
          label={texts.addTo(row.shown)}
          icon={Plus}
          onPress={() => onAdd(uid)}
          testID="add-to-duplicate"
        />
        <Act
          label={texts.open}
          name={texts.openNamed(row.shown)}
          tone="faded"
          onPress={() => go(cardPath(uid))}
        />
      </View>
    </View>
  );
}
