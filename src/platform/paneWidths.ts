const KEY = 'panes';

/** How wide the panes of this browser's window were dragged, by name, in px. Of the device, so it goes nowhere else. */
export function storedPanes(): Readonly<Record<string, number>> {
  try {
    const stored: unknown = JSON.parse(window.localStorage.getItem(KEY) ?? '{}');
    const entries = Object.entries(stored ?? {}).filter(([, width]) => Number.isFinite(width));
    return Object.fromEntries(entries) as Record<string, number>;
  } catch {
    return {};
  }
}

/** Remembers a pane's width; undefined forgets it. */
export function storePane(name: string, width: number | undefined): void {
  const { [name]: _, ...others } = storedPanes();
  try {
    window.localStorage.setItem(
      KEY,
      JSON.stringify(width === undefined ? others : { ...others, [name]: width }),
    );
  } catch {
    // It then begins as designed the next time.
  }
}
