import { createContext } from 'react';

/** Has the browser's back close what lies over the page; gives the way to take that back. */
export type CloseByBack = (close: () => void) => () => void;

/** How sheets hear of the browser's back; the frame of the pages says how. */
export const BackContext = createContext<CloseByBack>(() => () => undefined);
