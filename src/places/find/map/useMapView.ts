import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';

import type { Point } from '@/core/find';

import { project, WORLD, WORLD_HEIGHT } from './projection';

/** What of the world is seen: pixels of a unit, and where the world's corner lies, in pixels. */
export interface View {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}

interface Size {
  readonly width: number;
  readonly height: number;
}

const MAX_ZOOM = 60;
const STEP = 1.5;
const PAN_PX = 80;
/** Room around all points when they are all shown. */
const MARGIN_PX = 64;

/** Moving over the world: by dragging, the wheel, two fingers and keys. */
export function useMapView(size: Size, points: readonly Point[]) {
  const [view, setView] = useState<View>();
  /** Until somebody moves it the map shows everybody. */
  const fit = () => setView(undefined);
  const shown = view ?? fitted(size, points);
  const zoom = (factor: number, at = { x: size.width / 2, y: size.height / 2 }) =>
    setView((before) => zoomed(before ?? shown, factor, at, size));
  const pan = (dx: number, dy: number) =>
    setView((before) =>
      held({ ...(before ?? shown), x: (before ?? shown).x + dx, y: (before ?? shown).y + dy }, size),
    );
  const centre = (point: Point, scale = Math.max(shown.scale, fitted(size, []).scale * 6)) => {
    const [x, y] = project(point);
    setView(held({ scale, x: size.width / 2 - x * scale, y: size.height / 2 - y * scale }, size));
  };
  /** Brings several points into view. */
  const show = (some: readonly Point[]) => setView(fitted(size, some));
  const onKeyDown = (event: KeyboardEvent) => {
    const acts: Readonly<Record<string, () => void>> = {
      ArrowLeft: () => pan(PAN_PX, 0),
      ArrowRight: () => pan(-PAN_PX, 0),
      ArrowUp: () => pan(0, PAN_PX),
      ArrowDown: () => pan(0, -PAN_PX),
      '+': () => zoom(STEP),
      '=': () => zoom(STEP),
      '-': () => zoom(1 / STEP),
      '0': fit,
    };
    const act = acts[event.key];
    if (!act || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    event.stopPropagation();
    act();
  };
  return { view: shown, fit, zoom, centre, show, onKeyDown, ...usePointers(pan, zoom) };
}

/** One finger or the mouse moves the map, two change its size. */
function usePointers(
  pan: (dx: number, dy: number) => void,
  zoom: (factor: number, at: { x: number; y: number }) => void,
) {
  const down = useRef(new Map<number, { x: number; y: number }>());
  const onPointerDown = (event: PointerEvent) => {
    // A press on somebody's mark is meant for the mark.
    if ((event.target as Element).closest('button')) return;
    down.current.set(event.pointerId, { x: event.clientX, y: event.clientY });
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  const onPointerMove = (event: PointerEvent) => {
    const before = down.current.get(event.pointerId);
    if (!before) return;
    const now = { x: event.clientX, y: event.clientY };
    const other = [...down.current].find(([id]) => id !== event.pointerId)?.[1];
    down.current.set(event.pointerId, now);
    if (!other) return pan(now.x - before.x, now.y - before.y);
    const frame = event.currentTarget.getBoundingClientRect();
    const factor =
      Math.hypot(now.x - other.x, now.y - other.y) / Math.hypot(before.x - other.x, before.y - other.y);
    const middle = { x: (now.x + other.x) / 2 - frame.left, y: (now.y + other.y) / 2 - frame.top };
    if (Number.isFinite(factor) && factor > 0) zoom(factor, middle);
  };
  const end = (event: PointerEvent) => void down.current.delete(event.pointerId);
  return { pointers: { onPointerDown, onPointerMove, onPointerUp: end, onPointerCancel: end } };
}

/** The view that shows all points, or the whole world where there are none. */
function fitted({ width, height }: Size, points: readonly Point[]): View {
  const whole = Math.min(width / WORLD, height / WORLD_HEIGHT) || 0.3;
  const placed = points.map(project);
  if (placed.length === 0 || width === 0)
    return { scale: whole, x: (width - WORLD * whole) / 2, y: (height - WORLD_HEIGHT * whole) / 2 };
  const [xs, ys] = [placed.map(([x]) => x), placed.map(([, y]) => y)];
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [top, bottom] = [Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (width - 2 * MARGIN_PX) / Math.max(right - left, 1),
    (height - 2 * MARGIN_PX) / Math.max(bottom - top, 1),
    whole * 12,
  );
  const used = Math.max(scale, whole);
  return held(
    { scale: used, x: width / 2 - ((left + right) / 2) * used, y: height / 2 - ((top + bottom) / 2) * used },
    { width, height },
  );
}

function zoomed(view: View, factor: number, at: { x: number; y: number }, size: Size): View {
  const least = Math.min(size.width / WORLD, size.height / WORLD_HEIGHT);
  const scale = Math.max(least, Math.min(least * MAX_ZOOM, view.scale * factor));
  const by = scale / view.scale;
  return held({ scale, x: at.x - (at.x - view.x) * by, y: at.y - (at.y - view.y) * by }, size);
}

/** Some of the world always stays in view. */
function held({ scale, x, y }: View, { width, height }: Size): View {
  const hold = (corner: number, room: number, length: number) =>
    Math.max(room / 2 - length, Math.min(room / 2, corner));
  return { scale, x: hold(x, width, WORLD * scale), y: hold(y, height, WORLD_HEIGHT * scale) };
}
