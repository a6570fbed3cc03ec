/** Opens a tel:, mailto:, sms:, geo: or web address with whatever the device has for it. */
export function openUri(uri: string): void {
  if (/^https?:/i.test(uri)) window.open(uri, '_blank', 'noopener,noreferrer');
  else window.location.assign(uri);
}

/** Puts a text on the clipboard; false where the browser forbids it. */
export async function copyText(text: string): Promise<boolean> {
  try {
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    return false;
  }
}
