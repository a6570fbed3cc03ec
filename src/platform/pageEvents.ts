/** Calls back when the page is about to be hidden or closed; `isBusy` true asks the browser to ask before closing. */
export function onPageLeave(isBusy: () => boolean, flush: () => void): void {
  window.addEventListener('beforeunload', (event) => {
    if (isBusy()) event.preventDefault();
  });
  onPageHidden(flush);
}

/** Calls back whenever the page is hidden: left, closed or covered. Returns the way to call it off. */
export function onPageHidden(work: () => void): () => void {
  const look = () => {
    if (document.visibilityState === 'hidden') work();
  };
  document.addEventListener('visibilitychange', look);
  return () => document.removeEventListener('visibilitychange', look);
}

/** Lets the browser paint and answer before the next piece of a long piece of work. */
export function yieldToPage(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, 0));
}

/** Resolves when the browser is about to draw the next frame. */
export function nextFrame(): Promise<void> {
  return new Promise((resolve) => requestAnimationFrame(() => resolve()));
}

/** Reads the page anew from where it came. */
export function reloadPage(): void {
  window.location.reload();
}

/** Puts words about the page's state on its root element, as data- attributes. */
export function setPageState(state: Readonly<Record<string, string>>): void {
  Object.assign(document.documentElement.dataset, state);
}

/** Does something once the page has nothing better to do. Returns the way to call it off. */
export function whenIdle(work: () => void): () => void {
  if (typeof requestIdleCallback === 'undefined') {
    const timer = setTimeout(work, 1000);
    return () => clearTimeout(timer);
  }
  const handle = requestIdleCallback(work);
  return () => cancelIdleCallback(handle);
}
