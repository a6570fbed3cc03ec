import type { KeyboardEvent } from 'react';

/** Enter in a line goes on to the next one; in a field of several lines it makes a line, on an act it does what it says. */
export function onFormKey(event: KeyboardEvent): void {
  const { target, currentTarget, nativeEvent } = event;
  const isPlain = !event.ctrlKey && !event.metaKey && !event.altKey && !event.shiftKey;
  const isLine = target instanceof HTMLInputElement;
  if (event.key !== 'Enter' || !isPlain || !isLine || nativeEvent.isComposing || event.defaultPrevented)
    return;
  const fields = [...currentTarget.querySelectorAll<HTMLElement>('input, textarea')].filter(
    (field) => field.offsetParent !== null,
  );
  const at = fields.indexOf(target);
  const next = fields[at + 1];
  // A line of a sheet that lies over the form is none of it.
  if (at < 0 || !next) return;
  event.preventDefault();
  next.focus();
}
