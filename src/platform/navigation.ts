import { type Href, router } from 'expo-router';

/** Asks the user whether to leave; calls `proceed` if so. */
export type AskToLeave = (proceed: () => void) => void;

let guard: AskToLeave | undefined;

/** Goes to a place of the application, unless something there is unsaved and the user stays. */
export function go(path: string, how: 'push' | 'replace' = 'push'): void {
  leave(() => router[how](path as Href));
}

/** Goes back to where the user came from; to `otherwise` where this is the first page. */
export function goBack(otherwise: string): void {
  leave(() => {
    if (router.canGoBack()) router.back();
    else router.replace(otherwise as Href);
  });
}

function leave(proceed: () => void): void {
  if (guard) guard(proceed);
  else proceed();
}

/**
 * Has `ask` called before the page is left, by a link, by the browser's back or by closing.
 *
 * @returns takes the guard away again
 */
export function guardLeaving(ask: AskToLeave): () => void {
  guard = ask;
  const onBeforeUnload = (event: BeforeUnloadEvent) => event.preventDefault();
  window.addEventListener('beforeunload', onBeforeUnload);
  return () => {
    if (guard === ask) guard = undefined;
    window.removeEventListener('beforeunload', onBeforeUnload);
  };
}

/** What lies over the page and is closed by the browser's back, the last on top. */
const overPage: { readonly name: string; readonly close: () => void }[] = [];
let opened = 0;

/** What an entry of the browser's history says beside what the router keeps there. */
interface Marks {
  /** The page is there a second time, after this entry. */
  readonly under?: string;
  /** This entry is that second time. */
  readonly over?: string;
}

const marksHere = () => (history.state ?? {}) as Marks;

/** The entry that was come from, as far as is known: the router moves without saying so. */
let from: Marks = {};

/**
 * Has the browser's back close what lies over the page, and not leave the page: the page is put into the browser's history
 * a second time, and back goes to the first. Closed otherwise, the second time stays, and is passed over by the next back.
 *
 * @returns to be called once it is closed
 */
export function closeByBack(close: () => void): () => void {
  const { over, under: _, ...state } = marksHere();
  const isFree = over !== undefined && !overPage.some(({ name }) => name === over);
  opened += 1;
  const one = { name: isFree ? over : `over ${Date.now()} ${opened}`, close };
  overPage.push(one);
  if (!isFree) {
    history.replaceState({ ...marksHere(), under: one.name }, '');
    history.pushState({ ...state, over: one.name }, '');
  }
  from = marksHere();
  return () => {
    const at = overPage.indexOf(one);
    if (at >= 0) overPage.splice(at, 1);
  };
}

/** Whether the browser is on its way forward again after a back that is being asked about. */
let isReturning = false;

/**
 * The browser has gone back already: what lies over the page goes; or it is sent forward again, and the user asked; or a
 * second time of the same page is passed over.
 */
function onPopState(event: PopStateEvent): void {
  const before = from;
  from = marksHere();
  const isFirstTime = before.over !== undefined && before.over === from.under;
  // Nobody asks any more, say because what was unsaved has been saved meanwhile.
  if (!guard) isReturning = false;
  const top = isReturning ? undefined : overPage.at(-1);
  if (!top && !guard && !isFirstTime) return;
  event.stopImmediatePropagation();
  if (top) return top.close();
  if (!guard) return history.back();
  if (isReturning) {
    isReturning = false;
    guard(() => history.back());
    return;
  }
  isReturning = true;
  history.forward();
}

/**
 * Has the browser's back asked about. To be called before the router starts: listeners of the window are called in the
 * order they came, and the router must not hear of a back that is being asked about.
 */
export function watchBack(): void {
  from = marksHere();
  window.addEventListener('popstate', onPopState);
}
