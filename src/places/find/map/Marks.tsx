import type { Cluster } from '@/core/find';
import { texts } from '@/texts/find/map';

import { CountMark } from './CountMark';
import { clusterName, countOf, type PlaceGroup, placeKey, placeName } from './placeGroup';

interface MarksProps {
  readonly clusters: readonly Cluster<PlaceGroup>[];
  readonly chosen: readonly PlaceGroup[];
  /** Of the map, in pixels. */
  readonly width: number;
  readonly onChoose: (groups: readonly PlaceGroup[]) => void;
}

const MARK_PX = 44;
/** About what a letter of the small size takes, for telling whether there is room for a name. */
const LETTER_PX = 7;

interface Box {
  readonly left: number;
  readonly right: number;
  readonly y: number;
}

/** How many are where; a name beside each for which there is room, the largest first. */
export function Marks({ clusters, chosen, width, onChoose }: MarksProps) {
  const taken: Box[] = clusters.map(({ x, y }) => ({ left: x - 18, right: x + 18, y }));
  return clusters.map(({ x, y, groups }) => {
    const [first] = groups;
    if (!first) return null;
    const name = clusterName(groups);
    const label = placeName(first).replace(/, town not known$/, '');
    const isChosen = groups.some((group) => chosen.includes(group));
    const box = { left: x + 19, right: x + 22 + label.length * LETTER_PX, y };
    const hasRoom = box.right < width && !taken.some((one) => overlaps(one, box));
    if (hasRoom) taken.push(box);
    const isCountry = groups.every(({ spot }) => spot.by === 'country');
    return (
      <button
        key={placeKey(first)}
        type="button"
        onClick={() => onChoose(groups)}
        aria-pressed={isChosen}
        aria-label={texts.cards(name, countOf(groups))}
        className="bg-transparent"
        style={{
          ...{ position: 'absolute', left: x - MARK_PX / 2, top: y - MARK_PX / 2, height: MARK_PX },
          ...{
            minWidth: MARK_PX,
            padding: 0,
            border: 0,
            cursor: 'pointer',
            display: 'flex',
            alignItems: 'center',
          },
        }}
      >
        <span style={{ margin: '0 8px', display: 'flex' }}>
          <CountMark count={countOf(groups)} isCountry={isCountry} isChosen={isChosen} />
        </span>
        {hasRoom ? (
          <span
            aria-hidden
            className="font-sans text-small text-ink"
            style={{ marginLeft: -4, whiteSpace: 'nowrap', position: 'absolute', left: MARK_PX - 2 }}
          >
            {label}
          </span>
        ) : null}
      </button>
    );
  });
}

function overlaps(a: Box, b: Box): boolean {
  return Math.abs(a.y - b.y) < 18 && a.left < b.right && b.left < a.right;
}
