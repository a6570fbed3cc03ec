import { act, type ReactElement } from 'react';
import { createRoot } from 'react-dom/client';

/** What is drawn, as the browser has it. */
export interface Drawn {
  readonly page: HTMLElement;
  /** The first element with a role or, where it has none of that name, with a test id. @throws Error where there is none */
  get(roleOrTestId: string): HTMLElement;
  all(role: string): HTMLElement[];
  redraw(element: ReactElement): void;
  press(element: HTMLElement): void;
  type(element: HTMLElement, text: string): void;
}

// React asks for this before it lets act() speak for the page.
Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });

/** Draws something into a page of its own, through the same layer as in the browser. */
export function renderDom(element: ReactElement): Drawn {
  const page = document.createElement('div');
  document.body.append(page);
  const root = createRoot(page);
  const redraw = (next: ReactElement) => act(() => root.render(next));
  const all = (role: string) => [...page.querySelectorAll<HTMLElement>(`[role="${role}"]`)];
  redraw(element);
  return {
    page,
    all,
    redraw,
    get: (name) => {
      const found =
        all(name)[0] ??
        page.querySelector<HTMLElement>(
          `[data-testid="${name}"], ${/^[a-z]+$/.test(name) ? name : 'x-none'}`,
        );
      if (!found) throw new Error(`there is no ${name} in ${page.innerHTML}`);
      return found;
    },
    press: (target) => act(() => target.click()),
    type: (target, text) =>
      act(() => {
        // As a browser does: the value first, then the event; React looks for the difference.
        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(target, text);
        target.dispatchEvent(new Event('input', { bubbles: true }));
      }),
  };
}
