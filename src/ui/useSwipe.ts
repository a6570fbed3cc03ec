import { type PointerEvent, useRef, useState } from 'react';

/** px until a finger means to swipe and not to scroll, px from which it has, and px a row follows at most. */
const BEGINS = 12;
const ENOUGH = 88;
const FARTHEST = 132;

/** A finger on a row. */
interface Touch {
  readonly x: number;
  readonly y: number;
  readonly id: number;
  /** px it has gone along since it meant to swipe; kept here, as a finger may be quicker than the page is drawn. */
  along: number;
}

/** A swipe of a finger over a row, to the right (1) or to the left (-1); what it does is done elsewhere by a press as well. */
export function useSwipe(onSwipe: (way: 1 | -1) => void) {
  const touch = useRef<Touch>(undefined);
  const [dx, setDx] = useState(0);
  const end = () => {
    touch.current = undefined;
    setDx(0);
  };
  const onPointerDown = ({ pointerType, clientX, clientY, pointerId }: PointerEvent) => {
    if (pointerType === 'touch') touch.current = { x: clientX, y: clientY, id: pointerId, along: 0 };
  };
  const onPointerMove = (event: PointerEvent<HTMLElement>) => {
    const mine = touch.current;
    if (mine?.id !== event.pointerId) return;
    const [along, across] = [event.clientX - mine.x, event.clientY - mine.y];
    if (mine.along === 0) {
      if (Math.abs(across) > BEGINS) return end();
      if (Math.abs(along) < BEGINS) return;
      event.currentTarget.setPointerCapture(event.pointerId);
    }
    mine.along = Math.max(-FARTHEST, Math.min(FARTHEST, along));
    setDx(mine.along);
  };
  const onPointerUp = () => {
    const along = touch.current?.along ?? 0;
    end();
    if (Math.abs(along) >= ENOUGH) onSwipe(along > 0 ? 1 : -1);
  };
  return {
    /** px by which the row stands aside. */
    dx,
    /** Whether letting go now does something. */
    isFar: Math.abs(dx) >= ENOUGH,
    handlers: { onPointerDown, onPointerMove, onPointerUp, onPointerCancel: end },
  };
}
