import type { Cluster } from '@/core/find';
import { texts } from '@/texts/find/map';

import { CountMark } from './CountMark';
import { clusterName, countOf, type PlaceGroup, placeKey, placeName } from './placeGroup';
import { markWidth, placeLabels } from './placeLabels';

interface MarksProps {
  readonly clusters: readonly Cluster<PlaceGroup>[];
  readonly chosen: readonly PlaceGroup[];
  /** Of the map, in pixels. */
  readonly size: { readonly width: number; readonly height: number };
  readonly onChoose: (groups: readonly PlaceGroup[]) => void;
}

const MARK_PX = 44;
/** px of the corner in which the map's acts lie. */
const ACTS = { width: 56, height: 146 };
/** How many are where; a name beside each for which there is room, the largest first. */
export function Marks({ clusters, chosen, size, onChoose }: MarksProps) {
  const marks = clusters.map(({ x, y, groups }) => {
    const count = countOf(groups);
    const [first] = groups;
    // A country is named by itself: that its towns aren't known is said by the mark's own look.
    const label = first ? placeName(first).replace(/, town not known$/, '') : '';
    return { x, y, label, count, width: markWidth(count) };
  });
  const { width, height } = size;
  const acts = { left: width - ACTS.width, right: width, top: height - ACTS.height, bottom: height };
  const places = placeLabels(marks, size, [acts]);
  return clusters.map(({ x, y, groups }, i) => {
    const [first] = groups;
    const mark = marks[i];
    if (!first || !mark) return null;
    const name = clusterName(groups);
    const isChosen = groups.some((group) => chosen.includes(group));
    const place = places[i];
    const isCountry = groups.every(({ spot }) => spot.by === 'country');
    return (
      <button
        key={placeKey(first)}
        type="button"
        onClick={() => onChoose(groups)}
        aria-pressed={isChosen}
        aria-label={texts.cards(name, mark.count)}
        className="bg-transparent"
        style={{
          ...{ position: 'absolute', left: x - MARK_PX / 2, top: y - MARK_PX / 2, height: MARK_PX },
          ...{
            width: MARK_PX,
            padding: 0,
            border: 0,
            cursor: 'pointer',
            display: 'flex',
            alignItems: 'center',
          },
        }}
      >
        <span style={{ margin: 'auto', display: 'flex' }}>
          <CountMark count={mark.count} isCountry={isCountry} isChosen={isChosen} />
        </span>
        {place ? (
          <span
            aria-hidden
            className="font-sans text-small leading-[18px] text-ink"
            style={{
              ...{ whiteSpace: 'nowrap', position: 'absolute' },
              ...{ left: MARK_PX / 2 + place.dx, top: MARK_PX / 2 + place.dy },
            }}
          >
            {mark.label}
          </span>
        ) : null}
      </button>
    );
  });
}
