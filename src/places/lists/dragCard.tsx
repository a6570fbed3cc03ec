import type { ReactNode } from 'react';

import type { Uid } from '@/core/card';

/** The kind of what is dragged: a card's uid. */
const CARD_TYPE = 'application/x-cordialis-card';

/** A row that can be dragged onto a list; the list's page has the same by typing. */
export function DragCard({ uid, children }: { readonly uid: Uid; readonly children: ReactNode }) {
  return (
    <div
      draggable
      onDragStart={(event) => {
        event.dataTransfer.setData(CARD_TYPE, uid);
        event.dataTransfer.effectAllowed = 'copy';
      }}
      style={{ minWidth: 0, flex: 1 }}
    >
      {children}
    </div>
  );
}

interface DropCardProps {
  /** Undefined where nothing can be dropped. */
  readonly onDrop: ((uid: Uid) => void) | undefined;
  readonly children: ReactNode;
}

/** Where a dragged card can be let go. */
export function DropCard({ onDrop, children }: DropCardProps) {
  if (!onDrop) return <div>{children}</div>;
  return (
    <div
      onDragOver={(event) => {
        if (event.dataTransfer.types.includes(CARD_TYPE)) event.preventDefault();
      }}
      onDrop={(event) => {
        const uid = event.dataTransfer.getData(CARD_TYPE);
        if (uid === '') return;
        event.preventDefault();
        onDrop(uid);
      }}
    >
      {children}
    </div>
  );
}
