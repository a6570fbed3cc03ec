import { type PointerEvent, useRef, useState } from 'react';

/** px until a finger means to swipe and not to scroll, px from which it has, and px a row follows at most. */
const BEGINS = 12;
const ENOUGH = 88;
const FARTHEST = 132;

/** A swipe of a finger over a row, to the right (1) or to the left (-1); what it does is done elsewhere by a press as well. */
export function useSwipe(onSwipe: (way: 1 | -1) => void) {
  const from = useRef<{ readonly x: number; readonly y: number; readonly id: number }>(undefined);
  const [dx, setDx] = useState(0);
  const end = () => {
    from.current = undefined;
    setDx(0);
  };
  const onPointerDown = ({ pointerType, clientX, clientY, pointerId }: PointerEvent) => {
    if (pointerType === 'touch') from.current = { x: clientX, y: clientY, id: pointerId };
  };
  const onPointerMove = (event: PointerEvent<HTMLElement>) => {
    const start = from.current;
    if (start?.id !== event.pointerId) return;
    const [along, across] = [event.clientX - start.x, event.clientY - start.y];
    if (dx === 0 && Math.abs(across) > BEGINS) return end();
    if (dx === 0 && Math.abs(along) < BEGINS) return;
    if (dx === 0) event.currentTarget.setPointerCapture(event.pointerId);
    setDx(Math.max(-FARTHEST, Math.min(FARTHEST, along)));
  };
  const onPointerUp = () => {
    if (Math.abs(dx) >= ENOUGH) onSwipe(dx > 0 ? 1 : -1);
    end();
  };
  return {
    /** px by which the row stands aside. */
    dx,
    /** Whether letting go now does something. */
    isFar: Math.abs(dx) >= ENOUGH,
    handlers: { onPointerDown, onPointerMove, onPointerUp, onPointerCancel: end },
  };
}
