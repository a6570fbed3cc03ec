import { type KeyboardEvent, type ReactNode, useLayoutEffect, useRef } from 'react';

import type { PlaceOf } from '@/book/write';

/** The kind of what is dragged: the key of a recipient. */
const CHIP_TYPE = 'application/x-cordialis-recipient';
/** In the order in which the arrow keys go through them. */
const ORDER: readonly PlaceOf[] = ['to', 'cc', 'bcc', 'off'];

interface MoveChipProps {
  readonly recipientKey: string;
  readonly place: PlaceOf;
  readonly onMove: (key: string, place: PlaceOf) => void;
  readonly onDragging: (isDragging: boolean) => void;
  readonly children: ReactNode;
}

/** The recipient whom a key is just moving. */
let movedByKey: string | undefined;

/** Somebody who can be dragged to another place of the message, or moved there by the arrow keys up and down. */
export function MoveChip({ recipientKey, place, onMove, onDragging, children }: MoveChipProps) {
  const chip = useRef<HTMLDivElement>(null);
  // Moving puts another element in another place. It takes the focus as it appears: a frame later the next key would be lost.
  useLayoutEffect(() => {
    if (movedByKey !== recipientKey) return;
    movedByKey = undefined;
    chip.current?.querySelector<HTMLElement>('[role="button"]')?.focus();
  }, [recipientKey]);
  const moveByKey = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    const next = ORDER[ORDER.indexOf(place) + step];
    if (step === 0 || next === undefined) return;
    event.preventDefault();
    movedByKey = recipientKey;
    onMove(recipientKey, next);
  };
  return (
    <div
      ref={chip}
      draggable
      onKeyDown={moveByKey}
      onDragStart={(event) => {
        event.dataTransfer.setData(CHIP_TYPE, recipientKey);
        event.dataTransfer.effectAllowed = 'move';
        // The browser takes the picture of what is dragged before anything is redrawn.
        requestAnimationFrame(() => onDragging(true));
      }}
      onDragEnd={() => onDragging(false)}
      style={{ maxWidth: '100%' }}
    >
      {children}
    </div>
  );
}

interface DropPlaceProps {
  readonly place: PlaceOf;
  readonly onMove: (key: string, place: PlaceOf) => void;
  readonly children: ReactNode;
}

/** A place of the message at which somebody can be let go. */
export function DropPlace({ place, onMove, children }: DropPlaceProps) {
  return (
    <div
      onDragOver={(event) => {
        if (event.dataTransfer.types.includes(CHIP_TYPE)) event.preventDefault();
      }}
      onDrop={(event) => {
        const key = event.dataTransfer.getData(CHIP_TYPE);
        if (key === '') return;
        event.preventDefault();
        onMove(key, place);
      }}
    >
      {children}
    </div>
  );
}
