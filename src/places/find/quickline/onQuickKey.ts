import type { NativeSyntheticEvent, TextInputKeyPressEventData } from 'react-native';

/** What the keys of the quick line move over. */
interface QuickKeys {
  readonly entries: number;
  readonly chosen: number;
  /** Acts beside the chosen entry; the place of the one Enter would do, -1 for the entry itself. */
  readonly acts: number;
  readonly act: number;
  readonly onMove: (chosen: number, act: number) => void;
  readonly onEnter: () => void;
  readonly onEscape: () => void;
  /** Takes how the line goes on; undefined where it doesn't, and the key goes on to what follows the line. */
  readonly onTab?: () => void;
}

/** Arrows down and up go over what was found, right and left over what can be done with it, Enter does it. */
export function onQuickKey(event: NativeSyntheticEvent<TextInputKeyPressEventData>, keys: QuickKeys): void {
  const { key } = event.nativeEvent;
  const { entries, chosen, acts, act, onMove } = keys;
  if (key === 'ArrowDown') onMove(Math.min(chosen + 1, Math.max(0, entries - 1)), -1);
  else if (key === 'ArrowUp') onMove(Math.max(chosen - 1, 0), -1);
  else if (key === 'ArrowRight' && act < acts - 1 && isAtEnd(event.target)) onMove(chosen, act + 1);
  else if (key === 'ArrowLeft' && act >= 0) onMove(chosen, act - 1);
  else if (key === 'Escape') keys.onEscape();
  else if (key === 'Enter') keys.onEnter();
  else if (key === 'Tab' && keys.onTab && !isWithShift(event) && isAtEnd(event.target)) keys.onTab();
  else return;
  event.preventDefault();
}

function isWithShift(event: NativeSyntheticEvent<TextInputKeyPressEventData>): boolean {
  return (event as unknown as { readonly shiftKey?: boolean }).shiftKey === true;
}

/** Within the text the arrows move the cursor. */
function isAtEnd(target: unknown): boolean {
  return target instanceof HTMLInputElement && target.selectionStart === target.value.length;
}
