import { useMemo, useState } from 'react';
import { View } from 'react-native';

import { usePointOf, useWhereabouts } from '@/book/find';
import { selectRowsByUid, useAppSelector } from '@/book/state';
import { distanceKm, groupSpots } from '@/core/find';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/find/map';
import { PageBar, ProgressLine, StackedPanes, usePageTitle, useWide } from '@/ui';

import { MapPanel } from './MapPanel';
import type { PlacedCard, PlaceGroup } from './placeGroup';
import { WorldMap } from './WorldMap';

/** Kilometres around a place that was typed, to begin with. */
const FIRST_KM = 50;
/** px of the map on a phone, until somebody drags its edge. */
const MAP_PX = 340;

/** Where people are: the world with a mark for each place, and beside it the places, or who is at one. */
export function MapPage() {
  usePageTitle(texts.map);
  const { isWide } = useWide();
  const where = useWhereabouts();
  const rows = useAppSelector(selectRowsByUid);
  const [chosen, setChosen] = useState<readonly PlaceGroup[]>([]);
  const [near, setNear] = useState('');
  const [km, setKm] = useState(FIRST_KM);
  const centre = usePointOf(near);
  const cards = useMemo(
    () => (where?.cards ?? []).filter(({ uid }) => rows.has(uid)) as readonly PlacedCard[],
    [where, rows],
  );
  const groups = useMemo(() => groupSpots(cards), [cards]);
  const around = useMemo(() => {
    if (!centre) return undefined;
    return cards
      .filter(({ spot }) => spot.by !== 'country')
      .map((card) => ({ ...card, km: distanceKm(card.spot, centre) }))
      .filter((card) => card.km <= km)
      .sort((a, b) => a.km - b.km);
  }, [cards, centre, km]);
  const marked = useMemo(() => (around ? groupSpots(around) : groups), [around, groups]);
  const isNear = near.trim() !== '';
  const map = (
    <WorldMap
      groups={marked}
      all={groups}
      chosen={chosen}
      circle={isNear && centre ? { ...centre, km } : undefined}
      onChoose={setChosen}
    />
  );
  const panel = ({ hasGazetteer }: NonNullable<typeof where>) => (
    <MapPanel
      {...{ groups, chosen, near, km, centre, around, hasGazetteer }}
      onChoose={setChosen}
      onNear={(text) => {
        setNear(text);
        setChosen([]);
      }}
      onKm={setKm}
    />
  );
  return (
    <View className="flex-1" testID="map-page">
      {isWide ? null : <PageBar backLabel={texts.book} onBack={() => go('/book')} />}
      {where ? (
        isWide ? (
          <View className="min-h-0 flex-1 flex-row">
            <View className="min-w-0 flex-1">{map}</View>
            <View className="w-[352px] border-l border-rule">{panel(where)}</View>
          </View>
        ) : (
          <StackedPanes name="map" height={MAP_PX} min={140} top={map}>
            {panel(where)}
          </StackedPanes>
        )
      ) : (
        <ProgressLine text={texts.findingPlaces} share01={0} />
      )}
    </View>
  );
}
