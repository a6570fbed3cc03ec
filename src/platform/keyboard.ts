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

let hasSingleKeys = true;

/** Whether keys without Ctrl or Cmd do anything outside fields: letters, ? and / (WCAG 2.2, 2.1.4). */
export function allowSingleKeys(isAllowed: boolean): void {
  hasSingleKeys = isAllowed;
}

/**
 * Hears every key of the page; `handle` gives true where it has used the key. Returns the way to stop. Called in a layout effect: what can
 * be seen can be used, and a plain effect may come later than the next key.
 */
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
    const isCharacter = /^[^ ]$/u.test(event.key);
    if (!hasSingleKeys && !isCommand && !isTyping && isCharacter) return;
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

/** Whether no element has the focus, or only the page that was come to, so that keys are meant for the page as a whole. */
export function isNothingFocused(): boolean {
  const active = document.activeElement;
  return active === null || active === document.body || active.id === PAGE_ID || active.hasAttribute(ARRIVED);
}

/** The id of what is the page itself, without the way to the other places. */
export const PAGE_ID = 'page';

/** Marks the title of a page that was come to. */
const ARRIVED = 'data-arrived';

/** Puts the focus on the title of the page, so that it is read out and Tab goes on from there; on the page where it has none. */
export function focusPage(): void {
  const page = document.getElementById(PAGE_ID);
  const title = page?.querySelector<HTMLElement>('h1, [role="heading"][aria-level="1"]') ?? page;
  title?.setAttribute('tabindex', '-1');
  title?.setAttribute(ARRIVED, '');
  title?.focus({ preventScroll: true });
}

/** The same after another page has been come to, unless the focus is somewhere on it, or was left where it is by purpose. */
export function focusNewPage(): void {
  const isLeft = isNothingFocused() || document.activeElement?.closest('[role="navigation"], nav') !== null;
  if (isLeft) focusPage();
}

/** Puts the focus on the element with an id; false where it isn't on the page. */
export function focusId(id: string): boolean {
  const element = document.getElementById(id);
  element?.focus({ preventScroll: false });
  return element !== null;
}

/**
 * Puts the focus on the element so many steps on among those whose ids begin with `prefix`; on the first where none has it.
 *
 * @returns the rest of its id; undefined where there is none
 */
export function focusNeighbour(prefix: string, step: number): string | undefined {
  const all = [...document.querySelectorAll<HTMLElement>(`[id^="${prefix}"]`)];
  const at = all.findIndex((element) => element === document.activeElement);
  const next = at < 0 ? all[0] : all[Math.max(0, Math.min(all.length - 1, at + step))];
  next?.focus();
  return next?.id.slice(prefix.length);
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
