import { nextFrame } from './pageEvents';

/** A key that was pressed, and whether it was typed into a field. */
export interface KeyPress {
  readonly key: string;
  /** Ctrl, or Cmd on a Mac. */
  readonly isCommand: boolean;
  readonly isShift: boolean;
  readonly isTyping: boolean;
  /** Whether a sheet lies over the page; it has the keys to itself. */
  readonly isInDialog: boolean;
}

/** Hears every key of the page; `handle` gives true where it has used the key. Returns the way to stop. */
export function onKeyPress(handle: (press: KeyPress) => boolean): () => void {
  const listen = (event: KeyboardEvent) => {
    const target = event.target instanceof HTMLElement ? event.target : undefined;
    const isTyping =
      target !== undefined && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));
    const press = {
      key: event.key,
      isCommand: event.ctrlKey || event.metaKey,
      isShift: event.shiftKey,
      isTyping,
      isInDialog: document.querySelector('[role="dialog"]') !== null,
    };
    // What another listener has used already is done.
    if (event.defaultPrevented || event.isComposing) return;
    if (handle(press)) event.preventDefault();
  };
  window.addEventListener('keydown', listen);
  return () => window.removeEventListener('keydown', listen);
}

/** The part of an element's id behind a prefix, for the element that has the focus. */
export function focusedId(prefix: string): string | undefined {
  const id = document.activeElement?.id ?? '';
  return id.startsWith(prefix) ? id.slice(prefix.length) : undefined;
}

/** Puts the focus on the element with an id; false where it isn't on the page. */
export function focusId(id: string): boolean {
  const element = document.getElementById(id);
  element?.focus({ preventScroll: false });
  return element !== null;
}

/** Puts the focus on the first field that is marked as wrong, once the page has marked it. */
export async function focusFirstInvalid(): Promise<void> {
  await nextFrame();
  document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
}
