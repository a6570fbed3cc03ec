/** Something that the launcher offers beside opening the application. */
export interface Shortcut {
  readonly name: string;
  /** Path within the application. */
  readonly path: string;
}

let address = '';

/**
 * Tells the browser how the application is installed (W3C Web Application Manifest), with shortcuts of the moment. The
 * manifest is made here, since no server knows the pinned people.
 */
export function offerInstalling(shortcuts: readonly Shortcut[]): void {
  const at = (path: string) => new URL(path, location.origin).href;
  const icons = [{ src: at('/icon.svg'), sizes: 'any', type: 'image/svg+xml', purpose: 'any' }];
  const manifest = {
    name: 'Cordialis',
    short_name: 'Cordialis',
    description: 'A personal address book of people and organisations.',
    id: at('/'),
    start_url: at('/'),
    scope: at('/'),
    display: 'standalone',
    background_color: '#FBF8F1',
    theme_color: '#FBF8F1',
    icons,
    // A signature or a mail that another application shares (W3C Web Share Target).
    share_target: {
      action: at('/import/text'),
      method: 'GET',
      enctype: 'application/x-www-form-urlencoded',
      params: { title: 'title', text: 'text', url: 'url' },
    },
    shortcuts: shortcuts.map(({ name, path }) => ({ name, url: at(path), icons })),
  };
  const before = address;
  address = URL.createObjectURL(new Blob([JSON.stringify(manifest)], { type: 'application/manifest+json' }));
  const link = document.querySelector('link[rel="manifest"]') ?? document.createElement('link');
  Object.assign(link, { rel: 'manifest', href: address });
  if (!link.isConnected) document.head.append(link);
  if (before !== '') URL.revokeObjectURL(before);
}

/** How long after the start the application is laid by, in milliseconds: what is looked at comes first. */
const LAY_BY_AFTER_MS = 6000;

/** Has the browser keep the application at hand, so that it opens where the hub is off. @returns calls it off */
export function offerShortcuts(): () => void {
  if (typeof navigator === 'undefined' || !('serviceWorker' in navigator)) return () => undefined;
  // Where it is refused, as in a window that keeps nothing, the application needs the hub to open.
  const timer = setTimeout(
    () => void navigator.serviceWorker.register('/offline.js').catch(() => undefined),
    LAY_BY_AFTER_MS,
  );
  return () => clearTimeout(timer);
}
