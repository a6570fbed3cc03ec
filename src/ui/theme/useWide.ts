import { useWindowDimensions } from 'react-native';

/** Widths at which the layout changes, in CSS pixels. */
const WIDE = 900;
const PAGE = 1280;

/** Whether there is room for the rail and two columns, and for a margin beside the page. */
export function useWide(): { isWide: boolean; hasMargin: boolean } {
  const { width } = useWindowDimensions();
  return { isWide: width >= WIDE, hasMargin: width >= PAGE };
}
