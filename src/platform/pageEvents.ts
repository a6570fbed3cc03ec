/** Calls back when the page is about to be hidden or closed; `isBusy` true asks the browser to ask before closing. */
export function onPageLeave(isBusy: () => boolean, flush: () => void): void {
  window.addEventListener('beforeunload', (event) => {
    if (isBusy()) event.preventDefault();
  });
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'hidden') flush();
  });
}

/** Lets the browser paint and answer before the next piece of a long piece of work. */
export function yieldToPage(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, 0));
}

/** Resolves when the browser is about to draw the next frame. */
export function nextFrame(): Promise<void> {
  return new Promise((resolve) => requestAnimationFrame(() => resolve()));
}
