import { ScrollView, View } from 'react-native';

import { selectRow, useAppSelector, usePhoto } from '@/book/state';
import type { NamedPoint } from '@/core/find';
import { cardPath, formatKm } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/find/map';
import { Act, ChevronLeft, Field, ListRow, Stamp, Txt } from '@/ui';

import { CountMark } from './CountMark';
import { clusterName, countOf, type PlacedCard, type PlaceGroup, placeKey, placeName } from './placeGroup';

/** Rows drawn at once; more are a press away. */
const SHOWN = 200;

interface MapPanelProps {
  readonly groups: readonly PlaceGroup[];
  readonly chosen: readonly PlaceGroup[];
  readonly near: string;
  readonly km: number;
  readonly centre: NamedPoint | null | undefined;
  readonly around: readonly PlacedCard[] | undefined;
  readonly hasGazetteer: boolean;
  readonly onChoose: (groups: readonly PlaceGroup[]) => void;
  readonly onNear: (text: string) => void;
  readonly onKm: (km: number) => void;
}

/** Beside the map: who is near a place, who is at the chosen one, or all places. */
export function MapPanel(props: MapPanelProps) {
  const { chosen, near, km, onNear, onKm } = props;
  return (
    <ScrollView>
      <View className="gap-3 px-5 py-4">
        <View className="flex-row gap-4">
          <View className="min-w-0 flex-1">
            <Field
              label={texts.whoIsNear}
              placeholder={texts.townOrSomebody}
              value={near}
              onChange={onNear}
              testID="map-near"
            />
          </View>
          <View className="w-[84px]">
            <Field
              label={texts.kilometres}
              value={String(km)}
              onChange={(text) => onKm(Math.min(20_000, Number(text.replace(/\D/g, '')) || 1))}
              kind="tel"
              testID="map-km"
            />
          </View>
        </View>
        {chosen.length > 0 ? (
          <Chosen {...props} />
        ) : near.trim() === '' ? (
          <AllPlaces {...props} />
        ) : (
          <Around {...props} />
        )}
      </View>
    </ScrollView>
  );
}

/** Who is at the places that were pressed. */
function Chosen({ chosen, onChoose }: MapPanelProps) {
  return (
    <View>
      <View className="flex-row">
        <Act
          label={texts.allPlaces}
          icon={ChevronLeft}
          tone="faded"
          onPress={() => onChoose([])}
          testID="map-all"
        />
      </View>
      <Txt font="serif" size="title" heading={1} testID="map-place">
        {clusterName(chosen)}
      </Txt>
      <Count count={countOf(chosen)} />
      {chosen.map((group) => (
        <View key={placeKey(group)}>
          {chosen.length > 1 ? (
            <View className="pt-3">
              <Txt font="sansBold" size="small" tone="faded" heading={2}>
                {placeName(group)}
              </Txt>
            </View>
          ) : null}
          <People cards={group.members} />
        </View>
      ))}
    </View>
  );
}

/** Who is within the distance of what was typed, the nearest first. */
function Around({ centre, around, km, near }: MapPanelProps) {
  if (centre === undefined) return <Txt tone="faded">…</Txt>;
  if (centre === null) return <Txt tone="ochre">{texts.noTownOrPerson(near.trim())}</Txt>;
  return (
    <View>
      <Txt font="serif" size="title" heading={1} testID="map-place">
        {texts.withinKmOf(km, centre.name)}
      </Txt>
      <Count count={around?.length ?? 0} />
      <People cards={around ?? []} />
    </View>
  );
}

/** All places, the ones with most people first, and what could not be placed. */
function AllPlaces({ groups, hasGazetteer, onChoose }: MapPanelProps) {
  const unsure = countOf(groups.filter(({ spot }) => spot.by === 'country'));
  return (
    <View>
      <Txt font="serif" size="title" heading={1}>
        {texts.wherePeopleAre}
      </Txt>
      <Txt size="small" tone="faded" isFigures testID="map-count">
        {texts.cardsAtPlaces(countOf(groups), groups.length)}
        {unsure === 0 ? '' : texts.byCountryOnly(unsure)}
      </Txt>
      {hasGazetteer ? null : (
        <Txt size="small" tone="ochre">
          {texts.hubCouldNotBeReached}
        </Txt>
      )}
      <View className="pt-2">
        {groups.slice(0, SHOWN).map((group) => (
          <ListRow
            key={placeKey(group)}
            title={placeName(group)}
            second={shared.cardCount(group.members.length)}
            stamp={<CountMark count={group.members.length} isCountry={group.spot.by === 'country'} />}
            onPress={() => onChoose([group])}
          />
        ))}
      </View>
      {groups.length === 0 ? <Txt tone="faded">{texts.noCardHasAddress}</Txt> : null}
    </View>
  );
}

function Count({ count }: { readonly count: number }) {
  return (
    <Txt size="small" tone="faded" isFigures testID="map-count">
      {shared.cardCount(count)}
    </Txt>
  );
}

function People({ cards }: { readonly cards: readonly PlacedCard[] }) {
  return (
    <View testID="map-people">
      {cards.slice(0, SHOWN).map((card) => (
        <PersonRow key={card.uid} card={card} />
      ))}
      {cards.length > SHOWN ? (
        <Txt size="small" tone="faded">
          {texts.andMore(cards.length - SHOWN)}
        </Txt>
      ) : null}
    </View>
  );
}

function PersonRow({ card: { uid, km } }: { readonly card: PlacedCard }) {
  const row = useAppSelector((state) => selectRow(state, uid));
  const photo = usePhoto(row?.photo, 'row');
  if (!row) return null;
  return (
    <ListRow
      title={row.shown}
      second={[km === undefined ? '' : formatKm(km), row.second].filter(Boolean).join(' · ')}
      stamp={<Stamp initials={row.initials} isOrg={row.isOrg} photo={photo} />}
      href={cardPath(uid)}
      onPress={() => go(cardPath(uid))}
    />
  );
}
