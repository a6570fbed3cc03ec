import { nextFrame } from './pageEvents';

/** A key that was pressed, and whether it was typed into a field. */
export interface KeyPress {
  readonly key: string;
  /** Ctrl, or Cmd on a Mac. */
  readonly isCommand: boolean;
  readonly isShift: boolean;
  readonly isTyping: boolean;
  /** Whether that field is the quick line, which has keys of its own. */
  readonly isInQuickLine: boolean;
  /** Whether a sheet lies over the page; it has the keys to itself. */
  readonly isInDialog: boolean;
}

/** Hears every key of the page; `handle` gives true where it has used the key. Returns the way to stop. */
export function onKeyPress(handle: (press: KeyPress) => boolean): () => void {
  const listen = (event: KeyboardEvent) => {
    const target = event.target instanceof HTMLElement ? event.target : undefined;
    const isField =
      target !== undefined && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));
    const isCommand = event.ctrlKey || event.metaKey;
    // A letter typed on a table goes into its cell; the two keys that work everywhere stay what they are.
    const isIntoCell = !isCommand && /^[^/?]$/u.test(event.key) && target?.role === 'grid';
    const isTyping = isField || isIntoCell;
    const press = {
      key: event.key,
      isCommand,
      isShift: event.shiftKey,
      isTyping,
      isInQuickLine: target?.getAttribute('role') === 'combobox',
      isInDialog: document.querySelector('[role="dialog"]') !== null,
    };
    // What another listener has used already is done.
    if (event.defaultPrevented || event.isComposing) return;
    if (handle(press)) event.preventDefault();
  };
  // On the way down: fields keep the keys typed into them to themselves.
  window.addEventListener('keydown', listen, { capture: true });
  return () => window.removeEventListener('keydown', listen, { capture: true });
}

/** The part of an element's id behind a prefix, for the element that has the focus. */
export function focusedId(prefix: string): string | undefined {
  const id = document.activeElement?.id ?? '';
  return id.startsWith(prefix) ? id.slice(prefix.length) : undefined;
}

/** Whether no element has the focus, so that keys are meant for the page as a whole. */
export function isNothingFocused(): boolean {
  return document.activeElement === null || document.activeElement === document.body;
}

/** Puts the focus on the element with an id; false where it isn't on the page. */
export function focusId(id: string): boolean {
  const element = document.getElementById(id);
  element?.focus({ preventScroll: false });
  return element !== null;
}

/** The id, beginning with `prefix`, of the topmost element that lies within the view of the element `within`. */
export function firstIdInView(prefix: string, within: string): string | undefined {
  const top = document.getElementById(within)?.getBoundingClientRect().top ?? 0;
  const inView = [...document.querySelectorAll(`[id^="${prefix}"]`)]
    .map((element) => ({ id: element.id, top: element.getBoundingClientRect().top }))
    .filter((row) => row.top >= top - 1);
  return inView.sort((a, b) => a.top - b.top)[0]?.id;
}

/** Puts the focus on the first field that is marked as wrong, once the page has marked it. */
export async function focusFirstInvalid(): Promise<void> {
  await nextFrame();
  document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
}
