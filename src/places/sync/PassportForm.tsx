import { View } from 'react-native';

import { selectTags } from '@/book/card';
import { selectLists, useAppSelector } from '@/book/state';
import { shownAs } from '@/core/card';
import type { PassportRequest } from '@/core/sync';
import { texts } from '@/texts/sync/sync';
import { Choice, Switch, Tick, TitledPart, Txt } from '@/ui';

import { DIRECTIONS } from './words';

/** What a passport says, without its name. */
export type PassportDraft = {
  readonly [K in Exclude<keyof PassportRequest, 'name' | 'directoryToken'>]-?: Exclude<
    PassportRequest[K],
    undefined
  >;
};

/** The passport of most devices: every card, both ways. */
export const usualPassport: PassportDraft = {
  direction: 'both',
  scope: 'all',
  tag: '',
  lists: [],
  notes: true,
  photos: true,
  photoSide: null,
  groups: false,
  own: false,
  directory: false,
};

/** How large pictures are there: none, their longer side in pixels, or as they are. */
const PICTURES = [
  ['none', texts.noPictures],
  ['96', texts.picturesAsSmallAsInList],
  ['320', texts.picturesForSmallScreen],
  ['whole', texts.picturesAsTheyAre],
] as const;

function pictureOf({ photos, photoSide }: PassportDraft): (typeof PICTURES)[number][0] {
  if (!photos) return 'none';
  if (photoSide === null) return 'whole';
  return photoSide <= 96 ? '96' : '320';
}

interface PassportFormProps {
  readonly draft: PassportDraft;
  readonly onChange: (some: Partial<PassportDraft>) => void;
}

/** What a device gets of the book, and in which direction. */
export function PassportForm({ draft, onChange }: PassportFormProps) {
  const lists = useAppSelector(selectLists);
  const tags = useAppSelector(selectTags);
  const choose = (scope: PassportDraft['scope']) => {
    const [list] = lists;
    const [tag] = tags;
    onChange({
      scope,
      own: scope === 'kept',
      lists: scope === 'lists' && list ? [list.uid] : [],
      tag: scope === 'tag' && tag ? tag.tag : '',
    });
  };
  const isNobody = draft.scope === 'nothing' || (draft.scope === 'lists' && draft.lists.length === 0);
  return (
    <View className="gap-4">
      <TitledPart title={texts.direction}>
        <Choice
          name={texts.direction}
          options={DIRECTIONS}
          value={draft.direction}
          onChange={(direction) => onChange({ direction })}
        />
      </TitledPart>
      <TitledPart title={texts.whichCards}>
        <Choice
          name={texts.whichCards}
          options={[
            ['all', texts.allExceptPrivateAndArchived],
            ['kept', texts.cardsStoredThere],
            ...(lists.length > 0 ? [['lists', texts.cardsOnCertainLists] as const] : []),
            ...(tags.length > 0 ? [['tag', texts.cardsWithTag] as const] : []),
            ['nothing', texts.noCards],
          ]}
          value={draft.scope}
          onChange={choose}
        />
        {draft.scope === 'lists'
          ? lists.map((list) => (
              <Tick
                key={list.uid}
                name={shownAs(list)}
                isOn={draft.lists.includes(list.uid)}
                onChange={(isOn) =>
                  onChange({
                    lists: isOn ? [...draft.lists, list.uid] : draft.lists.filter((uid) => uid !== list.uid),
                  })
                }
              >
                <Txt>{shownAs(list)}</Txt>
              </Tick>
            ))
          : null}
        {isNobody ? <Txt tone="ochre">{texts.nothingGoesThere}</Txt> : null}
        {draft.scope === 'tag' ? (
          <Choice
            name={texts.tag}
            options={tags.map(({ tag }) => [tag, tag] as const)}
            value={draft.tag}
            onChange={(tag) => onChange({ tag })}
          />
        ) : null}
      </TitledPart>
      <TitledPart title={texts.whatEachCardIncludes}>
        <Switch label={texts.notes} isOn={draft.notes} onChange={(notes) => onChange({ notes })} />
        <Choice
          name={texts.pictures}
          options={PICTURES}
          value={pictureOf(draft)}
          onChange={(size) =>
            onChange({
              photos: size !== 'none',
              photoSide: size === 'none' || size === 'whole' ? null : Number(size),
            })
          }
        />
        <Switch
          label={texts.lists}
          hint={texts.asGroupCardsForDevices}
          isOn={draft.groups}
          onChange={(groups) => onChange({ groups })}
        />
        <Switch
          label={texts.commonDirectory}
          hint={texts.asSeparateReadOnly}
          isOn={draft.directory}
          onChange={(directory) => onChange({ directory })}
          testID="passport-directory"
        />
      </TitledPart>
    </View>
  );
}
