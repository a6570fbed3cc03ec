import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';

import { clusterGroups, type Point } from '@/core/find';
import { texts } from '@/texts/find/map';
import { Act, Maximize, Minus, Plus, useColours } from '@/ui';

import { Marks } from './Marks';
import type { PlaceGroup } from './placeGroup';
import { drawCircle, project } from './projection';
import { useMapView } from './useMapView';
import { useWorld } from './useWorld';

/** Marks nearer than a finger's width are drawn as one. */
const APART_PX = 44;

interface WorldMapProps {
  /** The places that are marked. */
  readonly groups: readonly PlaceGroup[];
  /** All there are, by which the map is laid at first. */
  readonly all: readonly PlaceGroup[];
  readonly chosen: readonly PlaceGroup[];
  readonly circle: (Point & { readonly km: number }) | undefined;
  readonly onChoose: (groups: readonly PlaceGroup[]) => void;
}

/** The world, which is moved by dragging, the wheel, two fingers or keys. */
export function WorldMap({ groups, all, chosen, circle, onChoose }: WorldMapProps) {
  const colours = useColours();
  const { frame, size } = useSize();
  const points = useMemo(() => all.map(({ spot }) => spot), [all]);
  const { view, fit, zoom, centre, show, onKeyDown, pointers } = useMapView(size, points);
  const { land, borders } = useWorld(view.scale);
  useWheel(frame, zoom);
  const [lat, lon, km] = [circle?.lat, circle?.lon, circle?.km];
  useEffect(() => {
    if (chosen.length > 0) show(chosen.map(({ spot }) => spot));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only another choice moves the map
  }, [chosen]);
  useEffect(() => {
    if (lat !== undefined && lon !== undefined) centre({ lat, lon });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only another place moves the map
  }, [lat, lon]);
  const ring = useMemo(
    () => (lat === undefined || lon === undefined ? '' : drawCircle({ lat, lon }, km ?? 0)),
    [lat, lon, km],
  );
  const placed = groups.map((group) => {
    const [x, y] = project(group.spot);
    return { group, x: x * view.scale + view.x, y: y * view.scale + view.y };
  });
  const inView = placed.filter(
    ({ x, y }) => x > -20 && y > -20 && x < size.width + 20 && y < size.height + 20,
  );
  return (
    <div
      ref={frame}
      role="group"
      aria-label={texts.mapArrowKeysMove}
      tabIndex={0}
      onKeyDown={onKeyDown}
      {...pointers}
      data-testid="map"
      className="bg-paper"
      style={{
        position: 'relative',
        height: '100%',
        overflow: 'hidden',
        touchAction: 'none',
        cursor: 'grab',
      }}
    >
      <svg width="100%" height="100%" aria-hidden style={{ position: 'absolute', inset: 0 }}>
        <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>
          <path
            d={land}
            fill={colours.leaf}
            stroke={colours.rule}
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
          <path
            d={borders}
            fill="none"
            stroke={colours.rule}
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
          {ring === '' ? null : (
            <path
              d={ring}
              fill={colours.berry}
              fillOpacity={0.08}
              stroke={colours.berry}
              strokeWidth={1.5}
              vectorEffect="non-scaling-stroke"
            />
          )}
        </g>
      </svg>
      <Marks clusters={clusterGroups(inView, APART_PX)} chosen={chosen} size={size} onChoose={onChoose} />
      <View className="absolute bottom-2 right-2 rounded-stamp border border-rule bg-paper">
        <Act
          label={texts.zoomIn}
          icon={Plus}
          iconOnly
          tone="ink"
          onPress={() => zoom(1.5)}
          testID="map-larger"
        />
        <Act label={texts.zoomOut} icon={Minus} iconOnly tone="ink" onPress={() => zoom(1 / 1.5)} />
        <Act label={texts.showAll} icon={Maximize} iconOnly tone="ink" onPress={fit} />
      </View>
    </div>
  );
}

/** The size of the map on the page, which follows the window. */
function useSize() {
  const frame = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    const element = frame.current;
    if (!element) return;
    const measure = () => setSize({ width: element.clientWidth, height: element.clientHeight });
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { frame, size };
}

/** React listens to the wheel passively, and the page would scroll along. */
function useWheel(
  frame: React.RefObject<HTMLDivElement | null>,
  zoom: (factor: number, at: { x: number; y: number }) => void,
): void {
  const latest = useRef(zoom);
  useEffect(() => {
    latest.current = zoom;
  });
  useEffect(() => {
    const element = frame.current;
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = element?.getBoundingClientRect();
      const at = { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) };
      latest.current(Math.exp(-event.deltaY / 400), at);
    };
    element?.addEventListener('wheel', onWheel, { passive: false });
    return () => element?.removeEventListener('wheel', onWheel);
  }, [frame]);
}
