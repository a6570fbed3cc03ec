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
  let isReturning = false;
  // Before the router hears of it: the browser has gone back already, so it is sent forward again and the user asked.
  const onPopState = (event: PopStateEvent) => {
    event.stopImmediatePropagation();
    if (isReturning) {
      isReturning = false;
      ask(() => {
        release();
        history.back();
      });
      return;
    }
    isReturning = true;
    history.forward();
  };
  const onBeforeUnload = (event: BeforeUnloadEvent) => event.preventDefault();
  window.addEventListener('popstate', onPopState, { capture: true });
  window.addEventListener('beforeunload', onBeforeUnload);
  const release = () => {
    if (guard === ask) guard = undefined;
    window.removeEventListener('popstate', onPopState, { capture: true });
    window.removeEventListener('beforeunload', onBeforeUnload);
  };
  return release;
}
