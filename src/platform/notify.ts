/** Whether the browser may say something outside its window. */
export type Notifying = 'allowed' | 'unasked' | 'refused' | 'missing';

/** How it stands with notifications (W3C/WHATWG Notifications). */
export function notifying(): Notifying {
  if (typeof Notification === 'undefined') return 'missing';
  return { granted: 'allowed', default: 'unasked', denied: 'refused' }[Notification.permission] as Notifying;
}

/** Has the browser ask the user, where it hasn't yet. To be called by something the user presses. */
export async function askToNotify(): Promise<Notifying> {
  if (notifying() === 'unasked') await Notification.requestPermission();
  return notifying();
}

/**
 * Says something outside the window; pressing it brings the window back.
 *
 * @param tag - a later one of the same name takes its place
 * @returns whether it could be said
 */
export function notify(title: string, body: string, tag: string): boolean {
  if (notifying() !== 'allowed') return false;
  try {
    const shown = new Notification(title, { body, tag });
    shown.addEventListener('click', () => window.focus());
    return true;
  } catch {
    // Some phones only let a service worker do it.
    return false;
  }
}
