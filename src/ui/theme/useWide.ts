import { useWindowDimensions } from 'react-native';

/** Widths at which the layout changes, in CSS pixels. */
const WIDE = 900;
const PAGE = 1280;
const ROOM = 1600;

/** Whether there is room for the rail and two columns, for a margin beside the page, and for three columns. */
export function useWide(): { isWide: boolean; hasMargin: boolean; hasRoom: boolean } {
  const { width } = useWindowDimensions();
  return { isWide: width >= WIDE, hasMargin: width >= PAGE, hasRoom: width >= ROOM };
}
