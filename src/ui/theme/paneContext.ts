import { createContext, type ReactNode } from 'react';

/** How wide the panes are that somebody has dragged, and where that is kept. */
export interface PaneWidths {
  /** In px; undefined where it has never been dragged. */
  readonly widthOf: (name: string) => number | undefined;
  /** Stands in for a page of which there is nothing yet; it shows itself beside an empty element marked as its `peer`. */
  readonly standIn?: ReactNode;
  /** @param width - in px; undefined for the width as designed */
  readonly keep: (name: string, width: number | undefined) => void;
}

/** Given by the frame; nothing is remembered without it. */
export const PaneContext = createContext<PaneWidths>({ widthOf: () => undefined, keep: () => undefined });
