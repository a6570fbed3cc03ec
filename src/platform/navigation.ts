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
  if (goingBack) void goingBack.then(() => leave(proceed));
  else if (guard) guard(proceed);
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

/**
 * Has the browser's back close what lies over the page, and not leave the page: the page is put into the browser's history
 * a second time, and back goes to the first.
 *
 * @returns to be called once it is closed
 */
export function closeByBack(close: () => void): () => void {
  opened += 1;
  const one = { name: `over ${opened}`, close };
  overPage.push(one);
  history.pushState({ ...(history.state as object | null), over: one.name }, '');
  return () => {
    const at = overPage.indexOf(one);
    if (at >= 0) overPage.splice(at, 1);
    // Closed by something else than back. What closes it may also lead to another page: then that is the last one.
    setTimeout(() => {
      if ((history.state as { over?: unknown } | null)?.over === one.name) goBackQuietly();
    }, 0);
  };
}

/** While the browser goes back to where a sheet was opened; who wants to go elsewhere waits for that. */
let goingBack: Promise<void> | undefined;

function goBackQuietly(): void {
  goingBack = new Promise((resolve) => {
    const listen = () => {
      goingBack = undefined;
      resolve();
    };
    arrivals.push(listen);
    history.back();
  });
}

/** In milliseconds: what asked the user is closed by then. */
const CLOSING_MS = 20;

/** Does something once the sheet that the user has just answered is out of the browser's history. */
function afterClosing(act: () => void): void {
  setTimeout(() => void (goingBack ?? Promise.resolve()).then(act), CLOSING_MS);
}

/** Told of the next of the browser's moves, each of its own. */
const arrivals: (() => void)[] = [];

/** Whether the browser is on its way forward again after a back that is being asked about. */
let isReturning = false;

/** The browser has gone back already: what lies over the page goes; or it is sent forward again, and the user asked. */
function onPopState(event: PopStateEvent): void {
  const arrival = arrivals.shift();
  const top = arrival || isReturning ? undefined : overPage.at(-1);
  if (!arrival && !top && !guard) return;
  event.stopImmediatePropagation();
  if (arrival) return arrival();
  if (top) return top.close();
  if (isReturning) {
    isReturning = false;
    guard?.(() => afterClosing(() => history.back()));
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
  window.addEventListener('popstate', onPopState);
}
