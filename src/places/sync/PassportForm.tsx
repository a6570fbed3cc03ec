import { View } from 'react-native';

import { selectTags } from '@/book/card';
import { selectLists, useAppSelector } from '@/book/state';
import { shownAs } from '@/core/card';
import type { PassportRequest } from '@/core/sync';
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
  ['none', 'No pictures'],
  ['96', 'Pictures as small as in a list: 96 pixels'],
  ['320', 'Pictures for a small screen: 320 pixels'],
  ['whole', 'Pictures as they are'],
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
  const which = draft.own ? 'own' : draft.lists.length > 0 ? 'lists' : draft.tag !== '' ? 'tag' : 'all';
  const choose = (next: 'all' | 'own' | 'lists' | 'tag') => {
    const [list] = lists;
    const [tag] = tags;
    onChange({
      own: next === 'own',
      lists: next === 'lists' && list ? [list.uid] : [],
      tag: next === 'tag' && tag ? tag.tag : '',
    });
  };
  return (
    <View className="gap-4">
      <TitledPart title="Direction">
        <Choice
          name="Direction"
          options={DIRECTIONS}
          value={draft.direction}
          onChange={(direction) => onChange({ direction })}
        />
      </TitledPart>
      <TitledPart title="Which cards">
        <Choice
          name="Which cards"
          options={[
            ['all', 'All except private and archived ones'],
            ['own', 'Cards stored there'],
            ...(lists.length > 0 ? [['lists', 'Cards on certain lists'] as const] : []),
            ...(tags.length > 0 ? [['tag', 'Cards with a tag'] as const] : []),
          ]}
          value={which}
          onChange={choose}
        />
        {which === 'lists'
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
        {which === 'tag' ? (
          <Choice
            name="Tag"
            options={tags.map(({ tag }) => [tag, tag] as const)}
            value={draft.tag}
            onChange={(tag) => onChange({ tag })}
          />
        ) : null}
      </TitledPart>
      <TitledPart title="What each card includes">
        <Switch label="Notes" isOn={draft.notes} onChange={(notes) => onChange({ notes })} />
        <Choice
          name="Pictures"
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
          label="Lists"
          hint="As group cards, for devices that support them"
          isOn={draft.groups}
          onChange={(groups) => onChange({ groups })}
        />
        <Switch
          label="The common directory"
          hint="As a separate, read-only address book"
          isOn={draft.directory}
          onChange={(directory) => onChange({ directory })}
          testID="passport-directory"
        />
      </TitledPart>
    </View>
  );
}
