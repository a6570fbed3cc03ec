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

/** Whether the browser is on its way forward again after a back that is being asked about. */
let isReturning = false;

/** The browser has gone back already, so it is sent forward again and the user asked. */
function onPopState(event: PopStateEvent): void {
  if (!guard) return;
  event.stopImmediatePropagation();
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
  window.addEventListener('popstate', onPopState);
}
