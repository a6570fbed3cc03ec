import { useColours } from './ThemeProvider';
import tokens from './tokens.json';

/** The names of the ten muted tones that tags can have; each stands out from the page by 3:1 at least (WCAG 1.4.11). */
export const TONE_NAMES: readonly string[] = tokens.tones.map(({ name }) => name);

/** A tone in the current scheme; undefined for a number that isn't one. */
export function useTone(index: number | undefined): string | undefined {
  const isDark = useColours() === tokens.colours.dark;
  const tone = index === undefined ? undefined : tokens.tones[index];
  return tone?.[isDark ? 'dark' : 'light'];
}
