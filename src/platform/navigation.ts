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
const overPage: (() => void)[] = [];

/**
 * Has the browser's back close what lies over the page, and not leave the page.
 *
 * @returns to be called once it is closed
 */
export function closeByBack(close: () => void): () => void {
  overPage.push(close);
  return () => {
    const at = overPage.lastIndexOf(close);
    if (at >= 0) overPage.splice(at, 1);
  };
}

/** Whether the browser is on its way forward again after a back that was not meant to leave the page. */
let isReturning = false;

/** The browser has gone back already, so it is sent forward again; what lies over the page goes, or the user is asked. */
function onPopState(event: PopStateEvent): void {
  if (!isReturning && !guard && overPage.length === 0) return;
  event.stopImmediatePropagation();
  if (!isReturning) {
    isReturning = true;
    history.forward();
    return;
  }
  isReturning = false;
  const close = overPage.at(-1);
  if (close) close();
  else guard?.(() => history.back());
}

/**
 * Has the browser's back asked about. To be called before the router starts: listeners of the window are called in the
 * order they came, and the router must not hear of a back that is being asked about.
 */
export function watchBack(): void {
  window.addEventListener('popstate', onPopState);
}
